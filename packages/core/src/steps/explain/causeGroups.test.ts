import { describe, expect, it } from 'vitest';
import type { RankedCause } from '@keen/contract';
import type { Cause } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { evenCar } from '../../../tests/evenCar.ts';
import { simulateLike } from '../../../tests/simulateLike.ts';
import { diagnose } from './diagnose.ts';
import { causeGroups } from './causeGroups.ts';
import { rubberTaken } from './rubberTaken.ts';
import { SAID_FROM } from '../../engine/diagnosis/chooseAction.ts';
import { verdictOf } from './verdict.ts';

function cause(change: Partial<RankedCause>): RankedCause {
  return {
    cause: 'toeTooFarIn',
    where: 'front',
    probability: 0.5,
    excess: 1,
    because: [],
    against: [],
    ...change,
  };
}

describe('causeGroups', () => {
  const { diagnosis } = diagnose(evenCar({}));
  const rows = (...ranked: RankedCause[]) => causeGroups({ ...diagnosis, ranked });

  it('makes one row of a cause that is about as likely at several places, the headline’s first', () => {
    const soft = WHEEL_ORDER.map((where, i) =>
      cause({ cause: 'pressureLow', where, probability: 0.7 + i / 100, excess: 0.4 }),
    );
    const groups = rows(cause({ probability: 0.2 }), ...soft);
    expect(groups.map(({ cause: name }) => name)).toEqual(['pressureLow', 'toeTooFarIn']);
    expect(groups[0]!.probability).toBe(0.73);
    expect(groups[0]!.places).toHaveLength(4);
  });

  it('gives a place that is far less likely than the others a row of its own, and loses none', () => {
    const camber = (where: 'lf' | 'rf' | 'rr', probability: number) =>
      cause({ cause: 'camberTooNegative', where, probability });
    const groups = rows(camber('lf', 0.8), camber('rf', 0.09), camber('rr', 0.07));
    expect(groups.map(({ places }) => places.map(({ where }) => where))).toEqual([
      ['lf'],
      ['rf', 'rr'],
    ]);
  });

  it('splits nothing off where the headline names no cause', () => {
    const groups = rows(
      ...WHEEL_ORDER.map((where, i) =>
        cause({ cause: 'camberTooNegative', where, probability: 0.12 + i / 100 }),
      ),
    );
    expect(groups).toHaveLength(1);
  });

  it('puts the likelier first of two that took the same', () => {
    const groups = rows(
      cause({ cause: 'camberTooNegative', where: 'lf', probability: 0.7, excess: 0 }),
      cause({ cause: 'looseness', probability: 0.12, excess: 0 }),
      cause({ probability: 0.24, excess: 0 }),
    );
    expect(groups.map(({ probability }) => probability)).toEqual([0.7, 0.24, 0.12]);
  });
});

const ANGLE_CAUSES = [
  'toeTooFarIn',
  'toeTooFarOut',
  'camberTooNegative',
  'camberTooPositive',
] as const satisfies readonly Cause[];

describe('headline, rows and rubber', () => {
  // Made-up treads of every kind, drawn at random: what must hold holds by construction, not by example.
  const cars = simulateLike(16).map((file) => ({ file, diagnosis: diagnose(file).diagnosis }));

  it('lead with one cause, and never contradict one another', () => {
    for (const { file, diagnosis } of cars) {
      const verdict = verdictOf(diagnosis, file);
      const groups = causeGroups(diagnosis);
      expect(groups.flatMap(({ places }) => places)).toHaveLength(diagnosis.ranked.length);
      if (verdict.causes.length > 0) expect(groups[0]!.places).toEqual(verdict.causes);
      const { action } = diagnosis.recommendation;
      if (verdict.isHealthy)
        expect(['fitOnly', 'inflateAndWatch', 'checkAlignment', 'align']).toContain(action);
      // What is said to have happened is answered by the work that puts it right.
      const said = diagnosis.ranked
        .filter(({ probability }) => probability >= SAID_FROM)
        .map(({ cause }) => cause);
      const isSaid = (...causes: Cause[]) => causes.some((cause) => said.includes(cause));
      const isAngleSaid = isSaid(...ANGLE_CAUSES);
      if (isSaid('looseness')) expect(action).toBe('partsThenAlign');
      else if (isSaid('bounce') || isAngleSaid) {
        expect(['fitOnly', 'inflateAndWatch']).not.toContain(action);
      } else if (isSaid('pressureLow', 'pressureHigh')) expect(action).not.toBe('fitOnly');
    }
  });

  it('count the rubber on the tire that wore, where it has been moved since', () => {
    const { diagnosis } = diagnose(
      evenCar({ lr: [5.4, 4.6, 3.4], rr: [5.4, 4.6, 3.5] }, (file) => {
        for (const wheel of ['lr', 'rr'] as const) file.tires[wheel].feather = 'catchesOutward';
        const moves = { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } as const;
        file.rotations = [{ atDistance: 29_000, moves }];
      }),
    );
    const [toe] = diagnosis.ranked;
    expect(toe).toMatchObject({ cause: 'toeTooFarIn', where: 'front', tires: ['lr', 'rr'] });
    const { wheel, partMm, totalMm } = rubberTaken(diagnosis, [toe!]);
    expect(['lr', 'rr']).toContain(wheel);
    // Of the 4.6 mm that the outer edge is down; what is mounted in front today has lost 2.5.
    expect(totalMm).toBeGreaterThan(4.4);
    expect(partMm).toBeGreaterThan(0.8);
  });

  it('give each cause a part of what its worst rib lost, and no more in all than was lost', () => {
    for (const { diagnosis } of cars) {
      for (const wheel of WHEEL_ORDER) {
        const taken = diagnosis.ranked.map((one) => rubberTaken(diagnosis, [one]));
        const sum = taken
          .filter((one) => one.wheel === wheel)
          .reduce((total, { partMm }) => total + partMm, 0);
        expect(sum).toBeLessThanOrEqual(diagnosis.wheels[wheel].wear.total + 1e-9);
      }
    }
  });
});
