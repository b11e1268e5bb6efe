import type { VisitDraft } from '@keen/contract';
import type { Adjuster, AngleKind, Axle, SetStep, Wheel } from '@keen/contract/words';
import { ADJUSTERS_FOR } from './adjusterFacts.ts';
import { WHEELS } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { StaleReason } from '../../words/screens/en/measure.ts';
import type { StepReason } from '../../words/screens/en/setRight.ts';
import type { SetRightTexts } from '../../words/screens/index.ts';
import { playAt } from '../../visit/wornParts.ts';
import { angleLedger, CLOSE_SD } from '../measure/angleLedger.ts';
import type { Angles, LedgerRow } from '../measure/angleLedger.ts';
import { limitsOf } from '../measure/limits.ts';
import type { Limits } from '../measure/limits.ts';
import { ROUNDING, readsEachWheel } from '../measure/readings.ts';
import { staleAngles } from '../measure/stale.ts';
import type { StaleAngles } from '../measure/stale.ts';
import { leftRows } from './leftRows.ts';
import { steeringOpen } from './steeringWheel.ts';

/** Why a step is done: set for a reason, or measured again for another. */
export type PlanReason =
  { kind: 'set'; reason: StepReason } | { kind: 'measure'; because: StaleReason };

/** One thing to do, in its place in the order. */
export interface PlanStep {
  key: SetStep;
  title: keyof SetRightTexts['stepTitles'];
  /** What the hand does: set it, or only measure it again since something that moves it was or will be set. */
  needs: 'set' | 'measure';
  /** What is set; null for parts and the steering wheel. */
  kind: AngleKind | null;
  axle: Axle | null;
  /** The wheel at which it is set; null where both share it, or for the whole car. */
  where: Wheel | null;
  /** Where it stands and where it should, degrees; null where no angle is set or its reading is stale. */
  now: number | null;
  target: number | null;
  /** From where it stands to the target, degrees; null where no angle is set or its reading is stale. */
  change: number | null;
  why: PlanReason;
  /** What it can be set with; the first is the usual. */
  adjusters: readonly Adjuster[];
  /** Rows of the ledger that it answers. */
  rows: readonly string[];
}

/** What the steps are made from. */
interface Standing {
  draft: VisitDraft;
  angles: Angles;
  limits: Limits;
  stale: StaleAngles;
  /** Whether a row of the ledger has to be set. */
  isOut: (key: string) => boolean;
}

/**
 * What to do, in order: worn parts, the rear axle before the front, camber before toe (in front caster,
 * camber, toe), the steering wheel last; only what is out, and what has to be measured again. Setting
 * camber or caster moves toe, so an axle whose camber is set gets its toe measured again even when it was in.
 *
 * What was out when setting began is set until it is plainly in, or stands at its target as far as the
 * method can tell. A row that was left as it is makes no step.
 */
export function setRightPlan(draft: VisitDraft): PlanStep[] {
  const rows = angleLedger(draft);
  const wereOut = angleLedger(draft, draft.visit?.setRight?.before ?? {})
    .filter(({ state }) => state === 'out')
    .map(({ key }) => key);
  const left = leftRows(draft, rows);
  const standing: Standing = {
    draft,
    angles: draft.angles ?? {},
    limits: limitsOf(draft),
    stale: staleAngles(draft),
    isOut: (key) =>
      rows.some(
        (row) =>
          row.key === key &&
          !left.includes(key) &&
          (row.state === 'out' ||
            (row.state === 'tooClose' && wereOut.includes(key) && !isAtTarget(row))),
      ),
  };
  const steps = [...partsFirst(draft)];
  for (const axle of ['rear', 'front'] as const) {
    const turned = axle === 'front' ? againFirst(casterSteps(standing)) : [];
    const leaning = againFirst(camberSteps(axle, standing));
    const moves = [...turned, ...leaning].some(({ needs }) => needs === 'set');
    steps.push(...turned, ...leaning, ...againFirst(toeSteps(axle, standing, moves)));
  }
  const open = steeringOpen(draft);
  if (open !== null || steps.some(({ kind, needs }) => kind !== null && needs === 'set')) {
    steps.push({
      ...NO_ANGLE,
      key: 'steeringWheel',
      title: 'steeringWheel',
      needs: 'set',
      why: { kind: 'set', reason: open ?? 'steeringLast' },
      adjusters: ADJUSTERS_FOR.toe.front,
    });
  }
  return steps;
}

