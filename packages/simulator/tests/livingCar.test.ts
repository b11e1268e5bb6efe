import { parseCaseFile } from '@keen/contract';
import type { CaseFile } from '@keen/contract';
import { STATE } from '@keen/core/engine';
import { mean } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { createLivingCar } from '../src/index.ts';
import type { WheelAngles } from '../src/index.ts';

const SEEDS = Array.from({ length: 60 }, (_, i) => i + 1);
const meanDepth = (file: CaseFile) =>
  mean(
    Object.values(file.tires).flatMap(({ stations }) =>
      stations.flatMap((station) => Object.values(station).filter((mm) => mm !== null)),
    ),
  ) * (file.units.depth === 'mm' ? 1 : 0.79375);

describe('a car that lives on', () => {
  it('is seen as a whole case at any time, with less tread each time', () => {
    for (const seed of SEEDS) {
      const car = createLivingCar(seed, 'own');
      car.drive(60);
      const first = car.look();
      car.drive(80);
      const second = car.look();
      expect(parseCaseFile(first)).toMatchObject({ ok: true });
      expect(second.tires.lf.distance).toBe(14_000);
      expect(meanDepth(second)).toBeLessThan(meanDepth(first));
    }
  });

  it('wears by what its shop has in common', () => {
    const lost = (usual: number) =>
      mean(
        SEEDS.map((seed) => {
          const car = createLivingCar(seed, 'own', [[STATE.logWearRate, usual]]);
          car.drive(50);
          return car.plan.newDepthMm - meanDepth(car.look());
        }),
      );
    // A rate by a quarter higher wears a quarter more, but for what slows as the tread goes.
    expect(lost(Math.log(1.25)) / lost(0)).toBeGreaterThan(1.15);
    expect(lost(Math.log(1.25)) / lost(0)).toBeLessThan(1.3);
  });

  it('stands where it was set, and mostly stays there', () => {
    const total = (angles: WheelAngles) => angles.lf.toe + angles.rf.toe;
    const wereOut = Array.from({ length: 600 }, (_, seed) => seed).flatMap((seed) => {
      const car = createLivingCar(seed, 'own');
      car.drive(30);
      const before = total(car.measure());
      const set = total(car.align(false));
      expect(Math.abs(total(car.measure()) - set)).toBeLessThan(0.3);
      if (Math.abs(before - set) < 0.5) return [];
      car.drive(40);
      return [Math.abs(total(car.measure()) - before) < 0.3];
    });
    expect(wereOut.length).toBeGreaterThan(30);
    const undone = wereOut.filter((isSo) => isSo).length / wereOut.length;
    expect(undone).toBeGreaterThan(0.03);
    expect(undone).toBeLessThan(0.35);
  });

  it('has new tires where they were fitted, and the old ones elsewhere', () => {
    const car = createLivingCar(7, 'own');
    car.drive(150);
    const before = car.leastMm('lr');
    car.renew(0);
    expect(car.leastMm('lr')).toBe(before);
    expect(car.leastMm('lf')).toBeGreaterThan(before);
    expect(car.isOfOneAge()).toBe(false);
    car.drive(20);
    const { tires } = car.look();
    expect([tires.lf.distance, tires.lr.distance]).toEqual([2_000, 17_000]);
  });

  it('tells of its rotations as long as tires are on it that went through them', () => {
    const car = createLivingCar(9, 'own');
    car.drive(80);
    const front = car.leastMm('lf');
    car.rotate();
    expect(car.leastMm('lr')).toBe(front);
    car.drive(50);
    expect(car.look().rotations).toEqual([
      { atDistance: 8_000, moves: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } },
    ]);
    car.renew(0);
    expect(car.look().rotations).toHaveLength(1);
    car.renew(1);
    expect(car.look().rotations).toBeUndefined();
  });
});
