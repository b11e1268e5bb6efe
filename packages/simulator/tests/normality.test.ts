import type { CaseFile } from '@keen/contract';
import { createFaultClassifier, createRandom, FAULT_COUNT, resolveCase } from '@keen/core/engine';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../core/tests/exampleCase.ts';
import { createPriorDraws } from '../src/drawPrior.ts';
import { WORLD_NAMES, WORLDS } from '../src/worlds/worlds.ts';
import type { WorldName } from '../src/worlds/worlds.ts';

/**
 * What is normal is a fact of the trade, and cars with nothing out must look like that before anything is
 * read of them: a prior predictive check (Gelman et al., Bayesian Data Analysis, 6.3). Common practice, no
 * source: the ribs of a half-worn tire lie within 0.8 mm of each other four times in five, and 1.6 mm
 * apart or more one time in thirty; two tires of an axle within 0.8 mm nine times in ten; fronts of a
 * front-drive car wear 1.2 to 3 times as fast as its rears.
 *
 * Four in five cannot be met: camber that is spread evenly over its tolerance alone leaves one tire in
 * four with more than 0.8 mm, with no scatter at all. The bounds say how near we come.
 */

const CARS = 1500;
/** Loss of the worst front rib of a half-worn set, mm: from half of what an 8 mm tire has to lose. */
const HALF_WORN_MM: readonly [number, number] = [3.2, 4.6];

interface Normal {
  within: number;
  apart: number;
  across: number;
  ratio: number;
}

function healthyCars(world: WorldName): Normal {
  const file: CaseFile = exampleCase();
  const resolved = resolveCase(file);
  const draw = createPriorDraws(resolved, 7);
  const read = createFaultClassifier(resolved);
  const faults = new Uint8Array(FAULT_COUNT);
  const random = createRandom(99);
  const count = { tires: 0, within: 0, apart: 0, across: 0, ratio: 0 };
  for (let cars = 0; cars < CARS;) {
    const state = draw();
    read(state, faults);
    if (faults.includes(1)) continue;
    cars++;
    const physics = WORLDS[world].createPhysics('fwd', state, random);
    const factors = WORLDS[world].drawFactors(state, random);
    const rates = [0, 1, 2, 3].map((tire) =>
      physics
        .rates(state, tire, tire)
        .map((mm, rib) => mm * factors.tire[tire]! * factors.rib[tire]![rib]!),
    );
    const worst = Math.max(...rates[0]!, ...rates[1]!);
    const [least, most] = HALF_WORN_MM;
    const km = (least + (most - least) * random.uniform()) / worst;
    const means = rates.map((ribs) => (km * ribs.reduce((sum, mm) => sum + mm, 0)) / 3);
    for (const tire of [0, 1]) {
      const lost = rates[tire]!.map((mm) => km * mm + 0.15 * random.normal());
      const range = Math.max(...lost) - Math.min(...lost);
      count.tires++;
      if (range <= 0.8) count.within++;
      if (range >= 1.6) count.apart++;
    }
    if (Math.abs(means[0]! - means[1]!) <= 0.8) count.across++;
    const ratio = (means[0]! + means[1]!) / (means[2]! + means[3]!);
    if (ratio >= 1.2 && ratio <= 3) count.ratio++;
  }
  return {
    within: count.within / count.tires,
    apart: count.apart / count.tires,
    across: count.across / CARS,
    ratio: count.ratio / CARS,
  };
}

describe.each(WORLD_NAMES)('a half-worn car with nothing out, in the world %s', (world) => {
  const normal = healthyCars(world);

  it('has ribs that lie together on most tires, and far apart on few', () => {
    expect(normal.within).toBeGreaterThan(0.52);
    expect(normal.apart).toBeLessThan(0.06);
    expect(normal.apart).toBeGreaterThan(0.005);
  });

  it('has two front tires that wear alike', () => {
    expect(normal.across).toBeGreaterThan(0.88);
  });

  it('wears its driven front tires faster than its rears', () => {
    expect(normal.ratio).toBeGreaterThan(0.7);
  });
});
