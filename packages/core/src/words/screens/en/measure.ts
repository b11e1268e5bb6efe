import type { InstrumentKind, Method, SetupPoint } from '@keen/contract/words';

/** Ways to measure an angle, and what each cannot tell. */
export const methods = {
  readout: { title: 'Rig read-out', limits: '' },
  gauges: {
    title: 'Laser gauges',
    limits:
      'Gauge makers differ in sign: check once on a pair of wheels that plainly toes in, and see what the gauge calls it.',
  },
  tape: {
    title: 'Toe plates, two tapes',
    limits:
      'Plates and tapes give the total only: they cannot tell where straight ahead is, so each wheel is taken as half.',
  },
  helperTape: {
    title: 'One tape, a helper',
    limits:
      'A tape gives the total only, and only with both marks at one height: same groove left and right, no sag.',
  },
  strings: {
    title: 'Strings',
    limits: 'Strings set off the hubs assume the same track on both sides.',
  },
  level: {
    title: 'Level, phone or bubble',
    limits: 'A level is only as good as what is known of the floor.',
  },
  square: {
    title: 'Gap to a square',
    limits: 'A square goes by the floor it stands on, and assumes a true rim.',
  },
  swing: {
    title: 'Camber swing',
    limits: 'Turn plates that do not read alike show up as caster.',
  },
} as const satisfies Record<Method, { title: string; limits: string }>;

const BAR_OF_TOE = 'a bar of known toe';

/** Instruments, and what each is checked against. */
export const instruments = {
  depth: { title: 'Tread depth gauge', checkedAgainst: 'a step block' },
  readout: {
    title: 'Alignment rig',
    checkedAgainst: 'the rig’s own bar, or a wheel of known angle',
  },
  gauges: { title: 'Laser gauges', checkedAgainst: BAR_OF_TOE },
  tape: { title: 'Toe plates, two tapes', checkedAgainst: BAR_OF_TOE },
  helperTape: { title: 'Tape', checkedAgainst: BAR_OF_TOE },
  strings: { title: 'Strings', checkedAgainst: BAR_OF_TOE },
  level: {
    title: 'Level, phone or bubble',
    checkedAgainst: 'a level surface, turned end for end, or a wedge',
  },
  square: { title: 'Square', checkedAgainst: 'a plumb wall, or a wedge' },
  swing: { title: 'Turn plates and caster gauge', checkedAgainst: 'the marks on the turn plates' },
} as const satisfies Record<InstrumentKind, { title: string; checkedAgainst: string }>;

/** Preparation before the first reading: what is done, what goes wrong without it, what can hurt. */
export const setup = {
  grease: {
    words: 'Kingpins and rod ends greased first, then checked for play',
    otherwise: 'a dry joint hides its play',
    caution: '',
  },
  pressures: {
    words: 'All four tires at the placard pressure',
    otherwise: 'a soft tire leans the car and reads as camber',
    caution: '',
  },
  load: {
    words: 'Fuel and load as the specification asks',
    otherwise: 'a loaded trunk changes rear camber and toe',
    caution: '',
  },
  height: {
    words: 'Air springs or a ride mode: at the height and mode the specification names',
    otherwise: 'camber and toe belong to another height',
    caution: '',
  },
  floor: {
    words: 'Floor level, or its slope known',
    otherwise: 'a sloping floor reads as camber, left against right',
    caution: '',
  },
  chocks: {
    words: 'Wheels that are not measured chocked on both sides, nobody inside',
    otherwise: 'the vehicle may roll while somebody kneels at it',
    caution: 'Before anybody kneels at a wheel or goes under.',
  },
  turnPlates: {
    words: 'Wheels on plates that are still pinned, or on greased sheets or card pairs',
    otherwise: 'a wheel that grips shows false toe',
    caution:
      'Lift onto them at the maker’s points, never on a jack alone; plates stay pinned until the car stands on them.',
  },
  clamps: {
    words: 'Clamps at the rim, safety hooks at three and nine o’clock, tight',
    otherwise: 'a loose clamp moves while the wheel turns',
    caution: 'A falling clamp can hurt: safety straps on before the car rolls.',
  },
  runOut: {
    words: 'Rim run-out compensated; rolled by the wheel, never by the body',
    otherwise: 'a bent rim reads as toe and camber',
    caution: '',
  },
  pinsOut: {
    words: 'Pins out of the plates',
    otherwise: 'a pinned plate holds the wheel where it was lifted',
    caution: '',
  },
  settled: {
    words: 'Rolled back and forth and pressed down at both ends',
    otherwise: 'a car that was lifted or jacked sits high and narrow',
    caution: '',
  },
  oldShims: {
    words: 'Old hub shims out before the first reading of the rear',
    otherwise: 'the new shim is chosen against the old one',
    caution: '',
  },
  brakeHeld: {
    words: 'Brake held by a pedal depressor for the caster swing',
    otherwise: 'a wheel that rolls on the plate changes the swing',
    caution: '',
  },
  wheelStraight: {
    words: 'Steering wheel straight and locked',
    otherwise: 'toe cannot be told left from right',
    caution: '',
  },
  levelZero: {
    words: 'Level or phone zeroed on this floor, turned end for end to check',
    otherwise: 'its own error is in every camber',
    caution: '',
  },
  stringHeight: {
    words: 'Strings at hub height, tight, touching nothing',
    otherwise: 'a string that touches a tire is bent',
    caution: '',
  },
} as const satisfies Record<SetupPoint, { words: string; otherwise: string; caution: string }>;

