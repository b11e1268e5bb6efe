import type { Cupping, Feather } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { treadSeen } from './treadSeen.ts';

function seen(change: Parameters<typeof exampleCase>[0]) {
  return treadSeen(resolveCase(exampleCase(change)));
}

describe('treadSeen', () => {
  it('sees nothing on an even car, nor where a rib is unread', () => {
    expect(seen(() => undefined)).toEqual([]);
    expect(
      seen((file) => (file.tires.lf.stations = [{ inner: 2, centre: 5, outer: null }])),
    ).toEqual([]);
  });

  it('sees one edge, and the axle that it makes uneven, the worst first', () => {
    const [first, ...rest] = seen((file) => wear(file, 'lf', [2, 4, 5]));
    expect(first).toEqual({ kind: 'edge', where: 'lf', rib: 'inner', mm: 3 });
    expect(rest).toEqual([]);
    const both = seen((file) => wear(file, 'rf', [3.4, 2.8, 1.6]));
    expect(both.map(({ kind }) => kind)).toEqual(['across', 'edge']);
    expect(both[0]).toMatchObject({ where: 'front', lower: 'rf' });
  });

  it('calls 2/32 in uneven, and 1/32 in not', () => {
    const at = (inner: number) =>
      seen((file) => {
        file.units.depth = 'in32';
        for (const tire of Object.values(file.tires)) {
          tire.newDepth = 10;
          tire.stations = [{ inner: 6, centre: 6, outer: 6 }];
        }
        file.tires.lf.stations = [{ inner, centre: 6, outer: 6 }];
      });
    expect(at(4)).toHaveLength(1);
    expect(at(5)).toEqual([]);
  });

  it('tells shoulders and centre from an edge', () => {
    expect(seen((file) => wear(file, 'lr', [4.2, 6.2, 4.4]))).toMatchObject([
      { kind: 'shoulders', where: 'lr' },
    ]);
    expect(seen((file) => wear(file, 'lr', [6.3, 4.4, 6.2]))).toMatchObject([
      { kind: 'centre', where: 'lr' },
    ]);
  });

  it('does not compare two tires that ran different distances', () => {
    const change = (km: number) =>
      seen((file) => {
        wear(file, 'lf', [7, 7, 7]);
        file.tires.lf.distance = km;
      });
    expect(change(30_000)).toMatchObject([{ kind: 'across', lower: 'rf' }]);
    expect(change(8_000)).toEqual([]);
  });

  it('feels a saw that runs the same way on both tires of an axle, and that they did not bring along', () => {
    const felt = (left: Feather, right: Feather, rotatedAgoKm?: number) =>
      seen((file) => {
        file.tires.lr.feather = left;
        file.tires.rr.feather = right;
        if (rotatedAgoKm === undefined) return;
        const moves = { lf: 'lr', lr: 'lf', rf: 'rr', rr: 'rf' } as const;
        file.rotations = [{ atDistance: 30_000 - rotatedAgoKm, moves }];
      });
    expect(felt('catchesOutward', 'catchesOutward')).toEqual([
      { kind: 'saw', where: 'rear', mm: 0 },
    ]);
    expect(felt('catchesInward', 'catchesInward', 20_000)).toMatchObject([{ kind: 'saw' }]);
    expect(felt('catchesInward', 'catchesInward', 500)).toEqual([]);
    expect(felt('catchesOutward', 'catchesInward')).toEqual([]);
    expect(felt('catchesOutward', 'none')).toEqual([]);
    expect(felt('none', 'none')).toEqual([]);
  });

  it('feels heavy waves at any depth, and no light ones; those from before a balance count no more', () => {
    const felt = (cupping: Cupping, putRight: 'balance' | 'pressures' = 'pressures') =>
      seen((file) => {
        file.tires.rr.cupping = cupping;
        const read = ({ stations }: (typeof file.tires)['rr']) => ({ stations });
        const { lf, rf, lr, rr } = structuredClone(file.tires);
        const tires = { lf: read(lf), rf: read(rf), lr: read(lr), rr: read(rr) };
        file.history = { earlier: [{ ago: 12_000, tires, putRight: [putRight] }] };
      }).filter(({ kind }) => kind === 'waves');
    expect(felt('heavy')).toEqual([{ kind: 'waves', where: 'rr', mm: 0 }]);
    expect(felt('some')).toEqual([]);
    expect(felt('heavy', 'balance')).toEqual([]);
  });
});
