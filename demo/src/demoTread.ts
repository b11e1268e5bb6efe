import type { CaseFile, Rib, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import {
  byWheel,
  draftToCase,
  healthyState,
  resolveCase,
  STATE,
  tireLoss,
  tirePaths,
  WHEEL_ORDER,
} from '@keen/core';
import type { Random } from '@keen/core';
import type { DemoCar, Truth } from './demoCar.ts';

const MM_PER_IN32 = 0.79375;
/** Scatter of a tire, of a rib, and of the gauge: gentler than the model allows for. */
const SCATTER = { tire: 0.035, rib: 0.02, readingMm: 0.08 } as const;
const HAND = 0.02;

export type Depths = Record<Wheel, Record<Rib, number>>;

/** Wears a made-up car's tires by the wear model and reads them as a gauge would, mm. */
export function demoDepths(
  car: DemoCar,
  distanceKm: Record<Wheel, number>,
  truth: Truth,
  random: Random,
): Depths {
  const file = caseFor(car, distanceKm);
  const resolved = resolveCase(file);
  const state = stateOf(truth);
  state[STATE.hand] = HAND * random.normal();
  const paths = tirePaths(resolved);
  const loss = new Float64Array(3);
  const step = car.readIn === 'in32' ? MM_PER_IN32 : 0.1;
  return byWheel((_, tire) => {
    tireLoss(state, paths[tire]!, loss);
    const tireFactor = 1 + SCATTER.tire * random.normal();
    const read = RIBS.map((_rib, rib) => {
      const worn = loss[rib]! * tireFactor * (1 + SCATTER.rib * random.normal());
      const depth = car.newDepthMm - worn + SCATTER.readingMm * random.normal();
      return Math.max(0, Math.round(Math.min(depth, car.newDepthMm) / step) * step);
    }) as [number, number, number];
    return { inner: tidy(read[0]), centre: tidy(read[1]), outer: tidy(read[2]) };
  });
}

function caseFor(car: DemoCar, distanceKm: Record<Wheel, number>): CaseFile {
  return draftToCase(
    {
      vehicle: { drive: car.drive, use: car.use },
      tires: byWheel((wheel) => ({ newDepth: car.newDepthMm, distance: distanceKm[wheel] })),
    },
    car.label,
  ).file;
}

function stateOf(truth: Truth): Float64Array {
  const state = healthyState([-0.4, -0.75], [0.1, 0.15]);
  WHEEL_ORDER.forEach((wheel, index) => {
    state[STATE.camber + index] = truth.camber?.[wheel] ?? state[STATE.camber + index]!;
    state[STATE.pressure + index] = truth.pressure?.[wheel] ?? 0.98;
    state[STATE.bounce + index] = truth.bounce?.includes(wheel) ? 1 : 0;
  });
  (['front', 'rear'] as const).forEach((axle, index) => {
    state[STATE.toe + index] = truth.toe?.[axle] ?? state[STATE.toe + index]!;
    state[STATE.looseness + index] = truth.looseness?.[axle] ?? 0.02;
  });
  state[STATE.cornering] = truth.cornering ?? 1;
  return state;
}

function tidy(mm: number): number {
  return Number(mm.toFixed(5));
}
