import type { CaseFile } from '@keen/contract';
import { COMPLAINTS, RIBS } from '@keen/contract/words';
import type { Cupping, Feather, Play, Rib, Wheel } from '@keen/contract/words';
import {
  complaintChance,
  featherChances,
  featherPath,
  LOOSE_DEG,
  playChances,
  resolveCase,
  STATE,
  waveChances,
  WHEEL_ORDER,
} from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import type { Plan } from './plan.ts';

const FEATHERS: readonly Feather[] = ['none', 'catchesOutward', 'catchesInward'];
const WAVES: readonly Cupping[] = ['none', 'some', 'heavy'];
const PLAY: readonly Play[] = ['none', 'some', 'excessive'];
const TARGET_KPA = 230;
const MM_PER_IN32 = 0.79375;

/** Unevenness round a tire, as a part of its loss. */
export interface Unevenness {
  healthy: number;
  bouncing: number;
}

/**
 * Writes into a case file what a workshop finds on a car: the depths with the gauge's error and
 * rounding, and what hand, valve gauge, rig and customer say, by the chances that engine and
 * trade agree on (common practice, no source).
 * @param state - how the car stands today
 * @param depths - true mean depth left at each rib, mm
 * @param isWrong - whether the reading of one of the twelve ribs is wrong
 */
export function observe(
  file: CaseFile,
  plan: Plan,
  state: Float64Array,
  depths: Record<Wheel, Record<Rib, number>>,
  losses: Record<Wheel, number>,
  uneven: Unevenness,
  isWrong: (rib: number) => boolean,
  random: Random,
): void {
  const happens = (chance: number) => random.uniform() < chance;
  const resolved = resolveCase(file);
  const pick = (chances: ArrayLike<number>) => {
    let left = random.uniform();
    for (let i = 0; i < chances.length; i++) {
      left -= chances[i]!;
      if (left < 0) return i;
    }
    return chances.length - 1;
  };

  const gauge = state[STATE.gauge]!;
  const isSet = happens(0.12);
  WHEEL_ORDER.forEach((wheel, index) => {
    const tire = file.tires[wheel];
    const bouncing = state[STATE.bounce + index]! > 0.5;
    const round = losses[wheel] * (bouncing ? uneven.bouncing : uneven.healthy);
    const skipped = RIBS.map(() => happens(plan.unread));
    const wrongBy = RIBS.map((_, rib) => (isWrong(3 * index + rib) ? 2 * random.normal() : 0));
    tire.stations = Array.from({ length: plan.stations }, () => {
      const read = (rib: Rib, at: number) => {
        const there = depths[wheel][rib] + round * random.normal();
        const shown = there + 0.15 * random.normal() + wrongBy[at]!;
        return skipped[at] ? null : rounded(shown, plan.depthUnit, tire.newDepth);
      };
      return { inner: read('inner', 0), centre: read('centre', 1), outer: read('outer', 2) };
    });
    if (plan.feather) {
      const chances = new Float64Array(3);
      featherChances(state, featherPath(resolved, index), plan.drive, chances);
      tire.feather = FEATHERS[pick(chances)]!;
    }
    if (plan.waves) tire.cupping = WAVES[pick(waveChances(bouncing))]!;
    if (plan.pressure) {
      const own = (happens(0.05) ? 0.15 : 0.045) * random.normal();
      const found = isSet
        ? 1 + 0.03 * random.normal()
        : state[STATE.pressure + index]! + gauge + own;
      tire.pressure = {
        measured: Math.round(Math.max(0.2, found) * TARGET_KPA),
        target: TARGET_KPA,
      };
    }
  });
  if (plan.play) {
    file.play = {};
    WHEEL_ORDER.forEach((wheel, index) => {
      const isLoose = state[STATE.looseness + (index >> 1)]! >= LOOSE_DEG;
      file.play![wheel] = PLAY[pick(playChances(isLoose))]!;
    });
  }
  if (plan.angles) {
    file.angles = { lf: {}, rf: {}, lr: {}, rr: {} };
    WHEEL_ORDER.forEach((wheel, index) => {
      const camberSd = happens(0.1) ? 0.8 : 0.1;
      const camber = state[STATE.camber + index]! + camberSd * random.normal();
      file.angles![wheel] = { camber: Number(camber.toFixed(2)) };
    });
    for (const axle of [0, 1]) {
      const off = happens(0.1) ? 0.4 * random.normal() : 0.04 * Math.SQRT2 * random.normal();
      const total = state[STATE.toe + axle]! + off;
      const split = 0.1 * random.normal();
      const [left, right] = [WHEEL_ORDER[2 * axle]!, WHEEL_ORDER[2 * axle + 1]!];
      file.angles[left]!.toe = Number((total / 2 + split).toFixed(3));
      file.angles[right]!.toe = Number((total / 2 - split).toFixed(3));
    }
  }
  if (plan.complaints) {
    const { front, rear } = resolved.tolerances.totalToe;
    file.complaints = COMPLAINTS.filter((complaint) =>
      happens(complaintChance(complaint, state, [front, rear])),
    );
  }
}

/** A reading as the gauge shows it, never below zero nor so deep that a form would refuse it. */
function rounded(mm: number, unit: Plan['depthUnit'], newDepth: number): number {
  const step = unit === 'mm' ? 0.1 : 1;
  const value = Math.round((unit === 'mm' ? mm : mm / MM_PER_IN32) / step) * step;
  const most = unit === 'mm' ? newDepth + 0.5 : newDepth;
  return Number(Math.min(most, Math.max(0, value)).toFixed(1));
}
