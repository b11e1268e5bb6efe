import type {
  CaseFile,
  PracticeAnswer,
  PracticeCheck,
  PracticeResult,
  PriceList,
  VisitDraft,
} from '@keen/contract';
import { draftToCase, rankOptions, workPrices } from '@keen/core';
import type { FullAnswer } from '@keen/core';
import { FAULTS, STATE } from '@keen/core/engine';
import {
  ANSWERS,
  answerChances,
  brierScore,
  checkCost,
  diagnosisChances,
  moneyInTruth,
  pointsOf,
  seenOf,
  USUAL_CHANCES,
} from '@keen/core/practice';
import { dealtCar } from './dealtCar.ts';
import type { Tried } from './practice.service.ts';

type Diagnose = (file: CaseFile) => Promise<FullAnswer>;

/** A cause of the best answer is shown from this chance on. */
const SHOWN_FROM = 0.1;

/**
 * Holds an answer against the truth, against the best answer from the same evidence, and against what each
 * course would have cost the customer.
 */
export async function judge(
  tried: Tried,
  answer: PracticeAnswer,
  prices: PriceList,
  diagnose: Diagnose,
): Promise<PracticeResult> {
  const car = dealtCar(tried.lesson, tried.seed);
  const file = caseOf(tried.draft);
  const truth = car.faults;
  const best = await diagnose(file);
  const chances = diagnosisChances(best.diagnosis);
  const bestBrier = brierScore(chances, truth);
  const brier = brierScore(answerChances(answer.causes), truth);
  const work = workPrices(prices);
  const { advised } = rankOptions(best.outlook, work, {
    replaced: { front: 2, rear: 2 },
  });
  const { state, lossMm, factors } = car;
  return {
    answer,
    truth: {
      faults: FAULTS.filter((_, i) => truth[i] === 1).map(({ cause, where }) => ({ cause, where })),
      camber: four(state, STATE.camber),
      totalToe: two(state, STATE.toe),
      pressure: four(state, STATE.pressure),
      play: two(state, STATE.looseness),
      cornering: state[STATE.cornering]!,
      depthsMm: car.depthsMm,
    },
    score: {
      brier,
      usualBrier: brierScore(USUAL_CHANCES, truth),
      bestBrier,
      points: pointsOf(brier, truth),
      bestPoints: pointsOf(bestBrier, truth),
    },
    best: {
      causes: FAULTS.flatMap(({ cause, where }, i) =>
        chances[i]! >= SHOWN_FROM ? [{ cause, where, chance: chances[i]! }] : [],
      ).toSorted((a, b) => b.chance - a.chance),
      course: advised.course,
      diagnosis: best.diagnosis,
    },
    courses: moneyInTruth(file, { state: car.today, faults: truth, factors, lossMm }, work),
    checks: await Promise.all(
      tried.done.map(async (check) => ({
        check,
        minor: checkCost(check, prices).minor,
        ...(await worthOf(check, tried, bestBrier, truth, prices, diagnose)),
      })),
    ),
  };
}

/** What a check was worth: to the best answer in points, and in money before its outcome was known. */
async function worthOf(
  check: PracticeCheck,
  { draft, done }: Tried,
  bestBrier: number,
  truth: Uint8Array,
  prices: PriceList,
  diagnose: Diagnose,
): Promise<{ points: number; worthMinor: number | null }> {
  const without = await diagnose(
    seenOf(
      caseOf(draft),
      done.filter((one) => one !== check),
    ),
  );
  const { checks } = rankOptions(without.outlook, workPrices(prices), {
    replaced: { front: 2, rear: 2 },
  });
  const worths = checks
    .filter((one) => ANSWERS[check].includes(one.check))
    .map(({ minor }) => minor);
  const blind = brierScore(diagnosisChances(without.diagnosis), truth);
  return {
    points: pointsOf(bestBrier, truth) - pointsOf(blind, truth),
    // Made at several places: at least what the best of them is worth.
    worthMinor: worths.length > 0 ? Math.max(...worths) : null,
  };
}

function caseOf(draft: VisitDraft): CaseFile {
  return draftToCase(draft, 'Practice car').file;
}

const four = (state: Float64Array, at: number) => [...state.subarray(at, at + 4)];
const two = (state: Float64Array, at: number) => [...state.subarray(at, at + 2)];
