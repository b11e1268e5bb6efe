import type { DemoCar, Truth } from './demoCar.ts';

/** A van of the courier's fleet: seen twice on one set of tires, gone again. */
export interface FleetVan {
  car: DemoCar;
  /** Months ago of its two visits, the first before the last. */
  seen: readonly [first: number, last: number];
}

/** What the vans run in a month, km. */
export const FLEET_KM_A_MONTH = 2_400;

function van(
  plate: string,
  distanceKm: number,
  seen: FleetVan['seen'],
  truth: Truth,
  words = '',
): FleetVan {
  return {
    seen,
    car: {
      plate,
      label: 'Courier van',
      customer: 'Gull Line Couriers',
      drive: 'fwd',
      use: 'street',
      size: { front: '205/65R16', rear: '205/65R16' },
      newDepthMm: 8.2,
      distanceKm,
      odometerKm: 60_000 + distanceKm,
      targetKpa: { front: 260, rear: 300 },
      truth,
      stage: 'felt',
      words,
      complaints: [],
      waits: 'later',
      play: { lf: 'none', rf: 'none' },
      arrivedMinutesAgo: 0,
      history: [],
    },
  };
}

/** Ten more vans of the couriers, all made up; two stand on today's list. */
export const FLEET: readonly FleetVan[] = [
  van('402 KQ', 31_000, [6, 1], {}),
  van('405 KQ', 24_500, [5, 1.5], { toe: { front: 0.55 } }, 'Front tires go early.'),
  van('409 KQ', 12_000, [4, 0.5], {}),
  van('411 KQ', 19_500, [5, 2], { pressure: { lf: 0.82, rf: 0.8, lr: 0.84, rr: 0.81 } }),
  van('414 KQ', 27_000, [6, 0.7], { camber: { rf: -2.6 } }, 'Something rubs on the right.'),
  van('421 KQ', 8_500, [3, 0.3], {}),
  van('425 KQ', 33_500, [7, 1], {}),
  van('430 KQ', 16_000, [4, 1], { toe: { rear: -0.5 } }),
  van('433 KQ', 22_000, [5, 0.4], {}),
  van('437 KQ', 29_000, [6, 2], { looseness: { front: 0.3 } }, 'Wanders on the mountain road.'),
];
