import type { AngleFile } from '@keen/contract';
import { guessAngleMapping, readAngleTable } from '@keen/core';
import type { AngleMapping } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { FileButton } from '../../shared/FileButton.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { AngleTable } from './AngleTable.tsx';
import { readAngles } from './angleFile.ts';
import type { ReadAngles } from './angleFile.ts';
import { MappingFields } from './MappingFields.tsx';
import { angleMappings } from './savedMapping.ts';
import { applyAngles } from './applyAngles.ts';
import { t } from '../../words/measure.ts';
import { tablesTexts } from '../../words/core/tables.ts';

/** Takes angles from a rig's file: ours as it is, a foreign table by saying what its columns are. */
export function AngleFileButton() {
  const [read, setRead] = useState<ReadAngles | null>(null);
  const [name, setName] = useState('');
  const close = () => setRead(null);

  async function open(file: File): Promise<void> {
    setName(file.name);
    setRead(readAngles(await file.text()));
  }

  return (
    <>
      <FileButton
        label={t('angleFileButton.fileOfAngles')}
        accept=".json,.csv,.txt,.tsv,application/json,text/csv"
        onFile={(file) => void open(file)}
      >
        {t('angleFileButton.openAFile')}
      </FileButton>
      <Dialog
        open={read !== null}
        onClose={close}
        maxWidth="md"
        fullWidth
        aria-labelledby="angle-file-title"
        // What is wrong comes and goes under the fields: they must not move under the finger.
        slotProps={{ container: { sx: { alignItems: 'flex-start' } } }}
      >
        <DialogTitle id="angle-file-title" variant="h2">
          {read?.kind === 'fault'
            ? t('angleFileButton.thisFileWasNot')
            : t('angleFileButton.anglesFrom', { name })}
        </DialogTitle>
        {read?.kind === 'fault' && <FaultBody text={read.text} onClose={close} />}
        {read?.kind === 'ours' && <OursBody file={read.file} onClose={close} />}
        {read?.kind === 'table' && <TableBody rows={read.rows} onClose={close} />}
      </Dialog>
    </>
  );
}

function FaultBody({ text, onClose }: { text: string; onClose: () => void }) {
  return (
    <>
      <DialogContent>
        <Box sx={{ overflowWrap: 'anywhere' }}>{text}</Box>
        <Box sx={{ mt: 1, color: 'text.secondary' }}>
          {t('angleFileButton.nothingWasChangedFix')}
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={onClose}>{t('angleFileButton.understood')}</Button>
      </DialogActions>
    </>
  );
}

function OursBody({ file, onClose }: { file: AngleFile; onClose: () => void }) {
  return (
    <>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        {file.source && <Box sx={{ color: 'text.secondary' }}>{file.source}</Box>}
        <AngleTable wheels={file.wheels} />
      </DialogContent>
      <TakeOver found={file} onClose={onClose} />
    </>
  );
}

function TableBody({ rows, onClose }: { rows: string[][]; onClose: () => void }) {
  const header = rows[0]!;
  const [mapping, setMapping] = useState<AngleMapping>(
    () => angleMappings.find(header) ?? guessAngleMapping(header),
  );
  const { angles, faults } = readAngleTable(rows, mapping, tablesTexts);
  return (
    <>
      <DialogContent sx={{ display: 'grid', gap: 2.5 }}>
        <MappingFields
          header={header}
          mapping={mapping}
          onChange={(change) => setMapping((now) => ({ ...now, ...change }))}
        />
        {faults.length > 0 && (
          <Notice kind="caution">
            <Box component="ul" sx={{ m: 0, pl: 2 }}>
              {faults.map(({ line, column, expected }) => (
                <li key={`${line}.${column}`}>
                  {t('angleFileButton.lineExpected', {
                    line,
                    where: header[column] ?? t('angleFileButton.column', { column: column + 1 }),
                    expected,
                  })}
                </li>
              ))}
            </Box>
            {t('angleFileButton.whatCouldBeRead')}
          </Notice>
        )}
        <AngleTable wheels={angles} />
      </DialogContent>
      <TakeOver
        found={{ wheels: angles }}
        onClose={() => {
          angleMappings.keep(header, mapping);
          onClose();
        }}
      />
    </>
  );
}

function TakeOver({
  found,
  onClose,
}: {
  found: Pick<AngleFile, 'wheels' | 'setback' | 'turning'>;
  onClose: () => void;
}) {
  const { draft, enterAll } = useVisit();
  const hasAny = Object.values(found.wheels).some((angles) => Object.keys(angles).length > 0);
  return (
    <DialogActions sx={{ p: 2 }}>
      <Button onClick={onClose}>{t('angleFileButton.cancel')}</Button>
      <Button
        variant="contained"
        disabled={!hasAny}
        onClick={() => {
          enterAll(applyAngles(found, draft, new Date().toISOString()));
          onClose();
        }}
      >
        {t('angleFileButton.use')}
      </Button>
    </DialogActions>
  );
}
