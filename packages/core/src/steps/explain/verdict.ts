import type { CaseFile, Diagnosis, RankedCause } from '@keen/contract';
import type { Action, Axle, Cause, DepthUnit, Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { GUESSED_FROM, SAID_FROM } from '../../engine/diagnosis/chooseAction.ts';
import { plainFacts } from '../../engine/diagnosis/plainFacts.ts';
import { standsAlone, treadSeen } from '../../engine/diagnosis/treadSeen.ts';
import { tiresWornAt } from '../../engine/wear/history.ts';
import { ENGLISH } from '../../words/english.ts';
import type { Texts } from '../../words/texts.ts';
import { hundredIn, numberIn, sureIn } from '../../words/texts.ts';
import { depthFromMm } from '../../engine/units/units.ts';
import { rubberTaken } from './rubberTaken.ts';
import { affectedRibs } from './affectedRibs.ts';

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
  /** The causes it speaks of, most excess first; empty when none is likely enough. */
  causes: RankedCause[];
  /** Whether the tread looks like that of a car with nothing out. */
  isHealthy: boolean;
}

/** Short of it nothing is likeliest to speak of. */
const WORTH_NAMING_FROM = 0.01;
/** From here on it is said outright; below it, as what it looks like. */
const OUTRIGHT_FROM = 0.65;

/**
 * Puts a diagnosis into words, from its own numbers.
 * @param file - the case it was made from, for its tolerances and units
 * @param how - the language it is said in, and the unit of depths; the case's own otherwise
 */
export function verdictOf(
  diagnosis: Diagnosis,
  file: CaseFile,
  how: { texts?: Texts; unit?: DepthUnit } = {},
): Verdict {
  const { texts = ENGLISH, unit = file.units.depth } = how;
  const say = texts.verdict;
  const top = headlineCause(diagnosis.ranked);
  if (!top || top.probability < GUESSED_FROM) {
    const resolved = resolveCase(file);
    const { seen, measured, pull, unread, isHardlyWorn } = plainFacts(resolved);
    const [worst] = seen;
    const [lacking] = unread;
    const odd = diagnosis.oddities?.find(
      ({ kind, where, rib }) =>
        kind === 'reading' && rib && standsAlone(resolved.tires[where as Wheel], rib),
    );
    const [eaten] = odd ? [] : anglesThatEat(diagnosis, file);
    const isOneOut =
      diagnosis.recommendation.codes?.some(({ code }) => code === 'oneIsOut') ?? false;
    const headline = (): string => {
      if (odd?.rib) return say.oddReading(odd.where as Wheel, odd.rib);
      if (eaten) return say.eats(eaten.angle, eaten.wheel, eaten.rib);
      // A tread that is plainly uneven is not one with nothing out, whatever the chances.
      if (worst) return say.seen(worst, measured === 'inOrder');
      if (lacking) return say.unread(lacking.wheel, lacking.rib);
      if (pull) return say.pulls(pull.angle, pull.to);
      if (measured === 'out') return say.foundOut;
      if (isHardlyWorn) return say.hardlyWorn;
      return isOneOut ? say.oneIsOut : say.healthy;
    };
    const likeliest =
      top && top.probability >= WORTH_NAMING_FROM
        ? say.likeliest(top.cause, top.where, hundredIn(texts, top.probability))
        : say.noneStandsOut;
    return {
      headline: headline(),
      sure: eaten ? say.outsideLimits(hundredIn(texts, eaten.probability)) : '',
      // What is likeliest on tires that cannot tell is what is likeliest on any car; waves under the hand tell enough.
      detail: isHardlyWorn || worst?.kind === 'waves' ? '' : likeliest,
      also: '',
      causes: [],
      isHealthy: !worst && !odd && !lacking && !isOneOut && !isHardlyWorn,
    };
  }
  const alike = headlinePlaces(diagnosis.ranked);
  const chance = hundredIn(texts, top.probability);
  const isSaid = top.probability >= SAID_FROM;
  // What made the wear and whether it is out are two questions: the first can be plain, the second open.
  const eaten = isSaid
    ? undefined
    : anglesThatEat(diagnosis, file).find(
        ({ cause, where }) => cause === top.cause && where === top.where,
      );
  return {
    headline: isSaid
      ? headlineOf(top, alike, file, texts)
      : eaten
        ? say.eats(eaten.angle, eaten.wheel, eaten.rib)
        : say.unclear(top.cause, top.where),
    sure: eaten ? say.outsideLimits(chance) : `${sureIn(texts, top.probability)}, ${chance}.`,
    detail: [
      carriedOf(alike, texts),
      estimateOf(diagnosis, file, top, texts),
      tookOf(diagnosis, unit, alike, texts),
    ]
      .filter((sentence) => sentence !== '')
      .join(' '),
    also: alsoOf(diagnosis, alike, texts),
    causes: alike,
    isHealthy: false,
  };
}

