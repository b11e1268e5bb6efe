import type { CaseFile, EarlierReading, ShopConstants } from '@keen/contract';
import type {
  Axle,
  Complaint,
  Cupping,
  Damage,
  DepthUnit,
  Drive,
  DriverKind,
  Feather,
  Load,
  Occasion,
  Play,
  Rib,
  Suspension,
  TirePair,
  TroubleEvent,
  Use,
  Wheel,
} from '@keen/contract/words';
import { InputError } from '../errors/InputError.ts';
import { stretches } from './stretches.ts';
import type { EarlierTread, Since, Stretch } from './stretches.ts';
import { parseTireSize } from '../tires/tireSize.ts';
import { canonicalJson } from '../random/canonicalJson.ts';
import { depthToMm, distanceToKm, pressureToKpa } from '../units/units.ts';
import { READING_SD_MM, ROUNDING_MM } from './treadFacts.ts';
import type { ReadingError } from './treadFacts.ts';
import { WHEEL_ORDER } from './wheels.ts';

export const DEFAULT_TOLERANCES = {
  camber: { front: [-1.25, 0.5], rear: [-1.75, 0.25] },
  totalToe: { front: [-0.1, 0.3], rear: [-0.1, 0.4] },
  pressure: 0.1,
} as const;
export const DEFAULT_LIMITS_MM = { legal: 1.6, advise: 3 } as const;

export type Range = readonly [low: number, high: number];

export interface ResolvedTire {
  newDepthMm: number;
  distanceKm: number;
  /** As found cold; null when not read. */
  pressureRatio: number | null;
  /** One array a rib, stations that were read, mm. */
  readMm: Record<Rib, number[]>;
  feather: Feather;
  cupping: Cupping;
  damage: readonly Damage[];
  /** The part of its life in which it has worn as the car is today. */
  stretch: Stretch;
}

/** A case in SI with every default filled in: what the engine trusts without looking again. */
export interface ResolvedCase {
  drive: Drive;
  use: Use;
  rideHeightChangeMm: Record<Axle, number>;
  rotatable: boolean;
  tolerances: {
    camber: Record<Axle, Range>;
    totalToe: Record<Axle, Range>;
    pressure: number;
  };
  limitsMm: { legal: number; advise: number };
  reading: ReadingError;
  /** What the shop learned of its own cars; null where the usual holds. */
  constants: ShopConstants | null;
  tires: Record<Wheel, ResolvedTire>;
  rotations: readonly { atKm: number; moves: Partial<Record<Wheel, Wheel>> }[];
  complaints: readonly Complaint[];
  /** Whether complaints were asked for at all; an empty answer is an answer. */
  askedComplaints: boolean;
  angles: Record<Wheel, { camber: number | null; toe: number | null; caster: number | null }>;
  play: Record<Wheel, Play>;
  history: ResolvedHistory;
  /** Since when the answer speaks of the tires; null for their whole life. */
  since: Since | null;
}

/** What happened to the car and how it is used; empty and null where nothing is known. */
export interface ResolvedHistory {
  startedAfter: readonly TroubleEvent[];
  occasions: readonly Occasion[];
  alignedAgoKm: number | null;
  driver: DriverKind;
  load: Load;
  suspension: Record<Axle, Suspension | null>;
  tiresDiffer: readonly TirePair[];
  /** Angles as they stood when the car left the latest visit of the stretch that counts, where known. */
  leftAt: Record<Wheel, { camber: number | null; toe: number | null }>;
}

/**
 * Turns a checked case file into SI with defaults.
 * @param file - a case file that the contract's schema has accepted
 * @throws {InputError} for a tire size that cannot be read
 */
export function resolveCase(file: CaseFile): ResolvedCase {
  const { units, vehicle } = file;
  const { tires, since } = resolveTires(file);
  const limit = (value: number | undefined, fallbackMm: number) =>
    value === undefined ? fallbackMm : depthToMm(value, units.depth);
  return {
    drive: vehicle.drive,
    use: vehicle.use,
    rideHeightChangeMm: {
      front: vehicle.rideHeightChange?.front ?? 0,
      rear: vehicle.rideHeightChange?.rear ?? 0,
    },
    rotatable: vehicle.rotatable ?? true,
    tolerances: {
      camber: axleRanges(file.tolerances?.camber, DEFAULT_TOLERANCES.camber),
      totalToe: axleRanges(file.tolerances?.totalToe, DEFAULT_TOLERANCES.totalToe),
      pressure: file.tolerances?.pressure ?? DEFAULT_TOLERANCES.pressure,
    },
    limitsMm: {
      legal: limit(file.limits?.legal, DEFAULT_LIMITS_MM.legal),
      advise: limit(file.limits?.advise, DEFAULT_LIMITS_MM.advise),
    },
    reading: readingErrorOf(file),
    constants: file.constants ?? null,
    tires,
    since,
    rotations: (file.rotations ?? []).map((rotation) => ({
      atKm: distanceToKm(rotation.atDistance, units.distance),
      moves: rotation.moves,
    })),
    complaints: (file.complaints ?? []).toSorted(),
    askedComplaints: file.complaints !== undefined,
    angles: byWheel((wheel) => ({
      camber: file.angles?.[wheel]?.camber ?? null,
      toe: file.angles?.[wheel]?.toe ?? null,
      caster: file.angles?.[wheel]?.caster ?? null,
    })),
    play: byWheel((wheel) => file.play?.[wheel] ?? 'unknown'),
    history: resolveHistory(file, since),
  };
}

