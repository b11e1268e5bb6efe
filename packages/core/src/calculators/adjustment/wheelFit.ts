import { parseTireSize } from '../../engine/tires/tireSize.ts';
import { MM_PER_IN } from '../../engine/units/units.ts';

/** A wheel with the tire on it. */
export interface FittedWheel {
  /** Of the rim between its bead seats, in. */
  width: number;
  /** From the rim's middle to the face it is bolted by, mm; positive sets the wheel further in. */
  offset: number;
  /** Of the tire, such as 205/55R16. */
  size?: string | undefined;
}

export interface WheelFit {
  /** How much further out the rim's outer edge stands, mm; negative further in. */
  outerMoves: number;
  /** How much further in, toward strut and frame, the inner edge stands, mm; negative away from them. */
  innerMoves: number;
  /** Of the pair, wheel middle to wheel middle, mm. */
  trackChange: number;
  /** How much further out the tire's middle meets the road: the scrub radius grows by it, mm. */
  scrubChange: number;
  /** Of the tire, mm; null unless both sizes are known. */
  diameterChange: number | null;
  /** How much higher the axle stands, mm; null unless both sizes are known. */
  heightChange: number | null;
  /** Nominal tire widths that the new rim usually takes, mm: least, most. */
  tireWidths: [number, number];
  /** What the speedometer shows of the true speed, percent less where negative; null unless both sizes are known. */
  speedShownPercent: number | null;
}

/**
 * Tire width over rim width where passenger sizes are approved for a rim; from memory of the ETRTO tables
 * (205/55R16 on 5.5 to 7.5 in, 225/50R16 on 6 to 8 in, 195/65R15 on 5.5 to 7 in). The tire's own decides.
 */
const LEAST_OF_RIM = 1.08;
const MOST_OF_RIM = 1.47;

/**
 * New wheels against the old ones: where the edges go, and what that does to track, scrub and speedometer.
 *
 * From the bolted face the outer edge stands width / 2 - offset out, the inner one width / 2 + offset in; the
 * tire's middle stands offset in. Source: the definition of wheel offset, plain geometry.
 * @param input.spacer - put between hub and new wheel, mm
 * @throws {InputError} for a tire size that cannot be read
 * @example wheelFit({ old: { width: 7, offset: 40 }, new: { width: 8, offset: 35 } }).trackChange // 10
 */
export function wheelFit(input: {
  old: FittedWheel;
  new: FittedWheel;
  spacer?: number | undefined;
}): WheelFit {
  const { old: before, new: after, spacer = 0 } = input;
  const offset = after.offset - spacer;
  const half = (wheel: FittedWheel) => (wheel.width * MM_PER_IN) / 2;
  const middleOut = before.offset - offset;
  const diameters =
    before.size && after.size
      ? { was: parseTireSize(before.size).diameter, is: parseTireSize(after.size).diameter }
      : null;
  return {
    outerMoves: half(after) - half(before) + middleOut,
    innerMoves: half(after) - half(before) - middleOut,
    trackChange: 2 * middleOut,
    scrubChange: middleOut,
    diameterChange: diameters && diameters.is - diameters.was,
    heightChange: diameters && (diameters.is - diameters.was) / 2,
    tireWidths: [after.width * MM_PER_IN * LEAST_OF_RIM, after.width * MM_PER_IN * MOST_OF_RIM],
    // A larger tire turns less often: the speedometer, set for the old one, shows less than is driven.
    speedShownPercent: diameters && (diameters.was / diameters.is - 1) * 100,
  };
}
