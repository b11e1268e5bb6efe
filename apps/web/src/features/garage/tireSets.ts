import type { TireLife } from '@keen/core';

/** Tires that came together: of one line, season, size and age, first read at one visit. */
export interface TireSet {
  key: string;
  tires: TireLife[];
  isMounted: boolean;
}

/** Groups tires into sets, those on the car first, then the latest. */
export function tireSets(tires: readonly TireLife[]): TireSet[] {
  const sets = new Map<string, TireSet>();
  for (const tire of tires) {
    const { line, season, size, dateCode, points, mounted } = tire;
    const isOn = mounted !== null;
    const key = JSON.stringify([
      points[0]!.visitId,
      line?.toLowerCase(),
      season,
      size,
      dateCode,
      isOn,
    ]);
    const set = sets.get(key) ?? { key, tires: [], isMounted: isOn };
    set.tires.push(tire);
    sets.set(key, set);
  }
  const last = ({ tires: list }: TireSet) =>
    Math.max(...list.map(({ points }) => Date.parse(points.at(-1)!.at)));
  return [...sets.values()].toSorted(
    (a, b) => Number(b.isMounted) - Number(a.isMounted) || last(b) - last(a),
  );
}
