import type { SteeringWheel as SteeringWheelState } from '@keen/contract';
import {
  METHOD_FACTS,
  methodOf,
  planReason,
  reachOf,
  reachPartWords,
  usualAdjuster,
  WHEELS_OF_AXLE,
} from '@keen/core';
import type { PlanStep, Reach } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { MeasureHere } from '../../angles/MeasureHere.tsx';
import { useStepWords } from '../../angles/useAngleWords.ts';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { TOOLS } from '../../tools/tools.ts';
import { AdjusterDialog } from './AdjusterDialog.tsx';
import { adviceFor, calculatorFor } from './adjusters.ts';
import { LearnedTurn } from './LearnedTurn.tsx';
import { LeaveIt } from './LeaveIt.tsx';
import { t } from '../../words/setRight.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { setRightTexts } from '../../words/core/setRight.ts';
import { measureTexts } from '../../words/core/measure.ts';
import { term } from '../../words/terms.ts';

interface StepAtHandProps {
  step: PlanStep;
  plan: readonly PlanStep[];
  /** Whether the angles before are kept, so that new readings may replace them. */
  hasBegun: boolean;
}

/** One step: from where to where, with what, whether it reaches, how much to turn, and the next reading. */
export function StepAtHand({ step, plan, hasBegun }: StepAtHandProps) {
  const { draft, enter, goTo, session } = useVisit();
  const bolts = session.shop.settings.offsetBolts;
  const [isWorking, setWorking] = useState(false);
  const adjuster = draft.visit?.setRight?.adjuster?.[step.key] ?? usualAdjuster(draft, step);
  const calculator = adjuster && calculatorFor(step, adjuster);
  const advice = adjuster && adviceFor(step, adjuster, draft, plan);
  const also =
    adjuster &&
    step.kind &&
    setRightTexts.adjusters[adjuster].alsoMoves(step.kind, step.axle ?? 'front');
  const tool = TOOLS.find(({ name }) => name === calculator);
  // A step that only reads again is set with nothing yet.
  const isSet = step.needs === 'set' || step.change !== null;
  const reach = adjuster && reachOf(draft, step, adjuster);
  const place = step.where
    ? whereWords(step.where)
    : step.axle === null
      ? ''
      : term(`axle.${step.axle}`);
  const words = useStepWords(step);
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h2" component="h3" sx={{ fontSize: '1.5rem' }}>
          {setRightTexts.stepTitles[step.title]} {place}
        </Typography>
        {step.now !== null && step.target !== null && (
          <Box className="condensed" sx={{ fontSize: '1.5rem', fontWeight: 700 }}>
            {words(step.now)} → {words(step.target)}
            <Box component="span" sx={{ color: 'text.secondary', fontWeight: 450, ml: 1 }}>
              {t('stepAtHand.by', { words: words(step.change!) })}
            </Box>
          </Box>
        )}
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {planReason(step.why, { measure: measureTexts, setRight: setRightTexts })}
      </Box>
      {reach && (
        <ReachWords
          reach={reach}
          isFitted={adjuster !== 'none'}
          bolt={boltFor(reach, step, bolts)}
        />
      )}
      {step.key === 'parts' && (
        <Button sx={{ justifySelf: 'start' }} onClick={() => goTo('inspect')}>
          {t('stepAtHand.goToInspect')}
        </Button>
      )}
      {hasBegun && adjuster && <LearnedTurn step={step} adjuster={adjuster} />}
      {hasBegun && step.kind && <Again step={step} />}
      {step.key === 'steeringWheel' && <SteeringWheel />}
      {isSet && step.adjusters.length > 1 && (
        <Choice
          label={t('stepAtHand.isSetWith', { title: setRightTexts.stepTitles[step.title] })}
          hideLabel
          dense
          options={step.adjusters.map((value) => ({
            value,
            label: setRightTexts.adjusters[value].title,
          }))}
          value={adjuster}
          onChange={(value) => value && enter(`visit.setRight.adjuster.${step.key}`, value)}
        />
      )}
      {isSet && advice && reach?.state !== 'beyond' && <Box>{advice}</Box>}
      {isSet && also && <Box sx={{ color: 'text.secondary' }}>{also}</Box>}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {isSet && tool && (
          <Button onClick={() => setWorking(true)}>
            {step.key === 'steeringWheel'
              ? t('stepAtHand.workOutHowFar')
              : t('stepAtHand.workOutThe', { title: tool.title.toLowerCase() })}
          </Button>
        )}
        {hasBegun && step.needs === 'set' && step.kind && <LeaveIt keys={step.rows} />}
      </Box>
      {tool && isWorking && adjuster && (
        <AdjusterDialog
          step={step}
          plan={plan}
          tool={tool}
          adjuster={adjuster}
          onClose={() => setWorking(false)}
        />
      )}
    </Box>
  );
}

