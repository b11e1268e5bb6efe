import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { createAttribution, WEAR_PARTS } from './attribution.ts';
import { FAULT_COLUMN } from '../wear/faults.ts';
import { createFaultClassifier, FAULT_COUNT } from './classifyFaults.ts';
import { createPosterior } from './posterior.ts';

const resolved = resolveCase(exampleCase());
const posterior = createPosterior(resolved);
const read = createFaultClassifier(resolved);
const OUTER = [2, 2, 2, 2];

function attribute(...changes: ((state: Float64Array) => void)[]) {
  const attribution = createAttribution(posterior, OUTER);
  const faults = new Uint8Array(FAULT_COUNT);
  for (const change of changes) {
    const state = posterior.healthy.slice();
    change(state);
    read(state, faults);
    attribution.add(state, faults);
  }
  return attribution;
}

function outerLoss(tire: number, change: (state: Float64Array) => void): number {
  const state = posterior.healthy.slice();
  change(state);
  const out = new Float64Array(3);
  tireLoss(state, posterior.paths[tire]!, out);
  return out[2]!;
}

const part = (name: (typeof WEAR_PARTS)[number]) => WEAR_PARTS.indexOf(name);
const healthy = () => undefined;

describe('createAttribution', () => {
  it('gives nothing to anyone on a healthy car', () => {
    const attribution = attribute(healthy);
    expect(
      attribution
        .parts()
        .flat()
        .every((mm) => Math.abs(mm) < 1e-12),
    ).toBe(true);
    expect(attribution.excess().every((mm) => Math.abs(mm) < 1e-12)).toBe(true);
  });

  it('gives a cause that is alone just what it took', () => {
    const toeIn = (state: Float64Array) => (state[STATE.toe] = 1);
    const attribution = attribute(toeIn);
    const took = [0, 1].map((tire) => outerLoss(tire, toeIn) - outerLoss(tire, healthy));
    expect(attribution.parts()[0]![part('toe')]).toBeCloseTo(took[0]!, 12);
    expect(attribution.excess()[FAULT_COLUMN.toeTooFarIn]).toBeCloseTo(took[0]! + took[1]!, 12);
    expect(attribution.excess()[FAULT_COLUMN.toeTooFarOut]).toBe(0);
  });

  it('keeps a camber to its own wheel', () => {
    const attribution = attribute((state) => (state[STATE.camber + 1] = 3));
    expect(attribution.parts()[1]![part('camber')]).toBeGreaterThan(0.2);
    expect(attribution.parts()[0]![part('camber')]).toBeCloseTo(0, 12);
  });

  it('shares what two causes took together between them', () => {
    const both = (state: Float64Array) => {
      state[STATE.toe] = 1;
      state[STATE.pressure] = 0.75;
    };
    const parts = attribute(both).parts()[0]!;
    const extra = outerLoss(0, both) - outerLoss(0, healthy);
    expect(parts[part('toe')]! + parts[part('pressure')]!).toBeCloseTo(extra, 9);
  });

  it('counts loose joints as toe in the parts and by their own name among the causes', () => {
    const attribution = attribute((state) => (state[STATE.looseness] = 0.4));
    expect(attribution.parts()[0]![part('toe')]).toBeGreaterThan(0.5);
    expect(attribution.excess()[FAULT_COLUMN.looseness]).toBeGreaterThan(1);
    expect(attribution.excess()[FAULT_COLUMN.toeTooFarIn]).toBeCloseTo(0, 12);
  });

  it('counts only the uneven part of cornering as its excess', () => {
    const hard = (state: Float64Array) => (state[STATE.cornering] = 2.5);
    const attribution = attribute(hard);
    const all =
      outerLoss(0, hard) - outerLoss(0, healthy) + outerLoss(1, hard) - outerLoss(1, healthy);
    const excess = attribution.excess()[FAULT_COLUMN.hardCornering]!;
    expect(excess).toBeGreaterThan(0);
    expect(excess).toBeLessThan(all);
    expect(attribution.excess()[FAULT_COLUMN.hardCornering + 1]).toBe(0);
  });

  it('means over the draws, so that doubt is in it', () => {
    const toeIn = (state: Float64Array) => (state[STATE.toe] = 1);
    const sure = attribute(toeIn).excess()[FAULT_COLUMN.toeTooFarIn]!;
    const half = attribute(toeIn, healthy).excess()[FAULT_COLUMN.toeTooFarIn]!;
    expect(half).toBeCloseTo(sure / 2, 12);
  });
});
