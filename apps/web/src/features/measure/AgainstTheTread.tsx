import { explainedWear, verdictOf } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { ExplainedBy } from '../../shared/ExplainedBy.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** What the tread says now that the angles stand beside it, and how much of the wear they explain. */
export function AgainstTheTread() {
  const { draft, diagnosing, goTo } = useVisit();
  const { answer, file } = diagnosing;
  if (!draft.angles || !answer || !file) return null;
  const verdict = verdictOf(answer.diagnosis, file);
  const explained = explainedWear(file, answer.typical, draft.angles);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      <Typography variant="h2" component="h3" sx={{ mb: 0.5 }}>
        Against the tread
      </Typography>
      {explained && (
        <Box sx={{ mb: 1.25 }}>
          <ExplainedBy explained={explained} />
        </Box>
      )}
      <Typography>
        With these angles beside it, the tread says: <strong>{verdict.headline}</strong>{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {verdict.sure} {verdict.also}
        </Box>
      </Typography>
      <Button sx={{ mt: 1 }} onClick={() => goTo('explain')}>
        Look at the causes
      </Button>
    </Box>
  );
}
