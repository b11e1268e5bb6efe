import { describe, expect, it } from 'vitest';
import type { CaseFile, Diagnosis, Estimate } from '@keen/contract';
import fixture from '../../../tests/jags.json' with { type: 'json' };
import { WHEEL_ORDER } from '../case/wheels.ts';
import { diagnose } from '../../steps/explain/diagnose.ts';

/**
 * The full answer against JAGS on the same model, written out once more in its own language and run
 * long: `npm run jags` makes the fixture.
 */

interface Summary {
  mean: number;
  sd: number;
  /** Monte Carlo standard error of the mean. */
  error: number;
}

/** What the contract allows: a twentieth of the posterior's spread. */
const ALLOWED_SD = 0.05;
/** Monte Carlo error of the full answer itself, in spreads; see docs/diagnosis.md. */
const OWN_ERROR_SD = 0.04;
const OWN_ERROR_CHANCE = 0.01;
/** A spread with a rare second explanation in it wanders by this beside JAGS's own error, log. */
const SPREAD_ALLOWED = 0.35;
/** Errors allowed for: one in several hundred numbers may stand this far out by chance. */
const ERRORS = 3;

/** Estimates and chances by the names that the fixture gives them. */
function named({ wheels, axles }: Diagnosis) {
  const means: Record<string, Estimate> = {};
  const chances: Record<string, number> = {};
  WHEEL_ORDER.forEach((wheel, i) => {
    means[`camber[${i + 1}]`] = wheels[wheel].camber;
    means[`pressure[${i + 1}]`] = wheels[wheel].pressureRatio;
    chances[`bounce[${i + 1}]`] = wheels[wheel].probability.bounce;
  });
  (['front', 'rear'] as const).forEach((axle, i) => {
    means[`toe[${i + 1}]`] = axles[axle].totalToe;
    chances[`isLoose[${i + 1}]`] = axles[axle].probability.looseness;
  });
  return { means, chances };
}

describe('the full answer and JAGS', () => {
  it('have ten cases or more to agree on', () => {
    expect(fixture.cases.length).toBeGreaterThanOrEqual(10);
  });

  it.each(fixture.cases)('agree on car $seed', ({ file, summary }) => {
    const theirs = summary as unknown as Record<string, Summary>;
    const { means, chances } = named(diagnose(file as unknown as CaseFile).diagnosis);
    for (const [name, { mean, sd }] of Object.entries(means)) {
      const other = theirs[name]!;
      const error = Math.hypot(other.error, OWN_ERROR_SD * other.sd);
      const off = Math.abs(mean - other.mean);
      expect(off, `mean of ${name}`).toBeLessThan(ALLOWED_SD * other.sd + ERRORS * error);
      const wander = SPREAD_ALLOWED + (ERRORS * other.error) / other.sd;
      expect(Math.abs(Math.log(sd / other.sd)), `spread of ${name}`).toBeLessThan(wander);
    }
    for (const [name, chance] of Object.entries(chances)) {
      const other = theirs[name]!;
      const error = Math.hypot(other.error, OWN_ERROR_CHANCE);
      expect(Math.abs(chance - other.mean), `chance of ${name}`).toBeLessThan(ERRORS * error);
    }
  });
});
