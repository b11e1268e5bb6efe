import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { distanceOnTires } from './distanceOnTires.ts';

/** A visit with these distances on left front, right front, left rear and right rear. */
function visit(...km: (number | undefined)[]): VisitDraft {
  const [lf, rf, lr, rr] = km.map((distance) => (distance === undefined ? {} : { distance }));
  return { tires: { lf: lf!, rf: rf!, lr: lr!, rr: rr! } };
}

describe('distanceOnTires', () => {
  it('says one distance where all that is known is the same', () => {
    expect(distanceOnTires(visit(26_400, 26_400, 26_400, 26_400))).toEqual({
      kind: 'same',
      km: 26_400,
    });
    expect(distanceOnTires(visit(26_400, undefined, undefined, 26_400))).toEqual({
      kind: 'same',
      km: 26_400,
    });
  });

  it('says both axles where each has its own, and else from which to which', () => {
    expect(distanceOnTires(visit(26_400, 26_400, 9000, undefined))).toEqual({
      kind: 'axles',
      frontKm: 26_400,
      rearKm: 9000,
    });
    expect(distanceOnTires(visit(26_400, 1200, 9000, 9000))).toEqual({
      kind: 'range',
      leastKm: 1200,
      mostKm: 26_400,
    });
  });

  it('says nothing where nothing is known', () => {
    expect(distanceOnTires({})).toBeNull();
    expect(distanceOnTires(visit(undefined, undefined, undefined, undefined))).toBeNull();
  });

  it('takes a tire that has not run for known', () => {
    expect(distanceOnTires(visit(0, 0, 9000, 9000))).toEqual({
      kind: 'axles',
      frontKm: 0,
      rearKm: 9000,
    });
  });
});