/** Less rubber than this is not called eating, mm. */
const EATEN_MM = 0.4;

interface Eaten {
  angle: 'camber' | 'toe';
  wheel: Wheel;
  rib: Rib;
  cause: Cause;
  where: Wheel | Axle;
  /** That the angle is out on that side. */
  probability: number;
}

/** For each edge that one sees worn, the angle that took most of what is uneven there, the worst edge first. */
function anglesThatEat(diagnosis: Diagnosis, file: CaseFile): Eaten[] {
  const resolved = resolveCase(file);
  return treadSeen(resolved).flatMap((seen): Eaten[] => {
    if (seen.kind !== 'edge') return [];
    const { where: wheel, rib } = seen;
    // An edge that a tire brought along says nothing of the wheel that it is on now.
    if (tiresWornAt(resolved, wheel)[0] !== wheel) return [];
    const axle = axleOf(wheel);
    const { camber, toe, pressure, cornering, bounce } = diagnosis.wheels[wheel].wear;
    const uneven = camber + toe + pressure + cornering + bounce;
    const took = Math.max(camber, toe);
    if (took < EATEN_MM || took < uneven / 2) return [];
    const isInner = rib === 'inner';
    if (camber >= toe) {
      const cause = isInner ? 'camberTooNegative' : 'camberTooPositive';
      const probability = diagnosis.wheels[wheel].probability[cause];
      return [{ angle: 'camber', wheel, rib, cause, where: wheel, probability }];
    }
    const cause = isInner ? 'toeTooFarOut' : 'toeTooFarIn';
    const probability = diagnosis.axles[axle].probability[cause];
    return [{ angle: 'toe', wheel, rib, cause, where: axle, probability }];
  });
}

/** The cause that the answer leads with: of those as good as certain the one that took most, else the likeliest. */
export function headlineCause(ranked: readonly RankedCause[]): RankedCause | null {
  return (
    ranked.find((cause) => cause.probability >= SAID_FROM) ??
    ranked.toSorted((a, b) => b.probability - a.probability)[0] ??
    null
  );
}

/** Another place is named with the one that leads from this part of its chance on. */
const NAMED_WITH = 0.75;

/**
 * The places that the headline names: all where its cause is as good as certain, and about as sure as where it
 * leads; that place alone while none is certain, and none where the headline names no cause.
 */
export function headlinePlaces(ranked: readonly RankedCause[]): RankedCause[] {
  const top = headlineCause(ranked);
  if (!top || top.probability < GUESSED_FROM) return [];
  const from = Math.max(SAID_FROM, NAMED_WITH * top.probability);
  const certain = ranked.filter((one) => one.cause === top.cause && one.probability >= from);
  return certain.length > 0 ? certain : [top];
}

/** What is said beside the headline, each kind of cause with its places. */
function alsoOf(diagnosis: Diagnosis, alike: readonly RankedCause[], texts: Texts): string {
  const others = diagnosis.ranked.filter(
    (one) => one.probability >= SAID_FROM && !alike.includes(one),
  );
  if (others.length === 0 || alike.every(({ probability }) => probability < SAID_FROM)) return '';
  return texts.verdict.also(
    [...new Set(others.map(({ cause }) => cause))].map((kind) => ({
      cause: kind,
      places: others.filter(({ cause }) => cause === kind).map(({ where }) => where),
    })),
  );
}

