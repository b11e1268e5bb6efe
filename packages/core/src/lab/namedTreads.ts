import type { Wheel } from '@keen/contract/words';
import type { LabTexts } from '../words/screens/index.ts';
import type { LabCar } from './labCar.ts';
import { usualCar } from './labCar.ts';

export type TreadName = keyof LabTexts['namedTreads'];

/** A tread that people know by name, and a car that makes it. */
export interface NamedTread {
  name: TreadName;
  car: LabCar;
}

function made(name: TreadName, change: (car: LabCar) => void): NamedTread {
  const car = usualCar();
  change(car);
  return { name, car };
}

const FRONT: readonly Wheel[] = ['lf', 'rf'];
const REAR: readonly Wheel[] = ['lr', 'rr'];
const ALL: readonly Wheel[] = [...FRONT, ...REAR];

/** Settings for the treads everyone knows (sizes are invented). */
export const NAMED_TREADS: readonly NamedTread[] = [
  made('even', () => undefined),
  made('saw', (car) => FRONT.forEach((wheel) => (car.toe[wheel] = 0.35))),
  made('sawInner', (car) => FRONT.forEach((wheel) => (car.toe[wheel] = -0.35))),
  made('innerEdge', (car) => (car.camber.lf = -3)),
  made('rearInner', (car) => {
    car.height = { front: -35, rear: -45 };
    REAR.forEach((wheel) => {
      car.camber[wheel] = -1.6;
      car.toe[wheel] = -0.3;
    });
  }),
  made('soft', (car) => ALL.forEach((wheel) => (car.pressure[wheel] = 0.75))),
  made('hard', (car) => ALL.forEach((wheel) => (car.pressure[wheel] = 1.25))),
  made('loaded', (car) => (car.load.rear = 1.35)),
  made('waves', (car) => (car.bounces.lr = true)),
  made('loose', (car) => (car.play.front = 0.3)),
  made('keen', (car) => (car.cornering = 2.5)),
];
