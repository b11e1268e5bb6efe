import type { ResolvedCase } from '../case/resolveCase.ts';
import { STATE } from '../wear/state.ts';
import { FAULT_COLUMN, FAULTS, HARD_CORNERING, LOOSE_DEG } from '../wear/faults.ts';

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };

/** Writes 1 or 0 for each of {@link FAULTS}: what is out in a state, by the case's tolerances. */
export type FaultClassifier = (state: Float64Array, out: Uint8Array) => void;

/** Reads faults off states of one case: what is out by its tolerances, what happens at all. */
export function createFaultClassifier({ tolerances }: ResolvedCase): FaultClassifier {
  const camber = [tolerances.camber.front, tolerances.camber.rear] as const;
  const toe = [tolerances.totalToe.front, tolerances.totalToe.rear] as const;
  return (state, out) => {
    for (let wheel = 0; wheel < 4; wheel++) {
      const [low, high] = camber[wheel >> 1]!;
      const value = state[AT.camber + wheel]!;
      const off = state[AT.pressure + wheel]! - 1;
      out[FAULT_COLUMN.camberTooNegative + wheel] = value < low ? 1 : 0;
      out[FAULT_COLUMN.camberTooPositive + wheel] = value > high ? 1 : 0;
      out[FAULT_COLUMN.pressureLow + wheel] = off < -tolerances.pressure ? 1 : 0;
      out[FAULT_COLUMN.pressureHigh + wheel] = off > tolerances.pressure ? 1 : 0;
      out[FAULT_COLUMN.bounce + wheel] = state[AT.bounce + wheel]! > 0.5 ? 1 : 0;
    }
    const hard = state[AT.cornering]! >= HARD_CORNERING ? 1 : 0;
    for (let axle = 0; axle < 2; axle++) {
      const [low, high] = toe[axle]!;
      const value = state[AT.toe + axle]!;
      out[FAULT_COLUMN.toeTooFarIn + axle] = value > high ? 1 : 0;
      out[FAULT_COLUMN.toeTooFarOut + axle] = value < low ? 1 : 0;
      out[FAULT_COLUMN.looseness + axle] = state[AT.looseness + axle]! >= LOOSE_DEG ? 1 : 0;
      out[FAULT_COLUMN.hardCornering + axle] = hard;
    }
  };
}

/** Number of columns a fault row has. */
export const FAULT_COUNT = FAULTS.length;
