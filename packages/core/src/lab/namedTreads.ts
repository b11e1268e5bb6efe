import type { Wheel } from '@keen/contract/words';
import type { LabCar } from './labCar.ts';
import { usualCar } from './labCar.ts';

/** A tread that people know by name, and a car that makes it. */
export interface NamedTread {
  name: string;
  title: string;
  car: LabCar;
}

function made(name: string, title: string, change: (car: LabCar) => void): NamedTread {
  const car = usualCar();
  change(car);
  return { name, title, car };
}

const FRONT: readonly Wheel[] = ['lf', 'rf'];
const REAR: readonly Wheel[] = ['lr', 'rr'];
const ALL: readonly Wheel[] = [...FRONT, ...REAR];

/** Settings for the treads everyone knows (sizes are invented). */
export const NAMED_TREADS: readonly NamedTread[] = [
  made('even', 'Nothing out', () => undefined),
  made('saw', 'Saw on both fronts: toe-in', (car) =>
    FRONT.forEach((wheel) => (car.toe[wheel] = 0.35)),
  ),
  made('sawInner', 'Inner saw on both fronts: toe-out', (car) =>
    FRONT.forEach((wheel) => (car.toe[wheel] = -0.35)),
  ),
  made('innerEdge', 'One inner edge: a bent strut', (car) => (car.camber.lf = -3)),
  made('rearInner', 'Rear inner edges: a lowered car', (car) => {
    car.height = { front: -35, rear: -45 };
    REAR.forEach((wheel) => {
      car.camber[wheel] = -1.6;
      car.toe[wheel] = -0.3;
    });
  }),
  made('soft', 'Both shoulders: a soft set', (car) =>
    ALL.forEach((wheel) => (car.pressure[wheel] = 0.75)),
  ),
  made('hard', 'The centre: too much pressure', (car) =>
    ALL.forEach((wheel) => (car.pressure[wheel] = 1.25)),
  ),
  made('loaded', 'Rear shoulders: a loaded van', (car) => (car.load.rear = 1.35)),
  made('waves', 'Waves: a dead damper', (car) => (car.bounces.lr = true)),
  made('loose', 'All ribs too fast: loose joints', (car) => (car.play.front = 0.3)),
  made('keen', 'Outer fronts: a keen driver', (car) => (car.cornering = 2.5)),
];
