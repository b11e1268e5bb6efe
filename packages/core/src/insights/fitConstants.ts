import type { ShopConstants } from '@keen/contract';
import type { CarTrait, FaultKind } from '@keen/contract/words';
import { CAR_TRAITS, FAULT_KINDS } from '@keen/contract/words';
import type { CarEvidence } from '../engine/diagnosis/carEvidence.ts';
import { USUAL_CONSTANTS } from '../engine/diagnosis/usualConstants.ts';
import { eigenOf, inverseOf } from '../engine/math/smallMatrix.ts';
import { lineKey } from '../visit/constantsFor.ts';
import { meanOver } from './interval.ts';
import type { Mean } from './interval.ts';
import { fitPopulation, logMarginal } from './population.ts';
import type { Member, Population } from './population.ts';

/** What one car of the shop says, and the line of its tires as it was typed; null where they are not of one. */
export interface ShopCar {
  evidence: CarEvidence;
  line: string | null;
}

/** A figure that was learned, with its standard deviation. */
export interface LearnedFigure {
  value: number;
  sd: number;
}

/** What a shop's own cars teach of its constants. */
export interface FittedConstants {
  constants: ShopConstants;
  /** How well each mean is known. */
  traits: Record<CarTrait, LearnedFigure>;
  faultRates: Record<FaultKind, LearnedFigure>;
  /** Tire lines with how many cars; most cars first. */
  lines: { line: string; cars: number; rate: LearnedFigure }[];
  cars: number;
  /** The part of what was learned that is used, 0 to 1: as much as fits cars best that were not learned from. */
  used: number;
  /**
   * How much likelier what is read of a car is with them than with the usual, ln, on cars that they were not
   * learned from. Above zero they help.
   */
  gain: Mean;
}

/** Fewer cars than this teach nothing. */
export const LEAST_CARS_TO_LEARN = 30;
/** The mean of a shop is held to lie within this part of the spread from car to car, standard deviation. */
const SHOP_SPREAD = 0.5;
/** A spread is worth so many cars before any is seen. */
const SPREAD_CARS = 40;
/** So are the rates of faults. */
const RATE_CARS = 40;
/** Lines of tires differ by this, ln of wear (common practice, no source). */
const LINE_SD = 0.12;
/** Parts of what was learned that are tried on cars that were not learned from, none first. */
const PARTS = [0, 0.25, 0.5, 0.75, 1];
const FOLDS = 5;
const MOST_RATE = 0.64;
const LEAST_RATE = 0.002;
const MOST_ROUNDS = 500;
/** Spreads do not grow beyond this multiple of the usual, nor shrink below the other. */
const SPREAD_RANGE = { least: 0.5, most: 1.6 } as const;

/**
 * Learns a shop's constants from its cars. What the cars were read by is taken out again, what is left is each
 * car's own likelihood, and the shop's means, spreads and rates are fitted to all of them, drawn towards the
 * usual. Traits and faults are fitted apart, though a shop of round tires looks like one of hard drivers: so the
 * cars are read twice, the second time by what the first taught.
 * @param cars - one visit each, as cars count once
 * @param readBy - the constants that they were read by
 * @throws {RangeError} for fewer cars than {@link LEAST_CARS_TO_LEARN}
 */
export function fitConstants(
  cars: readonly ShopCar[],
  readBy: ShopConstants = USUAL_CONSTANTS,
): FittedConstants {
  if (cars.length < LEAST_CARS_TO_LEARN) {
    throw new RangeError(`${LEAST_CARS_TO_LEARN} cars or more are needed`);
  }
  const learned = learn(cars, readBy);
  const folds = Array.from({ length: FOLDS }, (_, fold) =>
    learn(
      cars.filter((_car, i) => i % FOLDS !== fold),
      readBy,
    ),
  );
  const gainWith = (part: number) => {
    const drawn = folds.map((fold) => drawnBack(fold, part));
    return meanOver(cars.map((car, i) => gainOf(car, drawn[i % FOLDS]!, readBy)));
  };
  const { used, gain } = PARTS.map((part) => ({ used: part, gain: gainWith(part) })).reduce(
    (best, one) => (one.gain.mean > best.gain.mean ? one : best),
  );
  const { population, rates, lines } = learned;
  const traits = byKey(CAR_TRAITS, (_, i) => ({
    value: population.mean[i]!,
    sd: population.meanSd[i]!,
  }));
  return {
    constants: constantsOf(drawnBack(learned, used)),
    used,
    traits,
    faultRates: rates,
    lines: lines.map((key, at) => {
      const fitted = cars.flatMap(({ line }) =>
        line !== null && lineKey(line) === key ? [line] : [],
      );
      return { line: fitted[0]!, cars: fitted.length, rate: figureOf(population.group[at]!) };
    }),
    cars: cars.length,
    gain,
  };
}

