import type { Action, Axle, Check, Wheel } from '@keen/contract/words';
import { ACTIONS } from '@keen/contract/words';
import { axleOf, WHEEL_ORDER } from '../case/wheels.ts';
import { ALIGNING } from './courses.ts';
import { span } from './depthCurves.ts';
import type { Span } from './depthCurves.ts';
import { NAME_CAUSE_FROM } from './outlook.ts';
import type { Bar, CarOut, CheckAnswers, CourseOutlook, Outlook } from './outlook.ts';

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
  /** An adjustable arm, offset bolts or shims with their fitting, for one wheel that has no adjuster. */
  adjustableArm: number;
  /** Balancing a set, or a pair of dampers where they are worn: what it usually comes to. */
  balance: number;
  /** Setting the pressures. */
  inflate: number;
  /** A pressure sensor with its fitting, for one wheel; 0 where the shop does not offer any. */
  pressureSensor: number;
  /** One new tire fitted, with its disposal, for each axle. */
  tire: Record<Axle, number>;
}

/** What holds for this car whatever it costs. */
export interface Constraints {
  /** Tires that are replaced now, by axle. */
  replaced: Record<Axle, number>;
  /** Axles whose camber or toe has no adjuster as the car was built. */
  notAdjustable?: Record<'camber' | 'toe', readonly Axle[]>;
}

/** One course of work with its price. */
export interface Choice {
  course: Action;
  outlook: CourseOutlook;
  /** The work, without tires, as far as it is expected, minor units. */
  workNow: number;
  /** What the work comes to, step by step: what each step costs and how likely it is to come to it. */
  steps: WorkStep[];
  /** With the new tires that go on now, minor units. */
  now: number;
  /** Expected cost of the work and the tires used up for each 1000 km, minor units. */
  perThousandKm: number;
  /** The same with what holds it eight times in ten. */
  perThousandKmSpan: Span;
  /** What it saves over the horizon against fitting tires and nothing else: the mean, and eight times in ten. */
  saves: { mean: number; low: number; high: number };
  /** Why it is left out, or null. */
  bar: Bar | null;
}

/** A step of a course: always done when its chance is 1. */
export interface WorkStep {
  price: keyof Omit<WorkPrices, 'tire' | 'pressureSensor'>;
  /** What it comes to when it is done, on average. */
  minor: number;
  chance: number;
}

/** Sensors that would tell when pressures sink again. */
export interface SensorChoice {
  /** Where the tire has likelier than not run soft. */
  wheels: readonly Wheel[];
  /** For all of these. */
  minor: number;
  /** The rubber that running soft takes over the horizon, minor units: what they save when it would happen again. */
  atStake: number;
}

/** What a check is worth before it is made. */
export interface CheckWorth {
  check: Check;
  where: Wheel | Axle;
  /** Chance that its answer changes what is the cheapest course. */
  changes: number;
  /** What deciding after it saves, minor units, before its own price. */
  minor: number;
}

export interface CostComparison {
  choices: Choice[];
  /** The course of least expected cost among those that are allowed. */
  advised: Choice;
  /** The next best, and what it costs more over the horizon; null when there is none. */
  next: { choice: Choice; dearer: number } | null;
  /** Chance that the advised course really is the cheapest for this car. */
  sure: number;
  /** What knowing whether an angle is out, before deciding, would be worth, minor units. */
  worthOfMeasuring: number;
  /** What each check that is open would be worth, in the order of the outlook. */
  checks: CheckWorth[];
  /** Wheels that likelier than not need an adjustable arm to bring an angle in. */
  arms: Wheel[];
  /** Pressure sensors, where soft tires took rubber and the shop offers them. */
  sensors: SensorChoice | null;
  /** The distance over which costs are compared, km: what a set lives on a car that was put right. */
  horizonKm: number;
  /** Whether every course that sets the angles has dampers and balance seen to first. */
  dampersFirst: boolean;
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
export function rankOptions(
  outlook: Outlook,
  prices: WorkPrices,
  constraints: Constraints,
): CostComparison {
  if (outlook.cars.length === 0) throw new RangeError('no possible car');
  const horizonKm = bestLife(outlook.courses).median;
  const need = (car: CarOut) => armsFor(car, constraints.notAdjustable);
  const costs = new Map(
    outlook.courses.map((one) => [one.course, costsOf(one, outlook, prices, horizonKm, need)]),
  );
  const { replaced } = constraints;
  const tiresNow = replaced.front * prices.tire.front + replaced.rear * prices.tire.rear;
  const asIs = costs.get('fitOnly')!;
  const choices = outlook.courses.map((one): Choice => {
    const cost = costs.get(one.course)!;
    const steps = stepsOf(one.course, outlook, prices, need);
    const perKm = KM_PER_THOUSAND_KM / horizonKm;
    const saved = cost.map((minor, i) => asIs[i]! - minor);
    const { low, high } = span(Float64Array.from(saved));
    const workNow = steps.reduce((sum, { minor, chance }) => sum + minor * chance, 0);
    return {
      course: one.course,
      outlook: one,
      workNow,
      steps,
      now: workNow + tiresNow,
      perThousandKm: mean(cost) * perKm,
      perThousandKmSpan: span(Float64Array.from(cost, (minor) => minor * perKm)),
      saves: { mean: mean(saved), low, high },
      bar: outlook.bars[one.course] ?? null,
    };
  });
  const allowed = choices
    .filter(({ bar }) => bar === null)
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
    worthOfMeasuring: worthOfMeasuring(outlook, costs),
    checks: outlook.checks.map((check) => worthOf(check, outlook, costs)),
    arms: likelierThanNot(outlook.cars, need),
    sensors: sensorsFor(outlook, prices, costs),
    horizonKm,
    dampersFirst: outlook.dampersFirst,
  };
}

