import { parseCaseFile } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useImportVisitMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/today.ts';

const LARGEST_BYTES = 400_000;

/** Brings in a visit from a case file; a wrong one is refused with the field that is wrong. */
export function ImportButton() {
  const [fault, setFault] = useState<string | null>(null);
  const [importVisit, { isLoading }] = useImportVisitMutation();
  const navigate = useNavigate();

  async function take(file: File): Promise<void> {
    const problem = await readCase(file);
    if (!problem.ok) {
      setFault(problem.text);
      return;
    }
    const result = await importVisit(problem.value);
    if (result.data) await navigate(`/visits/${result.data.id}/explain`);
    else {
      const failure = failureOf(result.error);
      const first = failure.refusals[0];
      setFault(
        first
          ? t('importButton.expected', { path: first.path, expected: expectedWords(first) })
          : failure.text,
      );
    }
  }

  return (
    <>
      <FileButton
        label={t('importButton.caseFile')}
        accept=".json,application/json"
        disabled={isLoading}
        onFile={(file) => void take(file)}
      >
        {t('importButton.openACaseFile')}
      </FileButton>
      <Dialog open={fault !== null} onClose={() => setFault(null)}>
        <DialogTitle variant="h2">{t('importButton.thisFileWasNot')}</DialogTitle>
        <DialogContent>
          <Box sx={{ fontFamily: 'inherit', overflowWrap: 'anywhere' }}>{fault}</Box>
          <Box sx={{ mt: 1, color: 'text.secondary' }}>
            {t('importButton.nothingWasChangedFix')}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setFault(null)}>{t('importButton.understood')}</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

type CaseOrFault = { ok: true; value: unknown } | { ok: false; text: string };

async function readCase(file: File): Promise<CaseOrFault> {
  if (file.size > LARGEST_BYTES) return { ok: false, text: t('importButton.itIsTooLarge') };
  let data: unknown;
  try {
    data = JSON.parse(await file.text());
  } catch {
    return { ok: false, text: t('importButton.itIsNotJson') };
  }
  const parsed = parseCaseFile(data);
  return parsed.ok
    ? { ok: true, value: parsed.value }
    : {
        ok: false,
        text: t('importButton.expected', {
          path: parsed.error.path || t('importButton.theFile'),
          expected: expectedWords(parsed.error),
        }),
      };
}
