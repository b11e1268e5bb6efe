import type {
  Action,
  Axle,
  Cause,
  DepthUnit,
  Language,
  Rib,
  Side,
  Wheel,
} from '@keen/contract/words';
import type { Unexplained } from '../engine/diagnosis/plainFacts.ts';
import type { SeenWear } from '../engine/diagnosis/treadSeen.ts';

/**
 * Everything that is said to a customer, in one language. Sentences are whole, since what comes between
 * their parts differs from language to language; what they are about comes from the computation.
 */

/** Bands of sureness, the surest first; they keep to the same chances everywhere. */
export const SURE_BANDS = [0.97, 0.85, 0.6, 0.45, 0.2, 0.05, 0] as const;

export interface VerdictTexts {
  healthy: string;
  /** Wear that anyone can see and no known cause explains well. @param isMeasured - whether a rig found the angles in order */
  seen(seen: SeenWear, isMeasured: boolean): string;
  /** A reading that is likely wrong, where nothing else is to be said. */
  oddReading(wheel: Wheel, rib: Rib): string;
  /** An edge that was not read, on a tire that is uneven as far as it was. */
  unread(wheel: Wheel, rib: Rib): string;
  /** Nothing in the tread, but an angle is out on the rig. */
  foundOut: string;
  /** No cause is likely, but that some angle is out is. */
  oneIsOut: string;
  /** A difference from side to side that was measured today, and nothing else. */
  pulls(angle: 'camber' | 'caster', to: Side): string;
  hardlyWorn: string;
  noneStandsOut: string;
  likeliest(cause: Cause, where: Wheel | Axle, chance: string): string;
  unclear(cause: Cause, where: Wheel | Axle): string;
  /** An angle that made the wear one sees, whether or not it is out. */
  eats(angle: 'camber' | 'toe', wheel: Wheel, rib: Rib): string;
  /** How likely that angle is outside its limits, as a sentence. */
  outsideLimits(chance: string): string;
  /**
   * What happened, and what it is eating; no surer than the chance behind it.
   * @param isOutright - whether it is said outright, or as what it looks like
   */
  happened(
    cause: Cause,
    places: readonly (Wheel | Axle)[],
    isOutright: boolean,
  ): { what: string; eating: string | null };
  /** Toe that has worn the whole tread. */
  scrubs: string;
  also(kinds: readonly { cause: Cause; places: readonly (Wheel | Axle)[] }[]): string;
  /** All four in degrees as text. */
  toe(mean: string, sd: string, low: string, high: string): string;
  camber(mean: string, sd: string, low: string, high: string): string;
  /** Percent off the placard. */
  pressure(off: number, sd: number): string;
  /** Where the tires are now that carry the wear of the headline, if they have been moved since. */
  carried(tires: readonly Wheel[]): string;
  /** Of the worst rib. */
  took(part: string, total: string, unit: DepthUnit): string;
}

export interface ReasonTexts {
  /** A tire that has been moved since it wore. */
  ranThere(place: Wheel, now: Wheel): string;
  edgeLower(edge: Rib, by: string): string;
  edgeNotLower(edge: Rib): string;
  neighbourDiffers: string;
  neighbourAlike: string;
  feathered: string;
  smoothSlope: string;
  camberMeasured(value: string, low: string, high: string): string;
  standsLower: string;
  bothEdgesLower(edge: Rib, left: string, right: string): string;
  edgesNotBoth(edge: Rib): string;
  catches(wheel: Wheel, isOut: boolean): string;
  isSmooth(wheel: Wheel): string;
  catchesOther(wheel: Wheel): string;
  toeMeasured(value: string, low: string, high: string): string;
  crownLower(isHigh: boolean, by: string): string;
  crownNotLower(isHigh: boolean): string;
  atPlacard: string;
  /** Percent, negative below. */
  offPlacard(off: number): string;
  play(wheel: Wheel, finding: 'none' | 'some' | 'excessive'): string;
  woreFast(own: string, other: string): string;
  saysWanders: string;
  toeStandsIn: string;
  waves(cupping: 'none' | 'some' | 'heavy'): string;
  placesDiffer(by: string): string;
  reports(complaint: 'vibration' | 'noise'): string;
  bothFrontOuterLower: string;
  smoothSoNotToe: string;
  frontOuterNotBoth: string;
  usedFor(use: 'track' | 'drift'): string;
}