/** What happened, and what it is eating where the readings bear that out. */
function headlineOf(
  { cause, probability }: RankedCause,
  alike: readonly RankedCause[],
  file: CaseFile,
  texts: Texts,
): string {
  const places = alike.map(({ where }) => where);
  const { what, eating } = texts.verdict.happened(cause, places, probability >= OUTRIGHT_FROM);
  if (eating === null) return what;
  if (isLowWhereEaten(alike, file)) return `${what} ${eating}`;
  const isToe = cause === 'toeTooFarIn' || cause === 'toeTooFarOut';
  return isToe ? `${what} ${texts.verdict.scrubs}` : what;
}

/** Less than this is how far readings scatter, mm. */
const LOWER_FROM_MM = 0.2;

/** Whether the ribs that a cause eats are lower, on average, than the others of the same tires. */
function isLowWhereEaten(alike: readonly RankedCause[], file: CaseFile): boolean {
  const { tires } = resolveCase(file);
  const eaten = alike.flatMap(affectedRibs);
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
  return low === null || rest === null || low < rest - LOWER_FROM_MM;
}

function estimateOf(
  diagnosis: Diagnosis,
  file: CaseFile,
  { cause, where }: RankedCause,
  texts: Texts,
): string {
  const { tolerances } = resolveCase(file);
  const degrees = (value: number) => `${numberIn(texts, value, 2)}°`;
  switch (cause) {
    case 'toeTooFarIn':
    case 'toeTooFarOut': {
      const axle = where as Axle;
      const { mean, sd } = diagnosis.axles[axle].totalToe;
      const [low, high] = tolerances.totalToe[axle];
      return texts.verdict.toe(degrees(mean), degrees(sd), degrees(low), degrees(high));
    }
    case 'camberTooNegative':
    case 'camberTooPositive': {
      const wheel = where as Wheel;
      const { mean, sd } = diagnosis.wheels[wheel].camber;
      const [low, high] = tolerances.camber[axleOf(wheel)];
      return texts.verdict.camber(degrees(mean), degrees(sd), degrees(low), degrees(high));
    }
    case 'pressureLow':
    case 'pressureHigh': {
      const { mean, sd } = diagnosis.wheels[where as Wheel].pressureRatio;
      return texts.verdict.pressure(Math.round((mean - 1) * 100), Math.round(sd * 100));
    }
    default:
      return '';
  }
}

/** Where to look for the wear, where the tires have been moved since. */
function carriedOf(alike: readonly RankedCause[], texts: Texts): string {
  const isMoved = alike.some(({ tires }) => tires !== undefined);
  if (!isMoved) return '';
  const carriers = new Set(alike.flatMap(affectedRibs).map(({ wheel }) => wheel));
  return texts.verdict.carried(WHEEL_ORDER.filter((wheel) => carriers.has(wheel)));
}

function tookOf(
  diagnosis: Diagnosis,
  unit: DepthUnit,
  places: readonly RankedCause[],
  texts: Texts,
): string {
  const { partMm, totalMm } = rubberTaken(diagnosis, places);
  if (partMm < 0.05) return '';
  const shown = (mm: number) => numberIn(texts, depthFromMm(mm, unit), 1);
  return texts.verdict.took(shown(partMm), shown(totalMm), unit);
}

/**
 * What to do, in words.
 * @param fitsTires - whether new tires go on afterwards
 */
export function actionWords(action: Action, fitsTires: boolean, texts: Texts = ENGLISH): string {
  return (fitsTires ? texts.actions : texts.actionsAlone)[action];
}

/**
 * A course of work weighed for a car, in words.
 * @param dampersFirst - whether dampers and balance come before any alignment of it
 */
export function courseWords(
  course: Action,
  { fitsTires, dampersFirst }: { fitsTires: boolean; dampersFirst: boolean },
  texts: Texts = ENGLISH,
): string {
  const both = dampersFirst ? texts.dampersThen[course] : undefined;
  if (both === undefined) return actionWords(course, fitsTires, texts);
  return fitsTires ? both + texts.thenTires : both;
}
