import type { ShopConstants } from '@keen/contract';
import { CAR_TRAITS, FAULT_KINDS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { carEvidence } from './carEvidence.ts';
import { USUAL_CONSTANTS } from './usualConstants.ts';

const OWN: ShopConstants = {
  traits: {
    wearRate: { mean: 0.3, sd: 0.2 },
    frontToRear: { mean: -0.1, sd: 0.05 },
    crown: { mean: 0.08, sd: 0.02 },
    hand: { mean: 0.05, sd: 0.02 },
  },
  faultRates: {
    frontToe: 0.5,
    rearToe: 0.3,
    camber: 0.1,
    pressure: 0.4,
    bounce: 0.2,
    looseness: 0.05,
    hardCornering: 0.3,
  },
};

/** A car of which nothing was read. */
const unread = () =>
  exampleCase((file) => {
    for (const tire of Object.values(file.tires)) {
      tire.stations = [{ inner: null, centre: null, outer: null }];
    }
  });

describe('carEvidence', () => {
  it.each([
    ['the usual constants', undefined],
    ['a shop’s own', OWN],
  ])('is the prior by %s where nothing was read', (_name, by) => {
    const { traits, faultRates } = by ?? USUAL_CONSTANTS;
    const { mean, covariance, weight, faults } = carEvidence(unread(), 6_000, by)!;
    CAR_TRAITS.forEach((trait, i) => {
      const { mean: held, sd } = traits[trait];
      expect(Math.abs(mean[i]! - held) / sd).toBeLessThan(0.2);
      expect(Math.sqrt(covariance[5 * i]!) / sd).toBeGreaterThan(0.88);
      expect(Math.sqrt(covariance[5 * i]!) / sd).toBeLessThan(1.12);
    });
    for (const kind of FAULT_KINDS) {
      expect(faults[kind].prior).toBeCloseTo(faultRates[kind], 9);
      expect(Math.abs(faults[kind].chance - faultRates[kind])).toBeLessThan(0.06);
    }
    // Odd tires and axles of another age are as rare as is taken for granted: 0.15 and 4 x 0.015.
    expect(weight).toBeGreaterThan(0.72);
    expect(weight).toBeLessThan(0.86);
  });

  it('does not go by what a case brings along', () => {
    const bare = carEvidence(exampleCase(), 200);
    expect(carEvidence({ ...exampleCase(), constants: OWN }, 200)).toEqual(bare);
    expect(carEvidence(exampleCase(), 200, OWN)).not.toEqual(bare);
  });

  it('says that a car wears fast where it does', () => {
    const fast = exampleCase((file) => {
      for (const tire of Object.values(file.tires)) tire.distance = 15_000;
    });
    const [slow, quick] = [carEvidence(exampleCase(), 800)!, carEvidence(fast, 800)!];
    // Twice as fast, less what a usual car of the prior would be: some half of ln 2 at the least.
    expect(quick.mean[0]! - slow.mean[0]!).toBeGreaterThan(0.3);
    expect(quick.mean[0]! - slow.mean[0]!).toBeLessThan(Math.LN2);
    expect(slow.covariance[0]!).toBeLessThan(USUAL_CONSTANTS.traits.wearRate.sd ** 2);
  });

  it('says nothing of traits where the axles are known to have other tires', () => {
    const file = exampleCase();
    file.history = { tiresDiffer: ['axles'] };
    expect(carEvidence(file, 200)!.weight).toBe(0);
  });
});