/**
 * The wheels that need an adjustable arm, bolts or shims: camber out on an axle without an adjuster for it, or
 * toe out on one that has none for toe, there at both wheels so that they stay alike (common practice, no source).
 */
function armsFor(
  { camberOut, toeOut }: CarOut,
  notAdjustable: Constraints['notAdjustable'],
): Wheel[] {
  if (!notAdjustable) return [];
  return WHEEL_ORDER.filter((wheel) => {
    const axle = axleOf(wheel);
    return (
      (notAdjustable.camber.includes(axle) && camberOut.includes(wheel)) ||
      (notAdjustable.toe.includes(axle) && toeOut.includes(axle))
    );
  });
}

function likelierThanNot(cars: readonly CarOut[], of: (car: CarOut) => readonly Wheel[]): Wheel[] {
  return WHEEL_ORDER.filter(
    (wheel) => 2 * cars.filter((car) => of(car).includes(wheel)).length > cars.length,
  );
}

function sensorsFor(
  { cars }: Outlook,
  { pressureSensor, inflate }: WorkPrices,
  costs: ReadonlyMap<Action, readonly number[]>,
): SensorChoice | null {
  const wheels = likelierThanNot(cars, ({ soft }) => soft);
  const atStake = mean(costs.get('fitOnly')!) - (mean(costs.get('inflateAndWatch')!) - inflate);
  if (pressureSensor === 0 || wheels.length === 0 || atStake <= 0) return null;
  return { wheels, minor: wheels.length * pressureSensor, atStake };
}

/** What a course costs each possible car over the horizon: its work, and the tires it uses up. */
function costsOf(
  { course, pairsPerKm }: CourseOutlook,
  { cars, dampersFirst }: Outlook,
  prices: WorkPrices,
  horizonKm: number,
  armsOf: ArmsOf,
): number[] {
  const steps = stepsAt(course, dampersFirst);
  return cars.map((car, i) => {
    const tires =
      TIRES_OF_AXLE *
      horizonKm *
      (prices.tire.front * pairsPerKm.front[i]! + prices.tire.rear * pairsPerKm.rear[i]!);
    return workOf(steps, car, prices, armsOf) + tires;
  });
}

/** Which wheels of a possible car need an arm. */
type ArmsOf = (car: CarOut) => readonly Wheel[];
/** How often a step is done on a car. */
type Times = (car: CarOut, armsOf: ArmsOf) => number;
type Step = { price: WorkStep['price']; times: Times };

const once: Times = () => 1;
const armed: Times = (car, armsOf) => armsOf(car).length;

