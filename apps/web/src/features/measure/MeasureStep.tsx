import { angleLedger, setupDoubts, whatAnglesMean } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { AngleLedger } from '../../angles/AngleLedger.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { AgainstTheTread } from './AgainstTheTread.tsx';
import { AngleEntry } from './AngleEntry.tsx';
import { CasterInTurns } from './CasterInTurns.tsx';
import { MoreAngles } from './MoreAngles.tsx';
import { RepeatFirst } from './RepeatFirst.tsx';
import { SetupList } from './SetupList.tsx';
import { SheetBar } from './SheetBar.tsx';
import { WhatToday } from './WhatToday.tsx';
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

/** The angles by the shop's own method: set up, repeat, read, and what they mean. */
export function MeasureStep() {
  const { draft, goTo } = useVisit();
  const measure = draft.visit?.measure ?? {};
  const rows = angleLedger(draft);
  const sentences = whatAnglesMean(rows, draft, measureTexts);
  const doubts = setupDoubts(draft, measureTexts);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3, maxWidth: 760 }}>
      <Box>
        <Typography variant="h1" component="h2">
          {t('measureStep.measureTheAlignment')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.75 }}>
          {t('measureStep.sayWhatIsMeasured')}
        </Typography>
      </Box>
      <WhatToday />
      <SheetBar />
      <SetupList />
      <RepeatFirst />
      {measure.repeat === 'moves' ? (
        <Notice kind="caution">
          {t('measureStep.didNotComeBack')}{' '}
          <Button onClick={() => goTo('inspect')} sx={{ mt: 1 }}>
            {t('measureStep.goToInspect')}
          </Button>
        </Notice>
      ) : (
        <>
          <AngleEntry />
          <Box>
            <MoreAngles />
            <CasterInTurns />
          </Box>
          {rows.length > 0 && <AngleLedger rows={rows} />}
          {(sentences.length > 0 || doubts.length > 0) && (
            <Box>
              <Typography variant="h2" component="h3" sx={{ mb: 0.75 }}>
                {t('measureStep.whatItMeans')}
              </Typography>
              <Box component="ul" sx={{ m: 0, pl: 2.25, display: 'grid', gap: 0.5 }}>
                {[...sentences, ...doubts].map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </Box>
            </Box>
          )}
          {rows.length > 0 && <AgainstTheTread />}
        </>
      )}
    </Box>
  );
}
