import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import type { ArchiveTaken } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useBringArchiveMutation } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { Notice } from '../../shared/Notice.tsx';

const MOST_FAULTS = 5;

/** The whole shop as a zip of open files, and back in. */
export function ArchiveForm() {
  const [bring, { data, error, isLoading }] = useBringArchiveMutation();
  const [tooLarge, setTooLarge] = useState(false);

  function take(file: File): void {
    setTooLarge(file.size > MOST_ARCHIVE_BYTES);
    if (file.size <= MOST_ARCHIVE_BYTES) void bring(file);
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
        <Box role="status">
          <Typography sx={{ mb: 0.5 }}>Sending and checking it…</Typography>
          <LinearProgress aria-label="Importing the shop" />
        </Box>
      )}
      {tooLarge && <Notice kind="caution">The file is larger than 300 MB.</Notice>}
      {error && <Notice kind="caution">{failureOf(error).text} Nothing was taken in.</Notice>}
      {data && <Taken taken={data} />}
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
