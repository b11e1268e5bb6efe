import type { PracticeResult, VisitDraft } from '@keen/contract';
import type { Cause, PracticeSkill } from '@keen/contract/words';
import { PRACTICE_SKILLS, RIBS, WHEELS } from '@keen/contract/words';
import { FAULTS } from '../engine/wear/faults.ts';
import { answerChances, brierScore, diagnosisChances } from './scoreAnswer.ts';
import { USUAL_CHANCES } from './usualChances.ts';

/** Which causes belong to a skill. */
const CAUSES_OF: Record<PracticeSkill, readonly Cause[]> = {
  toe: ['toeTooFarIn', 'toeTooFarOut'],
  camber: ['camberTooNegative', 'camberTooPositive'],
  pressure: ['pressureLow', 'pressureHigh'],
  parts: ['bounce', 'looseness'],
  driving: ['hardCornering'],
};

/** How well causes of one kind were told, over several cars. */
export interface SkillScore {
  skill: PracticeSkill;
  /** 0 is what anybody could say without looking, 100 is perfect. */
  points: number;
  bestPoints: number;
  /** Cars that had such a cause. */
  cars: number;
}

/**
 * Points by kind of cause: the Brier score of the chances given to those causes alone, over all cars, against
 * that of the usual chances. A sum over cars first: one car without such a cause says little by itself.
 * @param results - cars that were answered
 * @returns one score a skill, in the order of PRACTICE_SKILLS; empty without a car
 */
export function skillScores(
  results: readonly Pick<PracticeResult, 'answer' | 'truth' | 'best'>[],
): SkillScore[] {
  if (results.length === 0) return [];
  const cars = results.map(({ answer, truth, best }) => ({
    own: answerChances(answer.causes),
    best: diagnosisChances(best.diagnosis),
    truth: FAULTS.map(({ cause, where }) =>
      truth.faults.some((one) => one.cause === cause && one.where === where) ? 1 : 0,
    ),
  }));
  return PRACTICE_SKILLS.map((skill) => {
    const columns = FAULTS.flatMap(({ cause }, i) => (CAUSES_OF[skill].includes(cause) ? [i] : []));
    const of = (values: readonly number[]) => columns.map((column) => values[column]!);
    const score = (chances: (car: (typeof cars)[number]) => readonly number[]) =>
      cars.reduce((sum, car) => sum + brierScore(of(chances(car)), of(car.truth)), 0);
    const usual = score(() => USUAL_CHANCES);
    return {
      skill,
      points: 100 * (1 - score(({ own }) => own) / usual),
      bestPoints: 100 * (1 - score(({ best }) => best) / usual),
      cars: cars.filter(({ truth }) => of(truth).includes(1)).length,
    };
  });
}

/**
 * Mean distance between the depths that were noted and the true ones.
 * @param draft - what was noted, mm
 * @param depthsMm - the true depths, mm
 * @returns mm; null where nothing was noted
 */
export function depthErrorMm(
  draft: VisitDraft,
  depthsMm: PracticeResult['truth']['depthsMm'],
): number | null {
  const errors = WHEELS.flatMap((wheel) =>
    (draft.tires?.[wheel]?.stations ?? []).flatMap((station) =>
      RIBS.flatMap((rib) => {
        const noted = station[rib];
        return typeof noted === 'number' ? [Math.abs(noted - depthsMm[wheel][rib])] : [];
      }),
    ),
  );
  return errors.length > 0 ? errors.reduce((sum, one) => sum + one, 0) / errors.length : null;
}
