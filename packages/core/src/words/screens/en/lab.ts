import type { ConstantName, NoiseName, PriorName } from '../../../engine/diagnosis/modelFacts.ts';

/** Treads that people know by name. */
export const namedTreads = {
  even: 'Nothing out',
  saw: 'Saw on both fronts: toe-in',
  sawInner: 'Inner saw on both fronts: toe-out',
  innerEdge: 'One inner edge: a bent strut',
  rearInner: 'Rear inner edges: a lowered car',
  soft: 'Both shoulders: a soft set',
  hard: 'The centre: too much pressure',
  loaded: 'Rear shoulders: a loaded van',
  waves: 'Waves: a dead damper',
  loose: 'All ribs too fast: loose joints',
  keen: 'Outer fronts: a fast driver',
} as const;

type Edge = 'inner' | 'centre' | 'outer';
const EDGES = { inner: 'inner edge', centre: 'centre', outer: 'outer edge' } as const;

/** Why a tire wears as it does. Angles come as `0.20°`, factors as `1.7`. */
export const patch = {
  noToe: (driving: string) => `Driving itself slips ${driving}; toe adds next to nothing.`,
  toe: (at: { toe: string; driving: string; times: string; edge: 'inner' | 'outer' }) =>
    `Toe drags the whole width ${at.toe} sideways at every turn of the wheel. With the ${at.driving} that driving needs, the work is ${at.times} times as much, and the drag presses the ${at.edge} edge down, so that edge goes first.`,
  camber: (edge: 'inner' | 'outer', times: string, slip: string) =>
    `Camber leans the load on the ${edge} edge: ${times} times the mean pressure there. But it hardly makes the tread slip, ${slip} at the edges and nothing in the middle, so it wears far less than toe of the same size.`,
  soft: (percent: number) =>
    `Pressure ${percent} % below what the load needs lifts the centre: both shoulders carry more.`,
  hard: (percent: number) =>
    `Pressure ${percent} % above what the load needs rounds the tread: the centre carries more.`,
  play: (wander: string) =>
    `Play lets the wheel wander ${wander}: it slips that much more both ways and wears all three ribs alike.`,
  even: 'So the tread wears evenly.',
  uneven: (most: Edge, times: string, least: Edge) =>
    `So the ${EDGES[most]} wears ${times} times as fast as the ${EDGES[least]}.`,
} as const;

/** Settings shown with the treads that they leave. */
export const examples = {
  healthy: 'In tolerance',
  toeIn: 'Toe-in, 0.8° in total',
  toeOut: 'Toe-out, 0.8° in total',
  camber: 'Camber −3° both',
  soft: 'Pressure 25 % low',
  hard: 'Pressure 25 % high',
  loose: 'Loose joints, 0.3° of wander',
  cornering: 'Hard cornering, 2.5 times the usual',
} as const;

const PRACTICE = 'common practice, no published source';

/** The constants of the wear formula: what each is, and what it was set by. */
export const constants = {
  wearRate: {
    symbol: 'K',
    meaning: 'rate of wear: compound, road, load, driver',
    anchor: 'about 1 mm in 10 000 km on a driven front axle',
  },
  drivingSlipFwd: {
    symbol: 'S₀',
    meaning: 'slip that driving needs, front / rear, front drive',
    anchor: '0.25° of toe on each wheel makes wear half as fast again',
  },
  drivingSlipRwd: { symbol: '', meaning: 'the same, rear drive', anchor: PRACTICE },
  drivingSlipAwd: { symbol: '', meaning: 'the same, all-wheel drive', anchor: PRACTICE },
  camberShare: {
    symbol: 'camber share',
    meaning: 'part of the pressure that a degree of camber moves to its side',
    anchor: '2° wear the loaded side 1.7 times the other',
  },
  camberSlip: {
    symbol: 'c',
    meaning: 'slip that a degree of camber adds away from the centre',
    anchor: '2° raise the mean by a tenth or so',
  },
  toeShare: {
    symbol: 'toe share',
    meaning: 'part of the pressure that a degree of one wheel’s toe moves to its side',
    anchor: '0.5° a wheel wear the loaded edge 1.6 times the other',
  },
  pressureShare: {
    symbol: 'pressure share',
    meaning: 'part that goes from centre to shoulders for each unit of missing pressure',
    anchor: '20 % low wears shoulders 1.35 times the centre',
  },
  pressureRate: {
    symbol: 'f(p)',
    meaning: 'whole rate at 20 % low / 20 % high',
    anchor: 'tire makers’ advice on life lost, recalled from memory',
  },
  corneringShare: {
    symbol: 'cornering share',
    meaning: 'what the front outer rib gains for each unit of hard cornering',
    anchor: PRACTICE,
  },
  corneringSlip: {
    symbol: '',
    meaning: 'S₀² grows with side force squared; at twice the usual cornering by',
    anchor: PRACTICE,
  },
  depthRate: {
    symbol: 'd',
    meaning: 'a new tread wears faster than one at its end by',
    anchor: PRACTICE,
  },
  bounceRate: {
    symbol: 'bounce',
    meaning: 'a bouncing tire wears faster by',
    anchor: PRACTICE,
  },
} as const satisfies Record<ConstantName, { symbol: string; meaning: string; anchor: string }>;

/** Unit of the rate of wear. */
export const rateUnit = 'mm per 1000 km and degree²';

/** How far the formula and the readings are trusted. */
export const noise = {
  tire: 'a tire wears faster or slower than the formula by',
  rib: 'and each of its ribs by',
  scale: 'both are larger or smaller on a given car by',
  axleRate: 'an axle wears faster or slower than the formula by',
  crown: 'all four tires are rounder or flatter by',
  hand: 'bends and road crown lean left and right tires by',
  newDepth: 'new depth is known to',
  reading: 'a reading by hand, besides its rounding, to',
  oddReading: 'one car in so many has a wrong reading',
  oddTire: 'one car in so many has an odd tire',
  otherAge: 'one car in so many has an axle of another age than said',
} as const satisfies Record<NoiseName, string>;

/** What is taken to come in at the door before anything is read. */
export const priors = {
  wellKept: 'always well kept',
  frontToe: 'front toe out of tolerance',
  rearToe: 'rear toe out of tolerance',
  camber: 'camber of some wheel out',
  pressure: 'pressure of some tire out',
  bounce: 'a damper or balance at fault',
  looseness: 'loose joints',
  hardCornering: 'driven hard through bends',
  toeExcess: 'toe beyond its limit, on average by',
  camberExcess: 'camber beyond its limit, on average by',
  pressureExcess: 'pressure beyond its limit, on average by',
} as const satisfies Record<PriorName, string>;
