import { firstAtLimit, LAB_RANGES, NAMED_TREADS, tiresAt, usualCar, wearOn } from '@keen/core/lab';
import type { LabCar } from '@keen/core/lab';
import { describe, expect, it } from 'vitest';
import { drawOtherCar, WORLD_NAMES, usualPhysics } from '../src/labWorlds.ts';
import type { WorldName } from '../src/labWorlds.ts';

function leftIn(world: WorldName, car: LabCar, km = 20_000) {
  return tiresAt(wearOn({ car, newMm: 8, km, events: [] }, usualPhysics(world, car)), km).depthMm;
}

const carOf = (name: string) => NAMED_TREADS.find((tread) => tread.name === name)!.car;

describe.each(WORLD_NAMES)('the usual car of the world %s', (world) => {
  it('wears about 1 mm in 10,000 km in front (common practice, no source)', () => {
    const { lf } = leftIn(world, usualCar());
    const lost = 8 - (lf.inner + lf.centre + lf.outer) / 3;
    expect(lost).toBeGreaterThan(1.5);
    expect(lost).toBeLessThan(3.2);
  });

  // The wear chart of the trade (common practice, no source): which part goes first.
  it.each([
    ['saw', 'lf', 'outer', 'inner'],
    ['sawInner', 'rf', 'inner', 'outer'],
    ['innerEdge', 'lf', 'inner', 'outer'],
    ['rearInner', 'lr', 'inner', 'outer'],
    ['soft', 'rr', 'outer', 'centre'],
    ['hard', 'lr', 'centre', 'outer'],
    ['loaded', 'lr', 'outer', 'centre'],
    ['keen', 'rf', 'outer', 'centre'],
  ] as const)('shows the tread of %s', (name, wheel, worn, kept) => {
    const left = leftIn(world, carOf(name))[wheel];
    const usual = leftIn(world, usualCar())[wheel];
    const against = left[worn] - left[kept] - (usual[worn] - usual[kept]);
    expect(against).toBeLessThan(-0.1);
  });

  it('wears all ribs faster with loose joints, and every car with every setting', () => {
    expect(leftIn(world, carOf('loose')).lf.centre).toBeLessThan(
      leftIn(world, usualCar()).lf.centre - 0.3,
    );
    for (const end of [0, 1] as const) {
      const car = usualCar();
      car.camber.lf = LAB_RANGES.camber[end];
      car.toe.lf = LAB_RANGES.toe[end];
      car.pressure.lf = LAB_RANGES.pressure[end];
      car.cornering = LAB_RANGES.cornering[end];
      car.load.front = LAB_RANGES.load[end];
      car.caster.left = LAB_RANGES.caster[end];
      const { inner, centre, outer } = leftIn(world, car).lf;
      for (const mm of [inner, centre, outer]) {
        expect(mm).toBeGreaterThanOrEqual(0);
        expect(mm).toBeLessThan(8);
      }
    }
  });

  it('draws other cars round it: the same seed gives the same one', () => {
    const lives = Array.from({ length: 60 }, (_, seed) => {
      const { car, physics, factors } = drawOtherCar(world, usualCar(), seed);
      const run = wearOn({ car, newMm: 8, km: 150_000, events: [] }, physics, factors);
      return firstAtLimit(run, 1.6)?.km ?? 150_000;
    });
    const again = drawOtherCar(world, usualCar(), 7);
    const run = wearOn(
      { car: again.car, newMm: 8, km: 150_000, events: [] },
      again.physics,
      again.factors,
    );
    expect(firstAtLimit(run, 1.6)?.km ?? 150_000).toBe(lives[7]);
    const sorted = lives.toSorted((a, b) => a - b);
    const usual = firstAtLimit(
      wearOn(
        { car: usualCar(), newMm: 8, km: 150_000, events: [] },
        usualPhysics(world, usualCar()),
      ),
      1.6,
    )!.km;
    // Of any make, driver and road: some live half as long again as others, the usual one among them.
    expect(sorted[48]! / sorted[12]!).toBeGreaterThan(1.3);
    expect(usual).toBeGreaterThan(sorted[6]!);
    expect(usual).toBeLessThan(sorted[57]!);
  });
});
