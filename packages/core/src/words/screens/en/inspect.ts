import type { Cupping, Damage, DamageZone, Feather, Part, Play } from '@keen/contract/words';

/** Parts looked at under the car, and what a worn one does to an alignment and to the tread. */
export const parts = {
  outerTieRod: {
    title: 'Outer tie rod end',
    then: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  },
  innerTieRod: {
    title: 'Inner tie rod end',
    then: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  },
  rackMount: {
    title: 'Rack mounts',
    then: 'the whole rack moves: the car wanders, and the steering wheel does not stay where it was set',
  },
  ballJoint: {
    title: 'Ball joint',
    then: 'camber and toe do not hold, and it can come apart',
  },
  armBushing: {
    title: 'Control arm bushing',
    then: 'toe and caster change under braking and acceleration',
  },
  wheelBearing: {
    title: 'Wheel bearing',
    then: 'the wheel tilts in its bearing: camber and toe do not hold',
  },
  damper: {
    title: 'Strut or damper, bounced',
    then: 'the tire hops: cups and waves, noise like a bearing',
  },
  spring: {
    title: 'Spring',
    then: 'the corner sags: camber and toe move with the height',
  },
  stabilizer: {
    title: 'Stabilizer bar and links',
    then: 'it knocks and leans; the alignment holds',
  },
  rearLink: { title: 'Rear link', then: 'rear camber and toe do not hold' },
  toeLink: {
    title: 'Rear toe link',
    then: 'rear toe wanders: both rear tires feather, and the rear can step out',
  },
  bentArm: {
    title: 'Arm, bent',
    then: 'the wheel leans or steers by itself; no adjuster brings it back',
  },
  rim: {
    title: 'Rim, bent or cracked',
    then: 'it shakes, and every reading taken from it is wrong',
  },
} as const satisfies Record<Part, { title: string; then: string }>;

export const feather = {
  none: 'smooth',
  catchesOutward: 'catches out',
  catchesInward: 'catches in',
} as const satisfies Record<Exclude<Feather, 'unknown'>, string>;

export const waves = {
  none: 'no waves',
  some: 'some waves',
  heavy: 'heavy waves',
} as const satisfies Record<Exclude<Cupping, 'unknown'>, string>;

export const damage = {
  cords: 'cords',
  bulge: 'bulge',
  cut: 'cut',
  puncture: 'puncture',
  sidewallCrack: 'cracks',
  flatSpot: 'flat spot',
} as const satisfies Record<Damage, string>;

export const zones = {
  outerSidewall: 'outer sidewall',
  outer: 'outer rib',
  centre: 'centre',
  inner: 'inner rib',
  innerSidewall: 'inner sidewall',
} as const satisfies Record<DamageZone, string>;

export const play = {
  none: 'none',
  some: 'some',
  excessive: 'too much',
} as const satisfies Record<Exclude<Play, 'unknown'>, string>;

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
