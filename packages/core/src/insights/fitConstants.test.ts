import type { ShopConstants } from '@keen/contract';
import { FAULT_KINDS } from '@keen/contract/words';
import { createRandom } from '../engine/random/random.ts';
import type { Random } from '../engine/random/random.ts';
import { USUAL_CONSTANTS } from '../engine/diagnosis/usualConstants.ts';
import { describe, expect, it } from 'vitest';
import { fitConstants, LEAST_CARS_TO_LEARN } from './fitConstants.ts';
import type { ShopCar } from './fitConstants.ts';

/** A shop whose cars wear faster, in front most of all, and come in with other faults. */
const TRUE: ShopConstants = {
  traits: {
    wearRate: { mean: 0.2, sd: 0.25 },
    frontToRear: { mean: 0.06, sd: 0.1 },
    crown: { mean: 0.03, sd: 0.04 },
    hand: { mean: -0.02, sd: 0.03 },
  },
  faultRates: {
    frontToe: 0.5,
    rearToe: 0.1,
    camber: 0.15,
    pressure: 0.4,
    bounce: 0.05,
    looseness: 0.2,
    hardCornering: 0.05,
  },
};

/**
 * A car as an exact reader with the usual constants would see it: each trait through a normal error, each fault
 * through a test that is right nine times in ten.
 */
function carOf(shop: ShopConstants, random: Random, line: string | null = null): ShopCar {
  const errors = [0.15, 0.06, 0.04, 0.03];
  const traits = Object.values(shop.traits).map(
    ({ mean, sd }, i) => mean + sd * random.normal() + (i === 0 && line === 'soft' ? 0.2 : 0),
  );
  const usual = Object.values(USUAL_CONSTANTS.traits);
  const variance = usual.map(({ sd }, i) => 1 / (1 / sd ** 2 + 1 / errors[i]! ** 2));
  const mean = traits.map(
    (trait, i) => (variance[i]! * (trait + errors[i]! * random.normal())) / errors[i]! ** 2,
  );
  const faults = FAULT_KINDS.map((kind) => {
    const prior = USUAL_CONSTANTS.faultRates[kind];
    const isThere = random.uniform() < shop.faultRates[kind];
    const isSeen = random.uniform() < (isThere ? 0.9 : 0.1);
    const ratio = isSeen ? 9 : 1 / 9;
    return [kind, { prior, chance: (prior * ratio) / (1 - prior + prior * ratio) }] as const;
  });
  return {
    evidence: {
      mean,
      covariance: [0, 1, 2, 3].flatMap((i) =>
        [0, 1, 2, 3].map((j) => (i === j ? variance[i]! : 0)),
      ),
      weight: 1,
      faults: Object.fromEntries(faults) as ShopCar['evidence']['faults'],
    },
    line,
  };
}

function shopOf(cars: number, shop: ShopConstants, seed: number): ShopCar[] {
  const random = createRandom(seed);
  return Array.from({ length: cars }, () => carOf(shop, random));
}

