import type { CaseFile } from '@keen/contract';
import type { Drive, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER } from '@keen/core/engine';
import type { Random } from '@keen/core/engine';

/** How a car is looked at in a workshop: which car it is, how far it ran, what will be checked. */
export interface Plan {
  drive: Drive;
  distanceKm: number;
  /** The axle (0 front, 1 rear) with newer tires, and their distance; null when all are of one age. */
  newerAxle: 0 | 1 | null;
  newerKm: number;
  newDepthMm: number;
  depthUnit: 'mm' | 'in32';
  stations: number;
  rotation: { atPart: number; moves: Partial<Record<Wheel, Wheel>> } | null;
  /** Chance that any one rib is left unread. */
  unread: number;
  feather: boolean;
  waves: boolean;
  pressure: boolean;
  play: boolean;
  angles: boolean;
  complaints: boolean;
  tolerances: NonNullable<CaseFile['tolerances']> | undefined;
}

/** Front tires to the rear and the other way about, each on its side. */
export const STRAIGHT = { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } as const;
const CROSSED = { lf: 'rr', rf: 'lr', lr: 'lf', rr: 'rf' } as const;
/** A car comes in at the latest when this is left at its worst rib, mm. */
export const COMES_IN_AT_MM: readonly [number, number] = [0.6, 3];

/** Draws a plan: shops differ in what they look at (invented shares, no source). */
export function drawPlan(random: Random): Plan {
  const happens = (chance: number) => random.uniform() < chance;
  const among = <T>(values: readonly T[]): T =>
    values[Math.floor(random.uniform() * values.length)]!;
  const round = (value: number, step: number) => Math.round(value / step) * step;
  const plan: Plan = {
    drive: among(['fwd', 'fwd', 'fwd', 'rwd', 'awd']),
    distanceKm: round(12_000 + 38_000 * random.uniform(), 500),
    newerAxle: null,
    newerKm: 0,
    newDepthMm: round(7 + 2 * random.uniform(), 0.5),
    depthUnit: happens(0.35) ? 'in32' : 'mm',
    stations: among([1, 1, 1, 2, 3, 4]),
    rotation: happens(0.3)
      ? { atPart: 0.3 + 0.5 * random.uniform(), moves: happens(0.7) ? STRAIGHT : CROSSED }
      : null,
    unread: happens(0.15) ? 0.25 : 0,
    feather: happens(0.6),
    waves: happens(0.6),
    pressure: happens(0.75),
    play: happens(0.4),
    angles: happens(0.2),
    complaints: happens(0.5),
    tolerances: happens(0.25) ? drawTolerances(random) : undefined,
  };
  if (plan.rotation === null && happens(0.12)) {
    plan.newerAxle = happens(0.5) ? 0 : 1;
    plan.newerKm = round(plan.distanceKm * (0.2 + 0.6 * random.uniform()), 500);
  }
  return plan;
}

function drawTolerances(random: Random): NonNullable<CaseFile['tolerances']> {
  const camber = -1.2 + 1.2 * random.uniform();
  const toe = -0.05 + 0.3 * random.uniform();
  const half = 0.12 + 0.15 * random.uniform();
  return {
    camber: { front: [camber - 0.75, camber + 0.75], rear: [camber - 1.2, camber + 0.3] },
    totalToe: { front: [toe - half, toe + half], rear: [toe - half, toe + half + 0.1] },
  };
}

/** The case file of a plan before anything has been read, km and kPa. */
export function emptyCase(plan: Plan, label: string): CaseFile {
  const inUnit = (mm: number) => (plan.depthUnit === 'mm' ? mm : Math.round(mm / 0.79375));
  const tires = Object.fromEntries(
    WHEEL_ORDER.map((wheel, at) => [
      wheel,
      {
        newDepth: inUnit(plan.newDepthMm),
        distance: at >> 1 === plan.newerAxle ? plan.newerKm : plan.distanceKm,
        stations: [{ inner: null, centre: null, outer: null }],
      },
    ]),
  ) as unknown as CaseFile['tires'];
  return {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: plan.depthUnit, distance: 'km', pressure: 'kPa' },
    vehicle: { label, drive: plan.drive, use: 'street' },
    ...(plan.tolerances ? { tolerances: plan.tolerances } : {}),
    tires,
    ...(plan.rotation
      ? {
          rotations: [
            {
              atDistance: Math.round(plan.distanceKm * plan.rotation.atPart),
              moves: plan.rotation.moves,
            },
          ],
        }
      : {}),
  };
}
