import type { CaseFile, EarlierReading } from '@keen/contract';
import type { PutRight, Rib, Wheel } from '@keen/contract/words';
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
import { COMES_IN_AT_MM, drawPlan, emptyCase } from './plan.ts';
import type { Plan } from './plan.ts';
import { lifeOf, lossesAt, putRight } from './simulateCar.ts';
import type { Phase } from './simulateCar.ts';
import { WORLDS } from './worlds/worlds.ts';
import type { WorldName } from './worlds/worlds.ts';

/** A simulated car that has been here before. */
export interface VisitedCar {
  /** As it is today, with its earlier readings. */
  file: CaseFile;
  /** The same without them. */
  alone: CaseFile;
  /** How it has been since its last visit, see the engine's STATE. */
  state: Float64Array;
  /** 1 for each of the engine's FAULTS that has been there since. */
  faults: Uint8Array;
}

/** How often something is put right at a visit, and a fault begins between two (invented shares, no source). */
const PUT_RIGHT_CHANCE = 0.35;
const BEGINS_CHANCE = 0.2;
/** How often an alignment holds until the next visit. */
const HOLDS_CHANCE = 0.8;

/**
 * Draws a car, wears its tires by a world's physics, and looks at it at each of its visits with one set of
 * tires. At a visit its angles, pressures and joints may be put right; between two a fault may begin.
 * @param visits - how often it has been here, today included: two or more
 */
export function simulateVisits(seed: number, world: WorldName, visits: number): VisitedCar {
  const random = createRandom(seed);
  const happens = (chance: number) => random.uniform() < chance;
  const plan: Plan = { ...drawPlan(random), newerAxle: null };
  const bare = resolveCase(emptyCase(plan, ''));
  const drawn = createPriorDraws(bare, seed ^ 0x5bd1e995)();
  drawn[STATE.otherAge] = 0;
  const physics = WORLDS[world].createPhysics(plan.drive, drawn, random);
  const factors = WORLDS[world].drawFactors(drawn, random);
  const right = putRight(drawn, bare);

  // Visits at some parts of the way, the first not before a fifth of it.
  const marks = Array.from({ length: visits - 1 }, (_, i) => {
    const width = 0.7 / (visits - 1);
    return 0.2 + width * (i + 0.15 + 0.7 * random.uniform());
  });
  const phases: Phase[] = [];
  const set: PutRight[][] = [];
  let now = happens(BEGINS_CHANCE) ? right : drawn;
  let from = 0;
  for (const [i, to] of [...marks, 1].entries()) {
    if (now === right && happens(i === 0 ? 0.5 : 1 - HOLDS_CHANCE)) {
      // A fault begins somewhere on this part of the way.
      const begins = from + (to - from) * random.uniform();
      phases.push({ state: right, part: begins - from }, { state: drawn, part: to - begins });
      now = drawn;
    } else phases.push({ state: now, part: to - from });
    if (i < marks.length) {
      const isSet = happens(PUT_RIGHT_CHANCE);
      set.push(isSet ? ['angles', 'parts', 'pressures'] : []);
      if (isSet) now = right;
    }
    from = to;
  }

  let noted = lossesAt(plan, phases, physics, factors, marks);
  const [least, most] = COMES_IN_AT_MM;
  const left = least + (most - least) * random.uniform();
  const worst = Math.max(...noted.flatMap((tire) => tire.at(-1)!));
  if (plan.newDepthMm - worst < left) {
    const shorter = (plan.newDepthMm - left) / worst;
    plan.distanceKm = Math.round(plan.distanceKm * shorter);
    noted = lossesAt(plan, phases, physics, factors, marks);
  }
  const newOff = [0, 1, 2, 3].map(() => 0.15 * random.normal());
  const trueNew = newOff.map((off) => plan.newDepthMm + off);
  const lastMark = marks.at(-1)!;
  const since = phasesAfter(phases, lastMark);
  const state = lifeOf(since);
  const today = phases.at(-1)!.state;
  const read = (at: number, held: Plan, as: Float64Array) => {
    const file = emptyCase(held, `simulated ${seed}`);
    const depths = {} as Record<Wheel, Record<Rib, number>>;
    const mean = {} as Record<Wheel, number>;
    WHEEL_ORDER.forEach((wheel, tire) => {
      const losses = noted[tire]![at]!;
      const [inner, centre, outer] = losses.map((loss) => Math.max(0, trueNew[tire]! - loss)) as [
        number,
        number,
        number,
      ];
      depths[wheel] = { inner, centre, outer };
      mean[wheel] = losses.reduce((sum, loss) => sum + loss, 0) / 3;
    });
    const uneven = { healthy: 0.04, bouncing: 0.16 };
    observe(file, held, as, depths, mean, uneven, () => false, random);
    return file;
  };
  const alone = read(marks.length, plan, today);
  const earlier = marks.map((mark, i): EarlierReading => {
    const then = read(i, { ...plan, stations: 1, angles: false, unread: 0 }, today);
    const tires = Object.fromEntries(
      WHEEL_ORDER.map((wheel) => [wheel, { stations: then.tires[wheel].stations }]),
    );
    return {
      ago: Math.max(1, Math.round((1 - mark) * plan.distanceKm)),
      tires,
      ...(set[i]!.length > 0 ? { putRight: set[i]!, angles: anglesOf(right, random) } : {}),
    };
  });
  const resolved = resolveCase(alone);
  const faults = new Uint8Array(FAULT_COUNT);
  createFaultClassifier(resolved)(state, faults);
  return {
    file: { ...alone, history: { earlier } },
    alone,
    state,
    faults,
  };
}

function phasesAfter(phases: readonly Phase[], mark: number): Phase[] {
  let from = 0;
  const after = phases.flatMap(({ state, part }) => {
    const to = from + part;
    const inside = to - Math.max(from, mark);
    from = to;
    return inside > 1e-9 ? [{ state, part: inside }] : [];
  });
  const whole = after.reduce((sum, { part }) => sum + part, 0);
  return after.map(({ state, part }) => ({ state, part: part / whole }));
}

function anglesOf(state: Float64Array, random: Random): NonNullable<EarlierReading['angles']> {
  return Object.fromEntries(
    WHEEL_ORDER.map((wheel, at) => [
      wheel,
      {
        camber: Number((state[STATE.camber + at]! + 0.1 * random.normal()).toFixed(2)),
        toe: Number((state[STATE.toe + (at >> 1)]! / 2 + 0.04 * random.normal()).toFixed(3)),
      },
    ]),
  );
}
