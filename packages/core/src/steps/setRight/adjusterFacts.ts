import type { CalculatorName } from '@keen/contract';
import type { Adjuster, AngleKind, Axle } from '@keen/contract/words';

/** What is known of an adjuster, whatever car it is on. */
interface AdjusterFacts {
  /** What the hand counts at it; null where it is a part, not a turn. */
  unit: 'turn' | 'notch' | 'mm' | null;
  /** The calculator that says how far it goes, where there is arithmetic to it. */
  calculator: CalculatorName | null;
}

/** Common practice, no source. */
export const ADJUSTER_FACTS: Record<Adjuster, AdjusterFacts> = {
  tieRod: { unit: 'turn', calculator: 'tieRod' },
  turnbuckle: { unit: 'turn', calculator: 'tieRod' },
  cam: { unit: 'notch', calculator: 'eccentric' },
  twoCams: { unit: 'notch', calculator: 'twoCams' },
  hubShim: { unit: null, calculator: 'rearShim' },
  armShims: { unit: 'mm', calculator: 'wishboneShims' },
  slots: { unit: 'mm', calculator: null },
  adjustableArm: { unit: 'turn', calculator: null },
  none: { unit: null, calculator: null },
};

const CASTER: readonly Adjuster[] = [
  'cam',
  'twoCams',
  'armShims',
  'slots',
  'adjustableArm',
  'none',
];

/** What each angle can be set with at each axle, the usual one first (common practice, no source). */
export const ADJUSTERS_FOR: Record<AngleKind, Record<Axle, readonly Adjuster[]>> = {
  camber: {
    front: ['slots', 'cam', 'twoCams', 'armShims', 'adjustableArm', 'none'],
    rear: ['cam', 'hubShim', 'adjustableArm', 'slots', 'none'],
  },
  toe: {
    front: ['tieRod', 'turnbuckle'],
    rear: ['cam', 'tieRod', 'turnbuckle', 'hubShim', 'adjustableArm', 'none'],
  },
  caster: { front: CASTER, rear: CASTER },
};
