import type { AxleDiagnosis, CaseFile, Diagnosis, Estimate, Recommendation } from '@keen/contract';
import type { Rib, Wheel, WheelStatus } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { byWheel, resolveCase, tiresKey } from '../case/resolveCase.ts';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { createOutlook } from '../outlook/outlook.ts';
import type { CheckAnswers, Outlook } from '../outlook/outlook.ts';
import { ribsAfter } from '../outlook/ribsAfter.ts';
import type { RibsAfter } from '../outlook/ribsAfter.ts';
import { createRandom, hashSeed } from '../random/random.ts';
import {
  ALIGNMENT_COLUMNS,
  BOUNCE_COLUMNS,
  FAULT_COLUMN,
  LOOSENESS_COLUMNS,
  PRESSURE_COLUMNS,
} from '../wear/faults.ts';
import { STATE, STATE_SIZE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { createAttribution } from './attribution.ts';
import { barredCourses, isDampersFirst, SAID_FROM } from './chooseAction.ts';
import type { CauseChance, FaultGroup, GroupChances } from './chooseAction.ts';
import { plainFacts } from './plainFacts.ts';
import type { PlainFacts } from './plainFacts.ts';
import { carsToday } from './carsToday.ts';
import { createFaultClassifier, FAULT_COUNT } from './classifyFaults.ts';
import { checkAnswers, nextChecks } from './nextChecks.ts';
import type { Draw } from './nextChecks.ts';
import { moments } from './moments.ts';
import { countOddities } from './oddities.ts';
import { createPosterior } from './posterior.ts';
import type { Known } from './posterior.ts';
import { rank } from './ranking.ts';
import type { ReasonsFor } from './ranking.ts';
import { createChain } from './sampler.ts';
import type { MarkovChain } from './sampler.ts';
import { standsAlone, treadSeen } from './treadSeen.ts';
import { wheelAnswer, worstRib } from './wheelAnswer.ts';

/** Sweeps of the quick answer and of the full one; fixed, so that a case gives the same bytes. */
export const LIVE_SWEEPS = 500;
export const FULL_SWEEPS = 4_000;
/** The faults of each group that one piece of work puts right. */
const GROUP_COLUMNS: Record<FaultGroup, readonly number[]> = {
  alignment: ALIGNMENT_COLUMNS,
  looseness: LOOSENESS_COLUMNS,
  bounce: BOUNCE_COLUMNS,
  pressure: PRESSURE_COLUMNS,
};
const FAULT_GROUPS = Object.keys(GROUP_COLUMNS) as FaultGroup[];
const CHAINS = 4;
const BURN_IN = 120;
/** Every so many sweeps a draw is kept for attribution and for looking ahead. */
const THIN = 5;
/** Looking ahead needs no more draws than this. */
const MOST_DRAWS_AHEAD = 400;

/** What the model expects to be left at a rib, mm. */
export type ExpectedDepths = Record<Wheel, Record<Rib, Estimate>>;

/** A diagnosis with what the screen draws beside it. */
export interface Answer {
  diagnosis: Diagnosis;
  expectedMm: ExpectedDepths;
  /** Mean of every unknown, see the engine's STATE: the car to try changes on. */
  posteriorMean: readonly number[];
  /** What the tires would live, with what is done and without; null in an answer that is not full. */
  outlook: Outlook | null;
  /** Sweeps it rests on; {@link FULL_SWEEPS} when it is the full answer. */
  sweeps: number;
}

/** The answer that is kept and printed. */
export interface FullAnswer extends Answer {
  outlook: Outlook;
}

/** The full answer with each rib after each course, which a decision saves to be held against later readings. */
export interface WholeAnswer extends FullAnswer {
  ribsAfter: RibsAfter;
}

/** A diagnosis in the making: step it on, ask it at any time. */
export interface DiagnosisRun {
  readonly sweeps: number;
  readonly isDone: boolean;
  /** Moves on by so many sweeps, at most to the full answer. */
  step(sweeps: number): void;
  /** The answer so far. */
  answer(): Answer;
  /** What the tires would live, from the draws so far. */
  outlook(): Outlook;
  /** Each rib after each course of work, from the draws so far. */
  ribsAfter(): RibsAfter;
  /** Cars that may be the one at hand, from the draws so far: at most some hundreds. */
  possibleCars(): readonly Draw[];
}

/** Puts what was found into sentences: the engine itself knows no language. */
export interface DiagnosisWords {
  /** For and against each fault of a case. */
  reasons(resolved: ResolvedCase, file: CaseFile): ReasonsFor;
  recommend(
    chances: GroupChances,
    facts: PlainFacts,
    causes: readonly CauseChance[],
    statuses: Record<Wheel, WheelStatus>,
  ): Recommendation;
}

/**
 * Turns the tread back into causes: the posterior of camber, toe, running pressure, rate of wear,
 * cornering, looseness and bounce given everything in the case.
 * @param file - a case file that the contract's schema has accepted
 * @param words - says why
 * @returns the full answer; the same case always gives the same one
 * @throws {InputError} for a tire size that cannot be read
 */
export function diagnose(file: CaseFile, words: DiagnosisWords): FullAnswer {
  return fullAnswer(createDiagnosisRun(file, words));
}

/** The same with what a decision saves. @throws {InputError} for a tire size that cannot be read */
export function diagnoseWhole(file: CaseFile, words: DiagnosisWords): WholeAnswer {
  const run = createDiagnosisRun(file, words);
  return { ...fullAnswer(run), ribsAfter: run.ribsAfter() };
}

function fullAnswer(run: DiagnosisRun): FullAnswer {
  run.step(FULL_SWEEPS);
  const answer = run.answer();
  return { ...answer, outlook: answer.outlook ?? run.outlook() };
}

/**
 * Starts a diagnosis that can be asked before it is finished.
 * @param known - elements of the state held at a value, as by a reader who knows the constants of this car
 * @param stream - another stream of draws, to see how far two of them differ; an answer always uses 0
 */
export function createDiagnosisRun(
  file: CaseFile,
  words: DiagnosisWords,
  known?: Known,
  stream = 0,
): DiagnosisRun {
  const resolved = resolveCase(file);
  const posterior = createPosterior(resolved, known);
  // From the tires alone: when one more thing is entered, the answer changes by what it says, not by luck.
  const random = createRandom(hashSeed(tiresKey(resolved)) + stream);
  const readFaults = createFaultClassifier(resolved);
  const plain = plainFacts(resolved);
  const worst = WHEEL_ORDER.map((wheel) => worstRib(resolved, wheel));
  const attribution = createAttribution(posterior, worst);
  const perChain = FULL_SWEEPS / CHAINS;

  const faults = new Uint8Array(FAULT_COUNT);
  const counts = new Float64Array(FAULT_COUNT);
  const oddities = countOddities();
  const groups = { alignment: 0, looseness: 0, bounce: 0, pressure: 0 };
  const camber = moments(4);
  const toe = moments(2);
  const pressure = moments(4);
  const depths = moments(12);
  const whole = moments(STATE_SIZE);
  const losses = new Float64Array(3);
  const draws: Draw[] = [];
  const archive: Float64Array[] = [];
  let chain = createChain(posterior, random, 0, archive);
  const ribs = { factors: new Float64Array(12), lossMm: new Float64Array(12) };
  let sweeps = 0;
  for (let i = 0; i < BURN_IN; i++) chain.sweep();
  chain.settle();

  function step(more: number): void {
    const end = Math.min(FULL_SWEEPS, sweeps + more);
    while (sweeps < end) {
      if (sweeps > 0 && sweeps % perChain === 0) {
        chain = createChain(posterior, random, sweeps / perChain, archive);
        for (let i = 0; i < BURN_IN; i++) chain.sweep();
        chain.settle();
      }
      chain.sweep();
      sweeps++;
      count(chain.state);
      if (sweeps % THIN === 0) look(chain);
    }
  }

  function count(state: Float64Array): void {
    readFaults(state, faults);
    for (let column = 0; column < FAULT_COUNT; column++) counts[column]! += faults[column]!;
    oddities.add(state);
    const isOut = (column: number) => faults[column] === 1;
    for (const group of FAULT_GROUPS) if (GROUP_COLUMNS[group].some(isOut)) groups[group]++;
    camber.add(state, STATE.camber);
    toe.add(state, STATE.toe);
    pressure.add(state, STATE.pressure);
  }

  /** Looks closely at one state in {@link THIN}, with what was integrated out drawn back in. */
  function look(from: MarkovChain): void {
    from.drawNuisances(ribs);
    const { state } = from;
    whole.add(state, 0);
    attribution.add(state, faults, ribs.factors);
    draws.push({
      state: state.slice(),
      faults: faults.slice(),
      factors: ribs.factors.slice(),
      lossMm: ribs.lossMm.slice(),
    });
    for (let tire = 0; tire < 4; tire++) {
      tireLoss(state, posterior.paths[tire]!, losses);
      const { fromMm } = resolved.tires[WHEEL_ORDER[tire]!].stretch;
      RIBS.forEach((rib, i) => depths.put(3 * tire + i, fromMm[rib] - losses[i]!));
    }
    depths.count++;
  }

  /** Half a draw each way: draws that all agree do not prove certainty. */
  function chance(column: number): number {
    return (counts[column]! + 0.5) / (sweeps + 1);
  }

  function groupChances(): GroupChances {
    return {
      alignment: groups.alignment / sweeps,
      looseness: groups.looseness / sweeps,
      bounce: groups.bounce / sweeps,
      pressure: groups.pressure / sweeps,
      said: FAULT_GROUPS.filter((group) =>
        GROUP_COLUMNS[group].some((column) => chance(column) >= SAID_FROM),
      ),
    };
  }

  /** What is plain; a reading that is likely wrong shows no wear. */
  function factsNow(): PlainFacts {
    const doubted = oddities
      .doubted(sweeps)
      .filter(({ wheel, rib }) => standsAlone(resolved.tires[wheel], rib));
    return { ...plain, doubted, seen: treadSeen(resolved, doubted) };
  }

  function outlook(cars = thinned(draws), checks = answersTo(cars)): Outlook {
    const [chances, facts] = [groupChances(), factsNow()];
    const bars = barredCourses(chances, facts);
    const today = carsToday(resolved, cars);
    return { ...createOutlook(resolved, today, isDampersFirst(chances, facts)), bars, checks };
  }

  function answersTo(cars: readonly Draw[]): CheckAnswers[] {
    return checkAnswers(resolved, posterior, cars);
  }

  function answer(): Answer {
    const wheels = byWheel((wheel, tire) =>
      wheelAnswer(resolved, wheel, {
        camber: camber.estimate(tire),
        pressureRatio: pressure.estimate(tire),
        chance: (start: number) => chance(start + tire),
        parts: attribution.parts()[tire]!,
        modelled: attribution.modelled()[tire]!,
        worst: worst[tire]!,
      }),
    );
    const axleAnswer = (axle: number): AxleDiagnosis => ({
      totalToe: toe.estimate(axle),
      probability: {
        toeTooFarIn: chance(FAULT_COLUMN.toeTooFarIn + axle),
        toeTooFarOut: chance(FAULT_COLUMN.toeTooFarOut + axle),
        looseness: chance(FAULT_COLUMN.looseness + axle),
        hardCornering: chance(FAULT_COLUMN.hardCornering + axle),
      },
    });
    const ranked = rank(
      resolved,
      words.reasons(resolved, file),
      [...counts.keys()].map(chance),
      attribution.excess(),
    );
    const cars = thinned(draws);
    const checks = answersTo(cars);
    const statuses = byWheel((wheel) => wheels[wheel].status);
    return {
      diagnosis: {
        format: 'keen-groove/diagnosis',
        version: 1,
        wheels,
        axles: { front: axleAnswer(0), rear: axleAnswer(1) },
        ranked,
        nextChecks: nextChecks(checks, cars),
        oddities: oddities.likely(sweeps),
        ...(resolved.since && {
          since: {
            km: resolved.since.agoKm,
            because: resolved.since.because,
            putRight: [...resolved.since.putRight],
          },
        }),
        recommendation: words.recommend(groupChances(), factsNow(), ranked, statuses),
      },
      expectedMm: byWheel((_, tire) => {
        const [inner, centre, outer] = RIBS.map((_rib, rib) => depths.estimate(3 * tire + rib)) as [
          Estimate,
          Estimate,
          Estimate,
        ];
        return { inner, centre, outer };
      }),
      outlook: sweeps >= FULL_SWEEPS ? outlook(cars, checks) : null,
      posteriorMean: Array.from(
        { length: STATE_SIZE },
        (_, element) => whole.estimate(element).mean,
      ),
      sweeps,
    };
  }

  return {
    get sweeps() {
      return sweeps;
    },
    get isDone() {
      return sweeps >= FULL_SWEEPS;
    },
    step,
    answer,
    outlook: () => outlook(),
    ribsAfter: () =>
      ribsAfter(resolved, thinned(draws), isDampersFirst(groupChances(), factsNow())),
    possibleCars: () => thinned(draws),
  };
}

function thinned(draws: readonly Draw[]): readonly Draw[] {
  const stride = Math.ceil(draws.length / MOST_DRAWS_AHEAD);
  return stride <= 1 ? draws : draws.filter((_, i) => i % stride === 0);
}
