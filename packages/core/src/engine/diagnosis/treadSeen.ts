import type { Axle, Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import type { ResolvedCase, ResolvedTire } from '../case/resolveCase.ts';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { featherPath } from './observationLikelihood.ts';

/** Uneven wear that anyone can see or feel, whatever caused it. */
export type SeenWear =
  /** One edge of a tire lower than the other. */
  | { kind: 'edge'; where: Wheel; rib: Rib; mm: number }
  /** Both shoulders lower than the centre, or the centre lower than both. */
  | { kind: 'shoulders' | 'centre'; where: Wheel; mm: number }
  /** One tire of an axle worn more than the other over the same distance. */
  | { kind: 'across'; where: Axle; lower: Wheel; mm: number }
  /** Both tires of an axle catch the hand the same way, both moving out or both moving in: no depth to it. */
  | { kind: 'saw'; where: Axle; mm: 0 }
  /** Heavy waves under the hand, since wheels were last balanced: dampers or balance, at any depth. */
  | { kind: 'waves'; where: Wheel; mm: 0 };

/** A rib whose reading is doubted, or lacking. */
export interface Doubted {
  wheel: Wheel;
  rib: Rib;
}

/**
 * From this difference on a tread cannot be called even: 2/32 in (common practice, no source), a little
 * less so that a reading in 32nds and one in tenths of a mm agree.
 */
export const SEEN_FROM_MM = 1.55;

/** The ribs of a healthy tire lie this close together, mm: four in five do (common practice, no source). */
const EVEN_WITHIN_MM = 0.8;

/**
 * Whether a tire is even but for one rib: what is low across its other ribs as well was not misread.
 */
export function standsAlone(tire: ResolvedTire, rib: Rib): boolean {
  const others = RIBS.filter((other) => other !== rib).map((other) => unevenSince(tire, other));
  const [a = null, b = null] = others;
  return a !== null && b !== null && Math.abs(a - b) <= EVEN_WITHIN_MM;
}

/** Edges that were not read on tires whose other two ribs already differ: what cannot be read may be worn away. */
export function unreadEdges({ tires }: ResolvedCase): Doubted[] {
  return WHEEL_ORDER.flatMap((wheel) =>
    (['inner', 'outer'] as const)
      .filter((rib) => {
        const at = (other: Rib) => unevenSince(tires[wheel], other);
        const [centre, edge] = [at('centre'), at(rib === 'inner' ? 'outer' : 'inner')];
        const isUneven =
          centre !== null && edge !== null && Math.abs(centre - edge) > EVEN_WITHIN_MM;
        return at(rib) === null && isUneven;
      })
      .map((rib) => ({ wheel, rib })),
  );
}

/**
 * What of a car's tread is plainly uneven, the worst first: what has become so in the stretch that counts.
 *
 * @param doubted - ribs whose reading is more likely wrong than right: they show nothing
 */
export function treadSeen(resolved: ResolvedCase, doubted: readonly Doubted[] = []): SeenWear[] {
  const meanAt = (wheel: Wheel, rib: Rib): Mean =>
    doubted.some((at) => at.wheel === wheel && at.rib === rib)
      ? null
      : unevenSince(resolved.tires[wheel], rib);
  const means = WHEEL_ORDER.map((wheel) => {
    const [inner, centre, outer] = RIBS.map((rib) => meanAt(wheel, rib)) as [Mean, Mean, Mean];
    return { inner, centre, outer };
  });
  const seen: SeenWear[] = [];
  WHEEL_ORDER.forEach((where, tire) => {
    const { inner, centre, outer } = means[tire]!;
    if (inner === null || outer === null) return;
    const slope = Math.abs(inner - outer);
    if (slope >= SEEN_FROM_MM) {
      seen.push({ kind: 'edge', where, rib: inner < outer ? 'inner' : 'outer', mm: slope });
      return;
    }
    if (centre === null) return;
    const shoulders = centre - Math.min(inner, outer);
    const crown = Math.max(inner, outer) - centre;
    if (shoulders >= SEEN_FROM_MM && shoulders >= crown) {
      seen.push({ kind: 'shoulders', where, mm: shoulders });
    } else if (crown >= SEEN_FROM_MM) seen.push({ kind: 'centre', where, mm: crown });
  });
  for (const where of ['front', 'rear'] as const) {
    if (isSawn(resolved, where)) seen.push({ kind: 'saw', where, mm: 0 });
    const [left, right] = WHEELS_OF_AXLE[where];
    const lossOf = (wheel: Wheel): Mean => {
      const ribs = RIBS.map((rib) => meanAt(wheel, rib));
      if (ribs.some((mean) => mean === null)) return null;
      return (
        resolved.tires[wheel].newDepthMm - ribs.reduce<number>((sum, mean) => sum + mean!, 0) / 3
      );
    };
    const [a, b] = [lossOf(left), lossOf(right)];
    if (a === null || b === null) continue;
    if (resolved.tires[left].stretch.distanceKm !== resolved.tires[right].stretch.distanceKm)
      continue;
    // Tires of different line or age wear at different rates: that is no sign of a fault.
    if (resolved.history.tiresDiffer.includes(where)) continue;
    if (Math.abs(a - b) >= SEEN_FROM_MM) {
      seen.push({ kind: 'across', where, lower: a > b ? left : right, mm: Math.abs(a - b) });
    }
  }
  if (!resolved.since?.putRight.includes('balance')) {
    for (const where of WHEEL_ORDER) {
      if (resolved.tires[where].cupping === 'heavy') seen.push({ kind: 'waves', where, mm: 0 });
    }
  }
  return seen.toSorted((a, b) => b.mm - a.mm);
}

/**
 * Whether both tires of an axle are feathered the same way: the mark of toe (common practice, no source), which the
 * hand feels thousands of km before an edge is low. A saw that a tire brought along from the other axle says nothing
 * of this one.
 */
function isSawn(resolved: ResolvedCase, axle: Axle): boolean {
  const [left, right] = WHEELS_OF_AXLE[axle];
  const { feather } = resolved.tires[left];
  const isFelt = feather === 'catchesOutward' || feather === 'catchesInward';
  return (
    isFelt &&
    feather === resolved.tires[right].feather &&
    [left, right].every((wheel) => featherPath(resolved, WHEEL_ORDER.indexOf(wheel))[axle] > 0.5)
  );
}

/** Depth of a rib as it would be had the stretch that counts begun with an even tread, mm. */
function unevenSince({ readMm, newDepthMm, stretch }: ResolvedTire, rib: Rib): Mean {
  const mean = meanOf(readMm[rib]);
  return mean === null ? null : mean + newDepthMm - stretch.fromMm[rib];
}

type Mean = number | null;

function meanOf(values: readonly number[]): Mean {
  return values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
}
