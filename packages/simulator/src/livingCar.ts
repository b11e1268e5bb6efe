import type { CaseFile } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import {
  createFaultClassifier,
  createRandom,
  FAULT_COUNT,
  resolveCase,
  STATE,
  WHEEL_ORDER,
} from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import { createPriorDraws } from './drawPrior.ts';
import { observe } from './observe.ts';
import { drawPlan, emptyCase } from './plan.ts';
import type { Plan } from './plan.ts';
import { MENDABLE, putRight } from './simulateCar.ts';
import { WORLDS } from './worlds/worlds.ts';
import type { WorldName } from './worlds/worlds.ts';

/** How a shop's cars differ from the usual: what is added to elements of the engine's STATE. */
export type Usual = readonly (readonly [at: number, added: number])[];

/** Camber of each wheel and its part of the toe, degrees. */
export type WheelAngles = Record<Wheel, { camber: number; toe: number }>;

/** A simulated car that lives on: it is driven, looked at, put right and driven again. */
export interface LivingCar {
  readonly plan: Readonly<Plan>;
  /** What is true of it now, see the engine's STATE. */
  state(): Float64Array;
  /** 1 for each of the engine's FAULTS that it has now. */
  faults(): Uint8Array;
  /** Runs on by so many hundred kilometres; something may go wrong on the way. */
  drive(hundredKm: number): void;
  /** What is left at the worst rib of a wheel's tire, or of all four, mm. */
  leastMm(wheel?: Wheel): number;
  /** What a workshop sees of it today. */
  look(): CaseFile;
  /** The angles as a rig reads them. */
  measure(): WheelAngles;
  /** Sets angles (and what is worn first, where parts are changed); returns how they stand then. */
  align(changesParts: boolean): WheelAngles;
  /** Sets pressures to what they should be. */
  inflate(): void;
  /** Balances wheels or changes dampers, so that nothing bounces. */
  steady(): void;
  /** New tires on an axle (0 front, 1 rear). @param rate - how fast they wear against the usual */
  renew(axle: 0 | 1, rate?: number): void;
  /** Front tires to the rear and the other way about, each on its side. */
  rotate(): void;
  /** Whether its tires are all of one age. */
  isOfOneAge(): boolean;
}

/** Run from one thing going wrong to the next on average, km (invented, no source). */
const HAZARD_KM = 40_000;
/** How often a car is not as it should be when it is first seen, beside what the prior says. */
const STARTS_AS_DRAWN = 0.75;
/** How often an alignment does not hold, as what is worn was left in. */
const COMES_UNDONE = 0.25;
const UNDONE_WITHIN_HUNDRED_KM = 30;
/** A worn-out tire stays on no longer than this, mm: beyond, the car would not have come by itself. */
const BARE_MM = 0.3;
const NEW_DEPTH_SD = 0.15;
const CAMBER_SD = 0.1;
const TOE_SD = 0.03;
const SPLIT_SD = 0.05;
/** How well angles are set, degrees. */
const SET_SD = { camber: 0.12, toe: 0.03 } as const;

interface Tire {
  lost: [number, number, number];
  newMm: number;
  hundredKm: number;
  factor: number;
  ribs: readonly number[];
}

/**
 * Draws a car from the prior and lets it live.
 * @param seed - the same seed gives the same car, as long as the same is done to it
 * @param usual - what its shop's cars have in common
 * @param rate - how fast the tires that it comes with wear against the usual
 */