/** The steps of a course: what is found needless on the way is not done. */
const STEPS: Record<Action, readonly Step[]> = {
  fitOnly: [],
  inflateAndWatch: [{ price: 'inflate', times: once }],
  checkAlignment: [
    { price: 'check', times: once },
    { price: 'align', times: ({ isOut }) => Number(isOut) },
    { price: 'adjustableArm', times: armed },
  ],
  align: [
    { price: 'align', times: once },
    { price: 'adjustableArm', times: armed },
  ],
  partsThenAlign: [
    { price: 'inspect', times: once },
    { price: 'parts', times: ({ isLoose }) => Number(isLoose) },
    { price: 'align', times: ({ isOut, isLoose }) => Number(isOut || isLoose) },
    { price: 'adjustableArm', times: armed },
  ],
  balanceOrDampers: [{ price: 'balance', times: once }],
};

/** The steps of a course on a car whose dampers come before any alignment, or not. */
function stepsAt(course: Action, dampersFirst: boolean): readonly Step[] {
  const isMore = dampersFirst && ALIGNING.includes(course);
  return isMore ? [...STEPS.balanceOrDampers, ...STEPS[course]] : STEPS[course];
}

function stepsOf(
  course: Action,
  { cars, dampersFirst }: Outlook,
  prices: WorkPrices,
  armsOf: ArmsOf,
): WorkStep[] {
  return stepsAt(course, dampersFirst)
    .map(({ price, times }) => {
      const done = cars.map((car) => times(car, armsOf)).filter((count) => count > 0);
      return {
        price,
        minor: prices[price] * (done.length > 0 ? mean(done) : 1),
        chance: done.length / cars.length,
      };
    })
    .filter(({ price, chance }) => price !== 'adjustableArm' || chance > 0);
}

/** The work that some steps come to on a car. */
function workOf(steps: readonly Step[], car: CarOut, prices: WorkPrices, armsOf: ArmsOf): number {
  return steps.reduce((sum, { price, times }) => {
    const count = times(car, armsOf);
    return count > 0 ? sum + count * prices[price] : sum;
  }, 0);
}

/** Bars that stand whatever a check finds; the others fall once it is known what is the matter. */
const FIRM: readonly (Bar | undefined)[] = [
  'seen',
  'seenBefore',
  'readFirst',
  'moved',
  'foundOut',
  'pull',
  'pressureFound',
  'partsFirst',
];

/** What makes work that is no advice on a suspicion likely enough, before an answer or after it. */
const OPENED_BY: Partial<Record<Action, (car: CarOut) => boolean>> = {
  partsThenAlign: ({ isLoose }) => isLoose,
  balanceOrDampers: ({ isBouncing }) => isBouncing,
  inflateAndWatch: ({ isPressureOff }) => isPressureOff,
};

/**
 * What a check is worth: how much cheaper the best course after each of its answers is than the best
 * without (expected value of sample information, Raiffa and Schlaifer 1961).
 */
function worthOf(
  { check, where, chances }: CheckAnswers,
  { bars, cars }: Outlook,
  costs: ReadonlyMap<Action, readonly number[]>,
): CheckWorth {
  const courses = ACTIONS.filter((course) => !FIRM.includes(bars[course]));
  const bestOf = (weight: (car: number) => number) => {
    const total = (of: (car: number) => number) =>
      cars.reduce((sum, _, car) => sum + weight(car) * of(car), 0);
    const all = total(() => 1);
    const open = courses.filter((course) => {
      const isTheFault = OPENED_BY[course];
      if (bars[course] !== 'unlikely' || !isTheFault) return true;
      return total((car) => Number(isTheFault(cars[car]!))) / all >= NAME_CAUSE_FROM;
    });
    const sums = open.map((course) => total((car) => costs.get(course)![car]!));
    const least = Math.min(...sums);
    return { least, course: open[sums.indexOf(least)]! };
  };
  const count = chances.length;
  const blind = bestOf(() => 1);
  let after = 0;
  let changes = 0;
  for (let answer = 0; answer < (chances[0]?.length ?? 0); answer++) {
    const best = bestOf((car) => chances[car]![answer]!);
    after += best.least;
    if (best.course !== blind.course) {
      changes += chances.reduce((sum, row) => sum + row[answer]!, 0);
    }
  }
  return {
    check,
    where,
    // Chances that add up to one may do so a hair above it.
    changes: Math.min(1, changes / count),
    minor: Math.max(0, blind.least - after) / count,
  };
}

/** How much deciding with it known whether an angle is out is cheaper than deciding without. */
function worthOfMeasuring(
  { cars, bars }: Outlook,
  costs: ReadonlyMap<Action, readonly number[]>,
): number {
  const blind = ACTIONS.filter(
    (course) => course !== 'checkAlignment' && !FIRM.includes(bars[course]),
  );
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
