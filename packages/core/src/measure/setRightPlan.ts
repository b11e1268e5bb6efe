import type { DraftMeasure, VisitDraft } from '@keen/contract';
import type { Adjuster, Axle, SetStep, Wheel } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '../case/resolveCase.ts';
import { WHEELS_OF_AXLE } from '../case/wheels.ts';
import { angleLedger, CLOSE_SD } from './angleLedger.ts';
import type { Angles, LedgerRow } from './angleLedger.ts';

/** One thing to do, in its place in the order. */
export interface PlanStep {
  key: SetStep;
  title: string;
  where: Wheel | Axle | null;
  /** From what was measured to the middle of the limits, degrees; null where no angle is set. */
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
  front: ['tieRod'],
  rear: ['cam', 'tieRod', 'hubShim', 'adjustableArm', 'none'],
};

/**
 * What to set, in order: worn parts, the rear axle before the front, camber before toe, the steering
 * wheel last; only what is out or cannot be told from out. Changing camber moves toe, so an axle whose
 * camber is set gets its toe measured again even when it was in.
 * @param given.repeat - whether the lock-to-lock reading came back
 * @param given.before - the angles when setting began: what was out then is set until it is plainly in
 */
export function setRightPlan(
  angles: Angles,
  tolerances: VisitDraft['tolerances'],
  method: NonNullable<DraftMeasure['method']> = {},
  given: { repeat?: DraftMeasure['repeat']; before?: Angles | undefined } = {},
): PlanStep[] {
  const rows = angleLedger(angles, tolerances, method);
  const wereOut = angleLedger(given.before ?? {}, tolerances, method)
    .filter(({ state }) => state === 'out')
    .map(({ key }) => key);
  const isOut = (key: string) =>
    rows.some(
      (row) =>
        row.key === key &&
        (row.state === 'out' ||
          // A coarse method may never tell it plainly in: the middle, as far as it can tell, will do.
          (row.state === 'tooClose' && wereOut.includes(key) && !isAtMiddle(row))),
    );
  const steps: PlanStep[] = [];
  if (given.repeat === 'moves') {
    steps.push({
      key: 'parts',
      title: 'Worn parts',
      where: null,
      change: null,
      why: 'The reading did not come back: an alignment on loose joints does not hold.',
      adjusters: [],
    });
  }
  for (const axle of ['rear', 'front'] as const) {
    const leaning = WHEELS_OF_AXLE[axle].filter(
      (wheel) => isOut(`camber.${wheel}`) || (axle === 'front' && isOut('crossCamber')),
    );
    const camberMiddle = middle(tolerances?.camber?.[axle] ?? DEFAULT_TOLERANCES.camber[axle]);
    for (const wheel of leaning) {
      const camber = angles[wheel]?.camber;
      if (camber === undefined) continue;
      steps.push({
        key: `camber-${wheel}`,
        title: 'Camber',
        where: wheel,
        change: camberMiddle - camber,
        why: isOut(`camber.${wheel}`)
          ? 'Out of its limits.'
          : 'Left and right stand too far apart.',
        adjusters: CAMBER_ADJUSTERS[axle],
      });
    }
    const toeOut = isOut(`totalToe.${axle}`) || (axle === 'rear' && isOut('thrust'));
    const half = middle(tolerances?.totalToe?.[axle] ?? DEFAULT_TOLERANCES.totalToe[axle]) / 2;
    for (const wheel of toeOut || leaning.length > 0 ? WHEELS_OF_AXLE[axle] : []) {
      const toe = angles[wheel]?.toe;
      if (toe === undefined) continue;
      steps.push({
        key: `toe-${wheel}`,
        title: 'Toe',
        where: wheel,
        change: half - toe,
        why: toeWhy(toeOut, leaning.length > 0, axle),
        adjusters: TOE_ADJUSTERS[axle],
      });
    }
  }
  if (steps.some(({ change }) => change !== null)) {
    steps.push({
      key: 'steeringWheel',
      title: 'Steering wheel',
      where: null,
      change: null,
      why: 'Last of all: what one rod gives, the other takes, so the total toe stays.',
      adjusters: ['tieRod'],
    });
  }
  return steps;
}

function isAtMiddle({ value, sd, limits }: LedgerRow): boolean {
  return limits !== null && Math.abs(value - middle(limits)) <= CLOSE_SD * sd;
}

function toeWhy(toeOut: boolean, camberMoves: boolean, axle: Axle): string {
  if (camberMoves) return 'Setting camber moves it: measure it again first.';
  if (toeOut && axle === 'rear') return 'Both to the same value: that takes the thrust out too.';
  return 'Each wheel to half of the total; the steering wheel comes last.';
}

function middle([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}
