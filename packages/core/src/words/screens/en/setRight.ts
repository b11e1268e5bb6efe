import type { Adjuster, AngleKind, Axle, ClosingPoint, Wheel } from '@keen/contract/words';

/** What else an adjuster moves when it sets an angle, and what to look at for it; empty where nothing. */
type AlsoMoves = (kind: AngleKind, axle: Axle) => string;

const rodsMove: AlsoMoves = (_kind, axle) =>
  axle === 'front'
    ? 'Moves the steering wheel too, unless both rods are turned the same. No boot twisted, no joint at its limit from lock to lock.'
    : 'Moves the thrust too, unless both rods are turned the same.';

const moving =
  (words: { camber: string; caster: string }): AlsoMoves =>
  (kind) =>
    kind === 'toe' ? 'Moves camber a little too.' : words[kind];

const nothing: AlsoMoves = () => '';
const TURN_A_CAM = 'Lift, loosen, turn, lower, settle, measure; torque at ride height.';

/** Adjusters: name, how to go about it where that is the same for every angle, what else moves. */
export const adjusters = {
  tieRod: { title: 'Tie rod', how: '', alsoMoves: rodsMove },
  turnbuckle: { title: 'Turnbuckle', how: '', alsoMoves: rodsMove },
  cam: {
    title: 'Cam bolt',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber: 'Moves toe too: measure it after.',
      caster:
        'Moves toe too, and the wheel: caster from the lower arm brings it forward, from the upper arm back. Check fender and firewall from lock to lock.',
    }),
  },
  twoCams: {
    title: 'Two cams',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber: 'Turned together. If they do not turn alike caster moves too; toe moves in any case.',
      caster:
        'Turned against each other. More caster brings the wheel forward: check the fender from lock to lock. Camber moves if they do not turn alike.',
    }),
  },
  hubShim: {
    title: 'Hub shim',
    how: '',
    alsoMoves: (): string =>
      'Sets camber and toe at once. Check the brake, its hose and the speed sensor’s gap with the hub moved.',
  },
  armShims: {
    title: 'Arm shims',
    how: '',
    alsoMoves: moving({
      camber:
        'Equal shims; unequal ones move caster. Toe moves too. Keep enough thread for the nut.',
      caster:
        'Unequal shims. More caster from the upper arm brings the wheel back: check the firewall from lock to lock. Keep enough thread for the nut.',
    }),
  },
  slots: {
    title: 'Strut slots',
    how: '',
    alsoMoves: moving({
      camber:
        'Moves toe too: measure it after. The tire comes closer to the strut, or to the fender.',
      caster:
        'Moves the wheel forward or back in its arch, and camber a little if the slot is not straight.',
    }),
  },
  adjustableArm: {
    title: 'Adjustable arm',
    how: 'Turn the arm until it reads right, then lock it; it sets no more than its thread allows.',
    alsoMoves: (kind: AngleKind, axle: Axle): string =>
      `Moves ${kind === 'toe' ? 'camber' : axle === 'rear' ? 'rear toe' : 'toe'} too. Move the suspension through its whole travel after: no joint may reach its limit.`,
  },
  none: { title: 'None fitted', how: '', alsoMoves: nothing },
} as const satisfies Record<Adjuster, { title: string; how: string; alsoMoves: AlsoMoves }>;

/** Steps of the plan. */
export const stepTitles = {
  parts: 'Worn parts',
  camber: 'Camber',
  toe: 'Toe',
  totalToe: 'Total toe',
  caster: 'Caster',
  steeringWheel: 'Steering wheel',
} as const;

/** Why a step is done, or how. */
export const stepWhy = {
  repeatMoves: 'The reading did not come back: an alignment on loose joints does not hold.',
  excessivePlay: 'There is excessive play: an alignment on loose joints does not hold.',
  out: 'Out of its limits.',
  sidesApart: 'Left and right are too far apart.',
  allLeft: 'All of it at the left wheel, the one that is wrong.',
  allRight: 'All of it at the right wheel, the one that is wrong.',
  halfEach: 'Half at each wheel; the steering wheel comes last.',
  sameBoth: 'Both to the same value: that takes the thrust out too.',
  halfTotal: 'Each wheel to half of the total; the steering wheel comes last.',
  wheelAlone: 'This wheel is out, the total is not.',
  steeringLast: 'Last: what one rod gives, the other takes, so total toe stays.',
  standsLeft: 'It is off to the left: set it straight.',
  standsRight: 'It is off to the right: set it straight.',
  wasMoved: 'What was set moves it: check whether it is straight.',
  customerSays: 'The customer says that it is off centre.',
} as const;

