import type { CaseFile } from '@keen/contract';
import type { Feather, PracticeLesson, Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import {
  createRandom,
  featherChances,
  featherPath,
  LOOSE_DEG,
  resolveCase,
  STATE,
  WHEEL_ORDER,
} from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import { STRAIGHT } from './plan.ts';
import type { Plan } from './plan.ts';
import { simulateCar } from './simulateCar.ts';
import type { CarWish, SimulatedCar } from './simulateCar.ts';
import { WORLD_NAMES } from './worlds/worlds.ts';
import type { WorldName } from './worlds/worlds.ts';

/** A car to practise on: all that a workshop could find, and what is true. */
export interface PracticeCar extends SimulatedCar {
  /** What the gauge shows at a rib. @param times - readings taken there before */
  gauge(wheel: Wheel, rib: Rib, times: number): GaugeReading;
}

export interface GaugeReading {
  mm: number;
  /** The gauge does not stand square, which one can see: it reads too much. */
  isAskew: boolean;
}

const FEATHERS: readonly Feather[] = ['none', 'catchesOutward', 'catchesInward'];

/** Everything is looked at; what is shown of it is up to the learner. */
const ALL_SEEN: Partial<Plan> = {
  depthUnit: 'mm',
  stations: 1,
  unread: 0,
  feather: true,
  waves: true,
  pressure: true,
  play: true,
  angles: true,
  complaints: true,
  tolerances: undefined,
};
const ONE_AGE: Partial<Plan> = { newerAxle: null, rotation: null };

/** Between, drawn. */
const within = (random: Random, low: number, high: number) => low + (high - low) * random.uniform();
const either = (random: Random) => random.uniform() < 0.5;

type Shape = NonNullable<CarWish['shape']>;
/** Nothing but what a lesson is about is wrong with its car. */
function only(change: Shape): Shape {
  return (state, right, random) => {
    state.set(right);
    state[STATE.cornering] = 1;
    state[STATE.oddTire] = 0;
    state[STATE.oddReading] = 0;
    state[STATE.otherAge] = 0;
    change(state, right, random);
  };
}

const setToe: Shape = (state, _right, random) => {
  state[STATE.toe] = (either(random) ? 1 : -1) * within(random, 0.95, 1.25);
};
const soften: Shape = (state, _right, random) => {
  const ratio = within(random, 0.7, 0.8);
  for (let wheel = 0; wheel < 4; wheel++) {
    state[STATE.pressure + wheel] = ratio + within(random, -0.02, 0.02);
  }
};

/** What each lesson lays down; a free car is drawn as cars come in, in any of the worlds. */
const WISHES: Record<PracticeLesson, (random: Random) => CarWish & { world: WorldName }> = {
  free: (random) => ({
    world: WORLD_NAMES[Math.floor(WORLD_NAMES.length * random.uniform())]!,
  }),
  softSet: () => ({ world: 'own', plan: ONE_AGE, shape: only(soften) }),
  saw: () => ({ world: 'own', plan: ONE_AGE, shape: only(setToe) }),
  innerEdge: () => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only((state, _right, random) => {
      state[STATE.camber + (either(random) ? 0 : 1)] = -within(random, 2.6, 3.6);
    }),
  }),
  waves: () => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only((state, _right, random) => {
      state[STATE.bounce + (either(random) ? 2 : 3)] = 1;
    }),
  }),
  keenDriver: () => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only((state, _right, random) => {
      state[STATE.cornering] = within(random, 2.2, 3);
    }),
  }),
  rotated: (random) => ({
    world: 'own',
    plan: {
      newerAxle: null,
      rotation: { atPart: within(random, 0.45, 0.7), moves: STRAIGHT },
    },
    shape: only(setToe),
  }),
  twoCauses: () => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only((state, right, random) => {
      setToe(state, right, random);
      soften(state, right, random);
    }),
  }),
  fixedArm: () => ({
    world: 'patch',
    plan: ONE_AGE,
    shape: only((state, _right, random) => {
      const camber = -within(random, 2.6, 3.2);
      state[STATE.camber + 2] = camber;
      state[STATE.camber + 3] = camber + within(random, -0.2, 0.2);
      state[STATE.toe + 1] = -within(random, 0.2, 0.45);
    }),
  }),
  falseToe: () => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only((state, _right, random) => {
      state[STATE.looseness] = within(random, 0.25, 0.4);
    }),
  }),
  mixedAges: (random) => ({
    world: 'own',
    plan: { rotation: null, newerAxle: either(random) ? 0 : 1, newerKm: 9_000, distanceKm: 34_000 },
    shape: only(() => undefined),
  }),
  wrongReading: (random) => ({
    world: 'own',
    plan: ONE_AGE,
    shape: only(() => undefined),
    wrongRib: Math.floor(12 * random.uniform()),
  }),
};

