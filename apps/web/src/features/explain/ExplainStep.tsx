import type { CaseFile, Diagnosis, RankedCause, Rib, Wheel } from '@keen/contract';
import { causeGroups, explainedWear, affectedRibs, WHEELS_OF_AXLE } from '@keen/core';
import type { Answer, CauseGroup, Slot, Verdict } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { ExplainedBy } from '../../shared/ExplainedBy.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useCostComparison } from '../../shared/useCostComparison.ts';
import { useEnter } from '../../shared/useEnter.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { AnswerState } from './AnswerState.tsx';
import { CausePosture } from './CausePosture.tsx';
import { CauseTable, groupKey } from './CauseTable.tsx';
import { Folded } from '../../shared/Folded.tsx';
import { MisfitNotice } from './MisfitNotice.tsx';
import { NextCheckBar } from './NextCheckBar.tsx';
import { ReasonLists } from './ReasonLists.tsx';
import { SinceLine } from './SinceLine.tsx';
import { StartsFrom } from './StartsFrom.tsx';
import { WearRates } from './WearRates.tsx';
import { WhatIf } from './WhatIf.tsx';
import { t } from '../../words/explain.ts';
import { verdictOf } from '../../words/pageTexts.ts';

/** Which angle, pressure or part made this pattern, how sure that is, and why. */
export function ExplainStep() {
  const { diagnosing, ribsRead, goTo, isPractice = false } = useVisit();
  const weighing = useCostComparison();
  useEnter(() => goTo('decide'));
  if (ribsRead < 3) return <NothingYet ribsRead={ribsRead} onRead={() => goTo('read')} />;
  const { answer, file, failure } = diagnosing;
  if (failure !== null) {
    return <Notice kind="caution">{t('explainStep.theAnswerCouldNot', { failure })}</Notice>;
  }
  if (!answer || !file) return <Working />;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2.25, maxWidth: 760 }}>
      <Explained
        answer={answer}
        file={file}
        verdict={verdictOf(answer.diagnosis, file)}
        isFull={diagnosing.state === 'full'}
      />
      <FromTheAngles answer={answer} file={file} />
      {!isPractice && (
        <NextCheckBar
          checks={answer.diagnosis.nextChecks}
          worths={weighing?.checks ?? null}
          readFirst={toReadFirst(answer.diagnosis)}
          onDecide={() => goTo('decide')}
        />
      )}
      <AnswerState diagnosing={diagnosing} />
    </Box>
  );
}

/** The rib that the advice asks to be read, or read again, before anything is decided. */
function toReadFirst({ recommendation: { codes = [] } }: Diagnosis): Slot | null {
  const asked = codes.find(({ code }) => code === 'readAgain' || code === 'unread');
  if (!asked) return null;
  const [wheel, rib] = asked.figures as [Wheel, Rib];
  return { wheel, rib };
}

/** What the measured angles explain of the wear, once there are any. */
function FromTheAngles({ answer, file }: { answer: Answer; file: CaseFile }) {
  const { draft } = useVisit();
  const explained = draft.angles && explainedWear(file, answer.posteriorMean, draft.angles);
  if (!explained) return null;
  return (
    <Box component="section" aria-label={t('explainStep.theMeasuredAngles')} sx={{ pt: 0.5 }}>
      <ExplainedBy explained={explained} />
    </Box>
  );
}

interface ExplainedProps {
  answer: Answer;
  file: CaseFile;
  verdict: Verdict;
  /** Whether it is the answer that is kept, or the quick one that is still being refined. */
  isFull: boolean;
}

function Explained({ answer, file, verdict, isFull }: ExplainedProps) {
  const groups = causeGroups(answer.diagnosis);
  const [chosen, setChosen] = useState<string | null>(null);
  // With nothing out no cause is put forward; one can still be looked into.
  const leading = verdict.causes.length > 0 ? groups[0] : undefined;
  const group = groups.find((one) => groupKey(one) === chosen) ?? leading ?? null;
  const cause = group?.places[0] ?? null;
  usePointing(group);
  return (
    <>
      <Box>
        <Typography variant="h1" component="h2" aria-live="polite">
          {verdict.headline}
        </Typography>
        <Typography sx={{ mt: 1, color: 'text.secondary' }}>
          <Box component="strong" sx={{ color: 'var(--ink)' }}>
            {!isFull && t('explainStep.soFar')}
            {verdict.sure}
          </Box>{' '}
          {verdict.detail} {verdict.also}
        </Typography>
      </Box>
      <SinceLine since={answer.diagnosis.since} />
      <StartsFrom />
      <MisfitNotice answer={answer} file={file} />
      {verdict.isHealthy && <WearRates />}
      <CauseTable
        diagnosis={answer.diagnosis}
        chosen={group && groupKey(group)}
        onChoose={(next) => setChosen(groupKey(next))}
      />
      {group && cause && (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 232px' },
            gap: 2.5,
            alignItems: 'start',
          }}
        >
          <ReasonLists cause={cause} file={file} />
          <CausePosture group={group} diagnosis={answer.diagnosis} />
        </Box>
      )}
      <Folded title={t('explainStep.whatIfTheWheels')}>
        <WhatIf answer={answer} file={file} startAt={cause ? wheelOf(cause) : 'lf'} />
      </Folded>
    </>
  );
}

/** Marks the ribs that the row looked into eats, at all its places, as long as it is looked into. */
function usePointing(group: CauseGroup | null): void {
  const { setSpokenOf } = useVisit();
  const key = group && group.places.map(({ cause, where }) => `${cause}.${where}`).join();
  useEffect(() => {
    setSpokenOf(group ? group.places.flatMap(affectedRibs) : []);
    return () => setSpokenOf([]);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- compared by what it names
  }, [key, setSpokenOf]);
}

function wheelOf({ where }: RankedCause): Wheel {
  return where === 'front' || where === 'rear' ? WHEELS_OF_AXLE[where][0] : where;
}

function Working() {
  return (
    <Box
      role="status"
      aria-label={t('explainStep.workingOutTheAnswer')}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 760 }}
    >
      {[56, 22, 180].map((height) => (
        <Skeleton
          key={height}
          variant="rectangular"
          height={height}
          sx={{ bgcolor: 'var(--hairline)' }}
        />
      ))}
    </Box>
  );
}

function NothingYet({ ribsRead, onRead }: { ribsRead: number; onRead: () => void }) {
  return (
    <Box sx={{ maxWidth: 520 }}>
      <Typography variant="h1" component="h2" gutterBottom>
        {t('explainStep.theTreadHasNot')}
      </Typography>
      <Typography sx={{ mb: 2 }}>
        {ribsRead === 0 ? t('explainStep.noRibIsRead') : t('explainStep.of12RibsAre', { ribsRead })}{' '}
        {t('explainStep.fromThreeOn')}
      </Typography>
      <Button variant="contained" onClick={onRead}>
        {t('explainStep.readTheTread')}
      </Button>
    </Box>
  );
}