/** As the shop's own study found it, else as is usual. */
export function readingErrorOf({ units, readingSpread }: CaseFile): ReadingError {
  return {
    sdMm: readingSpread === undefined ? READING_SD_MM : depthToMm(readingSpread, units.depth),
    roundingMm: ROUNDING_MM[units.depth],
  };
}

function anglesLeft(
  earlier: readonly EarlierReading[],
  units: CaseFile['units'],
  since: Since | null,
): ResolvedHistory['leftAt'] {
  const counting = earlier.filter(
    ({ ago }) => since === null || distanceToKm(ago, units.distance) <= since.agoKm + 1e-6,
  );
  return byWheel((wheel) => {
    const latest = (kind: 'camber' | 'toe') =>
      counting.flatMap(({ angles }) => angles?.[wheel]?.[kind] ?? []).at(-1) ?? null;
    return { camber: latest('camber'), toe: latest('toe') };
  });
}

/** The tires, each with the stretch of its life that the answer speaks of. */
function resolveTires(file: CaseFile): Pick<ResolvedCase, 'tires' | 'since'> {
  const tires = byWheel((wheel) => resolveTire(file, wheel));
  const moved = new Set((file.rotations ?? []).flatMap(({ moves }) => Object.values(moves)));
  const earlier = (file.history?.earlier ?? []).map(
    ({ ago, tires: read, putRight = [] }): EarlierTread => ({
      agoKm: distanceToKm(ago, file.units.distance),
      depthMm: byWheel((wheel) => meanDepths(read[wheel]?.stations ?? [], file.units.depth)),
      putRight: putRight.toSorted(),
    }),
  );
  const { byWheel: parts, since } = stretches(
    byWheel((wheel) => ({ ...tires[wheel], hasMoved: moved.has(wheel) })),
    earlier,
    readingErrorOf(file),
  );
  return { tires: byWheel((wheel) => ({ ...tires[wheel], stretch: parts[wheel] })), since };
}

function meanDepths(
  stations: readonly Record<Rib, number | null>[],
  unit: DepthUnit,
): Record<Rib, number | null> {
  const at = (rib: Rib) => {
    const read = stations.flatMap((station) => station[rib] ?? []);
    if (read.length === 0) return null;
    return depthToMm(read.reduce((sum, depth) => sum + depth, 0) / read.length, unit);
  };
  return { inner: at('inner'), centre: at('centre'), outer: at('outer') };
}

function resolveHistory({ history = {}, units }: CaseFile, since: Since | null): ResolvedHistory {
  const { alignedAgo, suspension } = history;
  return {
    startedAfter: (history.startedAfter ?? []).toSorted(),
    occasions: (history.occasions ?? []).toSorted(),
    alignedAgoKm: alignedAgo === undefined ? null : distanceToKm(alignedAgo, units.distance),
    driver: history.driver ?? 'usual',
    load: history.load ?? 'none',
    suspension: { front: suspension?.front ?? null, rear: suspension?.rear ?? null },
    tiresDiffer: (history.tiresDiffer ?? []).toSorted(),
    leftAt: anglesLeft(history.earlier ?? [], units, since),
  };
}

function resolveTire(file: CaseFile, wheel: Wheel): Omit<ResolvedTire, 'stretch'> {
  const tire = file.tires[wheel];
  checkSize(tire.size, wheel);
  const read = (rib: Rib) =>
    tire.stations
      .map((station) => station[rib])
      .filter((depth) => depth !== null)
      .map((depth) => depthToMm(depth, file.units.depth));
  const { measured, target } = tire.pressure ?? {};
  return {
    newDepthMm: depthToMm(tire.newDepth, file.units.depth),
    distanceKm: distanceToKm(tire.distance, file.units.distance),
    pressureRatio:
      measured === undefined || target === undefined
        ? null
        : pressureToKpa(measured, file.units.pressure) / pressureToKpa(target, file.units.pressure),
    readMm: { inner: read('inner'), centre: read('centre'), outer: read('outer') },
    feather: tire.feather ?? 'unknown',
    cupping: tire.cupping ?? 'unknown',
    damage: (tire.damage ?? []).toSorted(),
  };
}

function checkSize(size: string | undefined, wheel: Wheel): void {
  if (size === undefined) return;
  try {
    parseTireSize(size);
  } catch (error) {
    if (error instanceof InputError) throw error.at(`tires.${wheel}.size`);
    throw error;
  }
}

function axleRanges(
  given: { front?: [number, number] | undefined; rear?: [number, number] | undefined } | undefined,
  defaults: Record<Axle, Range>,
): Record<Axle, Range> {
  return { front: given?.front ?? defaults.front, rear: given?.rear ?? defaults.rear };
}

/** The four tires as they are today in one text, which draws are seeded by. */
export function tiresKey({ tires }: ResolvedCase): string {
  return canonicalJson(byWheel((wheel) => ({ ...tires[wheel], stretch: undefined })));
}

/**
 * Makes a record with one value a wheel.
 * @example byWheel((wheel) => wheel === 'lf') // { lf: true, rf: false, lr: false, rr: false }
 */
export function byWheel<T>(make: (wheel: Wheel, index: number) => T): Record<Wheel, T> {
  const [lf, rf, lr, rr] = WHEEL_ORDER.map(make) as [T, T, T, T];
  return { lf, rf, lr, rr };
}
