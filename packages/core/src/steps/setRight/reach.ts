import type { VisitDraft } from '@keen/contract';
import type { Adjuster, AngleKind, Suspension } from '@keen/contract/words';
import type { Range } from '../../engine/case/resolveCase.ts';
import type { SetRightTexts } from '../../words/screens/index.ts';
import type { PlanStep } from './setRightPlan.ts';

/** A part that brings what the factory's adjuster does not reach; by how much the body was moved, mm. */
export type ReachPart =
  | { kind: Exclude<keyof SetRightTexts['reachParts'], 'armsForHeight'> }
  | { kind: 'armsForHeight'; mm: number };

/** Whether an adjuster gets there, and what would where it does not. */
export interface Reach {
  state: 'within' | 'beyond' | 'unknown';
  /** How far it moves the angle from where it stands, degrees; null when nobody knows. */
  range: Range | null;
  /** What stays missing at the end of its travel, degrees, with the sign of the change. */
  short: number;
  /** The part that would make it reachable. */
  part: ReachPart;
  /** What happens when it stays as it is. */
  otherwise: keyof SetRightTexts['reachOtherwise'];
}

const NOTHING: Range = [0, 0];
/** Figures are shown to hundredths; less than half of one is no shortfall. */
const ROUNDING = 0.005;

/**
 * The range that the adjuster has against the change that is needed: what was worked out for this very
 * bolt first, else what the sheet says of the factory's adjuster.
 * @returns null for a step that sets no angle
 */
export function reachOf(draft: VisitDraft, step: PlanStep, adjuster: Adjuster): Reach | null {
  if (step.change === null || step.kind === null) return null;
  const range = adjuster === 'none' ? NOTHING : knownRange(draft, step, adjuster);
  const given = range && Math.min(Math.max(step.change, range[0]), range[1]);
  const short = given === null ? 0 : step.change - given;
  return {
    state: range === null ? 'unknown' : Math.abs(short) > ROUNDING ? 'beyond' : 'within',
    range,
    short,
    part: partFor(draft, step),
    otherwise: otherwise(step),
  };
}

/** What each kind of suspension is usually set with (common practice, no source). */
const BY_SUSPENSION: Partial<Record<Suspension, Partial<Record<AngleKind, Adjuster>>>> = {
  strut: { camber: 'slots', caster: 'slots' },
  twoArms: { camber: 'armShims', caster: 'armShims' },
  multiLink: { camber: 'cam', caster: 'cam' },
  beam: { camber: 'hubShim', toe: 'hubShim' },
  solidAxle: { camber: 'hubShim', toe: 'hubShim', caster: 'none' },
};

/**
 * What a step is set with as long as nobody chose: as the suspension that was noted on arrival usually is,
 * else the usual adjuster; but where the sheet or the arrival says that the factory fixed the angle, a hub
 * shim at the rear and nothing in front.
 */
export function usualAdjuster(draft: VisitDraft, step: PlanStep): Adjuster | null {
  const { kind, axle } = step;
  const [usual] = step.adjusters;
  if (usual === undefined || kind === null || axle === null) return usual ?? null;
  const fixed = step.adjusters.includes('hubShim') ? 'hubShim' : 'none';
  const { suspension, adjustable } = draft.visit?.car ?? {};
  if (adjustable?.[axle]?.[kind] === 'no' && step.adjusters.includes(fixed)) return fixed;
  const kept = suspension?.[axle] && BY_SUSPENSION[suspension[axle]]?.[kind];
  const first = kept && step.adjusters.includes(kept) ? kept : usual;
  const range = knownRange(draft, step, first);
  const isFixed = range !== null && range[0] === 0 && range[1] === 0;
  if (!isFixed) return first;
  return fixed;
}

function knownRange(draft: VisitDraft, step: PlanStep, adjuster: Adjuster): Range | null {
  const worked = draft.visit?.setRight?.reach?.[step.key];
  // What was worked out for a cam binds the cam alone.
  if (worked && adjuster === 'cam') return worked;
  // What a turn has moved is not fixed, whatever the sheet says.
  const turns = draft.visit?.setRight?.turns?.[step.key] ?? [];
  if (turns.some(({ to }) => to !== undefined)) return null;
  const { sheet } = draft.visit?.sheet ?? {};
  // The sheet speaks of what the factory built in, not of parts that were added.
  if (!sheet || adjuster === 'adjustableArm' || adjuster === 'hubShim') return null;
  const { kind, axle } = step;
  const most =
    kind === 'caster'
      ? sheet.reach?.caster?.front
      : kind === 'camber' || kind === 'toe'
        ? sheet.reach?.[kind]?.[axle ?? 'front']
        : undefined;
  return most === undefined ? null : [-most, most];
}

/** Parts that bring what the factory's adjuster does not reach (common practice, no source). */
function partFor(draft: VisitDraft, step: PlanStep): ReachPart {
  const height = draft.vehicle?.rideHeightChange?.[step.axle ?? 'front'] ?? 0;
  if (step.kind === 'toe') return { kind: step.axle === 'rear' ? 'toeArm' : 'tieRods' };
  if (step.kind === 'caster') return { kind: 'offsetBushings' };
  if (height !== 0 && step.axle === 'front') return { kind: 'armsForHeight', mm: height };
  return { kind: step.axle === 'rear' ? 'camberArm' : 'offsetBolts' };
}

/** The part in words. */
export function reachPartWords(part: ReachPart, { reachParts }: SetRightTexts): string {
  return part.kind === 'armsForHeight' ? reachParts.armsForHeight(part.mm) : reachParts[part.kind];
}

function otherwise(step: PlanStep): Reach['otherwise'] {
  if (step.kind === 'toe') return 'scrub';
  if (step.kind === 'caster') return 'drift';
  return (step.change ?? 0) > 0 ? 'inner' : 'outer';
}
