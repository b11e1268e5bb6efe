import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import type { Diagnosing } from '../../workers/useDiagnosis.ts';

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
        How it works
      </Link>
    </Box>
  );
}

function wordsOf({ state, progress }: Diagnosing): string {
  if (state === 'full') return 'Worked out in full.';
  if (state === 'working') return 'Updating…';
  const part = progress > 0 ? ` ${Math.round(100 * progress)} %` : '';
  return `A quick answer; it is being refined.${part}`;
}