interface Learned {
  population: Population;
  rates: Record<FaultKind, LearnedFigure>;
  lines: string[];
}

function learn(cars: readonly ShopCar[], readBy: ShopConstants): Learned {
  const lines = linesOf(cars);
  const usual = CAR_TRAITS.map((trait) => USUAL_CONSTANTS.traits[trait].sd);
  const population = fitPopulation(
    cars.map((car) => memberOf(car, lines, readBy)),
    {
      sd: usual,
      degrees: SPREAD_CARS,
      meanSd: usual.map((sd) => SHOP_SPREAD * sd),
      groups: lines.length,
      groupSd: LINE_SD,
    },
  );
  return {
    population: {
      ...population,
      sd: population.sd.map((sd, i) =>
        Math.min(SPREAD_RANGE.most * usual[i]!, Math.max(SPREAD_RANGE.least * usual[i]!, sd)),
      ),
    },
    rates: byKey(FAULT_KINDS, (kind) => rateOf(cars, kind, readBy)),
    lines,
  };
}

/** Keys of lines of more than one car, most cars first. */
function linesOf(cars: readonly ShopCar[]): string[] {
  const counts = new Map<string, number>();
  for (const { line } of cars) {
    if (line !== null) counts.set(lineKey(line), (counts.get(lineKey(line)) ?? 0) + 1);
  }
  return [...counts]
    .filter(([, count]) => count > 1)
    .toSorted(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))
    .map(([key]) => key);
}

/**
 * A car's own likelihood of its traits: what was said of it less what was held before. Where a finite number of
 * draws knows less of some mix of traits than was known before, the car says nothing of it.
 */
function memberOf(
  { evidence, line }: ShopCar,
  lines: readonly string[],
  { traits }: ShopConstants,
): Member {
  const held = CAR_TRAITS.map((trait) => traits[trait]);
  const size = held.length;
  // In units of the spreads held before, so that what was held is one everywhere.
  const scaled = inverseOf(
    held.map(({ sd }, i) =>
      held.map((other, j) => evidence.covariance[size * i + j]! / (sd * other.sd)),
    ),
  );
  const { values, vectors } = eigenOf(scaled);
  const own = values.map((value) => Math.max(0, value - 1));
  const group = line === null ? -1 : lines.indexOf(lineKey(line));
  return {
    linear: held.map(({ mean, sd }, i) => {
      const said = scaled[i]!.reduce(
        (sum, value, j) => sum + (value * evidence.mean[j]!) / held[j]!.sd,
        0,
      );
      return (said - mean / sd) / sd;
    }),
    precision: held.map(({ sd }, i) =>
      held.map(
        (other, j) =>
          own.reduce((sum, value, k) => sum + value * vectors[i]![k]! * vectors[j]![k]!, 0) /
          (sd * other.sd),
      ),
    ),
    weight: evidence.weight,
    group: group < 0 ? null : group,
  };
}

/**
 * The rate of a kind of fault among the shop's cars. A car's chance is its prior's odds times what the reading
 * said; with another rate the odds change and what the reading said stays. Found by expectation and
 * maximization with a beta prior about the usual.
 */
