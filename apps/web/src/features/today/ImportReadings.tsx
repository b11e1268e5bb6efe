import type { DepthUnit } from '@keen/contract';
import { guessReadingMapping, readReadingTable } from '@keen/core';
import type { ReadingMapping } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { joined } from '../../shared/joined.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { showWhole } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { ReadingColumns } from './ReadingColumns.tsx';
import { readingMappings, readRows } from './readingFiles.ts';
import { useSaveReadings } from './useSaveReadings.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/today.ts';
import { tablesTexts } from '../../words/core/tables.ts';

const MOST_FAULTS = 30;

/** Takes readings of many cars from a table: a visit for each car. */
export function ImportReadings({ unit, onClose }: { unit: DepthUnit; onClose: () => void }) {
  const [rows, setRows] = useState<string[][] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [mapping, setMapping] = useState<ReadingMapping | null>(null);
  const read = useMemo(
    () => (rows && mapping ? readReadingTable(rows, mapping, tablesTexts) : null),
    [rows, mapping],
  );
  const { state, keep, stop } = useSaveReadings();

  function open(text: string): void {
    const found = readRows(text);
    setFault(found.ok ? null : found.text);
    setRows(found.ok ? found.rows : null);
    if (!found.ok) return;
    const [header = []] = found.rows;
    setMapping(readingMappings.find(header) ?? guessReadingMapping(header, unit));
  }

  return (
    <Dialog
      open
      onClose={state.isRunning ? undefined : onClose}
      maxWidth="md"
      fullWidth
      aria-labelledby="readings-title"
      slotProps={{ container: { sx: { alignItems: 'flex-start' } } }}
    >
      <DialogTitle id="readings-title" variant="h2">
        {t('importReadings.readingsFromATable')}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        {!rows && (
          <>
            <Typography color="textSecondary">{t('importReadings.aLineACar')}</Typography>
            <FileButton
              label={t('importReadings.tableOfReadings')}
              accept=".csv,.tsv,.txt,text/csv"
              sx={{ justifySelf: 'start' }}
              onFile={(file) => void file.text().then(open)}
            >
              {t('importReadings.openACsv')}
            </FileButton>
            <TextField
              label={t('importReadings.orPasteHere')}
              multiline
              minRows={4}
              maxRows={8}
              onChange={({ target }) => {
                if (target.value.includes('\n')) open(target.value);
              }}
            />
          </>
        )}
        {fault && (
          <Notice kind="caution">{t('importReadings.nothingWasChanged', { fault })}</Notice>
        )}
        {rows && mapping && (
          <ReadingColumns
            header={rows[0] ?? []}
            mapping={mapping}
            onChange={(change) => setMapping((now) => now && { ...now, ...change })}
          />
        )}
        {read && (
          <Typography role="status">
            <Rich
              text={t('importReadings.canBeSaved', {
                readings: showWhole(read.readings),
                cars: showWhole(read.cars.length),
                count: read.cars.length,
              })}
            />
          </Typography>
        )}
        {read && read.faults.length > 0 && (
          <Notice kind="caution">
            <Box component="ul" sx={{ m: 0, pl: 2 }}>
              {read.faults.slice(0, MOST_FAULTS).map(({ line, column, expected }) => (
                <li key={`${line}.${column}`}>
                  {t('importReadings.lineExpected', {
                    line,
                    where:
                      rows?.[0]?.[column] ?? t('importReadings.column', { column: column + 1 }),
                    expected,
                  })}
                </li>
              ))}
              {read.faults.length > MOST_FAULTS && (
                <li>{t('importReadings.andMore', { length: read.faults.length - MOST_FAULTS })}</li>
              )}
            </Box>
            {t('importReadings.linesStayOut')}
          </Notice>
        )}
        {state.total > 0 && (
          <Box>
            <LinearProgress
              variant="determinate"
              value={(100 * state.done) / state.total}
              aria-label={t('importReadings.carsSaved')}
            />
            <Typography role="status" sx={{ mt: 0.5 }}>
              {joined(
                t('importReadings.savedSoFar', { done: state.done, total: state.total }),
                state.fault && t('importReadings.stopped', { fault: state.fault }),
                !state.isRunning &&
                  !state.fault &&
                  state.done < state.total &&
                  t('importReadings.stoppedByYou'),
              )}
            </Typography>
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        {state.isRunning ? (
          <Button onClick={stop}>{t('importReadings.stop')}</Button>
        ) : (
          <Button onClick={onClose}>
            {state.done > 0 ? t('importReadings.close') : t('importReadings.cancel')}
          </Button>
        )}
        {read && state.done < (state.total || 1) && (
          <Button
            variant="contained"
            disabled={state.isRunning || read.cars.length === 0}
            onClick={() => {
              if (rows && mapping) readingMappings.keep(rows[0] ?? [], mapping);
              void keep(read.cars);
            }}
          >
            {state.done > 0 ? t('importReadings.goOn') : t('importReadings.saveThem')}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
