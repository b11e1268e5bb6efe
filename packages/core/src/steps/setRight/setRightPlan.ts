import type { VisitDraft } from '@keen/contract';
import type { Adjuster, AngleKind, Axle, SetStep, Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import { playAt } from '../../visit/wornParts.ts';
import { angleLedger, CLOSE_SD } from '../measure/angleLedger.ts';
import type { Angles, LedgerRow } from '../measure/angleLedger.ts';
import { limitsOf } from '../measure/limits.ts';
import type { Limits } from '../measure/limits.ts';

/** One thing to do, in its place in the order. */
export interface PlanStep {
  key: SetStep;
  title: string;
  /** What is set; null for parts and the steering wheel. */
  kind: AngleKind | null;
  axle: Axle | null;
  where: Wheel | null;
  /** From what was measured to the target, degrees; null where no angle is set. */
  change: number | null;
  why: string;
  /** What it can be set with; the first is the usual. */
  adjusters: readonly Adjuster[];
}

const CAMBER_ADJUSTERS: Record<Axle, readonly Adjuster[]> = {
  front: ['slots', 'cam', 'armShims', 'adjustableArm', 'none'],
  rear: ['cam', 'hubShim', 'adjustableArm', 'slots', 'none'],
};
const TOE_ADJUSTERS: Record<Axle, readonly Adjuster[]> = {
  front: ['tieRod', 'turnbuckle'],
  rear: ['cam', 'tieRod', 'turnbuckle', 'hubShim', 'adjustableArm', 'none'],
};
const CASTER_ADJUSTERS: readonly Adjuster[] = ['cam', 'armShims', 'slots', 'adjustableArm', 'none'];

/** Angles are shown to hundredths of a degree; what stands at its target to that is not set. */
const ROUNDING = 0.005;

/**
 * What to set, in order: worn parts, the rear axle before the front, camber before toe (in front
 * caster, camber, toe), the steering wheel last; only what is out or cannot be told from out. Changing
 * camber moves toe, so an axle whose camber is set gets its toe measured again even when it was in.
 *
 * What was out when setting began is set until it is plainly in.
 */
export function setRightPlan(draft: VisitDraft): PlanStep[] {
  const angles = draft.angles ?? {};
  const rows = angleLedger(draft);
  const wereOut = angleLedger(draft, draft.visit?.setRight?.before ?? {})
    .filter(({ state }) => state === 'out')
    .map(({ key }) => key);
  const limits = limitsOf(draft);
  const isOut = (key: string) =>
    rows.some(
      (row) =>
        row.key === key &&
        (row.state === 'out' ||
          // A coarse method may never tell it plainly in: the target, as far as it can tell, will do.
          (row.state === 'tooClose' && wereOut.includes(key) && !isAtTarget(row))),
    );
  const steps = [...partsFirst(draft)];
  for (const axle of ['rear', 'front'] as const) {
    const turned = axle === 'front' ? casterSteps(angles, limits, isOut) : [];
    const leaning = camberSteps(axle, angles, limits, isOut);
    steps.push(...turned, ...leaning);
    steps.push(...toeSteps(axle, angles, limits, isOut, turned.length + leaning.length > 0));
  }
  if (steps.some(({ change }) => change !== null)) {
    steps.push({
      key: 'steeringWheel',
      title: 'Steering wheel',
      kind: null,
      axle: null,
      where: null,
      change: null,
      why: 'Last of all: what one rod gives, the other takes, so the total toe stays.',
      adjusters: ['tieRod', 'turnbuckle'],
    });
  }
  return steps;
}

type IsOut = (key: string) => boolean;

function partsFirst(draft: VisitDraft): PlanStep[] {
  const loose = WHEELS.some((wheel) => playAt(draft, wheel) === 'excessive');
  const moves = draft.visit?.measure?.repeat === 'moves';
  if (!loose && !moves) return [];
  return [
    {
      key: 'parts',
      title: 'Worn parts',
      kind: null,
      axle: null,
      where: null,
      change: null,
      why: moves
        ? 'The reading did not come back: an alignment on loose joints does not hold.'
        : 'There is excessive play: an alignment on loose joints does not hold.',
      adjusters: [],
    },
  ];
}

function angleStep(
  kind: AngleKind,
  axle: Axle,
  where: Wheel,
  rest: Pick<PlanStep, 'change' | 'why' | 'adjusters'>,
): PlanStep {
  const title = { camber: 'Camber', toe: 'Toe', caster: 'Caster' }[kind];
  return { key: `${kind}-${where}` as SetStep, title, kind, axle, where, ...rest };
}

/** Caster where it is out of the sheet's limits, or left and right stand too far apart. */
function casterSteps(angles: Angles, limits: Limits, isOut: IsOut): PlanStep[] {
  const casters = WHEELS_OF_AXLE.front.map((wheel) => angles[wheel]?.caster);
  const known = casters.filter((value) => value !== undefined);
  const mean = known.reduce((sum, value) => sum + value, 0) / known.length;
  return WHEELS_OF_AXLE.front.flatMap((wheel, i) => {
    const caster = casters[i];
    if (caster === undefined) return [];
    const apart = isOut('crossCaster');
    // Without a sheet nobody knows the figure; alike on both sides is what stops the pull.
    const change = (limits.caster?.target ?? mean) - caster;
    if ((!isOut(`caster.${wheel}`) && !apart) || Math.abs(change) < ROUNDING) return [];
    return angleStep('caster', 'front', wheel, {
      change,
      why: isOut(`caster.${wheel}`) ? 'Out of its limits.' : 'Left and right stand too far apart.',
      adjusters: CASTER_ADJUSTERS,
    });
  });
}

function camberSteps(axle: Axle, angles: Angles, limits: Limits, isOut: IsOut): PlanStep[] {
  const { target } = limits.camber[axle];
  return WHEELS_OF_AXLE[axle].flatMap((wheel) => {
    const camber = angles[wheel]?.camber;
    const isOff = isOut(`camber.${wheel}`);
    if (camber === undefined || (!isOff && !(axle === 'front' && isOut('crossCamber')))) return [];
    const change = target - camber;
    if (Math.abs(change) < ROUNDING) return [];
    return angleStep('camber', axle, wheel, {
      change,
      why: isOff ? 'Out of its limits.' : 'Left and right stand too far apart.',
      adjusters: CAMBER_ADJUSTERS[axle],
    });
  });
}

function toeSteps(
  axle: Axle,
  angles: Angles,
  limits: Limits,
  isOut: IsOut,
  camberMoves: boolean,
): PlanStep[] {
  const toeOut = isOut(`totalToe.${axle}`) || (axle === 'rear' && isOut('thrust'));
  if (!toeOut && !camberMoves) return [];
  const half = limits.totalToe[axle].target / 2;
  return WHEELS_OF_AXLE[axle].flatMap((wheel) => {
    const toe = angles[wheel]?.toe;
    if (toe === undefined) return [];
    return angleStep('toe', axle, wheel, {
      change: half - toe,
      why: toeWhy(camberMoves, axle),
      adjusters: TOE_ADJUSTERS[axle],
    });
  });
}

function toeWhy(camberMoves: boolean, axle: Axle): string {
  if (camberMoves) return 'Setting camber moves it: measure it again first.';
  if (axle === 'rear') return 'Both to the same value: that takes the thrust out too.';
  return 'Each wheel to half of the total; the steering wheel comes last.';
}

function isAtTarget({ value, sd, target }: LedgerRow): boolean {
  return target !== null && Math.abs(value - target) <= CLOSE_SD * sd;
}
