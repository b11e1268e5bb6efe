import type { Feather, Rib, Side, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { camberInTurn } from '../calculators/angles/camberInTurn.ts';
import { byWheel } from '../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER } from '../engine/case/wheels.ts';
import { FEATHER_FADE_KM, featherChances } from '../engine/diagnosis/observationLikelihood.ts';
import { exp } from '../engine/math/elementary.ts';
import { NOISE } from '../engine/wear/constants.ts';
import { alignedAngles, labState, neededPressure, USUAL_CASTER_DEG } from './labCar.ts';
import type { LabCar } from './labCar.ts';

/** How a car wears its tires: the engine's own formula, or a world of the simulator. */
export interface LabPhysics {
  /**
   * Wear of fresh tread, mm for each 1000 km at inner, centre, outer.
   * @param tire - 0 to 3, whose pressure and bounce count
   * @param position - 0 to 3, where it runs
   */
  rates(state: Float64Array, tire: number, position: number): [number, number, number];
  /** How fast tread wears that has lost so much of its depth, against fresh tread. */
  depthFactor(lostPart: number): number;
}

/** What is done to a car on the way. */
export const LAB_EVENTS = ['rotate', 'align', 'inflate', 'parts'] as const;
export type LabEventKind = (typeof LAB_EVENTS)[number];
export interface LabEvent {
  kind: LabEventKind;
  atKm: number;
}

export interface LabPlan {
  car: LabCar;
  newMm: number;
  /** Distance to drive, km. */
  km: number;
  events: readonly LabEvent[];
}

/** Factors of the four tires and their ribs beside what the physics says; 1 for the usual ones. */
export interface LabFactors {
  tire: readonly number[];
  rib: readonly (readonly number[])[];
}

/** Twelve depths every {@link STEP_KM}, for the tires as they sit at the wheels then. */
export interface LabRun {
  /** Depth at step x wheel x rib (lf, rf, lr, rr; inner, centre, outer), mm. */
  depthMm: Float32Array;
  /** What each wheel's tire has lost by bouncing unevenly, from crest to hollow, at step x wheel, mm. */
  wavesMm: Float32Array;
  /** Feather at step x wheel: -1 catches inward, +1 outward, with its size from 0 to 1. */
  feather: Float32Array;
  steps: number;
}

export const STEP_KM = 250;
const RIB_COUNT = 12;
const KM_PER_THOUSAND_KM = 1000;
/** Straight to the rear and back, each on its side. */
const ROTATED = [2, 3, 0, 1];
/** Part of a feather that a step renews. */
const FEATHER_STEP = 1 - exp(-STEP_KM / FEATHER_FADE_KM);

/**
 * Bends of an ordinary road: their part of the distance, how far the wheels are turned, and how much of its
 * load a wheel gains outside (invented, no source; a bend of 40 m turns the wheels by about four degrees).
 */
const BEND = { part: 0.27, steerDeg: 4, load: 0.15, sai: 12 } as const;

/**
 * Drives a car on new tires and notes what is left.
 *
 * Rates hold from one event to the next; tread that is gone wears no further. A bend changes the front
 * wheels' camber with their caster, in as far as it is not the usual caster.
 * @param factors - of one particular car; the usual one when left out
 */
export function wearOn(plan: LabPlan, physics: LabPhysics, factors?: LabFactors): LabRun {
  const steps = Math.round(plan.km / STEP_KM);
  const depthMm = new Float32Array((steps + 1) * RIB_COUNT);
  const wavesMm = new Float32Array((steps + 1) * 4);
  const feather = new Float32Array((steps + 1) * 4);
  const events = plan.events.toSorted((a, b) => a.atKm - b.atKm);
  /** Which tire sits at a wheel. */
  let mounted = [0, 1, 2, 3];
  let { car } = plan;
  let rates = ratesOf(car, physics);
  let edges = featherOf(car);
  const lost = new Float64Array(RIB_COUNT);
  const waves = new Float64Array(4);
  const felt = new Float64Array(4);
  let next = 0;

  for (let step = 0; step <= steps; step++) {
    if (step > 0) drive();
    while (next < events.length && events[next]!.atKm <= step * STEP_KM) apply(events[next++]!);
    note(step);
  }
  return { depthMm, wavesMm, feather, steps };

  function drive(): void {
    for (let wheel = 0; wheel < 4; wheel++) {
      const tire = mounted[wheel]!;
      let sum = 0;
      for (let rib = 0; rib < 3; rib++) {
        const at = 3 * tire + rib;
        const own = factors ? factors.tire[tire]! * factors.rib[tire]![rib]! : 1;
        const part = Math.min(1, lost[at]! / plan.newMm);
        const mm =
          rates[3 * wheel + rib]! *
          own *
          physics.depthFactor(part) *
          (STEP_KM / KM_PER_THOUSAND_KM);
        const more = Math.min(plan.newMm - lost[at]!, mm);
        lost[at]! += more;
        sum += more / 3;
      }
      // Twice the spread round the tire stands for crest to hollow; it wears flat again by itself.
      const round = car.bounces[WHEEL_ORDER[wheel]!] ? NOISE.stationBounce : 0;
      waves[tire]! += 2 * round * sum - (round > 0 ? 0 : 0.3 * Math.min(waves[tire]!, sum));
      felt[tire]! += (edges[wheel]! - felt[tire]!) * FEATHER_STEP;
    }
  }

  function apply({ kind }: LabEvent): void {
    if (kind === 'rotate') {
      mounted = ROTATED.map((from) => mounted[from]!);
      return;
    }
    car = after(kind, car);
    rates = ratesOf(car, physics);
    edges = featherOf(car);
  }

  function note(step: number): void {
    for (let wheel = 0; wheel < 4; wheel++) {
      const tire = mounted[wheel]!;
      for (let rib = 0; rib < 3; rib++) {
        depthMm[step * RIB_COUNT + 3 * wheel + rib] = plan.newMm - lost[3 * tire + rib]!;
      }
      wavesMm[step * 4 + wheel] = waves[tire]!;
      feather[step * 4 + wheel] = felt[tire]!;
    }
  }
}

/** The car after a piece of work on the way. A loose axle's toe wanders on after an alignment. */
export function after(kind: LabEventKind, car: LabCar): LabCar {
  switch (kind) {
    case 'rotate':
      return car;
    case 'align':
      return { ...car, ...alignedAngles(), height: { front: 0, rear: 0 } };
    case 'inflate':
      return { ...car, pressure: byWheel((wheel) => neededPressure(car.load[axleOf(wheel)])) };
    case 'parts':
      return { ...car, play: { front: 0, rear: 0 }, bounces: byWheel(() => false) };
  }
}

/** Rates of the four wheels' ribs, mm in 1000 km of fresh tread. */
function ratesOf(car: LabCar, physics: LabPhysics): Float64Array {
  const out = new Float64Array(RIB_COUNT);
  const add = (state: Float64Array, weight: (at: number) => number) => {
    for (let at = 0; at < 4; at++) {
      physics.rates(state, at, at).forEach((rate, rib) => {
        // Work of friction goes with the load: Archard (1953).
        out[3 * at + rib]! += weight(at) * rate * car.load[axleOf(WHEEL_ORDER[at]!)];
      });
    }
  };
  const { left, right } = car.caster;
  const straight = left === USUAL_CASTER_DEG && right === USUAL_CASTER_DEG;
  add(labState(car), () => (straight ? 1 : 1 - BEND.part));
  if (straight) return out;
  for (const turned of ['left', 'right'] as const) {
    add(labState(car, bendCamber(car, turned)), (at) => {
      const isOutside = (at % 2 === 0) === (turned === 'right');
      return (BEND.part / 2) * (1 + (isOutside ? BEND.load : -BEND.load));
    });
  }
  return out;
}

/** What caster beyond the usual adds to the front wheels' camber in a bend, degrees. */
function bendCamber(car: LabCar, turned: Side): Partial<Record<Wheel, number>> {
  return Object.fromEntries(
    (
      [
        ['lf', 'left'],
        ['rf', 'right'],
      ] as const
    ).map(([wheel, side]) => {
      // Turned toward its own side the wheel's front goes away from the car.
      const steer = turned === side ? -BEND.steerDeg : BEND.steerDeg;
      const at = (caster: number) =>
        camberInTurn({ camber: 0, caster, sai: BEND.sai, steer }).camber;
      return [wheel, at(car.caster[side]) - at(USUAL_CASTER_DEG)];
    }),
  );
}

/** How strongly each wheel's setting feathers: from -1, catching inward, to +1, outward. */
function featherOf(car: LabCar): number[] {
  const state = labState(car);
  const chances = new Float64Array(3);
  return WHEEL_ORDER.map((wheel) => {
    const isFront = axleOf(wheel) === 'front';
    featherChances(state, { front: isFront ? 1 : 0, rear: isFront ? 0 : 1 }, car.drive, chances);
    return chances[1]! - chances[2]!;
  });
}

/** What stands at the four wheels at a distance. */
export interface LabTires {
  depthMm: Record<Wheel, Record<Rib, number>>;
  wavesMm: Record<Wheel, number>;
  /** -1 catches inward to +1 catches outward. */
  feather: Record<Wheel, number>;
}

/** Reads a run at a distance, between its steps in a straight line. @param km - held within the run */
export function tiresAt(run: LabRun, km: number): LabTires {
  const at = Math.max(0, Math.min(run.steps, km / STEP_KM));
  const [low, part] = [Math.floor(at), at - Math.floor(at)];
  const high = Math.min(run.steps, low + 1);
  const between = (list: Float32Array, width: number, i: number) =>
    list[low * width + i]! * (1 - part) + list[high * width + i]! * part;
  return {
    depthMm: byWheel((_, wheel) => {
      const rib = (i: number) => between(run.depthMm, RIB_COUNT, 3 * wheel + i);
      return { inner: rib(0), centre: rib(1), outer: rib(2) };
    }),
    wavesMm: byWheel((_, wheel) => between(run.wavesMm, 4, wheel)),
    feather: byWheel((_, wheel) => between(run.feather, 4, wheel)),
  };
}

/** A tread feels feathered from this size on. */
const FELT_FROM = 0.25;

/**
 * What a hand would feel of a feather of some size.
 * @param size - of the feather, catching outward positive
 * @example featherFelt(0) // 'none'
 */
export function featherFelt(size: number): Feather {
  if (size >= FELT_FROM) return 'catchesOutward';
  return size <= -FELT_FROM ? 'catchesInward' : 'none';
}

/** Where the first rib gets to a depth. */
export interface LabEnd {
  km: number;
  wheel: Wheel;
  rib: Rib;
}

/** The first rib at the limit, or null when none gets there in the run. */
export function firstAtLimit(run: LabRun, limitMm: number): LabEnd | null {
  for (let step = 1; step <= run.steps; step++) {
    let deepest = 0;
    let found: LabEnd | null = null;
    for (let i = 0; i < RIB_COUNT; i++) {
      const now = run.depthMm[step * RIB_COUNT + i]!;
      if (now > limitMm) continue;
      const before = run.depthMm[(step - 1) * RIB_COUNT + i]!;
      const part = before > now ? Math.max(0, (before - limitMm) / (before - now)) : 0;
      if (found && part >= deepest) continue;
      deepest = part;
      found = {
        km: (step - 1 + part) * STEP_KM,
        wheel: WHEEL_ORDER[Math.floor(i / 3)]!,
        rib: RIBS[i % 3]!,
      };
    }
    if (found) return found;
  }
  return null;
}
