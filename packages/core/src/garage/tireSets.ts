import type { TireLife } from '../visit/tireLives.ts';
import type { Wheel } from '@keen/contract/words';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';

/** A visit of the car, as far as the life of its tire sets goes. */
export interface SetVisit {
  id: string;
  /** ISO date and time. */
  arrivedAt: string;
  /** Wheels whose tires were replaced at the end of the visit. */
  replaced: readonly Wheel[];
  /** Wheels whose tread was read. */
  read: readonly Wheel[];
}

/** Something that happened to a set of tires. */
export interface SetEvent {
  kind: 'fitted' | 'firstSeen' | 'moved' | 'takenOff' | 'backOn' | 'replaced';
  visitId: string;
  /** ISO date and time of the visit. */
  at: string;
  /** Where its tires were after it; none when they were off the car. */
  wheels: readonly Wheel[];
}

/** Tires that came together: of one line, season, size and age, first read at one visit. */
export interface TireSet {
  key: string;
  tires: TireLife[];
  isMounted: boolean;
  /** Oldest first. */
  events: SetEvent[];
}

/**
 * Groups a car's tires into sets and tells the life of each: when it came, changed places, was off the car and
 * back, and went for good.
 * @param tires - as followed from visit to visit
 * @param visits - of the car, oldest first
 * @returns those on the car first, then the latest seen
 */
export function tireSets(tires: readonly TireLife[], visits: readonly SetVisit[]): TireSet[] {
  const sets = new Map<string, TireLife[]>();
  for (const tire of tires) {
    const { line, season, size, dateCode, points, mounted } = tire;
    const marks = [line?.toLowerCase(), season, size, dateCode, mounted !== null];
    const key = JSON.stringify([points[0]!.visitId, ...marks]);
    sets.set(key, [...(sets.get(key) ?? []), tire]);
  }
  const last = ({ tires: list }: TireSet) =>
    Math.max(...list.map(({ points }) => Date.parse(points.at(-1)!.at)));
  return [...sets]
    .map(([key, list]) => ({
      key,
      tires: list,
      isMounted: list[0]!.mounted !== null,
      events: eventsOf(list, visits),
    }))
    .toSorted((a, b) => Number(b.isMounted) - Number(a.isMounted) || last(b) - last(a));
}

function eventsOf(tires: readonly TireLife[], visits: readonly SetVisit[]): SetEvent[] {
  const events: SetEvent[] = [];
  let places: Wheel[] | null = null;
  let isOff = false;
  for (const [at, visit] of visits.entries()) {
    const now = placesAt(tires, visit.id);
    const tell = (kind: SetEvent['kind'], wheels: readonly Wheel[]) =>
      events.push({ kind, visitId: visit.id, at: visit.arrivedAt, wheels });
    if (now.length > 0) {
      if (places === null) {
        const fitted = fittedAt(visits, at, now);
        if (fitted) {
          events.push({ kind: 'fitted', visitId: fitted.id, at: fitted.arrivedAt, wheels: now });
        }
        tell('firstSeen', now);
      } else if (isOff) tell('backOn', now);
      else if (hasMoved(tires, visits, at)) tell('moved', now);
      places = now;
      isOff = false;
    } else if (places !== null && !isOff && places.every((wheel) => visit.read.includes(wheel))) {
      // Other tires were read where these had been.
      tell('takenOff', []);
      isOff = true;
    }
    if (now.length > 0 && now.every((wheel) => visit.replaced.includes(wheel))) {
      tell('replaced', []);
      isOff = true;
    }
  }
  return events;
}

/** The visit at which a set was fitted new: the last one before it was read, if those wheels got new tires then. */
function fittedAt(
  visits: readonly SetVisit[],
  at: number,
  wheels: readonly Wheel[],
): SetVisit | undefined {
  const before = visits
    .slice(0, at)
    .findLast(({ read, replaced }) => read.length + replaced.length > 0);
  return before && wheels.every((wheel) => before.replaced.includes(wheel)) ? before : undefined;
}

function placesAt(tires: readonly TireLife[], visitId: string): Wheel[] {
  const wheels = tires.flatMap(({ points }) =>
    points.flatMap((point) => (point.visitId === visitId ? [point.wheel] : [])),
  );
  return WHEEL_ORDER.filter((wheel) => wheels.includes(wheel));
}

/** Whether any tire of a set stands elsewhere than when it was read last. */
function hasMoved(tires: readonly TireLife[], visits: readonly SetVisit[], at: number): boolean {
  return tires.some(({ points }) => {
    const now = points.findIndex(({ visitId }) => visitId === visits[at]!.id);
    return now > 0 && points[now - 1]!.wheel !== points[now]!.wheel;
  });
}
