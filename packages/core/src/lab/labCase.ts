import type { CaseFile } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { byWheel } from '../engine/case/resolveCase.ts';
import { axleOf } from '../engine/case/wheels.ts';
import { neededPressure } from './labCar.ts';
import type { LabEvent, LabPlan, LabTires } from './wearOn.ts';
import { featherFelt } from './wearOn.ts';

/** Pressure of the placard that ratios are written out for, kPa. */
const PLACARD_KPA = 230;
/** Waves deeper than this are felt, and plainly, mm. */
const WAVES_MM = { some: 0.5, heavy: 1.2 } as const;
const STRAIGHT: Partial<Record<Wheel, Wheel>> = { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' };

/**
 * A lab car at a moment of its life as a case file, as a workshop would read it: tread, touch, pressures.
 * Its angles are not told, so that a diagnosis has something to find.
 * @param km - distance since the tires were new
 */
export function labCase(plan: LabPlan, tires: LabTires, km: number): CaseFile {
  const done = (kind: LabEvent['kind']) =>
    plan.events.filter((event) => event.kind === kind && event.atKm <= km);
  const rotations = done('rotate').filter(({ atKm }) => atKm < km);
  return {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
    vehicle: {
      label: 'Wear lab',
      drive: plan.car.drive,
      use: 'street',
      ...(plan.car.height.front !== 0 || plan.car.height.rear !== 0
        ? { rideHeightChange: { front: plan.car.height.front, rear: plan.car.height.rear } }
        : {}),
    },
    tires: byWheel((wheel) => {
      const read = (mm: number) => Number(Math.max(0, mm).toFixed(1));
      const { inner, centre, outer } = tires.depthMm[wheel];
      const waves = tires.wavesMm[wheel];
      return {
        newDepth: plan.newMm,
        distance: Math.round(km),
        stations: [{ inner: read(inner), centre: read(centre), outer: read(outer) }],
        feather: featherFelt(tires.feather[wheel]),
        cupping: waves >= WAVES_MM.heavy ? 'heavy' : waves >= WAVES_MM.some ? 'some' : 'none',
        pressure: {
          measured: Math.round(PLACARD_KPA * pressureNow(plan, wheel, done('inflate').length > 0)),
          target: PLACARD_KPA,
        },
      };
    }),
    ...(rotations.length > 0
      ? { rotations: rotations.map(({ atKm }) => ({ atDistance: atKm, moves: STRAIGHT })) }
      : {}),
  };
}

function pressureNow({ car }: LabPlan, wheel: Wheel, isSet: boolean): number {
  return isSet ? neededPressure(car.load[axleOf(wheel)]) : car.pressure[wheel];
}
