import type { InsightQuery, Session } from '@keen/contract';
import { acceptance, acceptanceBy, actionWords } from '@keen/core';
import type { Acceptance } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useAdviceQuery } from '../../api/insightsApi.ts';
import { failureOf } from '../../api/problem.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { saveFile } from '../../shared/saveFile.ts';
import { adviceAsCsv } from './adviceAsCsv.ts';
import { AnswerBars } from './AnswerBars.tsx';

/** What was advised, and what customers said to it: by action, and by who asked. */
export function AdviceAnswers({ session, query }: { session: Session; query: InsightQuery }) {
  const { data, error, isLoading, refetch } = useAdviceQuery(query);
  if (isLoading) {
    return (
      <Box role="status" aria-label="Loading the answers">
        <Skeleton variant="rectangular" height={240} sx={{ bgcolor: 'var(--hairline)' }} />
      </Box>
    );
  }
  if (error || !data) {
    return (
      <Box role="alert">
        <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
        <Button onClick={() => void refetch()}>Try again</Button>
      </Box>
    );
  }
  const all = acceptance('all', data.counts);
  if (all.visits === 0) {
    return (
      <Box>
        <Typography variant="h1" component="h2" gutterBottom>
          No decisions in this time.
        </Typography>
        <Typography color="textSecondary">
          Every decision that is saved with the customer’s answer is counted here.
        </Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-labelledby="answers" sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 420px' }}>
          <Typography variant="h1" component="h2" id="answers">
            {headline(all)}
          </Typography>
          <Typography color="textSecondary">{underIt(all)}</Typography>
        </Box>
        <Button
          onClick={() => saveFile('advice.csv', adviceAsCsv(data.counts, session), 'text/csv')}
        >
          Save as CSV
        </Button>
      </Box>
      <Box
        sx={{
          display: 'grid',
          columnGap: 7,
          rowGap: 4,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' },
        }}
      >
        <AnswerBars
          title="By what was advised"
          rows={acceptanceBy('advised', data.counts)}
          nameOf={(action) => actionWords(action, false)}
        />
        <AnswerBars
          title="By who asked"
          rows={acceptanceBy('personId', data.counts)}
          nameOf={(personId) => nameOf(session, personId)}
        />
      </Box>
    </Box>
  );
}

const TEN = 10;

function headline({ accepted }: Acceptance<string>): string {
  if (accepted.isTooFew) return 'Too few answers to tell how advice is taken.';
  return `About ${Math.round(TEN * accepted.part)} in 10 customers say yes.`;
}

function underIt({ visits, yes, no, open, overridden, accepted }: Acceptance<string>): string {
  const span = accepted.isTooFew
    ? ''
    : ` Of those who said yes or no, ${percent(accepted.part)} said yes (${percent(accepted.low)} to ${percent(accepted.high)}).`;
  const own = overridden === 0 ? '' : ` At ${overridden} something else was chosen than advised.`;
  return `${visits} visits: ${yes} yes, ${no} no, ${open} still thinking.${span}${own}`;
}

function percent(part: number): string {
  return `${Math.round(100 * part)} %`;
}
