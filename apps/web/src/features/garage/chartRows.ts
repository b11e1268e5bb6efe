import type { Units } from '@keen/contract';
import { RIBS } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import type { DepthCurve, WheelStory } from '@keen/core';
import { depthFromMm, distanceFromKm } from '@keen/core';
import Papa from 'papaparse';
import { showDepth, showDistance } from '../../shared/format.ts';
import { t } from '../../words/garage.ts';

/** A distance of the chart with the depth of each rib there, mm. */
export interface ChartRow {
  /** On the tire. */
  km: number;
  isAhead: boolean;
  ribs: Record<Rib, { low: number; median: number; high: number } | null>;
}

/** From new over each reading to what is to come. */
export function chartRows(
  { tire }: WheelStory,
  ahead: Record<Rib, DepthCurve | null> | null,
): ChartRow[] {
  const point = (mm: number | null) => (mm === null ? null : { low: mm, median: mm, high: mm });
  const read = tire.points.flatMap(({ km, ribs }) =>
    km === null
      ? []
      : [
          {
            km,
            isAhead: false,
            ribs: {
              inner: point(ribs.inner),
              centre: point(ribs.centre),
              outer: point(ribs.outer),
            },
          },
        ],
  );
  const { newDepthMm } = tire;
  const fromNew =
    newDepthMm === null || read[0]?.km === 0
      ? []
      : [
          {
            km: 0,
            isAhead: false,
            ribs: { inner: point(newDepthMm), centre: point(newDepthMm), outer: point(newDepthMm) },
          },
        ];
  const last = read.at(-1)?.km ?? 0;
  const steps = ahead?.inner?.km ?? ahead?.centre?.km ?? ahead?.outer?.km ?? [];
  const coming = steps.map((km, i) => ({
    km: last + km,
    isAhead: true,
    ribs: {
      inner: ahead?.inner?.mm[i] ?? null,
      centre: ahead?.centre?.mm[i] ?? null,
      outer: ahead?.outer?.mm[i] ?? null,
    },
  }));
  return [...fromNew, ...read, ...coming];
}

/** The tire with the lowest rib. */
export function lowestWheel(wheels: readonly WheelStory[]): WheelStory | undefined {
  const lowest = ({ tire }: WheelStory) =>
    Math.min(...RIBS.map((rib) => tire.points.at(-1)!.ribs[rib] ?? Infinity));
  return wheels.toSorted((a, b) => lowest(a) - lowest(b))[0];
}

/** What was read, in words. */
export function spokenRows(rows: readonly ChartRow[], units: Units): string {
  const read = rows.filter(({ isAhead }) => !isAhead);
  return read
    .map(({ km, ribs }) => {
      const depths = RIBS.map((rib) => {
        const at = ribs[rib];
        return at ? `${rib} ${showDepth(at.median, units.depth)}` : '';
      }).filter(Boolean);
      return t('chartRows.at', {
        km: showDistance(km, units.distance),
        distance: units.distance,
        depths: depths.join(', '),
      });
    })
    .join('; ');
}

/** The rows for other programs: distance and depths in the reader's units, with the band of what is to come. */
export function chartRowsAsCsv(rows: readonly ChartRow[], { depth, distance }: Units): string {
  const figure = (mm: number | undefined) =>
    mm === undefined ? '' : depthFromMm(mm, depth).toFixed(2);
  return Papa.unparse(
    rows.map(({ km, isAhead, ribs }) => ({
      [`distance, ${distance}`]: Math.round(distanceFromKm(km, distance)),
      kind: isAhead ? 'forecast' : km === 0 ? 'new' : 'read',
      ...Object.fromEntries(
        RIBS.flatMap((rib) => [
          [`${rib}, ${depth}`, figure(ribs[rib]?.median)],
          [`${rib}, low`, figure(ribs[rib]?.low)],
          [`${rib}, high`, figure(ribs[rib]?.high)],
        ]),
      ),
    })),
  );
}
