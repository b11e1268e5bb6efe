import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../tests/englishScreens.ts';
import { tirePath } from '../engine/wear/paths.ts';
import { tireLoss } from '../engine/wear/tireLoss.ts';
import { contactPatch } from './contactPatch.ts';
import { labState, usualCar } from './labCar.ts';
import type { LabCar } from './labCar.ts';
import { patchWords } from './patchWords.ts';

function patchOf(change: (car: LabCar) => void, columns = 9) {
  const car = usualCar();
  change(car);
  const state = labState(car);
  return { car, state, patch: contactPatch(state, 0, car.drive, columns) };
}

const CHANGES: readonly [string, (car: LabCar) => void][] = [
  ['nothing out', () => undefined],
  ['toe', (car) => (car.toe.lf = 0.8)],
  ['camber', (car) => (car.camber.lf = -5)],
  ['a soft tire', (car) => (car.pressure.lf = 0.7)],
  ['hard cornering', (car) => (car.cornering = 3)],
  ['play', (car) => (car.play.front = 0.3)],
];

describe('contactPatch', () => {
  it.each(CHANGES)('is the wear formula at the three ribs: %s', (_, change) => {
    // Nine places: the second, fifth and eighth are at -1, 0 and +1.
    const { state, patch } = patchOf(change);
    const loss = new Float64Array(3);
    tireLoss(state, tirePath(0, [0], [10], 'fwd'), loss);
    const ribs = [patch.work[1]!, patch.work[4]!, patch.work[7]!];
    expect(patch.y[1]).toBeCloseTo(-1, 12);
    expect(patch.y[7]).toBeCloseTo(1, 12);
    expect(ribs[0]! / ribs[1]!).toBeCloseTo(loss[0]! / loss[1]!, 9);
    expect(ribs[2]! / ribs[1]!).toBeCloseTo(loss[2]! / loss[1]!, 9);
    expect((patch.pressure[1]! + patch.pressure[4]! + patch.pressure[7]!) / 3).toBeCloseTo(1, 12);
  });

  it('slides over a part of the length that grows with slip and shrinks under pressure', () => {
    const { patch: toe } = patchOf((car) => (car.toe.lf = 1.4));
    const { patch: none } = patchOf(() => undefined);
    expect(toe.sliding[4]).toBeGreaterThan(none.sliding[4]!);
    const { patch: leaning } = patchOf((car) => (car.camber.lf = -3));
    expect(leaning.sliding[0]).toBeLessThan(leaning.sliding[8]!);
    for (const part of [...toe.sliding, ...leaning.sliding]) {
      expect(part).toBeGreaterThan(0);
      expect(part).toBeLessThanOrEqual(1);
    }
  });
});

describe('patchWords', () => {
  const words = (change: (car: LabCar) => void) => {
    const { car, patch } = patchOf(change);
    return patchWords(patch, car.camber.lf, car.pressure.lf, ENGLISH_SCREENS.lab.patch);
  };

  it('says that nothing is the matter where nothing is', () => {
    const said = words((car) => {
      car.camber.lf = 0;
      car.toe.lf = 0;
      car.toe.rf = 0;
    });
    expect(said).toContain('toe adds next to nothing');
    expect(said).toContain('wears evenly');
  });

  it('names the edge that toe and camber eat, and says which slips', () => {
    expect(words((car) => (car.toe.lf = 0.8))).toMatch(/outer edge down.*outer edge wears/s);
    expect(words((car) => (car.toe.lf = -0.8))).toMatch(/inner edge down.*inner edge wears/s);
    expect(words((car) => (car.camber.lf = -3))).toMatch(
      /load on the inner edge.*hardly makes the tread slip.*inner edge wears/s,
    );
  });

  it('speaks of pressure and play only where they are off', () => {
    expect(words((car) => (car.pressure.lf = 0.75))).toContain('Pressure 25 % below');
    expect(words((car) => (car.play.front = 0.2))).toContain('wander 0.20°');
    expect(words(() => undefined)).not.toMatch(/Pressure|wander/);
  });
});
