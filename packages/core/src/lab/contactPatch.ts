import {
  CAMBER_SHARE,
  CAMBER_SLIP,
  CORNERING_REAR,
  CORNERING_SHARE,
  CORNERING_SLIP,
  DRIVING_SLIP,
  LIFT_OFF,
  PRESSURE_SHARE,
  TOE_SHARE,
} from '../engine/wear/constants.ts';
import { STATE } from '../engine/wear/state.ts';
import type { Drive } from '@keen/contract/words';

/** The contact patch of one tire, as the engine's formula has it between the ribs too. */
export interface ContactPatch {
  /** Places across the tread, in widths of a rib: -1.5 inner edge to +1.5 outer edge. */
  y: number[];
  /** Pressure at each place, mean of the three ribs 1. */
  pressure: number[];
  /** Slip at each place, degrees: what driving needs, toe, play and camber together. */
  slipDeg: number[];
  /** Work of friction at each place against a healthy tire's mean. */
  work: number[];
  /**
   * Part of the patch's length, from its rear, where the tread slides, at each place: the rest sticks to the
   * road. Brush model with parabolic pressure along, Pacejka, Tire and Vehicle Dynamics, ch. 3.
   */
  sliding: number[];
  /** The slips by what makes them, degrees. */
  parts: { driving: number; toe: number; play: number; camberAtEdge: number };
}

/** Slip at which the whole length slides under the mean pressure, degrees (a usual road tire, no source). */
const ALL_SLIDES_DEG = 7;

/**
 * Pressure, slip and work across a contact patch: the engine's formula with y between the ribs. At -1, 0
 * and +1 pressure and work are those of the formula at inner, centre and outer.
 * @param state - see the engine's STATE; its nuisances are taken as zero
 * @param wheel - 0 to 3
 * @param columns - places across, from the inner to the outer edge
 */
export function contactPatch(
  state: Float64Array,
  wheel: number,
  drive: Drive,
  columns: number,
): ContactPatch {
  const axle = wheel >> 1;
  const camber = state[STATE.camber + wheel]!;
  const toe = state[STATE.toe + axle]! / 2;
  const play = state[STATE.looseness + axle]!;
  const crown = (PRESSURE_SHARE / 3) * (1 - state[STATE.pressure + wheel]!);
  const cornering = state[STATE.cornering]!;
  const lean = CAMBER_SHARE * camber + TOE_SHARE * toe;
  const outside = CORNERING_SHARE * (cornering - 1) * (axle === 0 ? 1 : CORNERING_REAR);
  // An elastic foundation that cannot pull: a rib lifts off, round the corner as in the formula.
  const pressed = (y: number) => {
    const v = 1 + lean * y + crown * (3 * y * y - 2) + outside * Math.max(0, y);
    return v + Math.sqrt(v * v + LIFT_OFF * LIFT_OFF);
  };
  const mean = (pressed(-1) + pressed(0) + pressed(1)) / 3;
  const need = DRIVING_SLIP[drive][axle === 0 ? 'front' : 'rear'];
  const driving = Math.max(0, need * need * (1 + CORNERING_SLIP * (cornering * cornering - 1)));
  const slip = (y: number) =>
    Math.sqrt(driving + toe * toe + play * play + (CAMBER_SLIP * camber * y) ** 2);
  const y = Array.from({ length: columns }, (_, i) => -1.5 + (3 * (i + 0.5)) / columns);
  const pressure = y.map((at) => pressed(at) / mean);
  const slipDeg = y.map(slip);
  return {
    y,
    pressure,
    slipDeg,
    work: pressure.map((p, i) => (p * slipDeg[i]! ** 2) / (need * need)),
    sliding: pressure.map((p, i) => Math.min(1, slipDeg[i]! / (ALL_SLIDES_DEG * p))),
    parts: { driving: Math.sqrt(driving), toe, play, camberAtEdge: CAMBER_SLIP * camber },
  };
}
