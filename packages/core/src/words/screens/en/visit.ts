import type { Construction } from '../../../engine/tires/construction.ts';
import type { FittingRule } from '../../../visit/fitment/fittingRules.ts';
import type { LawPlace } from '../../../visit/fitment/legalLimits.ts';

const tires = (count: number) =>
  count === 4 ? 'all four tires' : count === 1 ? 'one tire' : `${count} tires`;

/** What a step has not been told, and why that matters. */
export const lacks = {
  drive: { what: 'Drive', why: 'front drive assumed; driven tires wear faster' },
  distance: {
    what: 'Distance on the tires',
    why: (km: string) => `${km} km assumed; fast wear and slow wear look alike`,
  },
  newDepth: {
    what: 'New depth',
    why: (mm: number) => `${mm} mm assumed; how much is gone is a guess`,
  },
  pressures: {
    what: 'Pressures found',
    why: 'without them only the tread can show low pressure',
  },
  placard: { what: 'Placard pressure', why: 'nothing to compare the pressures found with' },
  ribs: {
    what: (left: number, all: number) => (left === all ? 'The depths' : `${left} of ${all} ribs`),
    why: 'an unread edge cannot be judged',
  },
  feather: {
    what: (left: number) => `Feel of the tread on ${tires(left)}`,
    why: 'it tells toe from camber',
  },
  waves: {
    what: (left: number) => `Waves on ${tires(left)}`,
    why: 'they point to dampers',
  },
  play: {
    what: (left: number) => (left === 4 ? 'Play in the joints' : `Play at ${left} of 4 wheels`),
    why: 'an alignment on loose parts does not hold',
  },
  decision: {
    what: 'The customer’s answer',
    why: 'the estimate and a refusal are saved with it',
  },
  repeat: {
    what: 'The lock-to-lock repeat',
    why: 'readings that do not come back mean a worn part',
  },
  angles: {
    what: (count: number) => (count === 1 ? 'One angle' : `${count} angles`),
    why: 'an angle that was not read cannot be set',
  },
  sheet: {
    what: 'The car’s sheet',
    why: 'usual limits are used, not this car’s own',
  },
  closing: {
    what: (count: number) =>
      count === 1 ? 'One point before it is given back' : `${count} points of the list`,
    why: 'the car is not given back before they are answered',
  },
  paper: { what: 'The sheet', why: 'the customer does not have it yet' },
  next: { what: 'The next check', why: 'no reminder is set' },
} as const;

/** What stands under a step on the rail. */
export const notes = {
  noDrive: 'no drive yet',
  noDistance: 'no distance yet',
  noNewDepth: 'no new depth yet',
  of: (done: number, all: number) => `${done} of ${all}`,
  notFelt: (count: number) => `${count} not felt`,
  stopped: 'stopped: moves',
  toSet: (count: number) => `${count} to set`,
  cannotTell: 'can’t tell yet',
  toClose: (count: number) => `${count} to close`,
  nothingDue: 'nothing due yet',
  noSheet: 'no sheet yet',
} as const;

/** Rules of fitting tires: where each comes from. */
export const fittingSources = {
  legal: '49 CFR 570.9; Directive 89/459/EEC (recalled from memory)',
  wearBars: '49 CFR 571.139 S5.4; UN ECE R30 (recalled from memory)',
  pair: 'the shop’s custom',
  newAtRear: 'common practice, no source: the rear must not let go first on a wet road',
  matching: 'the vehicle maker’s limit; if none is known, the shop’s custom',
  placard: 'the placard; load index and speed symbol after ISO 4000-1 (recalled from memory)',
  mixed:
    'Road Vehicles (Construction and Use) Regulations 1986, reg. 26 (recalled from memory); common practice elsewhere',
  winter: 'common practice, no source: four alike; law in some places in winter',
  age: 'the shop’s custom; a tire maker may say less',
  puncture: 'common practice, no source; the tire maker decides',
} as const satisfies Record<FittingRule, string>;

const CONSTRUCTIONS: Record<Construction, string> = {
  radial: 'radial',
  bias: 'bias ply',
  belted: 'bias belted',
};

/** What is wrong with a choice of new tires. */
export const broken = {
  legal: 'worn to the legal limit',
  wearBars: 'its wear bars show',
  puncture: 'a puncture where it cannot be repaired',
  age: (years: number) => `${years} years old or more`,
  pair: 'new beside a worn one on its axle',
  matching: (mm: string) => `the set would be ${mm} mm apart, more than all-wheel drive takes`,
  newAtRear: 'the two new ones would go in front',
  placardLoad: (index: number, kg: number, asked: number) =>
    `load index ${index} carries ${kg} kg, the placard asks for ${asked} kg`,
  placardSpeed: (symbol: string, asked: string) =>
    `speed symbol ${symbol} is below the placard’s ${asked}`,
  mixedAxle: (a: Construction, b: Construction) =>
    `${CONSTRUCTIONS[a]} and ${CONSTRUCTIONS[b]} on one axle`,
  mixedCar: (rear: Construction) => `radials in front of ${CONSTRUCTIONS[rear]} at the rear`,
  winter: 'winter tires on some wheels only',
} as const;

/** What would keep the rule. */
export const keeps = {
  newTire: 'a new tire there',
  pair: 'a pair',
  matching: 'four new ones, or new ones shaved to match',
  newAtRear: 'the new ones at the rear, today’s rears moved to the front',
  placard: (size: string) => `at least ${size}`,
  mixedAxle: 'one construction',
  mixedCar: 'radials at the rear, too',
  winter: 'winter tires on all four, or on none',
} as const;

/** Laws on tread depth. */
export const laws = {
  places: {
    us: 'United States',
    eu: 'European Union',
    uk: 'United Kingdom',
    austria: 'Austria',
    czechia: 'Czechia',
    latvia: 'Latvia',
    finland: 'Finland',
    norway: 'Norway',
    slovenia: 'Slovenia',
    sweden: 'Sweden',
  } satisfies Record<LawPlace, string>,
  nationalLaw: 'national traffic law',
} as const;

/** A battery's test, in percent of its rating. */
export const battery = {
  weak: (percent: number, below: number) =>
    `${percent} % of its rating: weak. Below ${below} % it may fail on a cold morning; charge it, test again.`,
  good: (percent: number) => `${percent} % of its rating: good.`,
} as const;
