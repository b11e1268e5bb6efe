import type { Wheel } from '@keen/contract';
import { axleOf, WHEELS_OF_AXLE } from '@keen/core';
import { NAMED_TREADS, usualCar } from '@keen/core/lab';
import type { LabCar, LabEvent } from '@keen/core/lab';
import type { WorldName } from '@keen/simulator/lab';

/** Everything that the page shows: what a link carries. */
export interface LabSetup {
  /** The named tread, or the visit whose car it is, that the page started from. */
  from: { tread: string } | { visit: string };
  car: LabCar;
  newMm: number;
  /** Distance shown, km. */
  km: number;
  events: readonly LabEvent[];
  world: WorldName;
  /** Whether the same car put right stands beside it. */
  compares: boolean;
  /** The wheel that is set and looked into. */
  wheel: Wheel;
}

/** The scale of the time bar, km. */
export const MOST_KM = 60_000;
export const START_KM = 20_000;
export const NEW_MM = 8;
export const MOST_EVENTS = 12;

export function emptySetup(): LabSetup {
  return {
    from: { tread: 'even' },
    car: usualCar(),
    newMm: NEW_MM,
    km: START_KM,
    events: [],
    world: 'own',
    compares: true,
    wheel: 'lf',
  };
}

/** A named tread from the start, seen as the page is set. */
export function fromTread(setup: LabSetup, name: string): LabSetup {
  const tread = NAMED_TREADS.find((one) => one.name === name) ?? NAMED_TREADS[0]!;
  return { ...setup, from: { tread: tread.name }, car: tread.car, events: [], newMm: NEW_MM };
}

export type WheelSetting = 'camber' | 'toe' | 'pressure' | 'bounces';

/** Sets something at a wheel, or at both of its axle. */
export function withWheel<K extends WheelSetting>(
  car: LabCar,
  key: K,
  wheel: Wheel,
  value: LabCar[K][Wheel],
  both: boolean,
): LabCar {
  const wheels: readonly Wheel[] = both ? WHEELS_OF_AXLE[axleOf(wheel)] : [wheel];
  const next = { ...car[key] };
  for (const one of wheels) next[one] = value;
  return { ...car, [key]: next };
}
