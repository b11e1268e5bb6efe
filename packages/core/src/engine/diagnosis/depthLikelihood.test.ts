import type { ShopConstants } from '@keen/contract';
import { TIRE_PAIRS } from '@keen/contract/words';
import type { TirePair } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import * as fc from 'fast-check';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePaths } from '../wear/paths.ts';
import { FIRST_NUISANCE, healthyState, NUISANCE_SPREADS, STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { createRandom } from '../random/random.ts';
import { createDepthLikelihood } from './depthLikelihood.ts';
import { USUAL_CONSTANTS } from './usualConstants.ts';
import { tireReadings } from './tireReadings.ts';

/** Log density of a normal vector by Gauss elimination: slow, plain, and written apart. */
function logNormal(residual: number[], covariance: number[][]): number {
  const rows = covariance.map((row, i) => [...row, residual[i]!]);
  const size = residual.length;
  let logDet = 0;
  for (let i = 0; i < size; i++) {
    logDet += Math.log(rows[i]![i]!);
    for (let j = i + 1; j < size; j++) {
      const factor = rows[j]![i]! / rows[i]![i]!;
      for (let k = i; k <= size; k++) rows[j]![k]! -= factor * rows[i]![k]!;
    }
  }
  const solution = new Array<number>(size).fill(0);
  for (let i = size - 1; i >= 0; i--) {
    const rest = solution.reduce((sum, value, k) => (k > i ? sum + rows[i]![k]! * value : sum), 0);
    solution[i] = (rows[i]![size]! - rest) / rows[i]![i]!;
  }
  const square = residual.reduce((sum, value, i) => sum + value * solution[i]!, 0);
  return -0.5 * (square + logDet);
}

/** An unread rib is one read to a metre, mm squared. */
const UNREAD_VAR = 1e6;
/** What unread ribs add, the same at every state: the log of their variance. */
const UNREAD_LOG = -0.5 * Math.log(UNREAD_VAR);

/**
 * The same likelihood the long way: all twelve ribs, the sensitivities as differences of the forward
 * model, which is linear in the nuisances.
 */
function denseLog(
  file: ReturnType<typeof exampleCase>,
  state: Float64Array,
  unread: 'leftOut' | 'toTheMetre' = 'leftOut',
): number {
  const resolved = resolveCase(file);
  const paths = tirePaths(resolved);
  const lossesAt = (s: Float64Array) =>
    paths.flatMap((path) => {
      const out = new Float64Array(3);
      tireLoss(s, path, out);
      return [...out];
    });
  // Where the shop's own cars lie, when it has learned that.
  const traits = resolved.constants?.traits;
  const centre = state.slice();
  const learned = new Map<number, number>();
  if (traits) {
    const { crown, hand, frontToRear } = traits;
    centre[STATE.crown] = crown.mean;
    centre[STATE.hand] = hand.mean;
    centre[STATE.axleRate] = frontToRear.mean;
    centre[STATE.axleRate + 1] = -frontToRear.mean;
    learned.set(STATE.crown, crown.sd).set(STATE.hand, hand.sd);
    for (const axle of [0, 1]) learned.set(STATE.axleRate + axle, frontToRear.sd * Math.SQRT2);
  }
  const loss = lossesAt(centre);
  const step = 1e-3;
  const otherAge = state[STATE.otherAge]!;
  const { tiresDiffer } = resolved.history;
  const slopes = [...NUISANCE_SPREADS.keys()].map((k) => {
    const moved = centre.slice();
    moved[FIRST_NUISANCE + k]! += step;
    const axle = FIRST_NUISANCE + k - STATE.axleRate;
    const usual = learned.get(FIRST_NUISANCE + k) ?? NUISANCE_SPREADS[k]!;
    const ofRate = tiresDiffer.includes('axles') ? NOISE.differingAxle : usual;
    // Of another age the rate is as uncertain as that says, whatever is known of the make.
    const rate = axle === otherAge - 1 ? NOISE.otherAge : ofRate;
    const spread = axle === 0 || axle === 1 ? rate : usual;
    return lossesAt(moved).map((mm, at) => ((mm - loss[at]!) / step) * spread);
  });
  const readings = WHEEL_ORDER.map((wheel) => tireReadings(resolved.tires[wheel]));
  const rounding = resolved.reading.roundingMm ** 2 / 12;
  const scale = Math.exp(state[STATE.noise]!);
  const reads = readings.flatMap(({ lossMm, count }, tire) => {
    const seen = lossMm.filter((mm) => !Number.isNaN(mm));
    const mean = seen.reduce((sum, mm) => sum + Math.max(0, mm), 0) / (seen.length || 1);
    const station = NOISE.readingMm ** 2 + (NOISE.stationHealthy * mean) ** 2;
    return [0, 1, 2].flatMap((rib) =>
      count[rib]! > 0
        ? [{ at: 3 * tire + rib, lost: lossMm[rib]!, variance: station / count[rib]! + rounding }]
        : unread === 'toTheMetre'
          ? [{ at: 3 * tire + rib, lost: 0, variance: UNREAD_VAR }]
          : [],
    );
  });
  const covariance = reads.map((a) =>
    reads.map((b) => {
      const common = slopes.reduce((sum, slope) => sum + slope[a.at]! * slope[b.at]!, 0);
      const tire = Math.floor(a.at / 3);
      if (tire !== Math.floor(b.at / 3)) return common;
      const odd = state[STATE.oddTire] === tire + 1 ? NOISE.oddTire ** 2 : 0;
      const differs = tiresDiffer.includes(tire < 2 ? 'front' : 'rear')
        ? NOISE.differingTire ** 2 - NOISE.tire ** 2
        : 0;
      const ofTire = (NOISE.tire * scale) ** 2 + differs + odd;
      const both = ofTire * loss[a.at]! * loss[b.at]! + NOISE.newDepthMm ** 2;
      if (a.at !== b.at) return common + both;
      const wrong = state[STATE.oddReading] === a.at + 1 ? NOISE.oddReadingMm ** 2 : 0;
      return common + both + (NOISE.rib * scale * loss[a.at]!) ** 2 + a.variance + wrong;
    }),
  );
  return logNormal(
    reads.map(({ at, lost }) => lost - loss[at]!),
    covariance,
  );
}

function engineLog(file: ReturnType<typeof exampleCase>, state: Float64Array): number {
  const resolved = resolveCase(file);
  return createDepthLikelihood(resolved, tirePaths(resolved)).propose(state, 0b1111);
}

const depth = fc.oneof(
  { weight: 5, arbitrary: fc.double({ min: 0, max: 8, noNaN: true }) },
  { weight: 1, arbitrary: fc.constant(null) },
);

const state = fc
  .tuple(
    fc.double({ min: -4, max: 3, noNaN: true }),
    fc.double({ min: -1.5, max: 1.5, noNaN: true }),
    fc.double({ min: 0.7, max: 1.3, noNaN: true }),
    fc.double({ min: 0, max: 3, noNaN: true }),
    fc.double({ min: -0.6, max: 0.6, noNaN: true }),
    fc.integer({ min: 0, max: 4 }),
    fc.integer({ min: 0, max: 12 }),
    fc.integer({ min: 0, max: 2 }),
  )
  .map(([camber, toe, pressure, cornering, noise, oddTire, oddReading, otherAge]) => {
    const made = healthyState([0, 0], [0, 0]);
    made[STATE.camber] = camber;
    made[STATE.camber + 3] = -camber / 2;
    made[STATE.toe] = toe;
    made[STATE.pressure + 1] = pressure;
    made[STATE.cornering] = cornering;
    made[STATE.noise] = noise;
    made[STATE.oddTire] = oddTire;
    made[STATE.oddReading] = oddReading;
    made[STATE.otherAge] = otherAge;
    return made;
  });

const differing = fc.subarray([...TIRE_PAIRS]);
/** Of a shop whose cars are far from the usual. */
const LEARNED: ShopConstants = {
  traits: {
    wearRate: { mean: 0.2, sd: 0.2 },
    frontToRear: { mean: 0.1, sd: 0.08 },
    crown: { mean: 0.06, sd: 0.03 },
    hand: { mean: -0.03, sd: 0.05 },
  },
  faultRates: { ...USUAL_CONSTANTS.faultRates },
};

const shop = fc.constantFrom(undefined, LEARNED);

describe('createDepthLikelihood', () => {
  it('is the dense normal density, for any depths, ribs unread and state', () => {
    fc.assert(
      fc.property(fc.tuple(depth, depth, depth), state, differing, shop, (lf, one, pairs, own) => {
        const [inner, centre, outer] = lf;
        const file = exampleCase();
        if (own) file.constants = own;
        file.history = { tiresDiffer: pairs };
        file.tires.lf.stations = [{ inner, centre, outer }];
        const unread = [inner, centre, outer].filter((mm) => mm === null).length;
        const ours = engineLog(file, one);
        expect(ours).toBeCloseTo(denseLog(file, one, 'toTheMetre'), 6);
        // A rib read to a metre says nothing: at most what a likelihood a hundredth larger would.
        expect(ours - unread * UNREAD_LOG).toBeCloseTo(denseLog(file, one), 2);
      }),
    );
  });

  it('gives the same whether it is asked at once or after other states', () => {
    fc.assert(
      fc.property(state, state, (first, second) => {
        const resolved = resolveCase(exampleCase());
        const likelihood = createDepthLikelihood(resolved, tirePaths(resolved));
        likelihood.propose(first, 0b1111);
        likelihood.accept();
        likelihood.propose(second, 0b1111);
        // Not accepted: the first one's front axle must still be there.
        const mixed = first.slice();
        mixed[STATE.camber] = second[STATE.camber]!;
        expect(likelihood.propose(mixed, 0b0001)).toBeCloseTo(engineLog(exampleCase(), mixed), 9);
      }),
    );
  });

  it('guesses by the covariance it has, exactly where nothing but the scatter would change', () => {
    for (const own of [undefined, LEARNED]) {
      const resolved = resolveCase({ ...exampleCase(), ...(own && { constants: own }) });
      const likelihood = createDepthLikelihood(resolved, tirePaths(resolved));
      const one = healthyState([0, 0], [0, 0]);
      const there = likelihood.propose(one, 0b1111);
      likelihood.accept();
      expect(likelihood.screen(one, 0b1111)).toBeCloseTo(there, 9);
      likelihood.propose(one, 0b1111);
      expect(likelihood.screenBack()).toBeCloseTo(there, 9);
    }
  });

  it('draws the nuisances back as the readings leave them', () => {
    const file = exampleCase();
    const resolved = resolveCase(file);
    const likelihood = createDepthLikelihood(resolved, tirePaths(resolved));
    const random = createRandom(4);
    const ribs = { factors: new Float64Array(12), lossMm: new Float64Array(12) };
    const one = healthyState([0, 0], [0, 0]);
    const values: number[] = [];
    const lost: number[] = [];
    for (let i = 0; i < 4000; i++) {
      likelihood.drawNuisances(one, random, ribs);
      values.push(one[STATE.hand]!);
      lost.push(ribs.lossMm[0]!);
    }
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const sd = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / values.length);
    // Left and right alike and even: nothing speaks for handed driving, and something against it.
    expect(Math.abs(mean)).toBeLessThan(0.004);
    expect(sd).toBeLessThan(NUISANCE_SPREADS[0]!);
    expect(sd).toBeGreaterThan(0.3 * NUISANCE_SPREADS[0]!);
    // The true loss is about what was read.
    const meanLost = lost.reduce((sum, mm) => sum + mm, 0) / lost.length;
    expect(meanLost).toBeGreaterThan(2.75);
    expect(meanLost).toBeLessThan(3.25);
  });

  it('draws the rate of an axle of another age as widely, whether its make is known to differ or not', () => {
    const random = createRandom(5);
    const ribs = { factors: new Float64Array(12), lossMm: new Float64Array(12) };
    const sdOf = (tiresDiffer: TirePair[]) => {
      const file = exampleCase();
      file.history = { tiresDiffer };
      for (const wheel of ['lr', 'rr'] as const) {
        file.tires[wheel].stations = [{ inner: null, centre: null, outer: null }];
      }
      const resolved = resolveCase(file);
      const likelihood = createDepthLikelihood(resolved, tirePaths(resolved));
      const one = healthyState([0, 0], [0, 0]);
      one[STATE.otherAge] = 2;
      const drawn = Array.from({ length: 4000 }, () => {
        likelihood.drawNuisances(one, random, ribs);
        return one[STATE.axleRate + 1]!;
      });
      return Math.sqrt(drawn.reduce((sum, value) => sum + value ** 2, 0) / drawn.length);
    };
    // Nothing was read there, so what is drawn is the prior.
    expect(sdOf([])).toBeCloseTo(NOISE.otherAge, 1);
    expect(sdOf(['axles'])).toBeCloseTo(NOISE.otherAge, 1);
  });

  it('says nothing about a tire that was not read', () => {
    const file = exampleCase();
    file.tires.lf.stations = [{ inner: null, centre: null, outer: null }];
    const one = healthyState([0, 0], [0, 0]);
    const before = engineLog(file, one);
    one[STATE.camber] = -3;
    expect(engineLog(file, one)).toBeCloseTo(before, 4);
  });

  it('prefers the camber that leaves the slope that was read', () => {
    const file = exampleCase((one) => wear(one, 'lf', [2.5, 4.9, 5.4]));
    const at = (camber: number) => {
      const one = healthyState([0, 0], [0.1, 0.1]);
      one[STATE.camber] = camber;
      return engineLog(file, one);
    };
    expect(at(-2.5)).toBeGreaterThan(at(0) + 2);
    expect(at(0)).toBeGreaterThan(at(2));
  });

  it('lets coarse rounding blur what fine rounding tells', () => {
    const told = (unit: 'mm' | 'in32') => {
      const file = exampleCase();
      file.units = { ...file.units, depth: unit };
      const inUnit = (mm: number) => (unit === 'mm' ? mm : mm / 0.79375);
      for (const tire of Object.values(file.tires)) {
        tire.newDepth = inUnit(8);
        tire.stations = [{ inner: inUnit(4), centre: inUnit(5), outer: inUnit(5.4) }];
      }
      const one = healthyState([0, 0], [0, 0]);
      const flat = engineLog(file, one);
      one[STATE.camber] = -1.5;
      return engineLog(file, one) - flat;
    };
    expect(told('mm')).toBeGreaterThan(told('in32'));
  });
});
