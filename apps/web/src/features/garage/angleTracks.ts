import type { Visit, VisitDraft } from '@keen/contract';
import type { Axle } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '@keen/core';
import dayjs from 'dayjs';
import Papa from 'papaparse';
import { joined } from '../../shared/joined.ts';
import { showDegrees } from '../../shared/format.ts';
import { angleChanges } from './angleChanges.ts';
import type { AngleChange } from './angleChanges.ts';
import { t } from '../../words/garage.ts';

/** An angle at one visit: as it was found, and as it was left where it was set. */
export interface TrackPoint extends Omit<AngleChange, 'what'> {
  visitId: string;
  number: number;
  /** ISO date and time. */
  at: string;
}

/** One angle of a car over its visits, oldest first, with the limits it is judged by today. */
export interface AngleTrack {
  what: string;
  points: TrackPoint[];
  /** Degrees. */
  limits: readonly [low: number, high: number];
}

/** An angle measured less often than this has no course to draw. */
const LEAST_POINTS = 2;

/**
 * Each angle of a car from visit to visit: front and rear total toe, and the four cambers.
 * @param visits - of one car, in any order
 * @returns those measured at two visits or more
 */
export function angleTracks(visits: readonly Visit[]): AngleTrack[] {
  const ordered = visits.toSorted((a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt));
  const measured = ordered.flatMap(({ id, number, arrivedAt, draft }) =>
    angleChanges(draft).map(({ what, found, set }) => ({
      what,
      point: { visitId: id, number, at: arrivedAt, found, set },
    })),
  );
  const tolerances = ordered.findLast(({ draft }) => draft.tolerances)?.draft.tolerances;
  return [...new Set(measured.map(({ what }) => what))].flatMap((what) => {
    const points = measured.filter((one) => one.what === what).map(({ point }) => point);
    return points.length < LEAST_POINTS
      ? []
      : [{ what, points, limits: limitsOf(what, tolerances) }];
  });
}

function limitsOf(what: string, tolerances: VisitDraft['tolerances']): readonly [number, number] {
  const axle: Axle = /rear/i.test(what) ? 'rear' : 'front';
  const kind = what.endsWith('toe') ? 'totalToe' : 'camber';
  return tolerances?.[kind]?.[axle] ?? DEFAULT_TOLERANCES[kind][axle];
}

/** A track in words, for people who cannot see the chart. */
export function spokenTrack({ what, points }: AngleTrack): string {
  const said = points.map(({ at, found, set }) => {
    return joined(
      `${dayjs(at).format('MMM YYYY')} ${showDegrees(found, 2)}`,
      set !== null && t('angleTracks.setTo', { set: showDegrees(set, 2) }),
    );
  });
  return `${what}: ${said.join('; ')}`;
}

/** All tracks as one table for other programs, degrees. */
export function tracksAsCsv(tracks: readonly AngleTrack[]): string {
  return Papa.unparse(
    tracks.flatMap(({ what, points, limits: [low, high] }) =>
      points.map(({ number, at, found, set }) => ({
        angle: what,
        visit: number,
        on: at.slice(0, 10),
        found: found.toFixed(3),
        set: set === null ? '' : set.toFixed(3),
        'limit, low': low,
        'limit, high': high,
      })),
    ),
    { escapeFormulae: true },
  );
}
