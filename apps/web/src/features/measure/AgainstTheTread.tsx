import { explainedWear } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { ExplainedBy } from '../../shared/ExplainedBy.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/measure.ts';
import { verdictOf } from '../../words/pageTexts.ts';

/** What the tread says now that the angles stand beside it, and how much of the wear they explain. */
export function AgainstTheTread() {
  const { draft, diagnosing, goTo } = useVisit();
  const { answer, file, state } = diagnosing;
  if (!draft.angles || !answer || !file) return null;
  const verdict = verdictOf(answer.diagnosis, file);
  const explained = explainedWear(file, answer.posteriorMean, draft.angles);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      <Typography variant="h2" component="h3" sx={{ mb: 0.5 }}>
        {t('againstTheTread.againstTheTread')}
      </Typography>
      {state === 'full' && explained && (
        <Box sx={{ mb: 1.25 }}>
          <ExplainedBy explained={explained} />
        </Box>
      )}
      <Typography>
        {state === 'full' ? (
          <>
            <Rich text={t('againstTheTread.withTheseAngles', { headline: verdict.headline })} />{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {verdict.sure} {verdict.also}
            </Box>
          </>
        ) : (
          // The quick answer may still change: no number of it is shown here.
          <Box component="span" role="status" sx={{ color: 'text.secondary' }}>
            {t('againstTheTread.workingOutWhatThe')}
          </Box>
        )}
      </Typography>
      <Button sx={{ mt: 1 }} onClick={() => goTo('explain')}>
        {t('againstTheTread.lookAtTheCauses')}
      </Button>
    </Box>
  );
}
