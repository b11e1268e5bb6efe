import type { Drive } from '@keen/contract/words';
import type { Random } from '@keen/core/engine';

/** What is set and wrong at a car for part of its life; see the engine's STATE. */
export type State = Float64Array;

/** How one car wears its tires. */
export interface CarPhysics {
  /**
   * Wear of fresh tread in mm for each 1000 km at inner, centre, outer.
   * @param tire - 0 to 3, whose pressure and bounce count
   * @param position - 0 to 3, where it runs
   */
  rates(state: State, tire: number, position: number): [number, number, number];
  /** How fast tread wears that has lost so much of its depth, against fresh tread. */
  depthFactor(lostPart: number): number;
}

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