/** Why a step is done where nothing has to be measured again. */
export type StepReason = keyof typeof stepWhy;

export const measureAgain = (because: string): string => `Measure it again: ${because}.`;

/** Parts that bring what the factory's adjuster does not reach. */
export const reachParts = {
  toeArm: 'a longer toe arm with the eccentric locked out',
  tieRods: 'longer or shorter tie rods',
  offsetBushings: 'offset bushings or an adjustable arm for caster',
  camberArm: 'an adjustable camber arm, set so that its adjuster can be reached with the wheel on',
  offsetBolts: 'offset bolts at the strut, or an adjustable arm',
  armsForHeight: (mm: number) =>
    `upper arms made for a body ${mm > 0 ? 'raised' : 'lowered'} by ${Math.abs(mm)} mm`,
} as const;

/** What happens when an angle stays as it is. */
export const reachOtherwise = {
  scrub: 'both tires of the axle keep scrubbing',
  drift: 'it keeps drifting, or returning poorly',
  inner: 'the inner edge keeps wearing, on the new tire too',
  outer: 'the outer edge keeps wearing, on the new tire too',
} as const;

const ROWS = {
  camber: 'camber',
  caster: 'caster',
  crossCamber: 'cross camber',
  crossCaster: 'cross caster',
  sai: 'SAI',
  included: 'included angle',
  toe: 'toe',
  totalToe: 'total toe',
  thrust: 'thrust',
  setback: 'setback',
  toeOut: 'toe-out on turns',
} as const;

/** One angle of the car, or a pair: front toe, left rear camber. */
export type RowKind = keyof typeof ROWS;

/** How far the alignment is. Names are of one or more rows, listed. */
export const state = {
  row: (kind: RowKind, at: Wheel | Axle | null): string => {
    const where = {
      front: 'front ',
      rear: 'rear ',
      lf: 'left front ',
      rf: 'right front ',
      lr: 'left rear ',
      rr: 'right rear ',
    };
    return `${at === null ? '' : where[at]}${ROWS[kind]}`;
  },
  list: (names: readonly string[]) =>
    names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`,
  partsFirst: 'Worn parts come first.',
  out: (names: string, count: number) => `${names} ${count > 1 ? 'are' : 'is'} out.`,
  alsoStale: (names: string) => `To be measured again: ${names}.`,
  alsoClose: (names: string) => `Too close to tell: ${names}.`,
  measureAgain: (names: string) => `Measure again: ${names}.`,
  because: (why: string) => `${why.charAt(0).toUpperCase()}${why.slice(1)}.`,
  cannotTell: (names: string) => `Can’t tell yet: ${names}.`,
  closeAdvice:
    'Too close to a limit for this method. Measure again, or with a finer one, or leave it as is.',
  steering: 'Angles are in. Now the steering wheel.',
  atTarget: (names: string, count: number, by: string) =>
    `${names} ${count > 1 ? 'are' : 'is'} at the target, as far as ${by} can tell.`,
  theReading: 'the reading',
  left: (names: string, count: number) => `Left as ${count > 1 ? 'they are' : 'it is'}: ${names}.`,
  notMeasured: (names: string) => `Not measured: ${names}.`,
  restIn: 'Everything else is in.',
  measuredIn: 'What was measured is in.',
  allIn: 'All angles are in.',
} as const;

/** What is done before the car is given back. */
export const closing = {
  points: {
    finalReading: 'All angles read once more after everything is tight, run-out compensated again',
    torque: 'Every fastener that was loosened, to torque at ride height',
    lockToLock: 'Turned lock to lock: nothing touches, no boot is twisted, jam nuts tight',
    clampsOff: 'Clamps off all four wheels',
    brakeFree: 'Pedal depressor and steering lock out of the car',
    turnPlates: 'Plates pinned before it rolls',
    sensorReset: 'Steering angle sensor reset if it has one, driver assistance checked',
    roadTest: 'Road test: straight, steering wheel level',
  } satisfies Record<ClosingPoint, string>,
  cartReading: 'Everything read once more, rolled and settled',
  readLast: 'Tightening moves angles: what counts is the reading at the end.',
  noTorque: 'The maker’s figures are not on the sheet: look them up.',
  cameras: 'Cameras and radar aimed along the thrust line may need calibration.',
  handsClear: 'Hands and feet clear of the wheels.',
  roadCaution:
    'Only a vehicle that is safe to drive, where it is legal, by a licensed driver; wheel nuts torqued before.',
} as const;
