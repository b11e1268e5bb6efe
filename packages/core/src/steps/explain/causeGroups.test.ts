import { describe, expect, it } from 'vitest';
import type { RankedCause } from '@keen/contract';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { simulateLike } from '../../../tests/simulateLike.ts';
import { diagnose } from './diagnose.ts';
import { causeGroups } from './causeGroups.ts';
import { rubberTaken } from './rubberTaken.ts';
import { SAID_FROM, verdictOf } from './verdict.ts';

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
  it('makes one row of a cause that is at several places', () => {
    const soft = WHEEL_ORDER.map((where, i) =>
      cause({ cause: 'pressureLow', where, probability: 0.7 + i / 100, excess: 0.4 }),
    );
    const groups = causeGroups([cause({ probability: 0.2 }), ...soft]);
    expect(groups).toHaveLength(2);
    expect(groups[0]).toMatchObject({ cause: 'pressureLow', probability: 0.73 });
    expect(groups[0]!.excess).toBeCloseTo(1.6, 12);
  });

  it('leaves out places that are too unlikely to be named with the others', () => {
    const [group] = causeGroups([
      cause({ cause: 'camberTooNegative', where: 'lf', probability: 0.8 }),
      cause({ cause: 'camberTooNegative', where: 'rr', probability: 0.04, excess: 0.1 }),
    ]);
    expect(group!.places.map(({ where }) => where)).toEqual(['lf']);
  });
});

describe('headline, rows and rubber', () => {
  // Made-up treads of every kind, drawn at random: what must hold holds by construction, not by example.
  const cars = simulateLike(16);

  it('lead with one cause, and never contradict one another', () => {
    for (const file of cars) {
      const { diagnosis } = diagnose(file);
      const verdict = verdictOf(diagnosis, file);
      const groups = causeGroups(diagnosis.ranked);
      if (verdict.causes.length > 0) expect(groups[0]!.cause).toBe(verdict.causes[0]!.cause);
      const { action } = diagnosis.recommendation;
      if (verdict.isHealthy)
        expect(['fitOnly', 'inflateAndWatch', 'checkAlignment', 'align']).toContain(action);
      // A cause that is said outright is answered by work, or by air.
      const isSaid = diagnosis.ranked.some(
        (one) => one.cause !== 'hardCornering' && one.probability >= SAID_FROM,
      );
      if (isSaid) expect(action).not.toBe('fitOnly');
    }
  });

  it('give each cause a part of what its worst rib lost, and no more in all than was lost', () => {
    for (const file of cars) {
      const { diagnosis } = diagnose(file);
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
