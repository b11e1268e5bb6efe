import type { CalculatorName } from '@keen/contract';
import type { Adjuster, AngleKind, Axle } from '@keen/contract/words';

/** What is known of an adjuster, whatever car it is on. */
interface AdjusterFacts {
  title: string;
  /** What the hand counts at it; null where it is a part, not a turn. */
  unit: 'turn' | 'notch' | 'mm' | null;
  /** The calculator that says how far it goes, where there is arithmetic to it. */
  calculator: CalculatorName | null;
  /** How the hand goes about it, where that is the same for every angle. */
  how: string | null;
  /** What else it moves when it sets an angle, and what to look at for it; null where there is nothing to add. */
  alsoMoves: (kind: AngleKind, axle: Axle) => string | null;
}

const rods: Pick<AdjusterFacts, 'unit' | 'calculator' | 'how' | 'alsoMoves'> = {
  unit: 'turn',
  calculator: 'tieRod',
  how: null,
  alsoMoves: (_kind, axle) =>
    axle === 'front'
      ? 'Moves the steering wheel too, unless both rods are turned alike. No boot twisted, no joint at its limit from lock to lock.'
      : 'Moves the thrust too, unless both rods are turned alike.',
};

/** What turning a cam, a slot or shims moves, by the angle that it sets. */
const moving =
  (words: { camber: string; caster: string }): AdjusterFacts['alsoMoves'] =>
  (kind) =>
    kind === 'toe' ? 'Moves camber a little too.' : words[kind];

const TURN_A_CAM = 'Lift, loosen, turn, lower, settle, measure; torque at ride height.';

/** Common practice, no source. */
export const ADJUSTER_FACTS: Record<Adjuster, AdjusterFacts> = {
  tieRod: { title: 'Tie rod', ...rods },
  turnbuckle: { title: 'Turnbuckle', ...rods },
  cam: {
    title: 'Cam bolt',
    unit: 'notch',
    calculator: 'eccentric',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber: 'Moves toe too: measure it after.',
      caster:
        'Moves toe too, and the wheel: caster from the lower arm brings it forward, from the upper arm back. Look at fender and firewall from lock to lock.',
    }),
  },
  twoCams: {
    title: 'Two cams',
    unit: 'notch',
    calculator: 'twoCams',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber:
        'Turned together. Where they do not turn alike caster moves too; toe moves in any case.',
      caster:
        'Turned against one another. More caster brings the wheel forward: look at the fender from lock to lock. Camber moves where they do not turn alike.',
    }),
  },
  hubShim: {
    title: 'Hub shim',
    unit: null,
    calculator: 'rearShim',
    how: null,
    alsoMoves: () =>
      'Gives camber and toe at once. Look at the brake, its hose and the speed sensor’s gap with the hub moved.',
  },
  armShims: {
    title: 'Arm shims',
    unit: 'mm',
    calculator: 'wishboneShims',
    how: null,
    alsoMoves: moving({
      camber:
        'Equal shims; unequal ones move caster. Toe moves too. Keep enough thread for the nut.',
      caster:
        'Unequal shims. More caster from the upper arm brings the wheel back: look at the firewall from lock to lock. Keep enough thread for the nut.',
    }),
  },
  slots: {
    title: 'Strut slots',
    unit: 'mm',
    calculator: null,
    how: null,
    alsoMoves: moving({
      camber:
        'Moves toe too: measure it after. The tire comes closer to the strut, or to the fender.',
      caster:
        'Moves the wheel forward or back in its arch, and camber a little where the slot is not straight.',
    }),
  },
  adjustableArm: {
    title: 'Adjustable arm',
    unit: 'turn',
    calculator: null,
    how: 'Turn the arm until it reads right, then lock it; it sets no more than its thread.',
    alsoMoves: (kind, axle) =>
      `Moves ${kind === 'toe' ? 'camber' : axle === 'rear' ? 'rear toe' : 'toe'} too. Move the suspension through its whole travel after: no joint may come to its limit.`,
  },
  none: { title: 'None fitted', unit: null, calculator: null, how: null, alsoMoves: () => null },
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
