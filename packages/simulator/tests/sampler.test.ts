import { describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import {
  createFaultClassifier,
  createPosterior,
  createRandom,
  createChain,
  FAULT_COUNT,
  FAULTS,
  logLikelihood,
  resolveCase,
  STATE,
} from '@keen/core/engine';
import { exampleCase, wear } from '../../core/tests/exampleCase.ts';
import { createPriorDraws } from '../src/drawPrior.ts';

/**
 * The sampler against importance sampling: cars drawn from the prior by another program and weighted
 * with the likelihood give the same posterior, with nothing of the walk in it.
 */

const DRAWS = 150_000;
const SWEEPS = 12_000;
const CHAINS = 4;

interface Posterior {
  faults: number[];
  toe: number;
  camber: number;
  /** Draws that the weights are worth. */
  effective: number;
}

function weighted(file: CaseFile): Posterior {
  const resolved = resolveCase(file);
  const posterior = createPosterior(resolved);
  const draw = createPriorDraws(resolved, 11);
  const read = createFaultClassifier(resolved);
  const faults = new Uint8Array(FAULT_COUNT);
  const sums = new Array<number>(FAULT_COUNT).fill(0);
  let [total, squares, toe, camber] = [0, 0, 0, 0];
  for (let i = 0; i < DRAWS; i++) {
    const state = draw();
    const weight = Math.exp(logLikelihood(posterior, state));
    total += weight;
    squares += weight * weight;
    toe += weight * state[STATE.toe]!;
    camber += weight * state[STATE.camber]!;
    read(state, faults);
    faults.forEach((isOut, column) => (sums[column]! += weight * isOut));
  }
  return {
    faults: sums.map((sum) => sum / total),
    toe: toe / total,
    camber: camber / total,
    effective: (total * total) / squares,
  };
}

function walked(file: CaseFile): Posterior {
  const resolved = resolveCase(file);
  const posterior = createPosterior(resolved);
  const random = createRandom(5);
  const read = createFaultClassifier(resolved);
  const faults = new Uint8Array(FAULT_COUNT);
  const sums = new Array<number>(FAULT_COUNT).fill(0);
  let [toe, camber] = [0, 0];
  for (let chain = 0; chain < CHAINS; chain++) {
    const run = createChain(posterior, random, chain);
    for (let i = 0; i < 300; i++) run.sweep();
    run.settle();
    for (let i = 0; i < SWEEPS / CHAINS; i++) {
      run.sweep();
      toe += run.state[STATE.toe]!;
      camber += run.state[STATE.camber]!;
      read(run.state, faults);
      faults.forEach((isOut, column) => (sums[column]! += isOut));
    }
  }
  return {
    faults: sums.map((sum) => sum / SWEEPS),
    toe: toe / SWEEPS,
    camber: camber / SWEEPS,
    effective: SWEEPS,
  };
}

/** Only some tires read, so that weights do not collapse onto a few draws. */
const CASES: Record<string, CaseFile> = {
  'touch alone': exampleCase((file) => {
    for (const wheel of WHEELS)
      file.tires[wheel].stations = [{ inner: null, centre: null, outer: null }];
    file.tires.lf.feather = 'catchesOutward';
    file.tires.lr.cupping = 'some';
    file.play = { lf: 'some' };
    file.tires.rr.pressure = { measured: 200, target: 230 };
    file.complaints = ['wander'];
  }),
  'one tire read': exampleCase((file) => {
    for (const wheel of ['rf', 'lr', 'rr'] as const) {
      file.tires[wheel].stations = [{ inner: null, centre: null, outer: null }];
    }
    wear(file, 'lf', [2.6, 4.4, 4.8]);
  }),
  'a front pair read': exampleCase((file) => {
    for (const wheel of ['lr', 'rr'] as const) {
      file.tires[wheel].stations = [{ inner: null, centre: null, outer: null }];
    }
    wear(file, 'lf', [5.2, 4.6, 3.9]);
    wear(file, 'rf', [5.1, 4.5, 3.8]);
  }),
};

describe('createChain', () => {
  it.each(Object.entries(CASES))(
    'finds the posterior that weighted draws give: %s',
    (_name, file) => {
      const expected = weighted(file);
      const found = walked(file);
      expect(expected.effective).toBeGreaterThan(400);
      // Three standard errors of the weighted draws, and what a walk of this length wanders.
      const allowed = (p: number) => 3 * Math.sqrt((p * (1 - p)) / expected.effective) + 0.03;
      FAULTS.forEach(({ cause, where }, column) => {
        const off = Math.abs(found.faults[column]! - expected.faults[column]!);
        expect(off, `${cause} ${where}`).toBeLessThan(allowed(expected.faults[column]!));
      });
      expect(Math.abs(found.toe - expected.toe)).toBeLessThan(0.05);
      expect(Math.abs(found.camber - expected.camber)).toBeLessThan(0.12);
    },
  );

  it('draws the prior’s own rates where nothing was observed', () => {
    const resolved = resolveCase(CASES['one tire read']!);
    const draw = createPriorDraws(resolved, 3);
    const read = createFaultClassifier(resolved);
    const faults = new Uint8Array(FAULT_COUNT);
    let [anyCamber, anyPressure, clean] = [0, 0, 0];
    const cars = 40_000;
    for (let i = 0; i < cars; i++) {
      read(draw(), faults);
      const has = (causes: string[]) =>
        FAULTS.some(({ cause }, column) => causes.includes(cause) && faults[column] === 1);
      if (has(['camberTooNegative', 'camberTooPositive'])) anyCamber++;
      if (has(['pressureLow', 'pressureHigh'])) anyPressure++;
      if (!faults.includes(1)) clean++;
    }
    // Common practice, no source: a quarter, a quarter, and about a third with nothing out.
    expect(anyCamber / cars).toBeCloseTo(0.25, 1);
    expect(anyPressure / cars).toBeCloseTo(0.25, 1);
    expect(clean / cars).toBeGreaterThan(0.29);
    expect(clean / cars).toBeLessThan(0.37);
  });
});