/** A row that a coarse method may never tell plainly in: the target, as far as it can tell, will do. */
export function isAtTarget({ value, sd, target }: LedgerRow): boolean {
  return target !== null && Math.abs(value - target) <= CLOSE_SD * sd;
}

const NO_ANGLE = {
  kind: null,
  axle: null,
  where: null,
  now: null,
  target: null,
  change: null,
  rows: [],
} as const;

function partsFirst(draft: VisitDraft): PlanStep[] {
  const loose = WHEELS.some((wheel) => playAt(draft, wheel) === 'excessive');
  const moves = draft.visit?.measure?.repeat === 'moves';
  if (!loose && !moves) return [];
  return [
    {
      ...NO_ANGLE,
      key: 'parts',
      title: 'parts',
      needs: 'set',
      why: { kind: 'set', reason: moves ? 'repeatMoves' : 'excessivePlay' },
      adjusters: [],
    },
  ];
}

type Setting = Pick<PlanStep, 'now' | 'target' | 'adjusters' | 'rows'> & { reason: StepReason };

/** A step that sets an angle, or null where nothing is left to turn. */
function setStep(kind: AngleKind, axle: Axle, where: Wheel, setting: Setting): PlanStep | null {
  const { reason, ...rest } = setting;
  const { now, target } = rest;
  const change = now === null || target === null ? null : target - now;
  if (change !== null && Math.abs(change) < ROUNDING) return null;
  const key: SetStep = `${kind}-${where}` as SetStep;
  return {
    key,
    title: kind,
    needs: 'set',
    kind,
    axle,
    where,
    change,
    ...rest,
    why: { kind: 'set', reason },
  };
}

/** A step that only reads an angle again. */
function againStep(kind: AngleKind, axle: Axle, where: Wheel, because: StaleReason): PlanStep {
  return {
    ...NO_ANGLE,
    key: `${kind}-${where}` as SetStep,
    title: kind,
    needs: 'measure',
    kind,
    axle,
    where,
    why: { kind: 'measure', because },
    adjusters: ADJUSTERS_FOR[kind][axle],
    rows: [`${kind}.${where}`],
  };
}

/** What is only read again comes before what is set: one sets against both readings. */
function againFirst(steps: readonly PlanStep[]): PlanStep[] {
  return steps.toSorted((a, b) => Number(b.needs === 'measure') - Number(a.needs === 'measure'));
}

/** Caster where it is out of the sheet's limits, or left and right stand too far apart. */
function casterSteps({ angles, limits, stale, isOut }: Standing): PlanStep[] {
  const casters = WHEELS_OF_AXLE.front.map((wheel) => angles[wheel]?.caster);
  const known = casters.filter((value) => value !== undefined);
  const mean = known.reduce((sum, value) => sum + value, 0) / known.length;
  return WHEELS_OF_AXLE.front.flatMap((wheel, i) => {
    const caster = casters[i];
    if (caster === undefined) return [];
    const because = stale[wheel]?.caster;
    if (because) return againStep('caster', 'front', wheel, because);
    const isOff = isOut(`caster.${wheel}`);
    if (!isOff && !isOut('crossCaster')) return [];
    return (
      setStep('caster', 'front', wheel, {
        now: caster,
        // Without a sheet nobody knows the figure; alike on both sides is what stops the pull.
        target: limits.caster?.target ?? mean,
        reason: isOff ? 'out' : 'sidesApart',
        adjusters: ADJUSTERS_FOR.caster.front,
        rows: [`caster.${wheel}`, 'crossCaster'],
      }) ?? []
    );
  });
}

