import type { Axle, Drive, Side, Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { byWheel, DEFAULT_TOLERANCES } from '../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../engine/case/wheels.ts';
import { exp, log } from '../engine/math/elementary.ts';
import { STATE, STATE_SIZE } from '../engine/wear/state.ts';

/** A car as the wear lab sets it up. */
export interface LabCar {
  drive: Drive;
  /** As it stands on the floor at its built height, degrees, top outward positive. */
  camber: Record<Wheel, number>;
  /** Each wheel's own toe, degrees, front inward positive. */
  toe: Record<Wheel, number>;
  /** Degrees, leaning back positive. */
  caster: Record<Side, number>;
  /** Running pressure over what the car's load needs at rest, as a ratio to the placard. */
  pressure: Record<Wheel, number>;
  /** Load on the axle over the load that the placard pressure is for. */
  load: Record<Axle, number>;
  /** Cornering as a multiple of the usual. */
  cornering: number;
  /** Body against its built height, mm, raised positive; the wheels were not set again since. */
  height: Record<Axle, number>;
  /** Wander of the axle's toe from play, degrees rms. */
  play: Record<Axle, number>;
  /** A damper that no longer damps, or a wheel out of balance. */
  bounces: Record<Wheel, boolean>;
  /** How fast its tires wear against the usual: compound, road, driver. */
  rate: number;
}

/** Limits of every number of a lab car, for sliders and for links. */
export const LAB_RANGES = {
  camber: [-6, 4],
  toe: [-1.5, 1.5],
  caster: [0, 10],
  pressure: [0.5, 1.5],
  load: [0.6, 1.5],
  cornering: [0.3, 4],
  height: [-80, 80],
  play: [0, 0.6],
  rate: [0.3, 3],
} as const;

/** Caster that an ordinary car has; its effect on wear is part of the usual. */
export const USUAL_CASTER_DEG = 4;

/**
 * What a changed body height does to wheels that are not set again, degrees for each mm (common practice,
 * no source; suspensions differ): lowered, wheels lean in at the top and the front ones toe out.
 */
const HEIGHT_CAMBER = 0.018;
const HEIGHT_TOTAL_TOE: Record<Axle, number> = { front: 0.004, rear: -0.003 };
/**
 * The load a passenger tire carries goes with its pressure to this power (ETRTO standards manual, recalled from
 * memory): so much more load wants load^(1 / 0.8) times the pressure.
 */
const LOAD_POWER = 0.8;

const { camber, totalToe } = DEFAULT_TOLERANCES;
// A figure that can be written out and read again without becoming another.
const middle = ([low, high]: readonly [number, number], parts = 2) =>
  Number(((low + high) / parts).toFixed(4));

/** Camber and toe in the middle of the usual tolerances: what an alignment sets. */
export function alignedAngles(): Pick<LabCar, 'camber' | 'toe'> {
  return {
    camber: byWheel((wheel) => middle(camber[axleOf(wheel)])),
    toe: byWheel((wheel) => middle(totalToe[axleOf(wheel)], 4)),
  };
}

/** An ordinary front-drive car with nothing out. */
export function usualCar(): LabCar {
  return {
    drive: 'fwd',
    ...alignedAngles(),
    caster: { left: USUAL_CASTER_DEG, right: USUAL_CASTER_DEG },
    pressure: byWheel(() => 1),
    load: { front: 1, rear: 1 },
    cornering: 1,
    height: { front: 0, rear: 0 },
    play: { front: 0, rear: 0 },
    bounces: byWheel(() => false),
    rate: 1,
  };
}

/** The same car with angles in the middle of their tolerance, joints tight, pressures right, nothing bouncing. */
export function putRightCar(car: LabCar): LabCar {
  return {
    ...car,
    ...alignedAngles(),
    pressure: byWheel((wheel) => neededPressure(car.load[axleOf(wheel)])),
    // Set again at the height it has.
    height: { front: 0, rear: 0 },
    play: { front: 0, rear: 0 },
    bounces: byWheel(() => false),
  };
}

/**
 * Pressure that a load wants, as a ratio to what the placard's load wants.
 * @param load - over the load that the placard is for
 * @example neededPressure(1) // 1
 */
export function neededPressure(load: number): number {
  return exp(log(load) / LOAD_POWER);
}

/**
 * Camber of a wheel with what the body height does to it, degrees.
 * @example standingCamber(usualCar(), 'lf') // -0.375
 */
export function standingCamber(car: LabCar, wheel: Wheel): number {
  return car.camber[wheel] + HEIGHT_CAMBER * car.height[axleOf(wheel)];
}

/**
 * Total toe of an axle with what the body height does to it, degrees.
 * @example standingToe(usualCar(), 'front') // 0.1
 */
export function standingToe({ toe, height }: LabCar, axle: Axle): number {
  const [left, right] = WHEELS_OF_AXLE[axle];
  return toe[left] + toe[right] + HEIGHT_TOTAL_TOE[axle] * height[axle];
}

/**
 * Where the rear axle steers the car, degrees to the right of its middle: half the difference of its
 * wheels' toe. Driven straight the front wheels follow it, so it turns the steering wheel and not the wear.
 * @example thrustDeg(usualCar()) // 0
 */
export function thrustDeg({ toe }: LabCar): number {
  return (toe.lr - toe.rr) / 2;
}

/**
 * The car as the wear model's state, see {@link STATE}; traits of the formula are left at zero.
 * @param bend - how far the front wheels are turned, degrees to the right positive, and their camber then
 */
export function labState(car: LabCar, bend: Partial<Record<Wheel, number>> = {}): Float64Array {
  const state = new Float64Array(STATE_SIZE);
  WHEEL_ORDER.forEach((wheel, at) => {
    state[STATE.camber + at] = standingCamber(car, wheel) + (bend[wheel] ?? 0);
    state[STATE.pressure + at] = car.pressure[wheel] / neededPressure(car.load[axleOf(wheel)]);
    state[STATE.bounce + at] = car.bounces[wheel] ? 1 : 0;
  });
  (['front', 'rear'] as const).forEach((axle, at) => {
    state[STATE.toe + at] = standingToe(car, axle);
    state[STATE.looseness + at] = car.play[axle];
  });
  state[STATE.cornering] = car.cornering;
  state[STATE.logWearRate] = log(car.rate);
  return state;
}

/** The car that a state of the engine stands for: the setting of a visit's answer. */
export function carOfState(state: ArrayLike<number>, drive: Drive): LabCar {
  const at = (element: number) => state[element]!;
  const clamp = (value: number, [low, high]: readonly [number, number], digits: number) =>
    Number(Math.min(high, Math.max(low, value)).toFixed(digits));
  return {
    ...usualCar(),
    drive,
    camber: byWheel((_, i) => clamp(at(STATE.camber + i), LAB_RANGES.camber, 3)),
    toe: byWheel((_, i) => clamp(at(STATE.toe + (i >> 1)) / 2, LAB_RANGES.toe, 3)),
    pressure: byWheel((_, i) => clamp(at(STATE.pressure + i), LAB_RANGES.pressure, 2)),
    cornering: clamp(at(STATE.cornering), LAB_RANGES.cornering, 2),
    play: {
      front: clamp(at(STATE.looseness), LAB_RANGES.play, 2),
      rear: clamp(at(STATE.looseness + 1), LAB_RANGES.play, 2),
    },
    bounces: byWheel((_, i) => at(STATE.bounce + i) > 0.5),
    rate: clamp(exp(at(STATE.logWearRate)), LAB_RANGES.rate, 2),
  };
}

/**
 * Whether two cars are set up alike.
 * @example isSameCar(usualCar(), usualCar()) // true
 */
export function isSameCar(a: LabCar, b: LabCar): boolean {
  const flat = (car: LabCar) => [
    car.drive,
    car.cornering,
    car.rate,
    ...WHEELS.flatMap((wheel) => [
      car.camber[wheel],
      car.toe[wheel],
      car.pressure[wheel],
      car.bounces[wheel],
    ]),
    ...(['front', 'rear'] as const).flatMap((axle) => [
      car.load[axle],
      car.height[axle],
      car.play[axle],
    ]),
    car.caster.left,
    car.caster.right,
  ];
  const other = flat(b);
  return flat(a).every((value, i) => value === other[i]);
}
