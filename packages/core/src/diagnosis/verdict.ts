import type { CaseFile, Diagnosis, RankedCause } from '@keen/contract';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { resolveCase } from '../case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { depthFromMm } from '../units/units.ts';
import { causeWords, sureWords, whereWords } from './causeWords.ts';
import { spokenRibs } from './spokenRibs.ts';

/** The answer as one would say it to the customer. */
export interface Verdict {
  /** One or two short sentences. */
  headline: string;
  /** How sure, in words and number; empty when nothing is out. */
  sure: string;
  /** How much: the estimate with its interval, and what it took. */
  detail: string;
  /** What else is as good as certain, in one sentence; empty when nothing is. */
  also: string;
  /** The causes it speaks of, most excess first; empty when nothing is out. */
  causes: RankedCause[];
}

/** From here on a cause is spoken of as what happened. */
export const SAID_FROM = 0.45;
/** From here on it is said outright; below it, as what it looks like. */
const OUTRIGHT_FROM = 0.65;
/** From here on it is named as the best guess. */
const GUESSED_FROM = 0.2;

/**
 * Puts a diagnosis into words, from its own numbers.
 * @param file - the case it was made from, for its tolerances and units
 */
export function verdictOf(diagnosis: Diagnosis, file: CaseFile): Verdict {
  const top =
    diagnosis.ranked.find((cause) => cause.probability >= SAID_FROM) ??
    diagnosis.ranked.toSorted((a, b) => b.probability - a.probability)[0];
  if (!top || top.probability < GUESSED_FROM) {
    return {
      headline: 'This tread fits a car with nothing out.',
      sure: '',
      detail: top
        ? `The likeliest fault is ${lower(causeWords(top.cause))} at the ${whereWords(top.where)}, at ${inHundred(top.probability)}.`
        : 'No cause stands out.',
      also: '',
      causes: [],
    };
  }
  const alike = top.probability >= SAID_FROM ? sameCause(diagnosis, top) : [top];
  return {
    headline:
      top.probability >= SAID_FROM
        ? hedged(headlineOf(top.cause, alike, file), top.probability)
        : `Not clear yet. The best guess is ${lower(causeWords(top.cause))} at the ${whereWords(top.where)}.`,
    sure: `${sureWords(top.probability)}, ${inHundred(top.probability)}.`,
    detail: detailOf(diagnosis, file, top),
    also: alsoOf(diagnosis, top),
    causes: alike,
  };
}

/** The other places where the same cause is as good as certain, so that one sentence covers them. */
function sameCause(diagnosis: Diagnosis, top: RankedCause): RankedCause[] {
  return diagnosis.ranked.filter(
    (cause) => cause.cause === top.cause && cause.probability >= SAID_FROM,
  );
}

/** Other kinds of cause that are said too, each kind with its places. */
function alsoOf(diagnosis: Diagnosis, top: RankedCause): string {
  const others = diagnosis.ranked.filter(
    ({ cause, probability }) => cause !== top.cause && probability >= SAID_FROM,
  );
  if (others.length === 0 || top.probability < SAID_FROM) return '';
  const kinds = [...new Set(others.map(({ cause }) => cause))].map((kind) => {
    const places = others
      .filter(({ cause }) => cause === kind)
      .map(({ where }) => whereWords(where));
    return `${lower(causeWords(kind))} (${places.join(', ')})`;
  });
  return `Also likely: ${kinds.join('; ')}.`;
}

/** What happened, and what it is eating where the readings bear that out. */
function headlineOf(cause: Cause, alike: readonly RankedCause[], file: CaseFile): string {
  const said = saidAs(cause, alike);
  const [happened, eating] = said.split(' That is eating ');
  if (!happened || !eating || isLowWhereEaten(alike, file)) return said;
  return cause === 'toeTooFarIn' || cause === 'toeTooFarOut'
    ? `${happened} That scrubs rubber off the whole tread.`
    : happened;
}

