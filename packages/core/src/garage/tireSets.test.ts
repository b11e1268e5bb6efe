import type { Wheel } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import type { TireLife } from '../visit/tireLives.ts';
import { tireSets } from './tireSets.ts';
import type { SetVisit } from './tireSets.ts';

const visit = (month: number, change: Partial<SetVisit> = {}): SetVisit => ({
  id: `v${month}`,
  arrivedAt: new Date(Date.UTC(2026, month - 1, 5)).toISOString(),
  replaced: [],
  read: WHEEL_ORDER,
  ...change,
});

/** A tire that was read on given wheels at given months. */
function tire(
  line: string,
  places: readonly (readonly [month: number, wheel: Wheel])[],
  mounted: Wheel | null,
): TireLife {
  return {
    id: `${line} ${places[0]![1]}`,
    newDepthMm: 8,
    size: '205/55R16',
    line,
    season: null,
    dateCode: null,
    mounted,
    points: places.map(([month, wheel]) => ({
      visitId: `v${month}`,
      at: visit(month).arrivedAt,
      wheel,
      km: null,
      odometerKm: null,
      readIn: 'mm',
      ribs: { inner: 6, centre: 6, outer: 6 },
    })),
  };
}

const told = (set: { events: { kind: string; visitId: string }[] } | undefined) =>
  set?.events.map(({ kind, visitId }) => `${kind} ${visitId}`);

describe('tireSets', () => {
  it('follows summer and winter tires on and off, and one set that is worn out', () => {
    const visits = [visit(1), visit(4), visit(7), visit(11, { replaced: ['lf', 'rf'] })];
    const winter = WHEEL_ORDER.map((wheel) => tire('winter', [[1, wheel]], null));
    // The fronts and rears changed places in July.
    const swapped: Record<Wheel, Wheel> = { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' };
    const summer = WHEEL_ORDER.map((wheel) =>
      tire(
        'summer',
        [
          [4, wheel],
          [7, swapped[wheel]],
        ],
        null,
      ),
    );
    const back = WHEEL_ORDER.map((wheel, i): TireLife => ({
      ...winter[i]!,
      mounted: wheel,
      points: [...winter[i]!.points, ...tire('winter', [[11, wheel]], wheel).points],
    }));
    const sets = tireSets([...back, ...summer], visits);
    expect(sets.map(({ isMounted }) => isMounted)).toEqual([true, false]);
    expect(told(sets[0])).toEqual(['firstSeen v1', 'takenOff v4', 'backOn v11']);
    expect(told(sets[1])).toEqual(['firstSeen v4', 'moved v7', 'takenOff v11']);
    expect(sets[1]!.events[1]!.wheels).toEqual(WHEEL_ORDER);
  });

  it('says when a pair was replaced, and that it is gone from then on', () => {
    const visits = [visit(2), visit(6, { replaced: ['lf', 'rf'] }), visit(9)];
    const pair = (['lf', 'rf'] as const).map((wheel) =>
      tire(
        'old',
        [
          [2, wheel],
          [6, wheel],
        ],
        null,
      ),
    );
    const [set] = tireSets(pair, visits);
    expect(told(set)).toEqual(['firstSeen v2', 'replaced v6']);
  });

  it('says at which visit a set was fitted new', () => {
    const visits = [visit(2, { replaced: ['lf', 'rf'] }), visit(4, { read: [] }), visit(6)];
    const fronts = (['lf', 'rf'] as const).map((wheel) => tire('new', [[6, wheel]], wheel));
    expect(told(tireSets(fronts, visits)[0])).toEqual(['fitted v2', 'firstSeen v6']);
    const rears = (['lr', 'rr'] as const).map((wheel) => tire('other', [[6, wheel]], wheel));
    expect(told(tireSets(rears, visits)[0])).toEqual(['firstSeen v6']);
  });

  it('does not take a visit at which nothing was read for a change of tires', () => {
    const visits = [visit(2), visit(5, { read: [] }), visit(8)];
    const set = WHEEL_ORDER.map((wheel) =>
      tire(
        'same',
        [
          [2, wheel],
          [8, wheel],
        ],
        wheel,
      ),
    );
    expect(told(tireSets(set, visits)[0])).toEqual(['firstSeen v2']);
  });
});