/**
 * A skipped point of the preparation and what it does to the readings.
 * @param reason - as it was typed, empty where none was given
 * @param also - points that count for little without it
 */
export const skipped = (
  words: string,
  reason: string,
  otherwise: string,
  also: readonly string[],
): string => {
  const why = reason === '' ? '' : ` (${reason})`;
  const more = also.length > 0 ? ` Also affected: ${also.join('; ').toLowerCase()}.` : '';
  return `Skipped: ${words.toLowerCase()}${why}; ${otherwise}.${more}`;
};

/** Why an angle must be measured again. */
export const stale = {
  turned: 'it was adjusted since',
  casterMovedCamber: 'caster was set since, and it moves camber',
  casterMovedToe: 'caster was set since, and it moves toe',
  camberMovedToe: 'camber was set since, and it moves toe',
  rearMovedFront: 'the rear axle was set since, and the front is set to where it points',
  camberWillMoveToe: 'camber is set first, and it moves toe',
} as const;

/** Why a reading no longer holds, or will not. */
export type StaleReason = keyof typeof stale;

/** How much less the outer wheel turns than the inner one, by the way it turns. */
export const toeOutIn = { left: 'Toe-out, left turn', right: 'Toe-out, right turn' } as const;

/** What camber and steering axis together say is bent. */
export const bent = {
  because: (at: {
    side: 'left' | 'right';
    against: 'sheet' | 'otherSide';
    camber: string;
    sai: string;
    included: string;
  }) =>
    `${at.side} front against the ${at.against === 'sheet' ? 'sheet' : 'other side'}: camber ${at.camber}, SAI ${at.sai}, included angle ${at.included}`,
  parts: {
    axisOut: 'lower arm bent, or strut tower pushed out: the whole steering axis leans out',
    axisIn: 'upper arm bent, or strut tower pushed in: the whole steering axis leans in',
    upright: 'spindle, knuckle or strut bent: the steering axis is right, the wheel on it is not',
    both: 'two parts: the steering axis leans and the wheel sits wrong on it, so an arm or tower and the knuckle or strut',
  },
} as const;

export type BentKind = keyof typeof bent.parts;

type Side = 'left' | 'right';

