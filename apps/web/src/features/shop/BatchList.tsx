import type { Batch } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { failureOf } from '../../api/problem.ts';
import { useBatchesQuery, useCancelBatchMutation } from '../../api/programsApi.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/shop.ts';

const WHILE_RUNNING_MS = 3_000;
const OTHERWISE_MS = 30_000;

/** The latest batches that programs had diagnosed, with how far each is. */
export function BatchList() {
  const { data = [] } = useBatchesQuery(undefined, {
    pollingInterval: OTHERWISE_MS,
    skipPollingIfUnfocused: true,
  });
  const isRunning = data.some(({ state }) => state === 'running');
  // A second subscription, which asks more often while there is something to see.
  useBatchesQuery(undefined, {
    skip: !isRunning,
    pollingInterval: WHILE_RUNNING_MS,
    skipPollingIfUnfocused: true,
  });
  if (data.length === 0) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3" component="h3" color="textSecondary">
        {t('batchList.title')}
      </Typography>
      <Box component="ul" aria-label={t('batchList.title')} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {data.map((batch) => (
          <BatchRow key={batch.id} batch={batch} />
        ))}
      </Box>
    </Box>
  );
}

function BatchRow({ batch }: { batch: Batch }) {
  const [cancel, { error, isLoading }] = useCancelBatchMutation();
  const { id, name, key, state, cases, done, createdAt } = batch;
  const isRunning = state === 'running';
  return (
    <Box component="li" sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 2 }}>
        <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
          <Box component="span" sx={{ fontWeight: 600 }}>
            {name === '' ? key : `${key}: ${name}`}
          </Box>
          <Typography variant="body2" color="textSecondary">
            {stateWords(batch)} · {dateTime(createdAt)}
          </Typography>
        </Box>
        {isRunning && (
          <Button variant="text" disabled={isLoading} onClick={() => void cancel(id)}>
            {t('batchList.stop')}
          </Button>
        )}
      </Box>
      {isRunning && (
        <LinearProgress
          variant="determinate"
          value={(100 * done) / cases}
          aria-label={t('batchList.progress')}
          sx={{ mt: 0.5 }}
        />
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}

function stateWords({ state, cases, done, refused, callback }: Batch): string {
  return [
    state === 'done' ? t('batchList.done', { count: cases }) : null,
    state === 'running' ? t('batchList.running', { done, cases }) : null,
    state === 'canceled' ? t('batchList.canceled', { done, cases }) : null,
    refused > 0 ? t('batchList.refused', { count: refused }) : null,
    callback?.state === 'failed' ? t('batchList.notTold') : null,
  ]
    .filter((part) => part !== null)
    .join(', ');
}
