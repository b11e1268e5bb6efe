import { describe, expect, it } from 'vitest';
import * as fc from 'fast-check';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePaths } from '../wear/paths.ts';
import { healthyState, STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { createDepthEvidence, tireReadings } from './depthEvidence.ts';

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

function denseLog(file: ReturnType<typeof exampleCase>, state: Float64Array): number {
  const resolved = resolveCase(file);
  const loss = new Float64Array(3);
  tireLoss(state, tirePaths(resolved)[0]!, loss);
  const { lossMm, count } = tireReadings(resolved.tires.lf);
  const read = [0, 1, 2].filter((rib) => count[rib]! > 0);
  const meanLoss =
    read.reduce((sum, rib) => sum + Math.max(0, lossMm[rib]!), 0) / (read.length || 1);
  const station = NOISE.readingMm ** 2 + (NOISE.stationHealthy * meanLoss) ** 2;
  const covariance = read.map((a) =>
    read.map(
      (b) =>
        NOISE.tire ** 2 * loss[a]! * loss[b]! +
        NOISE.newDepthMm ** 2 +
        (a === b ? (NOISE.rib * loss[a]!) ** 2 + station / count[a]! + 0.1 ** 2 / 12 : 0),
    ),
  );
  return logNormal(
    read.map((rib) => lossMm[rib]! - loss[rib]!),
    covariance,
  );
}

function engineLog(file: ReturnType<typeof exampleCase>, state: Float64Array): number {
  const resolved = resolveCase(file);
  return createDepthEvidence(resolved, tirePaths(resolved))(state, 0);
}

const depth = fc.oneof(
  { weight: 5, arbitrary: fc.double({ min: 0, max: 8, noNaN: true }) },
  { weight: 1, arbitrary: fc.constant(null) },
);

describe('createDepthEvidence', () => {
  it('is the dense normal density, for any depths, ribs unread and state', () => {
    fc.assert(
      fc.property(
        fc.tuple(depth, depth, depth),
        fc.double({ min: -4, max: 3, noNaN: true }),
        fc.double({ min: -1.5, max: 1.5, noNaN: true }),
        ([inner, centre, outer], camber, toe) => {
          const file = exampleCase();
          file.tires.lf.stations = [{ inner, centre, outer }];
          const state = healthyState([0, 0], [0, 0]);
          state[STATE.camber] = camber;
          state[STATE.toe] = toe;
          expect(engineLog(file, state)).toBeCloseTo(denseLog(file, state), 8);
        },
      ),
    );
  });

  it('says nothing about a tire that was not read', () => {
    const file = exampleCase();
    file.tires.lf.stations = [{ inner: null, centre: null, outer: null }];
    const state = healthyState([0, 0], [0, 0]);
    const before = engineLog(file, state);
    state[STATE.camber] = -3;
    expect(engineLog(file, state)).toBe(before);
  });

  it('prefers the camber that leaves the slope that was read', () => {
    const file = exampleCase((one) => wear(one, 'lf', [2.5, 4.9, 5.4]));
    const at = (camber: number) => {
      const state = healthyState([0, 0], [0.1, 0.1]);
      state[STATE.camber] = camber;
      return engineLog(file, state);
    };
    expect(at(-2.5)).toBeGreaterThan(at(0) + 2);
    expect(at(0)).toBeGreaterThan(at(2));
  });

  it('takes unevenness round the tire as a sign of bounce, evenness as one against it', () => {
    const at = (second: number, bounce: number) => {
      const file = exampleCase();
      file.tires.lf.stations = [5, second, 5, second].map((mm) => ({
        inner: mm,
        centre: mm,
        outer: mm,
      }));
      const state = healthyState([0, 0], [0, 0]);
      state[STATE.bounce] = bounce;
      return engineLog(file, state);
    };
    expect(at(3.8, 1)).toBeGreaterThan(at(3.8, 0));
    expect(at(5, 0)).toBeGreaterThan(at(5, 1));
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
      const state = healthyState([0, 0], [0, 0]);
      const flat = engineLog(file, state);
      state[STATE.camber] = -1.5;
      return engineLog(file, state) - flat;
    };
    expect(told('mm')).toBeGreaterThan(told('in32'));
  });
});

describe('tireReadings', () => {
  it('means over the places read and keeps their scatter', () => {
    const file = exampleCase();
    file.tires.lf.stations = [
      { inner: 5, centre: 4, outer: null },
      { inner: 5.4, centre: null, outer: null },
    ];
    const readings = tireReadings(resolveCase(file).tires.lf);
    expect(readings.lossMm[0]).toBeCloseTo(2.8, 12);
    expect(readings.lossMm[1]).toBe(4);
    expect(readings.lossMm[2]).toBeNaN();
    expect(readings.count).toEqual([2, 1, 0]);
    expect(readings.scatterMm2).toBeCloseTo(0.08, 12);
    expect(readings.scatterFreedom).toBe(1);
  });
});
