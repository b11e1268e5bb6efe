import { describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { tireHistory, tiresWornAt } from './history.ts';

const FRONT_TO_REAR = { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } as const;

function historyOf(wheel: 'lf' | 'lr', change: (file: CaseFile) => void) {
  return tireHistory(resolveCase(exampleCase(change)), wheel);
}

describe('tireHistory', () => {
  it('is one stretch where the tire is when nothing was rotated', () => {
    expect(historyOf('lf', () => undefined)).toEqual([{ wheel: 'lf', km: 30_000, endedAgoKm: 0 }]);
  });

  it('walks back through a rotation to where the tire was', () => {
    const history = historyOf('lf', (file) => {
      file.rotations = [{ atDistance: 20_000, moves: FRONT_TO_REAR }];
    });
    expect(history).toEqual([
      { wheel: 'lr', km: 20_000, endedAgoKm: 10_000 },
      { wheel: 'lf', km: 10_000, endedAgoKm: 0 },
    ]);
  });

  it('leaves tires alone that a rotation does not name', () => {
    const history = historyOf('lr', (file) => {
      file.rotations = [{ atDistance: 20_000, moves: { lf: 'rf', rf: 'lf' } }];
    });
    expect(history).toHaveLength(1);
  });

  it('knows nothing of rotations before the tire was put on', () => {
    const history = historyOf('lf', (file) => {
      file.tires.lf.distance = 5_000;
      file.rotations = [{ atDistance: 20_000, moves: FRONT_TO_REAR }];
    });
    expect(history).toEqual([{ wheel: 'lf', km: 5_000, endedAgoKm: 0 }]);
  });

  it('always adds up to the distance run', () => {
    const history = historyOf('lr', (file) => {
      file.rotations = [
        { atDistance: 8_000, moves: FRONT_TO_REAR },
        { atDistance: 15_000, moves: { lf: 'rr', rr: 'lf', rf: 'lr', lr: 'rf' } },
        { atDistance: 22_000, moves: FRONT_TO_REAR },
      ];
    });
    expect(history.reduce((sum, { km }) => sum + km, 0)).toBe(30_000);
    expect(history.at(-1)).toMatchObject({ wheel: 'lr', endedAgoKm: 0 });
  });
});

describe('tiresWornAt', () => {
  const wornAt = (place: 'lf' | 'lr', change: (file: CaseFile) => void) =>
    tiresWornAt(resolveCase(exampleCase(change)), place);

  it('is the tire of the place itself where nothing was rotated', () => {
    expect(wornAt('lf', () => undefined)).toEqual(['lf']);
  });

  it('is the tire that ran there before, where they changed places late', () => {
    const late = (file: CaseFile) => {
      file.rotations = [{ atDistance: 25_000, moves: FRONT_TO_REAR }];
    };
    expect(wornAt('lf', late)).toEqual(['lr']);
    expect(wornAt('lr', late)).toEqual(['lf']);
  });

  it('is both where they shared the distance, the one that ran longer first', () => {
    expect(
      wornAt('lf', (file) => {
        file.rotations = [{ atDistance: 18_000, moves: FRONT_TO_REAR }];
      }),
    ).toEqual(['lr', 'lf']);
  });

  it('is the tire of the place on a car that has not moved', () => {
    expect(
      wornAt('lf', (file) => {
        for (const tire of Object.values(file.tires)) tire.distance = 0;
      }),
    ).toEqual(['lf']);
  });
});