/** What the angles mean for driving and wear. Sizes come as `0.45°`. */
export const meaning = {
  crossCamber: (size: string, to: Side) =>
    `Cross camber of ${size}: the car drifts to the ${to}, toward the more positive wheel.`,
  crossCaster: (size: string, to: Side) =>
    `Cross caster of ${size}: the car drifts to the ${to}, toward the side with less.`,
  pullUnexplained:
    'It pulls, and camber and caster do not say why: swap the two front tires; if the pull changes side, it is a tire. A crowned road makes every car drift to its low side.',
  thrust: (size: string, to: Side) =>
    `Thrust of ${size} to the ${to}: the car crabs. The rear axle comes first.`,
  wheelOff: (degrees: string, to: Side, ratio: number, isAssumed: boolean) =>
    `The steering wheel is about ${degrees} to the ${to} when driving straight (ratio ${ratio} : 1${isAssumed ? ', assumed' : ''}).`,
  littleCaster:
    'Little caster: the steering returns poorly and the car wanders more; more caster makes the steering heavier.',
  casterEnough:
    'The steering does not return, and there is enough caster: look for a joint tightened with an impact wrench, or a binding strut mount.',
  frontToeOut: 'Toe-out in front: the car darts after every bump.',
  turnScrub: (side: Side) =>
    `In a ${side} turn the wheels do not follow their own circles: they scrub, and a steering arm may be bent.`,
  setback: (side: Side, mm: string) =>
    `Setback: the ${side} front wheel is ${mm} mm further back; look for a bent arm or cradle.`,
  lockUneven: (degrees: string, more: Side) =>
    `It turns ${degrees} further to the ${more}: the rack is off centre. Centre it before the rods are turned, and set the steering wheel after.`,
  totalToe: (size: string, isIn: boolean, axle: 'front' | 'rear') =>
    `Total toe-${isIn ? 'in' : 'out'} of ${size} at the ${axle}: both tires scrub.${axle === 'rear' && !isIn ? ' Toe-out at the rear can make the car spin.' : ''}`,
  camber: (size: string, axle: 'front' | 'rear', side: Side, edge: 'inner' | 'outer') =>
    `Camber of ${size} at the ${side} ${axle}: it wears the ${edge} edge.`,
  height: (front: number, rear: number) => {
    const words = (mm: number, end: string) =>
      mm === 0 ? [] : `${Math.abs(mm)} mm ${mm > 0 ? 'up' : 'down'} ${end}`;
    const changed = [words(front, 'in front'), words(rear, 'at the rear')].flat();
    return `Ride height changed ${changed.join(' and ')}: camber and toe moved with it. Set it at the height it is driven at.`;
  },
  tooClose: (count: number) =>
    `${count === 1 ? 'One angle is' : `${count} angles are`} too close to a limit to tell with this method: read again, or use a finer one.`,
} as const;

const CLOSED =
  'For closed courses only: on the road such settings wear tires and may break the law.';

/** Sheets to begin with where the maker's is not known. */
export const startingPoints = {
  source: 'Trade practice, no published source; the vehicle maker’s sheet comes first',
  sheets: {
    'street-fwd-in': {
      name: 'Street, front-wheel drive, a little toe-in',
      note: 'For stability. Some set a little toe-out instead, since drive pulls the wheels in.',
    },
    'street-fwd-out': {
      name: 'Street, front-wheel drive, a little toe-out',
      note: 'Drive pulls the wheels in. Some set a little toe-in instead, for stability.',
    },
    'street-rwd': {
      name: 'Street, rear-wheel drive',
      note: 'The road pushes the front wheels out; a little toe-in takes it up.',
    },
    'street-awd': {
      name: 'Street, all-wheel drive',
      note: 'Set like the axle that drives most.',
    },
    towing: {
      name: 'Towing and load',
      note: 'Set with the load it is driven with, if it carries that most of the time.',
    },
    lifted: {
      name: 'Lifted, larger tires',
      note: 'Toe as near zero as possible; align right after the lift.',
    },
    track: { name: 'Track', note: `Front 1/16 in out, rear 1/8 in in. ${CLOSED}` },
    autocross: {
      name: 'Autocross',
      note: `Rear toe-out makes a car turn in, and spin. ${CLOSED}`,
    },
    drag: { name: 'Drag', note: `All near zero. ${CLOSED}` },
    drift: { name: 'Drift', note: `Even more negative camber in front. ${CLOSED}` },
    cart: {
      name: 'Cart',
      note: '1/16 to 1/8 in toe-in; equal camber side to side is what counts. Some makers ask for more.',
    },
    'cart-more': {
      name: 'Cart, a maker’s larger toe',
      note: '3/8 in toe-in, as one maker’s book has it. Too much makes a cart skate over the ground.',
    },
  },
} as const;

export type StartingPointId = keyof typeof startingPoints.sheets;

/** Front suspensions to start from. */
export const frontLayouts = {
  strut: 'Strut',
  longArms: 'Two arms, upper one shorter',
  truckArms: 'Truck, arms sloping down',
} as const;
