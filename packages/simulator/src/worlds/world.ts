import type { Drive } from '@keen/contract/words';
import type { Random } from '@keen/core/engine';
import type { LabPhysics } from '@keen/core/lab';

/** What is set and wrong at a car for part of its life; see the engine's STATE. */
export type State = Float64Array;

/** How one car wears its tires. */
export type CarPhysics = LabPhysics;

/** A set of cars that follow one physics. */
export interface World {
  name: string;
  /** Makes the physics of one car, with constants of its own. @param state - drawn from the prior */
  createPhysics(drive: Drive, state: State, random: Random): CarPhysics;
  /** Factors a tire and a rib, beside what the physics says: mean about 1. */
  drawFactors(state: State, random: Random): { tire: number[]; rib: number[][] };
  /** Chance that a fault has been there for part of the distance only. */
  lateFaults: number;
  /** Chance that one rib's reading is wrong. */
  wrongReading: number;
}
