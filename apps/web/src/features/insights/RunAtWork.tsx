import type { LearningRun } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useChangeLearningMutation } from '../../api/insightsApi.ts';
import { failureOf } from '../../api/problem.ts';
import { t } from '../../words/insights.ts';

const FULL = 100;

const STAGES: Record<LearningRun['stage'], string> = {
  reading: t('runAtWork.readingTheCars'),
  readingAgain: t('runAtWork.readingThemAgainBy'),
  trying: t('runAtWork.tryingItOnThe'),
};

interface RunAtWorkProps {
  run: LearningRun;
  mayChange: boolean;
  /** Begins another run over the cars of today. */
  onStartOver: () => void;
}

/** A run that has not ended: how far it is, and stopping it or going on. */
export function RunAtWork({ run, mayChange, onStartOver }: RunAtWorkProps) {
  const { id, state, stage, done, total } = run;
  const [change, { isLoading, isError, error }] = useChangeLearningMutation();
  const part = Math.round((FULL * done) / Math.max(1, total));
  const isRunning = state === 'running';
  return (
    <Box sx={{ mt: 1.5, maxWidth: 620, display: 'grid', gap: 1 }} role="status">
      <Box>
        {isRunning
          ? t('runAtWork.ofTheWholeIs', { stages: STAGES[stage], part })
          : state === 'canceled'
            ? t('runAtWork.stoppedAtWhatWas', { part })
            : t('runAtWork.brokeOffAtWhat', { part })}
      </Box>
      <LinearProgress variant="determinate" aria-label={t('runAtWork.learning')} value={part} />
      {mayChange && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            disabled={isLoading}
            onClick={() => void change({ id, state: isRunning ? 'canceled' : 'running' })}
          >
            {isRunning ? t('runAtWork.stop') : t('runAtWork.goOn')}
          </Button>
          {!isRunning && (
            <Button disabled={isLoading} onClick={onStartOver}>
              {t('runAtWork.startOver')}
            </Button>
          )}
        </Box>
      )}
      {isError && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          {failureOf(error).text}
        </Typography>
      )}
    </Box>
  );
}
