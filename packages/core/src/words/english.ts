import type { Axle, Cause, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../engine/case/wheels.ts';
import type { AdviceTexts, ReasonTexts, Texts, VerdictTexts } from './texts.ts';

const causes: Record<Cause, string> = {
  camberTooNegative: 'Camber too negative',
  camberTooPositive: 'Camber too positive',
  pressureLow: 'Pressure too low',
  pressureHigh: 'Pressure too high',
  bounce: 'Damper or balance',
  toeTooFarIn: 'Too much toe-in',
  toeTooFarOut: 'Too much toe-out',
  looseness: 'Loose joints',
  hardCornering: 'Hard cornering',
};

const places: Record<Wheel | Axle, string> = {
  lf: 'left front',
  rf: 'right front',
  lr: 'left rear',
  rr: 'right rear',
  front: 'front axle',
  rear: 'rear axle',
};

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const many = (list: readonly unknown[]) => list.length > 1;

function placed(list: readonly (Wheel | Axle)[], noun: 'wheel' | 'tire'): string {
  if (list.length === WHEEL_ORDER.length) return `All four ${noun}s`;
  for (const axle of ['front', 'rear'] as const) {
    if (list.length === 2 && WHEELS_OF_AXLE[axle].every((wheel) => list.includes(wheel))) {
      return `Both ${axle} ${noun}s`;
    }
  }
  const words = list.map((where) => places[where]);
  const last = words.pop() ?? '';
  const text = words.length > 0 ? `${words.join(', ')} and ${last}` : last;
  return `The ${text} ${noun}${many(list) ? 's' : ''}`;
}

/** Places after “at”: the left front, all four wheels, the front and rear axle. */
function atPlaces(list: readonly (Wheel | Axle)[]): string {
  const [first] = list;
  if (list.length === 1 && first) return `the ${places[first]}`;
  return list.some((where) => where === 'front' || where === 'rear')
    ? 'both axles'
    : lower(placed(list, 'wheel'));
}

const verdict: VerdictTexts = {
  healthy: 'This tread fits a car with nothing out.',
  seen(seen, isMeasured) {
    const then = isMeasured
      ? 'The angles are in order today: look at joints and bushings before new tires go on.'
      : 'Whatever did that will do it to the next tire: measure the alignment before fitting.';
    switch (seen.kind) {
      case 'edge':
        return `The ${places[seen.where]} tire is worn on its ${seen.rib} edge, and no single cause stands out. ${then}`;
      case 'saw':
        return `Both ${seen.where} tires feel like a saw in the same direction, which is how toe wear begins. ${isMeasured ? then : 'Measure the alignment.'}`;
      case 'across':
        return `The ${places[seen.lower]} tire has worn more than the one beside it, and no single cause stands out. ${then}`;
      case 'shoulders':
        return `The ${places[seen.where]} tire is worn on both shoulders, and no single cause stands out. Check its pressure, and ask how the car is driven.`;
      case 'centre':
        return `The ${places[seen.where]} tire is worn in the centre, and no single cause stands out. Check its pressure.`;
      case 'waves':
        return `The ${places[seen.where]} tire has heavy waves: look at its damper and balance the wheel.`;
    }
  },
  oddReading: (wheel, rib) =>
    `The ${places[wheel]} ${rib} reading does not fit the others. Read it again before deciding.`,
  unread: (wheel, rib) =>
    `The ${places[wheel]} ${rib} rib was not read, and the rest of that tire is uneven. Read it before deciding: an edge that cannot be read may be gone.`,
  foundOut: 'The tread shows nothing out, but an angle measured today is outside its limits.',
  oneIsOut: 'No single cause stands out, but one of the angles may well be out.',
  pulls: (angle, to) =>
    `The tread shows nothing out, but the front ${angle} measured today pulls the car to the ${to}.`,
  hardlyWorn: 'The tires have worn too little to tell.',
  noneStandsOut: 'No cause stands out.',
  likeliest: (cause, where, chance) =>
    `The likeliest fault is ${lower(causes[cause])} at the ${places[where]}, at ${chance}.`,
  eats: (angle, wheel, rib) =>
    `${angle === 'camber' ? 'Camber' : 'Toe'} is eating the ${rib} edge of the ${places[wheel]} tire.`,
  outsideLimits: (chance) => `Chance that it is outside its limits: ${chance}.`,
  unclear: (cause, where) =>
    `Not clear yet. The best guess is ${lower(causes[cause])} at the ${places[where]}.`,
  happened(cause, list, isOutright) {
    const { what, eating } = said(cause, list);
    if (isOutright) return { what, eating: eating && `That is eating ${eating}.` };
    return {
      what: `It looks as if ${lower(what).replace('That is', 'That would be')}`,
      eating: eating && `That would be eating ${eating}.`,
    };
  },
  scrubs: 'That scrubs rubber off the whole tread.',
  carried: (tires) =>
    tires.length === WHEEL_ORDER.length
      ? 'The tires have changed places since, so all four carry it.'
      : `The ${tires.length > 1 ? 'tires it wore are' : 'tire it wore is'} at ${atPlaces(tires)} now.`,
  also: (kinds) =>
    `Also likely: ${kinds
      .map(
        (kind) =>
          `${lower(causes[kind.cause])} (${kind.places.map((where) => places[where]).join(', ')})`,
      )
      .join('; ')}.`,
  toe: (mean, sd, low, high) =>
    `About ${mean} in total, give or take ${sd}, where ${low} to ${high} is fine.`,
  camber: (mean, sd, low, high) =>
    `About ${mean} of camber, give or take ${sd}, where ${low} to ${high} is fine.`,
  pressure: (off, sd) =>
    `On average about ${Math.abs(off)} % ${off < 0 ? 'below' : 'above'} the placard, give or take ${sd} %.`,
  took: (part, total, unit) =>
    `It took ${part} of the ${total} ${unit === 'mm' ? 'mm' : '32nds'} lost at the worst rib.`,
};

function said(
  cause: Cause,
  list: readonly (Wheel | Axle)[],
): { what: string; eating: string | null } {
  const axle = list[0] === 'rear' ? 'rear' : 'front';
  const edges = many(list) ? 'edges' : 'edge';
  switch (cause) {
    case 'toeTooFarIn':
      return { what: `The ${axle} wheels have been toeing in.`, eating: 'both outer edges' };
    case 'toeTooFarOut':
      return { what: `The ${axle} wheels have been toeing out.`, eating: 'both inner edges' };
    case 'camberTooNegative':
      return {
        what: `${placed(list, 'wheel')} ${many(list) ? 'lean' : 'leans'} in at the top.`,
        eating: `the inner ${edges}`,
      };
    case 'camberTooPositive':
      return {
        what: `${placed(list, 'wheel')} ${many(list) ? 'lean' : 'leans'} out at the top.`,
        eating: `the outer ${edges}`,
      };
    case 'pressureLow':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'have' : 'has'} run too soft.`,
        eating: 'both shoulders',
      };
    case 'pressureHigh':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'have' : 'has'} run too hard.`,
        eating: 'the centre',
      };
    case 'bounce':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'have' : 'has'} been bouncing. A worn damper or poor balance leaves waves.`,
        eating: null,
      };
    case 'looseness':
      return {
        what: `Something in the ${axle} axle is loose and lets the wheels wander.`,
        eating: null,
      };
    case 'hardCornering':
      return {
        what: 'Hard cornering is eating the front outer shoulders. That is driving, not a fault of the car.',
        eating: null,
      };
  }
}

const PLAY = { none: 'No play', some: 'Some play', excessive: 'Too much play' } as const;
const WAVES = { none: 'No waves', some: 'Some waves', heavy: 'Heavy waves' } as const;

const reasons: ReasonTexts = {
  ranThere: (place, now) => `The ${places[place]} tire has moved to the ${places[now]}.`,
  edgeLower: (edge, by) =>
    `The ${edge} edge is ${by} lower than the ${edge === 'outer' ? 'inner' : 'outer'} one.`,
  edgeNotLower: (edge) =>
    `The ${edge} edge is not clearly lower than the ${edge === 'outer' ? 'inner' : 'outer'} one.`,
  neighbourDiffers: 'The tire across the axle does not slope like it, and toe would show on both.',
  neighbourAlike: 'The tire across the axle slopes the same way, as toe would leave it.',
  feathered: 'The ribs are feathered, which camber alone does not do.',
  smoothSlope: 'The slope is smooth under the hand, not feathered.',
  camberMeasured: (value, low, high) =>
    `Camber measured ${value}°, where ${low}° to ${high}° is fine.`,
  standsLower: 'The car sits lower than it was built, which turns camber negative.',
  bothEdgesLower: (edge, left, right) =>
    `Both ${edge} edges are lower, by ${left} left and ${right} right.`,
  edgesNotBoth: (edge) => `The ${edge} edges are not both lower, and toe shows on both tires.`,
  catches: (wheel, isOut) =>
    `The ${places[wheel]} catches under the hand moving ${isOut ? 'out' : 'in'}.`,
  isSmooth: (wheel) => `The ${places[wheel]} is smooth under the hand.`,
  catchesOther: (wheel) => `The ${places[wheel]} catches the other way.`,
  toeMeasured: (value, low, high) =>
    `Total toe measured ${value}°, where ${low}° to ${high}° is fine.`,
  crownLower: (isHigh, by) =>
    isHigh
      ? `The centre is ${by} lower than the shoulders.`
      : `The shoulders are ${by} lower than the centre.`,
  crownNotLower: (isHigh) =>
    isHigh
      ? 'The centre is not clearly lower than the shoulders.'
      : 'The shoulders are not clearly lower than the centre.',
  atPlacard: 'Found at the placard pressure.',
  offPlacard: (off) => `Found ${Math.abs(off)} % ${off < 0 ? 'below' : 'above'} the placard.`,
  play: (wheel, finding) => `${PLAY[finding]} found at the ${places[wheel]}.`,
  woreFast: (own, other) =>
    `Both tires of the axle wore fast: ${own} each 10,000 km, against ${other} on the other axle.`,
  saysWanders: 'The driver says it wanders.',
  toeStandsIn: 'Toe is within limits on the rig, so what looks like toe may be play.',
  waves: (cupping) => `${WAVES[cupping]} felt along the tread.`,
  placesDiffer: (by) => `Places round the tire differ by ${by}.`,
  reports: (complaint) => `The driver reports ${complaint}.`,
  bothFrontOuterLower: 'Both front outer edges are lower than the inner ones.',
  smoothSoNotToe: 'They are smooth under the hand, so toe did not do it.',
  frontOuterNotBoth: 'The front outer edges are not both lower.',
  usedFor: (use) => `The car is used for ${use}.`,
};

const advice: AdviceTexts = {
  cause: (cause, list, chance) => `${causes[cause]} at ${atPlaces(list)}: ${chance} likely.`,
  partsFirst: 'Parts first: an alignment on loose joints does not hold.',
  lookUnder:
    'The angles measured today are in order, so look for what moves them on the road: rod ends, bushings, bearings, a bent arm.',
  dampersFirst: 'Dampers and balance before the alignment: a new strut moves the camber.',
  alignedLately:
    'The car was aligned after most of this wear. Four alignments in five hold, so its angles are probably in order again.',
  bentFirst:
    'It started after a kerb or a pothole: look for a bent wheel, arm or strut before anything is set.',
  playFound: (wheels) =>
    `Excessive play was found at the ${wheels.map((wheel) => places[wheel]).join(', ')}: not safe to drive until it is repaired.`,
  somePlay: (wheels) =>
    `Some play was found at the ${wheels.map((wheel) => places[wheel]).join(', ')}: check it against the maker’s limit.`,
  wavesFelt: (wheels) =>
    `Waves were felt at the ${wheels.map((wheel) => places[wheel]).join(', ')}, too slight to blame a damper: check again at the next visit.`,
  pressureFound: (wheels) =>
    `Off the placard today: ${wheels.map((wheel) => places[wheel]).join(', ')}. Set the pressure, and look for a leak where it is low.`,
  handling:
    'The tread does not explain how the driver says the car handles: measure the alignment.',
  shaking:
    'The driver feels a vibration, and the tires can stay: balance the wheels first, and look for a bent wheel, a flat spot or a weak damper.',
  pull: (angle, by, to) =>
    `Front ${angle} differs by ${by}° from left to right, which pulls the car to the ${to}: set both sides alike.`,
  unexplained: {
    pull: 'The driver feels a pull, but the angles measured today are in order: swap the two front tires. If the pull changes side, it is a tire; if it stays, check the brakes.',
    wheelOff:
      'The angles measured today are in order, but the steering wheel is off: set it straight with both tie rods.',
    wander:
      'The driver says it wanders, but the angles measured today are in order: check joints, bushings and caster.',
    noReturn:
      'The driver says the steering does not return, but camber and toe are in order today: check the caster, and look for a joint or a strut mount that binds.',
  },
  hardlyWorn:
    'The tires have hardly worn yet, so the tread says little: read it again at the next visit.',
  foundOut:
    'An angle measured today is outside its limits, but the tread does not show it: measure it again before anything is set.',
  foundOutLately:
    'An angle measured today is outside its limits. It has not worn the tread yet, but it will: set it.',
  unsafe: (wheels) => `Not safe to drive on: ${wheels.map((wheel) => places[wheel]).join(', ')}.`,
  atLimit: (wheels) =>
    `At or below the legal limit: ${wheels.map((wheel) => places[wheel]).join(', ')}.`,
  oneIsOut: (chance) =>
    `No single angle stands out, but one of them is ${chance} likely to be out.`,
  oneIsLoose: (chance) =>
    `A joint on one of the axles is ${chance} likely to be loose: check them first, since an alignment on loose joints does not hold.`,
  heightChanged:
    'The car sits higher or lower than it was built, so its angles have moved: align it.',
  heightLookFirst:
    'Look first at what else has moved: ball joints and drive shafts at a steeper angle, bump stops, brake hoses, and room for the wheels at full lock and full travel.',
  newParts: 'New suspension parts since the last alignment: the angles have moved, so align it.',
  leftAlone: 'Not likely enough to pay for work now: read the tread again at the next visit.',
  nothingToSet: 'The angles measured today are in order, so there is nothing to set.',
  nothingOut: 'The tread looks like that of a car with nothing out.',
  parts: {
    looseness: 'Rod ends, bushings and bearings',
    bounce: 'Damper or wheel balance',
  },
  partWhy: (chance) => `${chance} likely, from the tread`,
  chance: { under: 'under 1 %', over: 'over 99 %', range: (low, high) => `${low} to ${high}` },
};

export const ENGLISH: Texts = {
  language: 'en',
  locale: 'en',
  causes,
  places,
  ribs: { inner: 'inner', centre: 'centre', outer: 'outer' },
  sides: { left: 'left', right: 'right' },
  sure: [
    'Almost certain',
    'Very likely',
    'Likely',
    'As likely as not',
    'Possible',
    'Unlikely',
    'Very unlikely',
  ],
  inHundred: {
    under: 'under 1 in 100',
    over: 'over 99 in 100',
    of: (n) => `${n} in 100`,
  },
  actions: {
    fitOnly: 'Fit the new tires, nothing else is needed',
    checkAlignment: 'Have the alignment checked before new tires go on',
    align: 'Align before new tires go on',
    partsThenAlign: 'Worn parts first, then align, then new tires',
    inflateAndWatch: 'Set the pressures and watch them',
    balanceOrDampers: 'Balance the wheels and look at the dampers before new tires go on',
  },
  actionsAlone: {
    fitOnly: 'Nothing needs doing now',
    checkAlignment: 'Have the alignment checked',
    align: 'Align the wheels',
    partsThenAlign: 'Worn parts first, then align',
    inflateAndWatch: 'Set the pressures and watch them',
    balanceOrDampers: 'Balance the wheels and look at the dampers',
  },
  dampersThen: {
    checkAlignment: 'Dampers and balance first, then have the alignment checked',
    align: 'Dampers and balance first, then align',
    partsThenAlign: 'Worn parts and dampers first, then align',
  },
  thenTires: ', then new tires',
  verdict,
  reasons,
  advice,
};