function camberSteps(axle: Axle, { draft, angles, limits, stale, isOut }: Standing): PlanStep[] {
  const limit = limits.camber[axle];
  const cross = axle === 'front' ? 'crossCamber' : 'crossCamber.rear';
  const wheels = WHEELS_OF_AXLE[axle];
  const wrong = wrongWheel(draft, axle);
  // Where one wheel is out by itself, setting it brings the two together as well.
  const isCrossAlone = isOut(cross) && !wheels.some((wheel) => isOut(`camber.${wheel}`));
  return wheels.flatMap((wheel, i) => {
    const camber = angles[wheel]?.camber;
    if (camber === undefined) return [];
    const because = stale[wheel]?.camber;
    if (because) return againStep('camber', axle, wheel, because);
    const isOff = isOut(`camber.${wheel}`);
    if (!isOff && !isCrossAlone) return [];
    const other = angles[wheels[1 - i]!]?.camber ?? camber;
    // Side against side, the wheel found wrong takes it all; where nobody looked, each takes half.
    const likeTheOther = wrong === null ? (camber + other) / 2 : wrong === wheel ? other : camber;
    return (
      setStep('camber', axle, wheel, {
        now: camber,
        target: limit?.target ?? likeTheOther,
        reason: isOff ? 'out' : 'sidesApart',
        adjusters: ADJUSTERS_FOR.camber[axle],
        rows: [`camber.${wheel}`, cross],
      }) ?? []
    );
  });
}

function toeSteps(axle: Axle, standing: Standing, camberMoves: boolean): PlanStep[] {
  const { draft, angles, limits, stale, isOut } = standing;
  const wheels = WHEELS_OF_AXLE[axle];
  const { target } = limits.totalToe[axle];
  const total = `totalToe.${axle}`;
  const adjusters = ADJUSTERS_FOR.toe[axle];
  const read = wheels.filter((wheel) => angles[wheel]?.toe !== undefined);
  if (read.length === 0) return [];
  const willMove = 'camberWillMoveToe';
  if (read.length === 2 && !readsEachWheel(draft, wheels)) {
    const because = stale[wheels[0]]?.toe ?? stale[wheels[1]]?.toe ?? (camberMoves && willMove);
    const key: SetStep = `toe-${axle}`;
    const shared = {
      key,
      title: 'totalToe',
      axle,
      where: null,
      rows: [total],
      kind: 'toe',
    } as const;
    if (because) {
      const why: PlanReason = { kind: 'measure', because };
      return [{ ...NO_ANGLE, ...shared, needs: 'measure', why, adjusters }];
    }
    const now = read.reduce((sum, wheel) => sum + angles[wheel]!.toe!, 0);
    if (!isOut(total) || Math.abs(target - now) < ROUNDING) return [];
    const wrong = wrongWheel(draft, axle);
    const reason = wrong === null ? 'halfEach' : wrong === 'lf' ? 'allLeft' : 'allRight';
    const why: PlanReason = { kind: 'set', reason };
    return [{ ...shared, needs: 'set', now, target, change: target - now, why, adjusters }];
  }
  const isTogether = isOut(total) || (axle === 'rear' && isOut('thrust'));
  return read.flatMap((wheel) => {
    const because = stale[wheel]?.toe;
    if (because) return againStep('toe', axle, wheel, because);
    if (camberMoves) {
      // The reading of before still tells a shim that sets both together what toe it must give.
      const now = angles[wheel]!.toe!;
      const half = target / 2;
      const change = half - now;
      return { ...againStep('toe', axle, wheel, willMove), now, target: half, change };
    }
    if (!isTogether && !isOut(`toe.${wheel}`)) return [];
    return (
      setStep('toe', axle, wheel, {
        now: angles[wheel]!.toe!,
        target: target / 2,
        reason: !isTogether ? 'wheelAlone' : axle === 'rear' ? 'sameBoth' : 'halfTotal',
        adjusters,
        rows: [`toe.${wheel}`, total, ...(axle === 'rear' ? ['thrust'] : [])],
      }) ?? []
    );
  });
}

/** The front wheel that was seen to stand wrong with the steering straight, as on a cart; null where none was. */
export function wrongWheel(draft: VisitDraft, axle: Axle): Wheel | null {
  const crooked = draft.visit?.inspect?.crookedWheel;
  if (axle !== 'front' || draft.vehicle?.use !== 'cart') return null;
  return crooked === 'left' ? 'lf' : crooked === 'right' ? 'rf' : null;
}
