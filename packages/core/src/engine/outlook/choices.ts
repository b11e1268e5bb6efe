import type { Action, Axle } from '@keen/contract/words';
import { ACTIONS } from '@keen/contract/words';
import type { CourseOutlook, Outlook, Span } from './outlook.ts';

/** What the shop asks, in minor units of its currency. */
export interface WorkPrices {
  /** Measuring all angles, without setting them. */
  check: number;
  /** Measuring and setting all angles. */
  align: number;
  /** Looking the joints through under the car. */
  inspect: number;
  /** A worn joint replaced, with its part: what it usually comes to. */
  parts: number;
  /** Balancing a set, or a pair of dampers where they are worn: what it usually comes to. */
  balance: number;
  /** Setting the pressures. */
  inflate: number;
  /** One new tire fitted, with its disposal, for each axle. */
  tire: Record<Axle, number>;
}

/** What must hold whatever it costs. */
export interface Constraints {
  /** Excessive play was found by hand: parts come before anything else. */
  partsFirst: boolean;
}

/** One course of work with its price. */
export interface Choice {
  course: Action;
  outlook: CourseOutlook;
  /** The work, without tires, as far as it is expected, minor units. */
  workNow: number;
  /** With four new tires, minor units. */
  now: number;
  /** Expected cost of the work and the tires used up for each 1000 km, minor units. */
  perThousandKm: number;
  /** Left out because something unsafe has to come first. */
  isBarred: boolean;
}

export interface Weighing {
  choices: Choice[];
  /** The course of least expected cost among those that are allowed. */
  advised: Choice;
  /** The next best, and what it costs more over the horizon; null when there is none. */
  next: { choice: Choice; dearer: number } | null;
  /** Chance that the advised course really is the cheapest for this car. */
  sure: number;
  /** What knowing whether an angle is out, before deciding, would be worth, minor units. */
  worthOfMeasuring: number;
  /** The distance over which costs are compared, km: what a set lives on a car that was put right. */
  horizonKm: number;
}

const KM_PER_THOUSAND_KM = 1000;
const TIRES_OF_AXLE = 2;

/**
 * Weighs the courses of work against one another in money.
 *
 * For each possible car a course costs its work plus the tires that are used up over the horizon: a pair
 * of an axle for each of its lives that fits in. The advice is the least mean over the possible cars; a
 * course that leaves something unsafe is barred whatever it costs. Measuring is worth what deciding with
 * it known whether an angle is out saves against the best decision without (expected value of sample
 * information, Raiffa and Schlaifer 1961).
 * @throws {RangeError} when no car is possible
 */
export function weigh(outlook: Outlook, prices: WorkPrices, constraints: Constraints): Weighing {
  if (outlook.cars.length === 0) throw new RangeError('no possible car');
  const horizonKm = bestLife(outlook.courses).median;
  const costs = new Map(
    outlook.courses.map((one) => [one.course, costsOf(one, outlook, prices, horizonKm)]),
  );
  const fourTires = TIRES_OF_AXLE * (prices.tire.front + prices.tire.rear);
  const choices = outlook.courses.map((one): Choice => {
    const works = outlook.cars.map((car) => workOf(one.course, car, prices));
    const workNow = mean(works);
    return {
      course: one.course,
      outlook: one,
      workNow,
      now: workNow + fourTires,
      perThousandKm: (mean(costs.get(one.course)!) / horizonKm) * KM_PER_THOUSAND_KM,
      isBarred: constraints.partsFirst && one.course !== 'partsThenAlign',
    };
  });
  const allowed = choices
    .filter(({ isBarred }) => !isBarred)
    .toSorted((a, b) => a.perThousandKm - b.perThousandKm);
  const advised = allowed[0]!;
  const second = allowed[1];
  const of = (choice: Choice) => costs.get(choice.course)!;
  return {
    choices,
    advised,
    next: second ? { choice: second, dearer: mean(of(second)) - mean(of(advised)) } : null,
    sure:
      outlook.cars.filter((_car, i) =>
        allowed.every((other) => of(other)[i]! >= of(advised)[i]! - 1e-9),
      ).length / outlook.cars.length,
    worthOfMeasuring: worthOfMeasuring(outlook, constraints, costs),
    horizonKm,
  };
}

/** What a course costs each possible car over the horizon: its work, and the tires it uses up. */
function costsOf(
  { course, pairsPerKm }: CourseOutlook,
  { cars }: Outlook,
  prices: WorkPrices,
  horizonKm: number,
): number[] {
  return cars.map((car, i) => {
    const tires =
      TIRES_OF_AXLE *
      horizonKm *
      (prices.tire.front * pairsPerKm.front[i]! + prices.tire.rear * pairsPerKm.rear[i]!);
    return workOf(course, car, prices) + tires;
  });
}

/** The work that a course comes to on a car: what is found needless on the way is not done. */
function workOf(
  course: Action,
  { isOut, isLoose }: { isOut: boolean; isLoose: boolean },
  prices: WorkPrices,
): number {
  switch (course) {
    case 'fitOnly':
      return 0;
    case 'inflateAndWatch':
      return prices.inflate;
    case 'checkAlignment':
      return prices.check + (isOut ? prices.align : 0);
    case 'align':
      return prices.align;
    case 'partsThenAlign':
      return prices.inspect + (isLoose ? prices.parts : 0) + (isOut || isLoose ? prices.align : 0);
    case 'balanceOrDampers':
      return prices.balance;
  }
}

/** How much deciding with it known whether an angle is out is cheaper than deciding without. */
function worthOfMeasuring(
  { cars }: Outlook,
  { partsFirst }: Constraints,
  costs: ReadonlyMap<Action, readonly number[]>,
): number {
  if (partsFirst) return 0;
  const blind = ACTIONS.filter((course) => course !== 'checkAlignment');
  const least = (among: readonly number[]) =>
    among.length === 0
      ? 0
      : Math.min(
          ...blind.map((course) => among.reduce((sum, i) => sum + costs.get(course)![i]!, 0)),
        );
  const all = [...cars.keys()];
  const [out, within] = [all.filter((i) => cars[i]!.isOut), all.filter((i) => !cars[i]!.isOut)];
  return Math.max(0, least(all) - least(out) - least(within)) / cars.length;
}

function bestLife(courses: readonly CourseOutlook[]): Span {
  return courses
    .map(({ lifeKm }) => lifeKm)
    .reduce((best, life) => (life.median > best.median ? life : best));
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
