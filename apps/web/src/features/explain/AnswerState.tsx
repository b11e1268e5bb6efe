import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import type { Diagnosing } from '../../workers/useDiagnosis.ts';
import { t } from '../../words/explain.ts';

/** How far the answer is, and where it comes from. */
export function AnswerState({ diagnosing }: { diagnosing: Diagnosing }) {
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 2,
        flexWrap: 'wrap',
        color: 'text.secondary',
        fontSize: '0.8rem',
      }}
    >
      <span role="status">{wordsOf(diagnosing)}</span>
      <Link component={RouterLink} to="/how-it-works" color="inherit">
        {t('answerState.howItWorks')}
      </Link>
    </Box>
  );
}

function wordsOf({ state, progress }: Diagnosing): string {
  if (state === 'full') return t('answerState.workedOutInFull');
  if (state === 'working') return t('answerState.updating');
  const part = progress > 0 ? ` ${Math.round(100 * progress)} %` : '';
  return t('answerState.aQuickAnswerIt', { part });
}
