import type { Action, Cause } from '@keen/contract/words';
import { FAULT_COUNT, FAULTS } from '@keen/core/engine';
import { auc, brier, calibrationError, logLoss } from './metrics.ts';
import type { ChartReading } from './ruleChart.ts';

/** What is true of a car. */
export interface Truth {
  /** 1 for each of the engine's FAULTS that is there. */
  faults: ArrayLike<number>;
  /** What each took beyond mid-tolerance, mm. */
  excessMm: ArrayLike<number>;
}

/** What a reader says of a car. */
export interface Reading {
  /** Chance of each of the engine's FAULTS. */
  chances: ArrayLike<number>;
  /** Columns from the main cause down. */
  ranked: readonly number[];
  /** What to do; a chart gives no such advice. */
  action?: Action;
}

export interface FlagScores {
  flag: Cause;
  prevalence: number;
  logLoss: number;
  brier: number;
  auc: number;
  calibrationError: number;
}

export interface CarScores {
  /** Part of the cars with a main cause whose main cause stands first, and among the first three. */
  top1: number;
  top3: number;
  withMainCause: number;
  /** Part of the clean cars where any fault was given more than a half. */
  falseAlarms: number;
  clean: number;
  /** Part of the cars with alignment, joints or dampers out that were to get no such work nor check. */
  missed: number;
  faulty: number;
  /** Part of the clean cars that were sent for work, and for a measurement. */
  sentForWork: number;
  sentForCheck: number;
}

/** A main cause is one that took at least this, mm. */
const MAIN_CAUSE_MM = 0.3;
const NO_WORK: readonly Action[] = ['fitOnly', 'inflateAndWatch'];

const CAUSES = [...new Set(FAULTS.map(({ cause }) => cause))];

/** Scores of each kind of fault, its places pooled. */
export function scoreFlags(truths: readonly Truth[], readings: readonly Reading[]): FlagScores[] {
  return CAUSES.map((flag) => {
    const columns = columnsOf(flag);
    const chances = readings.flatMap((reading) => columns.map((c) => reading.chances[c]!));
    const there = truths.flatMap((truth) => columns.map((c) => truth.faults[c] === 1));
    return {
      flag,
      prevalence: there.filter(Boolean).length / there.length,
      logLoss: logLoss(chances, there),
      brier: brier(chances, there),
      auc: auc(chances, there),
      calibrationError: calibrationError(chances, there),
    };
  });
}

/** Scores of whole cars: does the ranking name the main cause, and is a clean car left in peace. */
export function scoreCars(truths: readonly Truth[], readings: readonly Reading[]): CarScores {
  const count = { main: 0, top1: 0, top3: 0, clean: 0, alarms: 0, work: 0, check: 0 };
  let [faulty, missed] = [0, 0];
  truths.forEach((truth, car) => {
    const reading = readings[car]!;
    const main = mainCause(truth);
    if (main !== null) {
      count.main++;
      if (reading.ranked[0] === main) count.top1++;
      if (reading.ranked.slice(0, 3).includes(main)) count.top3++;
    }
    const works = reading.action !== undefined && !NO_WORK.includes(reading.action);
    if (Array.from(truth.faults).every((fault) => fault === 0)) {
      count.clean++;
      if (Array.from(reading.chances).some((chance) => chance > 0.5)) count.alarms++;
      if (works) count[reading.action === 'checkAlignment' ? 'check' : 'work']++;
    } else if (needsWork(truth)) {
      faulty++;
      if (!works) missed++;
    }
  });
  return {
    top1: count.top1 / count.main,
    top3: count.top3 / count.main,
    withMainCause: count.main,
    falseAlarms: count.alarms / count.clean,
    clean: count.clean,
    missed: missed / faulty,
    faulty,
    sentForWork: count.work / count.clean,
    sentForCheck: count.check / count.clean,
  };
}

/**
 * A chart says yes or no. Its best is done for it: each answer stands for the rate at which it came
 * true on these very cars.
 */
export function chartReadings(
  truths: readonly Truth[],
  charts: readonly ChartReading[],
): Reading[] {
  const rates = CAUSES.map((cause) => {
    const columns = columnsOf(cause);
    const rate = (said: number) => {
      const cells = charts.flatMap(({ says }, car) =>
        columns.filter((c) => says[c] === said).map((c) => truths[car]!.faults[c]!),
      );
      return cells.reduce((sum, there) => sum + there, 0) / Math.max(1, cells.length);
    };
    return { columns, no: rate(0), yes: rate(1) };
  });
  return charts.map(({ says, ranked }) => {
    const chances = new Float64Array(FAULT_COUNT);
    for (const { columns, no, yes } of rates) {
      for (const c of columns) chances[c] = says[c] === 1 ? yes : no;
    }
    return { chances, ranked };
  });
}

/** The column that took most among the faults that are there, or null when none took enough. */
export function mainCause({ faults, excessMm }: Truth): number | null {
  let main: number | null = null;
  for (const [column, { cause, where }] of FAULTS.entries()) {
    // The rear repeats the front's cornering: one driver, one cause.
    if (faults[column] !== 1 || (cause === 'hardCornering' && where === 'rear')) continue;
    if (excessMm[column]! < MAIN_CAUSE_MM) continue;
    if (main === null || excessMm[column]! > excessMm[main]!) main = column;
  }
  return main;
}

function needsWork({ faults }: Truth): boolean {
  return FAULTS.some(
    ({ cause }, column) =>
      faults[column] === 1 &&
      !(['pressureLow', 'pressureHigh', 'hardCornering'] as Cause[]).includes(cause),
  );
}

function columnsOf(flag: Cause): number[] {
  return FAULTS.flatMap(({ cause }, column) => (cause === flag ? [column] : []));
}