export function createLivingCar(
  seed: number,
  world: WorldName,
  usual: Usual = [],
  rate = 1,
): LivingCar {
  const random = createRandom(seed);
  const happens = (chance: number) => random.uniform() < chance;
  const plan: Plan = {
    ...drawPlan(random),
    newerAxle: null,
    rotation: null,
    tolerances: undefined,
    angles: false,
    stations: 1,
  };
  const bare = resolveCase(emptyCase(plan, ''));
  const draw = createPriorDraws(bare, seed ^ 0x5bd1e995);
  const traits = draw();
  for (const [at, added] of usual) traits[at]! += added;
  traits[STATE.otherAge] = 0;
  const physics = WORLDS[world].createPhysics(plan.drive, traits, random);
  const right = putRight(traits, bare);
  const now = (happens(STARTS_AS_DRAWN) ? traits : right).slice();
  /** Where the angles go back to, and after how many hundred kilometres. */
  let undone: { hundredKm: number; from: Float64Array } | null = null;
  let rotations: { atHundredKm: number }[] = [];
  const fresh = (like: Float64Array) => WORLDS[world].drawFactors(like, random);
  const first = fresh(traits);
  const tires = WHEEL_ORDER.map((_, at) => newTire(first, at, rate));

  function newTire(factors: { tire: number[]; rib: number[][] }, at: number, ofLine: number): Tire {
    return {
      lost: [0, 0, 0],
      newMm: plan.newDepthMm + NEW_DEPTH_SD * random.normal(),
      hundredKm: 0,
      factor: ofLine * factors.tire[at]!,
      ribs: factors.rib[at]!,
    };
  }

  function wear(hundredKm: number): void {
    tires.forEach((tire, place) => {
      const rates = physics.rates(now, place, place);
      for (let rib = 0; rib < 3; rib++) {
        const part = Math.min(1, tire.lost[rib]! / plan.newDepthMm);
        const mm =
          0.1 * hundredKm * rates[rib]! * tire.factor * tire.ribs[rib]! * physics.depthFactor(part);
        tire.lost[rib] = Math.min(tire.newMm - BARE_MM, tire.lost[rib]! + mm);
      }
      tire.hundredKm += hundredKm;
    });
  }

  /** Something else may go wrong: another car's faults come on top of its own. Nothing mends itself. */
  function goWrong(): void {
    const drawn = draw();
    const isWorse = (at: number) =>
      Math.abs(drawn[at]! - right[at]!) > Math.abs(now[at]! - right[at]!);
    for (const [from, count] of MENDABLE) {
      if (!happens(0.5)) continue;
      for (let at = from; at < from + count; at++) if (isWorse(at)) now[at] = drawn[at]!;
    }
  }

  const depthOf = ({ newMm, lost }: Tire, rib: number) => Math.max(0, newMm - lost[rib]!);
  const most = () => Math.max(...tires.map(({ hundredKm }) => hundredKm));

  function file(): CaseFile {
    const empty = emptyCase(plan, `simulated ${seed}`);
    WHEEL_ORDER.forEach((wheel, at) => {
      empty.tires[wheel].distance = tires[at]!.hundredKm * 100;
    });
    if (rotations.length > 0) {
      empty.rotations = rotations.map(({ atHundredKm }) => ({
        atDistance: atHundredKm * 100,
        moves: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' },
      }));
    }
    return empty;
  }

  const put = (from: number, count: number) => {
    for (let i = 0; i < count; i++) now[from + i] = right[from + i]!;
  };

  return {
    plan,
    state: () => now.slice(),
    faults() {
      const found = new Uint8Array(FAULT_COUNT);
      createFaultClassifier(resolveCase(file()))(now, found);
      return found;
    },
    drive(hundredKm) {
      for (let i = 0; i < hundredKm; i++) {
        wear(1);
        if (undone && --undone.hundredKm <= 0) {
          for (const [from, count] of ANGLES) {
            for (let at = from; at < from + count; at++) now[at] = undone.from[at]!;
          }
          undone = null;
        }
        if (happens(100 / HAZARD_KM)) goWrong();
      }
    },
    leastMm: (wheel) =>
      Math.min(
        ...tires
          .filter((_, at) => wheel === undefined || WHEEL_ORDER[at] === wheel)
          .flatMap((tire) => [0, 1, 2].map((rib) => depthOf(tire, rib))),
      ),
    look() {
      const seen = file();
      const depths = {} as Record<Wheel, Record<Rib, number>>;
      const losses = {} as Record<Wheel, number>;
      WHEEL_ORDER.forEach((wheel, at) => {
        const tire = tires[at]!;
        depths[wheel] = {
          inner: depthOf(tire, 0),
          centre: depthOf(tire, 1),
          outer: depthOf(tire, 2),
        };
        losses[wheel] = (tire.lost[0] + tire.lost[1] + tire.lost[2]) / 3;
      });
      const wrong = WORLDS[world].wrongReading;
      observe(seen, plan, now, depths, losses, UNEVEN, () => happens(wrong), random);
      return seen;
    },
    measure: () => angles(now, { camber: CAMBER_SD, toe: TOE_SD }, random),
    align(changesParts) {
      const before = now.slice();
      for (const [from, count] of ANGLES) put(from, count);
      for (let wheel = 0; wheel < 4; wheel++) {
        now[STATE.camber + wheel]! += SET_SD.camber * random.normal();
      }
      for (let axle = 0; axle < 2; axle++) now[STATE.toe + axle]! += SET_SD.toe * random.normal();
      if (changesParts) put(STATE.looseness, 2);
      const isUndone = !changesParts && happens(COMES_UNDONE);
      undone = isUndone
        ? { hundredKm: 1 + Math.floor(UNDONE_WITHIN_HUNDRED_KM * random.uniform()), from: before }
        : null;
      return angles(now, { camber: CAMBER_SD, toe: TOE_SD }, random);
    },
    inflate: () => put(STATE.pressure, 4),
    steady: () => put(STATE.bounce, 4),
    renew(axle, ofLine = 1) {
      // Rotations stay true of tires that went through them: those of the other axle, if they are as old.
      if (tires[0]!.hundredKm !== tires[2]!.hundredKm) rotations = [];
      const factors = fresh(plainTires(traits));
      for (const at of [2 * axle, 2 * axle + 1]) tires[at] = newTire(factors, at, ofLine);
    },
    rotate() {
      rotations.push({ atHundredKm: most() });
      for (const side of [0, 1]) {
        [tires[side], tires[side + 2]] = [tires[side + 2]!, tires[side]!];
      }
    },
    isOfOneAge: () => tires.every(({ hundredKm }) => hundredKm === tires[0]!.hundredKm),
  };
}

const ANGLES = [
  [STATE.camber, 4],
  [STATE.toe, 2],
] as const;
const UNEVEN = { healthy: 0.04, bouncing: 0.16 } as const;

function angles(
  state: Float64Array,
  sd: { camber: number; toe: number },
  random: Random,
): WheelAngles {
  const split = [0, 1].map(() => SPLIT_SD * random.normal());
  return Object.fromEntries(
    WHEEL_ORDER.map((wheel, at) => {
      const half = state[STATE.toe + (at >> 1)]! / 2;
      const aside = (at % 2 === 0 ? 1 : -1) * split[at >> 1]!;
      return [
        wheel,
        {
          camber: Number((state[STATE.camber + at]! + sd.camber * random.normal()).toFixed(2)),
          toe: Number((half + aside + sd.toe * random.normal()).toFixed(3)),
        },
      ];
    }),
  ) as WheelAngles;
}

/** New tires are of one age, and none of them is odd from the start. */
function plainTires(state: Float64Array): Float64Array {
  const copy = state.slice();
  copy[STATE.oddTire] = 0;
  return copy;
}