describe('fitConstants', () => {
  it('finds a shop that differs, within what it says of its own errors', () => {
    // Twelve figures in twenty shops: their errors in units of what is said of them.
    const off: number[] = [];
    for (let shop = 0; shop < 20; shop++) {
      const { traits, faultRates } = fitConstants(shopOf(300, TRUE, 100 + shop));
      for (const [key, { value, sd }] of Object.entries(traits)) {
        off.push((value - TRUE.traits[key as keyof typeof TRUE.traits].mean) / sd);
      }
      for (const [key, { value, sd }] of Object.entries(faultRates)) {
        off.push((value - TRUE.faultRates[key as keyof typeof TRUE.faultRates]) / sd);
      }
    }
    // 95 in 100 by the normal; a little fewer, as all are drawn towards the usual.
    const within = off.filter((one) => Math.abs(one) < 1.96).length / off.length;
    expect(within).toBeGreaterThan(0.88);
    expect(within).toBeLessThanOrEqual(1);
  });

  it('gains in a shop that differs and does no harm in one that does not', () => {
    const differs = fitConstants(shopOf(200, TRUE, 7));
    expect(differs.gain.interval!.low).toBeGreaterThan(0.3);
    expect(differs.used).toBe(1);
    const usual = Array.from({ length: 10 }, (_, shop) =>
      fitConstants(shopOf(200, USUAL_CONSTANTS, 40 + shop)),
    );
    const mean = (pick: (fitted: (typeof usual)[number]) => number) =>
      usual.reduce((sum, fitted) => sum + pick(fitted), 0) / usual.length;
    // Little of it is used, and what is used moves little.
    expect(mean(({ used }) => used)).toBeLessThan(0.4);
    expect(mean(({ constants }) => Math.abs(constants.traits.wearRate.mean))).toBeLessThan(0.01);
    expect(mean(({ gain }) => gain.mean)).toBeLessThan(0.01);
  });

  it('stays near the usual while cars are few', () => {
    const few = fitConstants(shopOf(LEAST_CARS_TO_LEARN, TRUE, 3)).faultRates.frontToe;
    const many = fitConstants(shopOf(600, TRUE, 3)).faultRates.frontToe;
    expect(few.value).toBeLessThan(many.value);
    expect(few.sd).toBeGreaterThan(2 * many.sd);
  });

  it('is the same whatever the cars were read by', () => {
    // The same likelihood as seen from another prior: its mean and variance by Bayes' rule.
    const cars = shopOf(120, TRUE, 11);
    const readBy: ShopConstants = {
      traits: {
        wearRate: { mean: 0.15, sd: 0.27 },
        frontToRear: { mean: 0.05, sd: 0.1 },
        crown: { mean: 0.02, sd: 0.045 },
        hand: { mean: -0.01, sd: 0.035 },
      },
      faultRates: { ...TRUE.faultRates, frontToe: 0.4 },
    };
    const usual = Object.values(USUAL_CONSTANTS.traits);
    const now = Object.values(readBy.traits);
    const again = cars.map(({ evidence, line }): ShopCar => {
      const variance = now.map(({ sd }, i) => {
        const own = 1 / evidence.covariance[5 * i]! - 1 / usual[i]!.sd ** 2;
        return 1 / (own + 1 / sd ** 2);
      });
      return {
        evidence: {
          weight: 1,
          mean: now.map(
            ({ mean, sd }, i) =>
              variance[i]! * (evidence.mean[i]! / evidence.covariance[5 * i]! + mean / sd ** 2),
          ),
          covariance: [0, 1, 2, 3].flatMap((i) =>
            [0, 1, 2, 3].map((j) => (i === j ? variance[i]! : 0)),
          ),
          faults: Object.fromEntries(
            FAULT_KINDS.map((kind) => {
              const { chance, prior } = evidence.faults[kind];
              const ratio = (chance * (1 - prior)) / ((1 - chance) * prior);
              const rate = readBy.faultRates[kind];
              return [kind, { prior: rate, chance: (rate * ratio) / (1 - rate + rate * ratio) }];
            }),
          ) as ShopCar['evidence']['faults'],
        },
        line,
      };
    });
    const [one, other] = [fitConstants(cars), fitConstants(again, readBy)];
    expect(other.constants).toEqual(one.constants);
    expect(other.gain.mean).toBeCloseTo(one.gain.mean, 6);
  });

  it('tells lines of tires apart that more than one car has', () => {
    const random = createRandom(5);
    const cars = Array.from({ length: 150 }, (_, i) =>
      carOf(TRUE, random, i === 0 ? 'once' : i % 3 === 0 ? 'soft' : 'hard'),
    );
    const { lines } = fitConstants(cars);
    expect(lines.map(({ line, cars: count }) => [line, count])).toEqual([
      ['hard', 100],
      ['soft', 49],
    ]);
    const [hard, soft] = lines;
    const { value, sd } = {
      value: soft!.rate.value - hard!.rate.value,
      sd: Math.hypot(soft!.rate.sd, hard!.rate.sd),
    };
    expect(Math.abs(value - 0.2)).toBeLessThan(2.5 * sd);
  });

  it('refuses to learn from a handful', () => {
    expect(() => fitConstants(shopOf(LEAST_CARS_TO_LEARN - 1, TRUE, 1))).toThrow(RangeError);
  });
});
