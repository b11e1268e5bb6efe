import { DEFAULT_PRICES } from '@keen/contract';
import type { Diagnosis } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../tests/exampleCase.ts';
import { diagnose } from '../steps/explain/diagnose.ts';
import type { FullAnswer } from '../engine/diagnosis/diagnose.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import { carCost, WEAR_PARTS } from './carCost.ts';

const answer = diagnose(
  exampleCase((file) => {
    for (const wheel of ['lf', 'rf'] as const) {
      file.tires[wheel].stations = [{ inner: 5.3, centre: 4.5, outer: 3.4 }];
      file.tires[wheel].feather = 'catchesOutward';
    }
  }),
);
const costOf = (change: Partial<FullAnswer> = {}, prices = DEFAULT_PRICES) =>
  carCost({ ...answer, ...change }, prices, {});

describe('what a car costs by cause', () => {
  it('sums to what it costs, toe beside the wear that any car has', () => {
    const { asIs, byCause } = costOf();
    expect(WEAR_PARTS.reduce((sum, part) => sum + byCause[part], 0)).toBeCloseTo(asIs, 6);
    expect(byCause.toe).toBeGreaterThan(0.15 * asIs);
    expect(byCause.base).toBeGreaterThan(0.3 * asIs);
    expect(byCause.bounce).toBeLessThan(0.05 * asIs);
  });

  it('goes by the worst rib of an axle, and by what the tires of that axle cost', () => {
    const wear = { total: 4, base: 3, camber: 0, toe: 1, pressure: 0, cornering: 0, bounce: 0 };
    const plain = { ...wear, total: 2, base: 2, toe: 0 };
    const diagnosis = {
      ...answer.diagnosis,
      wheels: Object.fromEntries(
        WHEEL_ORDER.map((wheel) => [
          wheel,
          { ...answer.diagnosis.wheels[wheel], wear: wheel === 'rf' ? wear : plain },
        ]),
      ),
    } as Diagnosis;
    const { asIs, byCause } = costOf({ diagnosis });
    // A quarter of what the front tires cost, and nothing of the rear ones.
    const { pairsPerKm } = answer.outlook.courses.find(({ course }) => course === 'fitOnly')!;
    const { tireFront, tireRear, fitTire, disposal } = DEFAULT_PRICES.items;
    const pairs = (axle: 'front' | 'rear') => pairsPerKm[axle].reduce((sum, one) => sum + one, 0);
    const front = pairs('front') * (tireFront + fitTire + disposal);
    const rear = pairs('rear') * (tireRear + fitTire + disposal);
    expect(byCause.toe).toBeCloseTo((0.25 * asIs * front) / (front + rear), 6);
    expect(byCause.base + byCause.toe).toBeCloseTo(asIs, 6);
  });
});
