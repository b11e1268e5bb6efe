import type { AngleReading, ToeIn, VisitDraft } from '@keen/contract';
import type { AngleKind, Method, SetStep, Wheel } from '@keen/contract/words';
import { METHODS } from '@keen/contract/words';
import { axleOf, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { FieldChange } from '../../visit/foldEntries.ts';
import { METHOD_FACTS, methodOf, methodSd, standardUncertainty } from './methods.ts';

/** One reading of one wheel's angle, with what it was taken with. */
export interface Reading {
  method: Method;
  /** Degrees; of a method that tells totals only, half of the total. */
  value: number;
  /** Standard uncertainty, degrees. */
  sd: number;
  /** When it was taken, UTC; null where nobody wrote it down. */
  at: string | null;
  /** Smallest step of the gauge, degrees. */
  resolution: number | undefined;
  /** The single readings whose mean it is, degrees. */
  repeats: readonly number[] | undefined;
}

/** Two angles closer than this are the same figure written twice, degrees. */
const SAME = 1e-6;
/** Angles are shown to hundredths; one that changed by less was not moved, degrees. */
export const ROUNDING = 0.005;

/** The readings of one wheel's angle, one a method at most, the latest first. */
export function readingsOf(draft: VisitDraft, wheel: Wheel, kind: AngleKind): Reading[] {
  const taken = draft.visit?.measure?.taken?.[wheel]?.[kind] ?? {};
  return METHODS.flatMap((method) => {
    const one = taken[method];
    return one ? readingOf(draft, method, kind, one) : [];
  }).toSorted((a, b) => (b.at ?? '').localeCompare(a.at ?? ''));
}

/**
 * The reading that an angle of the visit comes from; null where the angle was not measured.
 * @example readingInUse({}, 'lf', 'toe') // null
 */
export function readingInUse(draft: VisitDraft, wheel: Wheel, kind: AngleKind): Reading | null {
  const value = draft.angles?.[wheel]?.[kind];
  if (value === undefined) return null;
  const found = readingsOf(draft, wheel, kind).find((one) => Math.abs(one.value - value) < SAME);
  if (found) return found;
  // Readings from a file, from another program or from before methods were kept with them.
  const { resolution, readings } = draft.visit?.measure ?? {};
  return readingOf(draft, methodOf(draft, kind), kind, {
    value,
    at: null,
    resolution: resolution?.[kind],
    repeats: readings?.[wheel]?.[kind],
  });
}

/** Standard uncertainty of one wheel's angle as it was measured in a visit, degrees. */
export function angleSd(draft: VisitDraft, wheel: Wheel, kind: AngleKind): number {
  return readingInUse(draft, wheel, kind)?.sd ?? methodSd(draft, methodOf(draft, kind), kind);
}

/** Whether the toe of both wheels of an axle was read each by itself, not as one total. */
export function readsEachWheel(draft: VisitDraft, wheels: readonly Wheel[]): boolean {
  return wheels.every((wheel) => {
    const method = readingInUse(draft, wheel, 'toe')?.method ?? methodOf(draft, 'toe');
    return !METHOD_FACTS[method].tellsTotalOnly;
  });
}

/** A reading to be written down. */
export interface NewReading {
  wheel: Wheel;
  kind: AngleKind;
  method: Method;
  /** Degrees; null takes the reading of this method away. */
  value: number | null;
  /** Now, UTC. */
  at: string;
  repeats?: readonly number[] | undefined;
  /** What a toe was read in, where that was not degrees. */
  readIn?: ToeIn | undefined;
}

/**
 * What is entered for new readings: each beside those by other methods, the angle they make the visit
 * go by, and, once setting has begun, that the angle was moved.
 * @param draft - the visit before
 */
export function applyReadings(draft: VisitDraft, readings: readonly NewReading[]): FieldChange[] {
  const angles = { ...draft.angles };
  const wheels = new Set<Wheel>();
  const changes: FieldChange[] = [];
  for (const reading of readings) {
    const { wheel, kind, method, at, repeats, readIn } = reading;
    const value = reading.value === null ? null : Number(reading.value.toFixed(4));
    const resolution = draft.visit?.measure?.resolution?.[kind];
    changes.push({
      path: `visit.measure.taken.${wheel}.${kind}.${method}`,
      value:
        value === null
          ? null
          : {
              value,
              at,
              ...(resolution === undefined ? {} : { resolution }),
              ...(repeats && repeats.length > 1 ? { repeats: [...repeats] } : {}),
              ...(readIn ? { readIn } : {}),
            },
    });
    const next = value ?? fallBack(draft, reading);
    if (value !== null && hasMoved(draft, reading, value)) {
      changes.push({ path: `visit.setRight.moved.${wheel}.${kind}`, value: at });
    }
    const own = { ...angles[wheel] };
    if (next === null) delete own[kind];
    else own[kind] = next;
    angles[wheel] = own;
    wheels.add(wheel);
  }
  for (const wheel of wheels) {
    const own = angles[wheel]!;
    changes.push({ path: `angles.${wheel}`, value: Object.keys(own).length > 0 ? own : null });
  }
  return [...changes, ...closedTurns(draft, readings, angles)];
}

/** A turn that was made before learns what it did: where the angle stands now. */
function closedTurns(
  draft: VisitDraft,
  readings: readonly NewReading[],
  angles: NonNullable<VisitDraft['angles']>,
): FieldChange[] {
  const { turns } = draft.visit?.setRight ?? {};
  if (!turns) return [];
  return readings.flatMap(({ wheel, kind }): FieldChange[] => {
    const axle = axleOf(wheel);
    const total = WHEELS_OF_AXLE[axle].reduce((sum, one) => sum + (angles[one]?.toe ?? 0), 0);
    const steps = [
      { step: `${kind}-${wheel}` as SetStep, now: angles[wheel]?.[kind] },
      ...(kind === 'toe' ? [{ step: `toe-${axle}` as SetStep, now: total }] : []),
    ];
    return steps.flatMap(({ step, now }) => {
      const made = turns[step] ?? [];
      const last = made.at(-1);
      if (!last || last.to !== undefined || now === undefined) return [];
      const to = Number(now.toFixed(4));
      return [
        { path: `visit.setRight.turns.${step}`, value: [...made.slice(0, -1), { ...last, to }] },
      ];
    });
  });
}

/** What an angle uses once a reading is taken away: the latest by another method, if any. */
function fallBack(draft: VisitDraft, { wheel, kind, method }: NewReading): number | null {
  const inUse = readingInUse(draft, wheel, kind);
  if (inUse && inUse.method !== method) return inUse.value;
  return readingsOf(draft, wheel, kind).find((one) => one.method !== method)?.value ?? null;
}

/**
 * Whether a new reading says that the angle was moved by hand since the last one. By the same method any
 * change that shows does; by another one only what both uncertainties do not explain.
 */
function hasMoved(draft: VisitDraft, { wheel, kind, method }: NewReading, value: number): boolean {
  if (!draft.visit?.setRight?.before) return false;
  const last = readingInUse(draft, wheel, kind);
  if (!last) return false;
  const apart = Math.abs(value - last.value);
  if (last.method === method) return apart > ROUNDING;
  return apart > 2 * Math.hypot(last.sd, methodSd(draft, method, kind));
}

/** Two methods that read one angle, and whether they agree. */
export interface ReadingPair {
  wheel: Wheel;
  kind: AngleKind;
  /** The one the visit uses, and the other. */
  used: Reading;
  other: Reading;
  apart: number;
  /** As far as chance lets them differ, twice the standard deviation of their difference. */
  allowed: number;
  agree: boolean;
}

/**
 * The readings of an angle by other methods than the one in use, each with whether it agrees. A reading
 * from before the angle was moved is of another car, and is left out.
 */
export function readingPairs(draft: VisitDraft, wheel: Wheel, kind: AngleKind): ReadingPair[] {
  const used = readingInUse(draft, wheel, kind);
  if (!used) return [];
  const moved = draft.visit?.setRight?.moved?.[wheel]?.[kind] ?? '';
  return readingsOf(draft, wheel, kind)
    .filter((one) => one.method !== used.method && (one.at ?? '') >= moved)
    .map((other) => {
      const apart = Math.abs(used.value - other.value);
      const allowed = 2 * Math.hypot(used.sd, other.sd);
      return { wheel, kind, used, other, apart, allowed, agree: apart <= allowed + ROUNDING };
    });
}

function readingOf(
  draft: VisitDraft,
  method: Method,
  kind: AngleKind,
  taken: Omit<AngleReading, 'at'> & { at: string | null },
): Reading {
  const { value, at, resolution, repeats } = taken;
  const own = repeats && Math.abs(meanOf(repeats) - value) < 1e-3 ? repeats : undefined;
  return {
    method,
    value,
    at,
    resolution,
    repeats: own,
    sd: standardUncertainty({
      methodSd: methodSd(draft, method, kind),
      resolution,
      repeats: own,
    }),
  };
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
