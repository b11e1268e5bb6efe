import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import type { ArchiveTaken } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useArchiveProgressQuery, useBringArchiveMutation } from '../../api/shopApi.ts';
import type { ArchiveProgress } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { showWhole } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';

const MOST_FAULTS = 5;

/** The whole shop as a zip of open files, and back in. */
export function ArchiveForm() {
  const [bring, { data, error, isLoading }] = useBringArchiveMutation();
  const { data: told } = useArchiveProgressQuery();
  // None of none is what is told when it is over.
  const progress = told && told.total > 0 ? told : null;
  const [tooLarge, setTooLarge] = useState(false);
  const running = useRef<{ abort: () => void } | null>(null);
  const wasStopped = error !== undefined && 'name' in error && error.name === 'AbortError';

  function take(file: File): void {
    setTooLarge(file.size > MOST_ARCHIVE_BYTES);
    if (file.size <= MOST_ARCHIVE_BYTES) running.current = bring(file);
  }

  return (
    <Box component="section" aria-labelledby="archive-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="archive-title">
          Everything as files
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          A zip with every visit, car, sheet and picture as JSON and CSV. Brought in again, what is
          here already stays as it is. Passwords are not in it.
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button href="/api/shop/archive" download>
          Save the whole shop (zip)
        </Button>
        <FileButton
          label="Archive of a shop"
          accept=".zip,application/zip"
          disabled={isLoading}
          onFile={take}
        >
          Import a shop
        </FileButton>
      </Box>
      {isLoading && (
        <Progress
          label="Importing the shop"
          start="Sending the file"
          progress={progress?.way === 'in' ? progress : null}
          onStop={() => running.current?.abort()}
        />
      )}
      {!isLoading && progress?.way === 'out' && (
        <Progress label="Saving the shop" start="Reading the shop" progress={progress} />
      )}
      {tooLarge && <Notice kind="caution">The file is larger than 8 GB.</Notice>}
      {error && !wasStopped && (
        <Notice kind="caution">{failureOf(error).text} Nothing was taken in.</Notice>
      )}
      {wasStopped && !isLoading && <Notice>Stopped. Nothing was taken in.</Notice>}
      {data && <Taken taken={data} />}
    </Box>
  );
}

interface ProgressProps {
  label: string;
  /** What is said before the first visit is done. */
  start: string;
  progress: ArchiveProgress | null;
  onStop?: () => void;
}

function Progress({ label, start, progress, onStop }: ProgressProps) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
      <Box sx={{ flex: 1 }}>
        <Typography role="status" sx={{ mb: 0.5 }}>
          {progress
            ? `${showWhole(progress.done)} of ${showWhole(progress.total)} visits`
            : `${start}…`}
        </Typography>
        <LinearProgress
          aria-label={label}
          {...(progress
            ? { variant: 'determinate' as const, value: (100 * progress.done) / progress.total }
            : {})}
        />
      </Box>
      {onStop && <Button onClick={onStop}>Stop</Button>}
    </Box>
  );
}

function Taken({ taken }: { taken: ArchiveTaken }) {
  const { visits, known, cars, people, sheets, settings, faults } = taken;
  return (
    <Notice {...(faults.length > 0 ? { kind: 'caution' as const } : {})}>
      Taken in: {visits} visits, {cars} cars, {people} people, {sheets} revisions of sheets
      {settings ? ', the settings' : ''}. {known > 0 && `${known} visits were here already. `}
      {people > 0 && 'Who came in signs in once the lead has given a password. '}
      {faults
        .slice(0, MOST_FAULTS)
        .map(({ file, expected }) => `Left out ${file}: expected ${expected}.`)
        .join(' ')}
      {faults.length > MOST_FAULTS && ` And ${faults.length - MOST_FAULTS} more.`}
    </Notice>
  );
}
