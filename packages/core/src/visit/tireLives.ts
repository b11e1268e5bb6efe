import type { VisitDraft } from '@keen/contract';
import type { DepthUnit, Rib, Season, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';

/** A visit of a car, as far as its tires go. */
export interface CarVisit {
  id: string;
  /** ISO date and time. */
  arrivedAt: string;
  draft: VisitDraft;
  /** Wheels whose tires were replaced at the end of the visit. */
  replaced: readonly Wheel[];
}

/** What was read of a tire at one visit. */
export interface TirePoint {
  visitId: string;
  /** ISO date and time. */
  at: string;
  /** Where it was mounted. */
  wheel: Wheel;
  /** Run since it was new, km; null where nobody said. */
  km: number | null;
  /** What the car had run in all, km; null where it was not read. */
  odometerKm: number | null;
  /** What it was read in, which says how far the depths were rounded. */
  readIn: DepthUnit;
  /** Mean depth of each rib over the places read, mm; null for a rib that was not read. */
  ribs: Record<Rib, number | null>;
}

/** One tire from visit to visit. */
export interface TireLife {
  /** Of the visit and wheel where it was first read. */
  id: string;
  newDepthMm: number | null;
  size: string | null;
  line: string | null;
  season: Season | null;
  dateCode: string | null;
  /** Oldest first; at least one. */
  points: TirePoint[];
  /** Where it is mounted by the latest visit; null for a tire that is off the car. */
  mounted: Wheel | null;
}

/** A tire read deeper than before by more than this is another one, mm; readings themselves differ by less. */
const DEEPER_MM = 0.6;
/** A distance typed lower than before by more than this is another tire's, km. */
const FEWER_KM = 500;
/** A depth when new that differs by more is another tire's, mm. */
const NEW_DEPTH_MM = 0.3;

/**
 * Follows each tire of a car through its visits: where it stood, how deep it was, when it came and went.
 *
 * A tire goes on from one visit to the next when it was not replaced, its marks have not changed, it has
 * not grown deeper, and has not run less than before; rotations that lie between the two visits are
 * followed. A tire that was taken off comes back when its marks say so, as winter tires do.
 * @param visits - of one car, oldest first; visits without a reading are passed over
 * @returns the tires in the order in which they were first read
 */
export function tireLives(visits: readonly CarVisit[]): TireLife[] {
  const lives: TireLife[] = [];
  let mounted = new Map<Wheel, TireLife>();
  let before: CarVisit | null = null;
  for (const visit of visits) {
    const read = WHEEL_ORDER.flatMap((wheel) => {
      const point = pointOf(visit, wheel);
      return point ? [point] : [];
    });
    if (read.length === 0) continue;
    const now = new Map<Wheel, TireLife>();
    const cameFrom = before === null ? sameWheels() : placesBefore(before, visit);
    for (const point of read) {
      const candidate = before === null ? undefined : mounted.get(cameFrom[point.wheel]);
      const isReplaced = before?.replaced.includes(cameFrom[point.wheel]) ?? false;
      const marks = marksOf(visit.draft, point.wheel);
      let life =
        candidate && !isReplaced && goesOn(candidate, point, marks)
          ? candidate
          : known(lives, point, marks);
      if (!life) {
        life = { id: `${visit.id} ${point.wheel}`, ...marks, points: [], mounted: null };
        lives.push(life);
      }
      for (const mark of ['newDepthMm', 'size', 'line', 'season', 'dateCode'] as const) {
        Object.assign(life, { [mark]: marks[mark] ?? life[mark] });
      }
      life.points.push(point);
      now.set(point.wheel, life);
    }
    // A wheel that was not read this time keeps its tire, unless that tire stands elsewhere now.
    const moved = new Set(now.values());
    for (const wheel of WHEEL_ORDER) {
      const stays = before?.replaced.includes(cameFrom[wheel])
        ? undefined
        : mounted.get(cameFrom[wheel]);
      if (!now.has(wheel) && stays && !moved.has(stays)) now.set(wheel, stays);
    }
    for (const life of lives) life.mounted = null;
    for (const [wheel, life] of now) life.mounted = wheel;
    mounted = now;
    before = visit;
  }
  for (const wheel of before?.replaced ?? []) {
    const gone = mounted.get(wheel);
    if (gone) gone.mounted = null;
  }
  return lives;
}

type Marks = Pick<TireLife, 'newDepthMm' | 'size' | 'line' | 'season' | 'dateCode'>;

function marksOf(draft: VisitDraft, wheel: Wheel): Marks {
  const tire = draft.tires?.[wheel];
  const extras = draft.visit?.tires?.[wheel];
  return {
    newDepthMm: tire?.newDepth ?? null,
    size: tire?.size ?? null,
    line: extras?.line ?? null,
    season: extras?.season ?? null,
    dateCode: extras?.dateCode ?? null,
  };
}

/** Wheels of whose tread at least one rib was read. */
export function wheelsRead(draft: VisitDraft): Wheel[] {
  return WHEEL_ORDER.filter((wheel) =>
    Object.values(ribsRead(draft, wheel)).some((mm) => mm !== null),
  );
}

/** Mean depth of each rib over the places read, mm; null for a rib that was not read. */
function ribsRead(draft: VisitDraft, wheel: Wheel): Record<Rib, number | null> {
  const ribs = { inner: null, centre: null, outer: null } as Record<Rib, number | null>;
  for (const rib of RIBS) {
    const read = (draft.tires?.[wheel]?.stations ?? [])
      .map((station) => station[rib])
      .filter((mm) => typeof mm === 'number');
    if (read.length > 0) ribs[rib] = read.reduce((sum, mm) => sum + mm, 0) / read.length;
  }
  return ribs;
}

function pointOf(visit: CarVisit, wheel: Wheel): TirePoint | null {
  const tire = visit.draft.tires?.[wheel];
  const ribs = ribsRead(visit.draft, wheel);
  if (RIBS.every((rib) => ribs[rib] === null)) return null;
  return {
    visitId: visit.id,
    at: visit.arrivedAt,
    wheel,
    km: tire?.distance ?? null,
    odometerKm: visit.draft.visit?.odometer ?? null,
    readIn: visit.draft.units?.depth ?? 'mm',
    ribs,
  };
}

function goesOn(life: TireLife, point: TirePoint, marks: Marks): boolean {
  const last = life.points.at(-1)!;
  if (changed(life.dateCode, marks.dateCode) || changed(life.season, marks.season)) return false;
  if (changed(life.line?.toLowerCase() ?? null, marks.line?.toLowerCase() ?? null)) return false;
  if (changed(life.size, marks.size)) return false;
  if (
    life.newDepthMm !== null &&
    marks.newDepthMm !== null &&
    Math.abs(life.newDepthMm - marks.newDepthMm) > NEW_DEPTH_MM
  ) {
    return false;
  }
  if (last.km !== null && point.km !== null && point.km < last.km - FEWER_KM) return false;
  const grown = RIBS.flatMap((rib) => {
    const [then, now] = [last.ribs[rib], point.ribs[rib]];
    return then === null || now === null ? [] : [now - then];
  });
  // One rib alone may have been misread.
  return grown.length === 0 || median(grown) <= DEEPER_MM;
}

/** A tire that comes back, on the wheel where it was if that fits, else on another. */
function known(lives: readonly TireLife[], point: TirePoint, marks: Marks): TireLife | undefined {
  const off = lives.filter((one) => one.mounted === null && comesBack(one, point, marks));
  return off.find((one) => one.points.at(-1)!.wheel === point.wheel) ?? off[0];
}

/** A tire that was off the car is known again by what stands on it, never by its depth alone. */
function comesBack(life: TireLife, point: TirePoint, marks: Marks): boolean {
  const isMarked =
    (life.dateCode !== null && life.dateCode === marks.dateCode) ||
    (life.season !== null && life.season === marks.season && marks.line !== null);
  const last = life.points.at(-1)!;
  return isMarked && last.visitId !== point.visitId && goesOn(life, point, marks);
}

function changed<T>(then: T | null, now: T | null): boolean {
  return then !== null && now !== null && then !== now;
}

function sameWheels(): Record<Wheel, Wheel> {
  return { lf: 'lf', rf: 'rf', lr: 'lr', rr: 'rr' };
}

/** Where the tire of each wheel stood at the visit before, by the rotations that lie between. */
export function placesBefore(before: CarVisit, now: CarVisit): Record<Wheel, Wheel> {
  const places = sameWheels();
  const run = (visit: CarVisit) =>
    Math.max(0, ...WHEEL_ORDER.map((wheel) => visit.draft.tires?.[wheel]?.distance ?? 0));
  const since = runBetween(before, now);
  if (since === null) return places;
  const total = run(now);
  for (const { atDistance, moves } of (now.draft.rotations ?? []).toReversed()) {
    // Rotations are placed on the scale of the tires that ran longest.
    if (atDistance < total - since) break;
    for (const wheel of WHEEL_ORDER) {
      const from = WHEEL_ORDER.find((one) => moves[one] === places[wheel]);
      if (from) places[wheel] = from;
    }
  }
  return places;
}

/** Run by the car from one visit to the next, km; null where neither odometer nor tires say. */
export function runBetween(before: CarVisit, now: CarVisit): number | null {
  const [from, to] = [before.draft.visit?.odometer, now.draft.visit?.odometer];
  if (from !== undefined && to !== undefined && to >= from) return to - from;
  const grown = WHEEL_ORDER.flatMap((wheel) => {
    const [then, today] = [
      before.draft.tires?.[wheel]?.distance,
      now.draft.tires?.[wheel]?.distance,
    ];
    return then !== undefined && today !== undefined && today >= then ? [today - then] : [];
  });
  return grown.length === 0 ? null : median(grown);
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