/** The spread of a gauge at a rib that is easy to reach, and at an inner one, mm. */
const GAUGE_SD = { easy: 0.12, inner: 0.24 } as const;
/** An inner rib is reached with an arm round the tire: so often the gauge stands askew. */
const ASKEW = { easy: 0.03, inner: 0.14 } as const;
const ASKEW_MM: readonly [number, number] = [0.6, 1.4];
/** A wrong reading of the lesson about them is off by so much, mm. */
const WRONG_MM = 1.8;

/**
 * Deals a car to practise on.
 * @param seed - the same lesson and seed give the same car, gauge and all
 */
export function dealCar(lesson: PracticeLesson, seed: number): PracticeCar {
  const { world, plan, ...wish } = WISHES[lesson](createRandom(seed ^ 0x6a09e667));
  const car = simulateCar(seed, world, undefined, { ...wish, plan: { ...ALL_SEEN, ...plan } });
  return {
    ...car,
    file: named(lesson === 'free' ? car.file : truthful(car)),
    gauge(wheel, rib, times) {
      const at = 3 * WHEEL_ORDER.indexOf(wheel) + RIBS.indexOf(rib);
      const random = createRandom((seed ^ 0x3c6ef372) + 131 * at + 7919 * times);
      // The first numbers of neighbouring seeds are alike.
      for (let i = 0; i < 8; i++) random.uniform();
      const ease = rib === 'inner' ? 'inner' : 'easy';
      const isAskew = random.uniform() < ASKEW[ease];
      const off = isAskew ? within(random, ...ASKEW_MM) : 0;
      // What is wrong about a reading is wrong the first time: read again, it is right.
      const wrong = at === wish.wrongRib && times === 0 ? WRONG_MM : 0;
      const shown = car.depthsMm[wheel][rib] + off + wrong + GAUGE_SD[ease] * random.normal();
      const most = car.file.tires[wheel].newDepth + 0.5;
      return { mm: Number(Math.min(most, Math.max(0, shown)).toFixed(1)), isAskew };
    },
  };
}

/**
 * Whoever learns to feel a tread must find what is there: in a lesson neither hand nor gauge is misled, beside
 * the reading that one lesson is about.
 */
function truthful({ file, today }: SimulatedCar): CaseFile {
  const resolved = resolveCase(file);
  const chances = new Float64Array(3);
  const told: CaseFile = { ...file, play: {} };
  told.tires = { ...file.tires };
  WHEEL_ORDER.forEach((wheel, at) => {
    const tire = file.tires[wheel];
    featherChances(today, featherPath(resolved, at), resolved.drive, chances);
    const target = tire.pressure?.target ?? null;
    told.tires[wheel] = {
      ...tire,
      feather: FEATHERS[chances.indexOf(Math.max(...chances))]!,
      cupping: today[STATE.bounce + at]! > 0.5 ? 'heavy' : 'none',
      ...(target !== null && {
        pressure: { measured: Math.round(today[STATE.pressure + at]! * target), target },
      }),
    };
    told.play![wheel] = today[STATE.looseness + (at >> 1)]! >= LOOSE_DEG ? 'some' : 'none';
  });
  return told;
}

function named(file: CaseFile): CaseFile {
  return { ...file, vehicle: { ...file.vehicle, label: 'Practice car' } };
}
