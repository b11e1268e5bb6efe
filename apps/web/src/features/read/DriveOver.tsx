import type { TreadPass } from '@keen/contract';
import { readerMessageSchema } from '@keen/contract';
import { PASSING, passFaults } from '@keen/core';
import type { PassFault, ProfileFault } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { FileButton } from '../../shared/FileButton.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { PassView } from './PassView.tsx';
import { readProfileFile } from './profileFile.ts';
import { useDeviceLine } from '../../devices/useDeviceLine.ts';
import type { LineState } from '../../devices/useDeviceLine.ts';
import { t } from '../../words/read.ts';

interface Seen {
  pass: TreadPass;
  leftOut: ProfileFault[];
}

/** Lets a car drive over the reader, or takes a file of its profiles. */
export function DriveOver() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('driveOver.driveOverTheReader')}</Button>
      <Dialog
        open={isOpen}
        onClose={() => setOpen(false)}
        maxWidth="md"
        fullWidth
        aria-labelledby="drive-over-title"
        slotProps={{ container: { sx: { alignItems: 'flex-start' } } }}
      >
        <DialogTitle id="drive-over-title" variant="h2">
          {t('driveOver.driveOverTheReader')}
        </DialogTitle>
        <DriveOverBody onClose={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function DriveOverBody({ onClose }: { onClose: () => void }) {
  const [seen, setSeen] = useState<Seen | null>(null);
  const [refused, setRefused] = useState<PassFault[]>([]);
  const [fileFault, setFileFault] = useState<string | null>(null);
  const line = useDeviceLine({
    path: '/api/devices/reader/stream',
    isWanted: true,
    read: (data) => readerMessageSchema.safeParse(data).data ?? null,
    onMessage: (message) => {
      if (message.kind !== 'pass') return;
      consider(message.pass, []);
    },
  });

  function consider(pass: TreadPass, leftOut: ProfileFault[]): void {
    setFileFault(null);
    const faults = passFaults(pass.passing);
    setRefused(faults);
    setSeen(faults.length === 0 ? { pass, leftOut } : null);
  }

  async function open(file: File): Promise<void> {
    const read = readProfileFile(await file.text(), new Date());
    if (read.ok) consider(read.pass, read.faults);
    else setFileFault(read.text);
  }

  return (
    <DialogContent
      sx={{ display: 'grid', gap: 2 }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) void open(file);
      }}
    >
      <Box role="status" sx={{ color: 'text.secondary' }}>
        {wordsOf(line)}{' '}
        {line === 'ready' && (
          <Link component={RouterLink} to="/devices" color="inherit" target="_blank">
            {t('driveOver.playIt')}
          </Link>
        )}
      </Box>
      {refused.length > 0 && (
        <Notice kind="caution">
          {t('driveOver.thatPassDoesNot', {
            refused: refused.map((fault) => WORDS[fault]).join(', and '),
          })}
        </Notice>
      )}
      {fileFault && <Notice kind="caution">{t('driveOver.theFileWasNot', { fileFault })}</Notice>}
      {seen && <PassView pass={seen.pass} leftOut={seen.leftOut} onDone={onClose} />}
      {!seen && <Notice kind="caution">{t('driveOver.nobodyStandsInFront')}</Notice>}
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
        <FileButton
          label={t('driveOver.fileOfProfiles')}
          accept=".json,.csv,.txt,.tsv,application/json,text/csv"
          onFile={(file) => void open(file)}
        >
          {t('driveOver.openAFileOf')}
        </FileButton>
        <Button variant="text" onClick={onClose}>
          {t('driveOver.backToReadingBy')}
        </Button>
      </Box>
    </DialogContent>
  );
}

const WORDS: Record<PassFault, string> = {
  tooSlow: t('driveOver.slowerThanKmH', { slowestKmh: PASSING.slowestKmh }),
  tooFast: t('driveOver.fasterThanKmH', { fastestKmh: PASSING.fastestKmh }),
  crooked: t('driveOver.moreThanOutOf', { skewDeg: PASSING.skewDeg }),
  turning: t('driveOver.steeringWhileItPassed'),
};

function wordsOf(line: LineState): string {
  switch (line) {
    case 'ready':
      return t('driveOver.theReaderWaitsFor', {
        slowestKmh: PASSING.slowestKmh,
        fastestKmh: PASSING.fastestKmh,
      });
    case 'lost':
      return t('driveOver.theReaderBrokeOff');
    default:
      return t('driveOver.callingTheReader');
  }
}
