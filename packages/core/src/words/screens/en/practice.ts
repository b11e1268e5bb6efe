import type { DrillKind, PracticeCheck, PracticeLesson, PracticeSkill } from '@keen/contract/words';

/** A lesson as it is announced, giving nothing away, and what a good colleague would say afterwards. */
interface Lesson {
  title: string;
  about: string;
  said: readonly [string, string, string];
}

export const lessons = {
  softSet: {
    title: 'One soft set',
    about: 'Four tires of one age, worn alike. The easy one to begin with.',
    said: [
      'Both shoulders low and the centre high on every tire is pressure, not angles.',
      'Put the valve gauge on before you sell an alignment: it takes three minutes.',
      'If the pressure is right today, ask since when.',
    ],
  },
  saw: {
    title: 'One saw',
    about: 'Something on the front axle. Stroke it.',
    said: [
      'Both tires of an axle worn on the same edge, and a catch one way: that is toe.',
      'The axle shares its toe, so both tires show it, whichever rod is out.',
      'Outer edges and catching outward is toe-in; inner edges and catching inward is toe-out.',
    ],
  },
  innerEdge: {
    title: 'One edge',
    about: 'One tire is not like its neighbour.',
    said: [
      'One tire alone on one edge, and smooth under the hand: camber, or a bent part.',
      'Toe cannot do that: the neighbour would show it too.',
      'Camber takes the loaded edge and leaves the centre near the far one.',
    ],
  },
  waves: {
    title: 'Up and down',
    about: 'The ribs alone will not tell you.',
    said: [
      'Run your hand around the tire, not only across it.',
      'Waves are a damper or a wheel out of balance; an alignment will not cure them.',
      'The ribs only look a little faster worn than the neighbour’s.',
    ],
  },
  keenDriver: {
    title: 'A fast driver',
    about: 'Nothing may be wrong with this car.',
    said: [
      'Both outer fronts, smooth under the hand, good pressure: bends taken fast.',
      'Nothing is out, so nothing needs setting; say so, and rotate more often.',
      'Toe-in would catch under the hand.',
    ],
  },
  rotated: {
    title: 'Rotated on the way',
    about: 'The tires have been rotated. Think where each one has been.',
    said: [
      'The wear on the rear tires was made in front: first ask where a tire has been.',
      'A feather fades within a few thousand kilometres; it tells of the axle it is on now.',
      'Both axles worn on the same edges after a rotation is one fault, not two.',
    ],
  },
  twoCauses: {
    title: 'Two at once',
    about: 'More than one thing is wrong.',
    said: [
      'Low shoulders and a slope on top of them: take the pressure out and look at what is left.',
      'Ask for the pressure and the stroke: each settles one of the two.',
      'Fix both; one alone brings the customer back.',
    ],
  },
  fixedArm: {
    title: 'Rear inner edges',
    about: 'The rear, where nobody sees from outside.',
    said: [
      'Rear inner edges are camber and toe together; cords show there while the outside looks new.',
      'Many rear axles have no camber adjustment: an adjustable arm or a shim comes first, so price it.',
      'Set toe last: it wears tires fastest and moves with everything else.',
    ],
  },
  falseToe: {
    title: 'A joint that looks like toe',
    about: 'Something in front wears fast. Is it an angle?',
    said: [
      'All three ribs of both fronts too fast, and no catch: the toe wanders with a worn joint.',
      'Measured standing still it may read in tolerance; shake the wheel before you measure.',
      'An alignment on loose parts does not hold.',
    ],
  },
  mixedAges: {
    title: 'Mixed ages',
    about: 'Two tires are younger than the other two. The distances are right.',
    said: [
      'A different depth front to rear is no fault if the distances differ.',
      'Work out the rate: millimetres for each 10,000 km, not millimetres.',
      'Nothing out is an answer too, and the customer will remember who gave it.',
    ],
  },
  wrongReading: {
    title: 'A wrong reading',
    about: 'One of the twelve figures does not belong.',
    said: [
      'One rib that is out of line with all its neighbours is a reading to take again.',
      'No angle wears one rib of one tire and leaves the next ones alone.',
      'A second reading costs ten seconds; an alignment nobody needed costs a customer.',
    ],
  },
  free: {
    title: 'Any car',
    about: 'As cars come in: it may have nothing, one thing, or several.',
    said: [
      'Most cars have little wrong: a doubt said as a doubt is worth more than a bold guess.',
      'Ask for the check that could change what you do; leave the others.',
      'Compare your chances with the best answer, not only with the truth.',
    ],
  },
} as const satisfies Record<PracticeLesson, Lesson>;

export const checks = {
  stroke: 'Stroke all four treads',
  waves: 'Feel around the tires for waves',
  pressure: 'Valve gauge on all four',
  complaints: 'Ask the customer',
  play: 'Shake the joints, on the lift',
  angles: 'Measure the angles on the rig',
} as const satisfies Record<PracticeCheck, string>;

export const skills = {
  toe: 'Toe',
  camber: 'Camber',
  pressure: 'Pressure',
  parts: 'Worn parts and balance',
  driving: 'Hard cornering',
} as const satisfies Record<PracticeSkill, string>;

export const drillKinds = {
  tape: 'Reading a tape',
  sign: 'Signs',
  rod: 'Tie rods',
  shim: 'Shims',
} as const satisfies Record<DrillKind, string>;

/** Answers of the drill, and why the right one is right. Degrees and mm come as text. */
export const drill = {
  signs: { plus: 'plus', minus: 'minus' },
  rods: {
    'left.longer': 'left rod longer',
    'left.shorter': 'left rod shorter',
    'right.longer': 'right rod longer',
    'right.shorter': 'right rod shorter',
  },
  shims: (mm: string, isMore: boolean) => `${mm} mm ${isMore ? 'more' : 'less'}`,
  whyTape: (sixteenths: number, inches: number, right: string) =>
    `The mark is ${sixteenths} sixteenths beyond ${inches}: ${right} in.`,
  whySign: (angle: 'toe' | 'camber', isOut: boolean, sign: string) =>
    angle === 'toe'
      ? `Seen from above, the front of the wheel points ${isOut ? 'away from' : 'toward'} the car: ${sign}.`
      : `Seen from behind, the top of the wheel leans ${isOut ? 'away from' : 'toward'} the car: ${sign}.`,
  whyRod: (side: 'left' | 'right', needsIn: boolean, rack: 'ahead' | 'behind') =>
    `The ${side} wheel needs ${needsIn ? 'toe-in' : 'toe-out'}; the other is right. ${
      rack === 'behind'
        ? 'Behind the axle a longer rod pushes the rear of the wheel out, and so its front in.'
        : 'Ahead of the axle a longer rod pushes the front of the wheel out.'
    }`,
  whyShim: (isIn: boolean, armHeight: number, change: string, mm: string) =>
    `The joint has to go ${isIn ? 'in' : 'out'} by the height between the joints times the tangent: ${armHeight} × tan ${change}° = ${mm} mm, at both bolts so that caster stays.`,
} as const;