/** Whether the ribs that a cause eats are lower, on average, than the others of the same tires. */
function isLowWhereEaten(alike: readonly RankedCause[], file: CaseFile): boolean {
  const { tires } = resolveCase(file);
  const eaten = alike.flatMap(spokenRibs);
  const sums = { eaten: [0, 0], other: [0, 0] } as Record<'eaten' | 'other', [number, number]>;
  for (const wheel of new Set(eaten.map((slot) => slot.wheel))) {
    for (const rib of RIBS) {
      const isEaten = eaten.some((slot) => slot.wheel === wheel && slot.rib === rib);
      const sum = sums[isEaten ? 'eaten' : 'other'];
      for (const depth of tires[wheel].readMm[rib]) {
        sum[0] += depth;
        sum[1]++;
      }
    }
  }
  const mean = ([sum, count]: [number, number]) => (count > 0 ? sum / count : null);
  const [low, rest] = [mean(sums.eaten), mean(sums.other)];
  return low === null || rest === null || low < rest;
}

function saidAs(cause: Cause, alike: readonly RankedCause[]): string {
  const places = alike.map(({ where }) => where);
  const axle = places[0] === 'rear' ? 'rear' : 'front';
  switch (cause) {
    case 'toeTooFarIn':
      return `The ${axle} wheels have been toeing in. That is eating both outer edges.`;
    case 'toeTooFarOut':
      return `The ${axle} wheels have been toeing out. That is eating both inner edges.`;
    case 'camberTooNegative':
      return `${wheelsWords(places)} ${many(places) ? 'lean' : 'leans'} in at the top. That is eating the inner ${many(places) ? 'edges' : 'edge'}.`;
    case 'camberTooPositive':
      return `${wheelsWords(places)} ${many(places) ? 'lean' : 'leans'} out at the top. That is eating the outer ${many(places) ? 'edges' : 'edge'}.`;
    case 'pressureLow':
      return `${tiresWords(places)} ${many(places) ? 'have' : 'has'} run too soft. That is eating both shoulders.`;
    case 'pressureHigh':
      return `${tiresWords(places)} ${many(places) ? 'have' : 'has'} run too hard. That is eating the centre.`;
    case 'bounce':
      return `${tiresWords(places)} ${many(places) ? 'have' : 'has'} been bouncing. A worn damper or poor balance leaves waves.`;
    case 'looseness':
      return `Something in the ${axle} axle is loose and lets the wheels wander.`;
    case 'hardCornering':
      return 'Hard cornering is eating the front outer shoulders. That is driving, not a fault of the car.';
  }
}

/** A sentence no surer than the chance behind it. */
function hedged(sentence: string, probability: number): string {
  if (probability >= OUTRIGHT_FROM) return sentence;
  return `It looks as if ${lower(sentence)}`.replace('That is', 'That would be');
}

function many(places: readonly (Wheel | Axle)[]): boolean {
  return places.length > 1;
}

function wheelsWords(places: readonly (Wheel | Axle)[]): string {
  return placesWords(places, 'wheel');
}

function tiresWords(places: readonly (Wheel | Axle)[]): string {
  return placesWords(places, 'tire');
}

function placesWords(places: readonly (Wheel | Axle)[], noun: string): string {
  if (places.length === WHEEL_ORDER.length) return `All four ${noun}s`;
  for (const axle of ['front', 'rear'] as const) {
    const [left, right] = WHEELS_OF_AXLE[axle];
    if (places.length === 2 && places.includes(left) && places.includes(right)) {
      return `Both ${axle} ${noun}s`;
    }
  }
  const words = places.map(whereWords);
  const last = words.pop() ?? '';
  const list = words.length > 0 ? `${words.join(', ')} and ${last}` : last;
  return `The ${list} ${noun}${places.length > 1 ? 's' : ''}`;
}

