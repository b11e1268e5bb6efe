import type { Part } from '@keen/contract/words';

/** What a worn part does to an alignment and to the tread. */
export const partsThen = {
  outerTieRod: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  innerTieRod: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  rackMount:
    'the whole rack moves: the car wanders, and the steering wheel does not stay where it was set',
  ballJoint: 'camber and toe do not hold, and it can come apart',
  armBushing: 'toe and caster change under braking and acceleration',
  wheelBearing: 'the wheel tilts in its bearing: camber and toe do not hold',
  damper: 'the tire hops: cups and waves, noise like a bearing',
  spring: 'the corner sags: camber and toe move with the height',
  stabilizer: 'it knocks and leans; the alignment holds',
  rearLink: 'rear camber and toe do not hold',
  toeLink: 'rear toe wanders: both rear tires feather, and the rear can step out',
  bentArm: 'the wheel leans or steers by itself; no adjuster brings it back',
  rim: 'it shakes, and every reading taken from it is wrong',
} as const satisfies Record<Part, string>;

/** What was found at a stop of the walk round the car, in a few words. */
export const walk = {
  heights: (taken: number) => `${taken} of 4 taken`,
  heelToe: 'heel and toe',
  noDamage: 'no damage',
  playWhenShaken: (how: string) => `play when shaken: ${how}`,
  allOk: 'all OK',
  someOk: (count: number) => `${count} OK`,
  crookedWheel: (side: 'left' | 'right') => `${side} front wheel crooked`,
  moreThread: (side: 'left' | 'right') => `more thread ${side}`,
  steeringBinds: 'the steering binds',
  alike: 'alike',
  answered: (count: number) => `${count} of 3 answered`,
} as const;
