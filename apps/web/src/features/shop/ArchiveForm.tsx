import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import type { ArchiveImported } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useArchiveProgressQuery, useImportArchiveMutation } from '../../api/shopApi.ts';
import type { ArchiveProgress } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { showWhole } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/shop.ts';

const MOST_FAULTS = 5;

/** The whole shop as a zip of open files, and back in. */
export function ArchiveForm() {
  const [bring, { data, error, isLoading }] = useImportArchiveMutation();
  const { data: told } = useArchiveProgressQuery();
  // None of none is shown when it is over.
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
          {t('archiveForm.everythingAsFiles')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('archiveForm.aZipWithEvery')}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button href="/api/shop/archive" download>
          {t('archiveForm.saveTheWholeShop')}
        </Button>
        <FileButton
          label={t('archiveForm.archiveOfAShop')}
          accept=".zip,application/zip"
          disabled={isLoading}
          onFile={take}
        >
          {t('archiveForm.importAShop')}
        </FileButton>
      </Box>
      {isLoading && (
        <Progress
          label={t('archiveForm.importingTheShop')}
          start={t('archiveForm.sendingTheFile')}
          progress={progress?.way === 'in' ? progress : null}
          onStop={() => running.current?.abort()}
        />
      )}
      {!isLoading && progress?.way === 'out' && (
        <Progress
          label={t('archiveForm.savingTheShop')}
          start={t('archiveForm.readingTheShop')}
          progress={progress}
        />
      )}
      {tooLarge && <Notice kind="caution">{t('archiveForm.theFileIsLarger')}</Notice>}
      {error && !wasStopped && (
        <Notice kind="caution">
          {t('archiveForm.nothingWasTakenIn', { text: failureOf(error).text })}
        </Notice>
      )}
      {wasStopped && !isLoading && <Notice>{t('archiveForm.stoppedNothingWasTaken')}</Notice>}
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
            ? t('archiveForm.ofVisits', {
                done: showWhole(progress.done),
                total: showWhole(progress.total),
              })
            : `${start}…`}
        </Typography>
        <LinearProgress
          aria-label={label}
          {...(progress
            ? { variant: 'determinate' as const, value: (100 * progress.done) / progress.total }
            : {})}
        />
      </Box>
      {onStop && <Button onClick={onStop}>{t('archiveForm.stop')}</Button>}
    </Box>
  );
}

function Taken({ taken }: { taken: ArchiveImported }) {
  const { visits, known, cars, people, sheets, settings, faults } = taken;
  return (
    <Notice {...(faults.length > 0 ? { kind: 'caution' as const } : {})}>
      {t(settings ? 'archiveForm.importedWithSettings' : 'archiveForm.imported', {
        visits,
        cars,
        people,
        sheets,
      })}{' '}
      {known > 0 && t('archiveForm.visitsWereHereAlready', { known })}
      {people > 0 && t('archiveForm.whoCameInSigns')}
      {faults
        .slice(0, MOST_FAULTS)
        .map((fault) =>
          t('archiveForm.leftOutExpected', {
            file: fault.path ? `${fault.file} (${fault.path})` : fault.file,
            expected: expectedWords(fault),
          }),
        )
        .join(' ')}
      {faults.length > MOST_FAULTS &&
        ` ${t('archiveForm.andMore', { length: faults.length - MOST_FAULTS })}`}
    </Notice>
  );
}
