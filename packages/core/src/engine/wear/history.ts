import type { Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';

/** A part of its way that a tire ran at one position. */
export interface Stay {
  wheel: Wheel;
  km: number;
  /** Distance since this stretch ended, km; 0 for the present position. */
  endedAgoKm: number;
}

/**
 * Walks a tire back through the rotations to where it has been.
 *
 * Rotations are placed on the scale of the tires that ran longest; a tire that ran less was put on
 * later and knows only the rotations since.
 * @param wheel - where the tire is mounted now
 * @returns stays from the oldest to the present one, km summing to the stretch that it has worn as today
 */
export function tireHistory(resolved: ResolvedCase, wheel: Wheel): Stay[] {
  const total = Math.max(...WHEEL_ORDER.map((w) => resolved.tires[w].distanceKm));
  const start = total - resolved.tires[wheel].stretch.distanceKm;
  const stays: Stay[] = [];
  let position = wheel;
  let end = total;
  for (const rotation of resolved.rotations.toReversed()) {
    if (rotation.atKm <= start) break;
    const from = cameFrom(rotation.moves, position);
    if (from !== position) {
      if (end > rotation.atKm) push(position, rotation.atKm);
      position = from;
    }
  }
  if (end > start || stays.length === 0) push(position, start);
  return stays.toReversed();

  function push(at: Wheel, since: number): void {
    stays.push({ wheel: at, km: end - since, endedAgoKm: total - end });
    end = since;
  }
}

/** A tire that ran at a place for less than this part of the longest stay there carries little of its wear. */
const CARRIES_FROM = 1 / 3;

/**
 * The tires that carry the wear of a place: those that ran there longest.
 * @returns by where they are mounted now, the one that ran there longest first; never empty
 */
export function tiresWornAt(resolved: ResolvedCase, place: Wheel): Wheel[] {
  const kmThere = (tire: Wheel) =>
    tireHistory(resolved, tire)
      .filter(({ wheel }) => wheel === place)
      .reduce((sum, { km }) => sum + km, 0);
  const stays = WHEEL_ORDER.map((tire) => ({ tire, km: kmThere(tire) }));
  const longest = Math.max(...stays.map(({ km }) => km));
  if (longest === 0) return [place];
  return stays
    .filter(({ km }) => km > 0 && km >= CARRIES_FROM * longest)
    .toSorted((a, b) => b.km - a.km)
    .map(({ tire }) => tire);
}

function cameFrom(moves: Partial<Record<Wheel, Wheel>>, position: Wheel): Wheel {
  for (const from of WHEEL_ORDER) if (moves[from] === position) return from;
  return position;
}