function rateOf(
  cars: readonly ShopCar[],
  kind: FaultKind,
  { faultRates }: ShopConstants,
): LearnedFigure {
  const usual = USUAL_CONSTANTS.faultRates[kind];
  const told = cars.map(({ evidence }) => {
    const { chance, prior } = evidence.faults[kind];
    return { ratio: odds(chance) / odds(prior), factor: prior / faultRates[kind] };
  });
  const exposure = told.reduce((sum, { factor }) => sum + factor, 0);
  let rate: number = usual;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const there = told.reduce((sum, one) => sum + chanceAt(rate, one), 0);
    const next = clampRate((usual * RATE_CARS + there) / (RATE_CARS + exposure));
    const change = Math.abs(next - rate);
    rate = next;
    if (change < 1e-7) break;
  }
  // Observed information of the log posterior.
  let information = (usual * RATE_CARS) / rate ** 2 + ((1 - usual) * RATE_CARS) / (1 - rate) ** 2;
  for (const { ratio, factor } of told) {
    const prior = Math.min(MOST_RATE, rate * factor);
    const slope = (factor * (ratio - 1)) / (1 - prior + prior * ratio);
    information += slope * slope;
  }
  return { value: rate, sd: 1 / Math.sqrt(information) };
}

function chanceAt(rate: number, { ratio, factor }: { ratio: number; factor: number }): number {
  const prior = Math.min(MOST_RATE, rate * factor);
  return (prior * ratio) / (1 - prior + prior * ratio);
}

/** How much likelier a car's reading is, ln, than with the usual. */
function gainOf(
  car: ShopCar,
  { population, rates, lines }: Learned,
  readBy: ShopConstants,
): number {
  const member = memberOf(car, lines, readBy);
  const moved = member.group === null ? 0 : population.group[member.group]!.mean;
  const centre = population.mean.map((value, i) => value + (i === 0 ? moved : 0));
  const usual = CAR_TRAITS.map((trait) => USUAL_CONSTANTS.traits[trait].sd);
  const traits =
    logMarginal(member, centre, population.sd) -
    logMarginal(
      member,
      usual.map(() => 0),
      usual,
    );
  const faults = FAULT_KINDS.reduce((sum, kind) => {
    const { chance, prior } = car.evidence.faults[kind];
    const ratio = odds(chance) / odds(prior);
    const at = (rate: number) => Math.min(MOST_RATE, (rate * prior) / readBy.faultRates[kind]);
    const likely = (rate: number) => 1 - at(rate) + at(rate) * ratio;
    return sum + Math.log(likely(rates[kind].value) / likely(USUAL_CONSTANTS.faultRates[kind]));
  }, 0);
  return car.evidence.weight * traits + faults;
}

function figureOf({ mean, sd }: { mean: number; sd: number }): LearnedFigure {
  return { value: mean, sd };
}

/** A part of the way from the usual constants to those that were learned. */
function drawnBack({ population, rates, lines }: Learned, part: number): Learned {
  return {
    lines,
    population: {
      ...population,
      mean: population.mean.map((mean) => part * mean),
      sd: population.sd.map((sd, i) => {
        const usual = USUAL_CONSTANTS.traits[CAR_TRAITS[i]!].sd;
        return usual * (sd / usual) ** part;
      }),
      group: population.group.map(({ mean, sd }) => ({ mean: part * mean, sd })),
    },
    rates: byKey(FAULT_KINDS, (kind) => {
      const usual = odds(USUAL_CONSTANTS.faultRates[kind]);
      const drawn = usual * (odds(rates[kind].value) / usual) ** part;
      return { ...rates[kind], value: drawn / (1 + drawn) };
    }),
  };
}

function constantsOf({ population, rates }: Learned): ShopConstants {
  const round = (value: number) => Number(value.toFixed(4));
  return {
    traits: byKey(CAR_TRAITS, (_, i) => ({
      mean: round(population.mean[i]!),
      sd: round(population.sd[i]!),
    })),
    faultRates: byKey(FAULT_KINDS, (kind) => round(rates[kind].value)),
  };
}

function odds(chance: number): number {
  return chance / (1 - chance);
}

function clampRate(rate: number): number {
  return Math.min(MOST_RATE, Math.max(LEAST_RATE, rate));
}

function byKey<Key extends string, Value>(
  keys: readonly Key[],
  make: (key: Key, index: number) => Value,
): Record<Key, Value> {
  return Object.fromEntries(keys.map((key, i) => [key, make(key, i)])) as Record<Key, Value>;
}
