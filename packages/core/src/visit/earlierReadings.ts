import type { CaseHistory, Units, VisitDraft } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import { depthFromMm, distanceFromKm } from '../engine/units/units.ts';
import { runBetween, tireLives } from './tireLives.ts';
import type { TirePoint } from './tireLives.ts';
import { putRightAt, tiresReplaced } from './workDone.ts';
import type { Decided } from './workDone.ts';

/** A visit of the same car, whenever it was. */
export interface PastVisit extends Decided {
  /** ISO date and time. */
  arrivedAt: string;
}

/** What a diagnosis needs to know of a visit beside its draft. */
export interface VisitBefore {
  /** ISO date and time of the visit at hand. */
  arrivedAt: string;
  /** Other visits of the car; those that came later are passed over. */
  others: readonly PastVisit[];
}

/** Less run than this since a reading says nothing of wear, km. */
const LEAST_KM = 500;
const MOST = 20;
const DECIMALS = 4;

/**
 * What earlier visits read of the tires that are on the car now, and what was put right then.
 * @param draft - of the visit at hand
 * @param units - of the case file
 * @returns oldest first; undefined where there is none
 */
export function earlierReadings(
  draft: VisitDraft,
  { arrivedAt, others }: VisitBefore,
  units: Units,
): CaseHistory['earlier'] {
  const past = others
    .filter((one) => Date.parse(one.arrivedAt) < Date.parse(arrivedAt))
    .toSorted((a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt));
  if (past.length === 0) return undefined;
  const now = { id: 'now', arrivedAt, draft, replaced: [] };
  const visits = past.map((one, i) => ({
    id: String(i),
    arrivedAt: one.arrivedAt,
    draft: one.draft,
    replaced: tiresReplaced(one),
  }));
  const lives = tireLives([...visits, now]);
  const round = (value: number) => Number(value.toFixed(DECIMALS));
  const readings = past.flatMap((one, i) => {
    const visit = visits[i]!;
    const agoKm = runBetween(visit, now);
    if (agoKm === null || agoKm < LEAST_KM) return [];
    const tires = WHEEL_ORDER.flatMap((wheel) => {
      const life = lives.find(({ mounted, points }) => mounted === wheel && points.length > 0);
      const point = life?.points.find(({ visitId }) => visitId === visit.id);
      const run = draft.tires?.[wheel]?.distance;
      return point && run !== undefined && agoKm <= run
        ? [[wheel, { stations: [station(point, units, round)] }] as const]
        : [];
    });
    if (tires.length === 0) return [];
    const putRight = putRightAt(one);
    const { angles } = one.draft;
    return [
      {
        ago: round(distanceFromKm(agoKm, units.distance)),
        tires: Object.fromEntries(tires),
        ...(putRight.length > 0 ? { putRight: [...putRight] } : {}),
        ...(angles ? { angles } : {}),
      },
    ];
  });
  return readings.length > 0 ? readings.slice(-MOST) : undefined;
}

function station(
  { ribs }: TirePoint,
  units: Units,
  round: (value: number) => number,
): Record<Rib, number | null> {
  return Object.fromEntries(
    RIBS.map((rib) => {
      const mm = ribs[rib];
      return [rib, mm === null ? null : round(depthFromMm(mm, units.depth))];
    }),
  ) as Record<Rib, number | null>;
}