function detailOf(diagnosis: Diagnosis, file: CaseFile, top: RankedCause): string {
  return [estimateOf(diagnosis, file, top), tookOf(diagnosis, file, top)]
    .filter((sentence) => sentence !== '')
    .join(' ');
}

function estimateOf(diagnosis: Diagnosis, file: CaseFile, { cause, where }: RankedCause): string {
  const { tolerances } = resolveCase(file);
  switch (cause) {
    case 'toeTooFarIn':
    case 'toeTooFarOut': {
      const axle = where as Axle;
      const { mean, sd } = diagnosis.axles[axle].totalToe;
      const [low, high] = tolerances.totalToe[axle];
      return `About ${degrees(mean)} in total, give or take ${plain(sd)}, where ${degrees(low)} to ${degrees(high)} is fine.`;
    }
    case 'camberTooNegative':
    case 'camberTooPositive': {
      const wheel = where as Wheel;
      const { mean, sd } = diagnosis.wheels[wheel].camber;
      const [low, high] = tolerances.camber[axleOf(wheel)];
      return `About ${degrees(mean)} of camber, give or take ${plain(sd)}, where ${degrees(low)} to ${degrees(high)} is fine.`;
    }
    case 'pressureLow':
    case 'pressureHigh': {
      const { mean, sd } = diagnosis.wheels[where as Wheel].pressureRatio;
      const off = Math.round((mean - 1) * 100);
      return `On average about ${Math.abs(off)} % ${off < 0 ? 'below' : 'above'} the placard, give or take ${Math.round(sd * 100)} %.`;
    }
    default:
      return '';
  }
}

function tookOf(diagnosis: Diagnosis, file: CaseFile, { cause, where }: RankedCause): string {
  const wheels: readonly Wheel[] =
    where === 'front' || where === 'rear' ? WHEELS_OF_AXLE[where] : [where];
  const worst = wheels.reduce((a, b) =>
    partOf(diagnosis, b, cause) > partOf(diagnosis, a, cause) ? b : a,
  );
  const took = partOf(diagnosis, worst, cause);
  const { total } = diagnosis.wheels[worst].wear;
  if (took < 0.05) return '';
  const unit = file.units.depth;
  const shown = (mm: number) => depthFromMm(mm, unit).toFixed(1);
  return `It took ${shown(took)} of the ${shown(total)} ${unit === 'mm' ? 'mm' : '32nds'} lost at the worst rib.`;
}

function partOf(diagnosis: Diagnosis, wheel: Wheel, cause: Cause): number {
  const { wear } = diagnosis.wheels[wheel];
  if (cause.startsWith('camber')) return wear.camber;
  if (cause.startsWith('toe') || cause === 'looseness') return wear.toe;
  if (cause.startsWith('pressure')) return wear.pressure;
  return cause === 'bounce' ? wear.bounce : wear.cornering;
}

function degrees(value: number): string {
  const text = Math.abs(value).toFixed(2);
  return `${value < 0 ? '−' : ''}${text}°`;
}

function plain(value: number): string {
  return `${value.toFixed(2)}°`;
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** A probability as people say it: never 0 or 100. */
export function inHundred(probability: number): string {
  const rounded = Math.round(probability * 100);
  if (rounded <= 0) return 'under 1 in 100';
  if (rounded >= 100) return 'over 99 in 100';
  return `${rounded} in 100`;
}

const ACTION_WORDS: Record<Action, string> = {
  fitOnly: 'Fit the new tires, nothing else is needed',
  checkAlignment: 'Have the alignment checked before new tires go on',
  align: 'Align before new tires go on',
  partsThenAlign: 'Worn parts first, then align, then new tires',
  inflateAndWatch: 'Set the pressures and watch them',
  balanceOrDampers: 'Balance the wheels and look at the dampers before new tires go on',
};

/** What to do, in words. */
export function actionWords(action: Action): string {
  return ACTION_WORDS[action];
}
