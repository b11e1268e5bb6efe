import type { StoredSheet, SpecSheet } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useSaveSheetsMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { SheetLines } from '../../shared/SheetLines.tsx';
import { readSheets } from './sheetFiles.ts';
import type { ReadSheets } from './sheetFiles.ts';
import { t } from '../../words/sheets.ts';

/** Takes in sheets from a file; nothing is kept before it was looked at. */
export function SheetImport({ known }: { known: readonly StoredSheet[] }) {
  const [read, setRead] = useState<ReadSheets | null>(null);
  const [keep, { isLoading, error }] = useSaveSheetsMutation();
  const close = () => setRead(null);
  const sameName = (sheet: SpecSheet) => known.find((one) => one.sheet.name === sheet.name);

  async function take(sheets: readonly SpecSheet[]): Promise<void> {
    const order = sheets.map((sheet) => {
      const old = sameName(sheet);
      return {
        id: old?.id ?? newId(),
        revisionId: newId(),
        basedOn: old?.revision ?? 0,
        sheet,
        retired: false,
      };
    });
    if (!('error' in (await keep(order)))) close();
  }

  return (
    <>
      <FileButton
        label={t('sheetImport.fileOfSheets')}
        accept=".json,.csv,application/json,text/csv"
        onFile={(file) => void file.text().then((text) => setRead(readSheets(text)))}
      >
        {t('sheetImport.openAFile')}
      </FileButton>
      <Dialog
        open={read !== null}
        onClose={close}
        maxWidth="sm"
        fullWidth
        aria-labelledby="sheet-import"
      >
        <DialogTitle id="sheet-import" variant="h2">
          {read?.sheets.length === 0
            ? t('sheetImport.nothingInThisFile')
            : t('sheetImport.toSave', { count: read?.sheets.length ?? 0 })}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
          {read && read.faults.length > 0 && (
            <Notice kind="caution">
              <Box component="ul" sx={{ m: 0, pl: 2, overflowWrap: 'anywhere' }}>
                {read.faults.slice(0, 30).map((fault) => (
                  <li key={fault}>{fault}</li>
                ))}
                {read.faults.length > 30 && (
                  <li>{t('sheetImport.andMore', { length: read.faults.length - 30 })}</li>
                )}
              </Box>
            </Notice>
          )}
          {read && read.sheets.length > 0 && (
            <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
              {read.sheets.slice(0, 50).map((sheet, i) => (
                <li key={`${i} ${sheet.name}`}>
                  <strong>{sheet.name}</strong> {sameName(sheet) && t('sheetImport.aNewRevisionOf')}
                  <SheetLines sheet={sheet} />
                </li>
              ))}
            </Box>
          )}
        </DialogContent>
        <DialogActions sx={{ p: 2 }}>
          <Button onClick={close}>{t('sheetImport.cancel')}</Button>
          {read && read.sheets.length > 0 && (
            <Button variant="contained" disabled={isLoading} onClick={() => void take(read.sheets)}>
              {t('sheetImport.saveThem', { count: read.sheets.length })}
            </Button>
          )}
        </DialogActions>
      </Dialog>
    </>
  );
}