/** Why the advice is what it is; chances come as text: 71 %. */
export interface AdviceTexts {
  cause(cause: Cause, list: readonly (Wheel | Axle)[], chance: string): string;
  partsFirst: string;
  /** One-sided wear, with every angle in order on the rig today. */
  lookUnder: string;
  /** Waves, on a car whose angles are to be set as well. */
  dampersFirst: string;
  /** Aligned after most of the wear, and not measured since. */
  alignedLately: string;
  /** The trouble began with a kerb or a pothole. */
  bentFirst: string;
  /** Excessive play found by hand. */
  playFound(wheels: readonly Wheel[]): string;
  /** Play short of excessive, where no joint is likely to be loose. */
  somePlay(wheels: readonly Wheel[]): string;
  /** Waves under the hand, where no damper is likely behind them. */
  wavesFelt(wheels: readonly Wheel[]): string;
  /** Off the placard today. */
  pressureFound(wheels: readonly Wheel[]): string;
  /** A pull, a crooked wheel or wander that no cause explains. */
  handling: string;
  /** A vibration on tires that stay. */
  shaking: string;
  /** A front angle that differs between the sides, by degrees, and pulls the car as the driver says. */
  pull(angle: 'camber' | 'caster', by: string, to: Side): string;
  /** How it handles, though every angle is in order today. */
  unexplained: Record<Unexplained, string>;
  /** No rib has lost enough to tell. */
  hardlyWorn: string;
  /** Out on the rig today, which the tread does not show. */
  foundOut: string;
  /** Out on the rig today, and likely only since lately. */
  foundOutLately: string;
  unsafe(wheels: readonly Wheel[]): string;
  atLimit(wheels: readonly Wheel[]): string;
  /** No single angle stands out, but one of them may be out. */
  oneIsOut(chance: string): string;
  /** No axle stands out, but one of its joints may be worn. */
  oneIsLoose(chance: string): string;
  heightChanged: string;
  heightLookFirst: string;
  newParts: string;
  /** A cause is named that no work is advised for. */
  leftAlone: string;
  /** Angles are named that a rig has found in order today. */
  nothingToSet: string;
  nothingOut: string;
  /** Parts to look at. */
  parts: Record<'looseness' | 'bounce', string>;
  partWhy(chance: string): string;
  chance: { under: string; over: string; range(low: string, high: string): string };
}

export interface Texts {
  language: Language;
  /** For numbers, money and dates. */
  locale: string;
  causes: Record<Cause, string>;
  /** A wheel or an axle, as it stands in a list. */
  places: Record<Wheel | Axle, string>;
  ribs: Record<Rib, string>;
  sides: Record<Side, string>;
  /** One for each of SURE_BANDS. */
  sure: readonly [string, string, string, string, string, string, string];
  inHundred: { under: string; over: string; of(n: number): string };
  /** What to do before new tires go on. */
  actions: Record<Action, string>;
  /** The same where the tires stay on. */
  actionsAlone: Record<Action, string>;
  /** Courses that set the angles where dampers and balance come first, and what ends them where new tires go on. */
  dampersThen: Partial<Record<Action, string>>;
  thenTires: string;
  verdict: VerdictTexts;
  reasons: ReasonTexts;
  advice: AdviceTexts;
}

/** A number in a language's own writing, with a real minus. */
export function numberIn(texts: Pick<Texts, 'locale'>, value: number, digits: number): string {
  const text = Math.abs(value).toLocaleString(texts.locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  });
  return value < 0 ? `−${text}` : text;
}

/** A depth with its unit: 4.1 mm, 5.2/32 in. */
export function depthIn(texts: Pick<Texts, 'locale'>, value: number, unit: DepthUnit): string {
  const text = numberIn(texts, value, 1);
  return unit === 'mm' ? `${text} mm` : `${text}/32 in`;
}

/** How sure, in words that keep to the same bands everywhere. */
export function sureIn({ sure }: Texts, probability: number): string {
  return sure[SURE_BANDS.findIndex((from) => probability >= from)]!;
}

/** A probability as people say it: never 0 or 100. */
export function hundredIn({ inHundred }: Texts, probability: number): string {
  const rounded = Math.round(probability * 100);
  if (rounded <= 0) return inHundred.under;
  return rounded >= 100 ? inHundred.over : inHundred.of(rounded);
}