/** The next reading, by the method that is in use. */
function Again({ step: { kind, where, axle, change } }: { step: PlanStep }) {
  const { draft } = useVisit();
  if (kind === null || axle === null) return null;
  const method = methodOf(draft, kind);
  const isTotal = kind === 'toe' && METHOD_FACTS[method].tellsTotalOnly === true;
  const place = isTotal ? axle : (where ?? axle);
  if ((place === 'front' || place === 'rear') && !isTotal) {
    // Found by a tape, measured again wheel by wheel.
    return (
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {WHEELS_OF_AXLE[place].map((wheel) => (
          <MeasureHere key={wheel} kind={kind} where={wheel} method={method} change={null} />
        ))}
      </Box>
    );
  }
  return <MeasureHere kind={kind} where={place} method={method} change={change} />;
}

/** How the steering wheel stands, once all else is set. */
function SteeringWheel() {
  const { draft, enter } = useVisit();
  const seen = draft.visit?.setRight?.steeringWheel;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Notice kind="caution">{t('stepAtHand.drivenOnlyWhenIt')}</Notice>
      <Choice<SteeringWheelState>
        label={t('stepAtHand.onAStraightRoad')}
        options={[
          { value: 'straight', label: t('stepAtHand.straight') },
          { value: 'left', label: t('stepAtHand.toTheLeft') },
          { value: 'right', label: t('stepAtHand.toTheRight') },
        ]}
        value={seen?.state ?? null}
        onChange={(state) =>
          enter(
            'visit.setRight.steeringWheel',
            state === null ? null : { state, at: new Date().toISOString() },
          )
        }
      />
    </Box>
  );
}

/** The smallest offset bolt in stock that gives what is missing at a front strut. */
function boltFor(
  { state, short }: Reach,
  { kind, axle }: PlanStep,
  bolts: readonly number[],
): number | null {
  if (state !== 'beyond' || kind !== 'camber' || axle !== 'front') return null;
  const enough = bolts.filter((bolt) => bolt >= Math.abs(short));
  return enough.length > 0 ? Math.min(...enough) : null;
}

interface ReachWordsProps {
  reach: Reach;
  isFitted: boolean;
  /** Degrees of an offset bolt in stock; null where none would do. */
  bolt: number | null;
}

function ReachWords({ reach, isFitted, bolt }: ReachWordsProps) {
  const { state, range, short, part, otherwise } = reach;
  if (state === 'within' && range) {
    return (
      <Box sx={{ color: 'text.secondary' }}>
        {t('stepAtHand.withinReachItMoves', {
          degrees: showDegrees(range[0], 2),
          degrees2: showDegrees(range[1], 2),
        })}
      </Box>
    );
  }
  if (state === 'unknown') return null;
  return (
    <Notice kind="caution">
      <strong>{t('stepAtHand.outOfReach')}</strong>{' '}
      {isFitted && range
        ? t('stepAtHand.itMovesByTo', {
            degrees: showDegrees(range[0], 2),
            degrees2: showDegrees(range[1], 2),
            short: showDegrees(short, 2),
          })
        : t('stepAtHand.nothingIsFittedTo')}
      {t('stepAtHand.whatWouldBringIt', {
        part: reachPartWords(part, setRightTexts),
        stock: bolt === null ? '' : t('stepAtHand.inStockAnOffset', { bolt }),
        otherwise: setRightTexts.reachOtherwise[otherwise],
      })}
    </Notice>
  );
}
