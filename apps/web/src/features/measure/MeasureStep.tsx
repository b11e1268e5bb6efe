import { verdictOf, whatAnglesMean, angleLedger, setupDoubts } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { AngleEntry } from './AngleEntry.tsx';
import { AngleLedger } from '../../shared/AngleLedger.tsx';
import { RepeatFirst } from './RepeatFirst.tsx';
import { SetupList } from './SetupList.tsx';
import { useMethods } from './useMethods.ts';

/** The angles by the shop's own method: set up, repeat, read, and what they mean. */
export function MeasureStep() {
  const { draft, goTo } = useVisit();
  const { method, inUse } = useMethods();
  const { repeat, setup = {} } = draft.visit?.measure ?? {};
  const rows = angleLedger(draft.angles ?? {}, draft.tolerances, method);
  const sentences = whatAnglesMean(rows);
  const doubts = setupDoubts(inUse, setup);
  return (
    <Box sx={{ display: 'grid', gap: 3, maxWidth: 760 }}>
      <Box>
        <Typography variant="h1" component="h2">
          How do the wheels stand?
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.75 }}>
          First the car is made ready, then one reading is repeated; only then the angles count.
        </Typography>
      </Box>
      <SetupList />
      <RepeatFirst />
      {repeat === 'moves' ? (
        <Notice kind="caution">
          The reading did not come back: something is worn, and an alignment on it does not hold.
          Stop here and look at rod ends, ball joints, bushings and wheel bearings.{' '}
          <Button onClick={() => goTo('inspect')} sx={{ mt: 1 }}>
            Go to Inspect
          </Button>
        </Notice>
      ) : (
        <>
          <AngleEntry />
          {rows.length > 0 && <AngleLedger rows={rows} />}
          {(sentences.length > 0 || doubts.length > 0) && (
            <Box>
              <Typography variant="h2" component="h3" sx={{ mb: 0.75 }}>
                What it means
              </Typography>
              <Box component="ul" sx={{ m: 0, pl: 2.25, display: 'grid', gap: 0.5 }}>
                {[...sentences, ...doubts].map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </Box>
            </Box>
          )}
          <AgainstTheTread hasAngles={rows.length > 0} />
        </>
      )}
    </Box>
  );
}

/** What the tread says now that the angles stand beside it. */
function AgainstTheTread({ hasAngles }: { hasAngles: boolean }) {
  const { diagnosing, goTo } = useVisit();
  const { answer, file } = diagnosing;
  if (!hasAngles || !answer || !file) return null;
  const verdict = verdictOf(answer.diagnosis, file);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      <Typography variant="h2" component="h3" sx={{ mb: 0.5 }}>
        Against the tread
      </Typography>
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
