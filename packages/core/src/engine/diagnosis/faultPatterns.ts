import type { PriorRates } from './faultRates.ts';

/** Which wheels and axles go out together (common practice, no source). */

export const PRESSURE_LOW = 0.7;
/** Of loose cars, the part that is loose at the front only, the rear only, both. */
export const LOOSE_WHERE = { front: 0.75, rear: 0.15, both: 0.1 } as const;
/** Of cars with camber out: one wheel, both of an axle, any other set. */
export const CAMBER_WHERE = { one: 0.4, axle: 0.4, other: 0.2 } as const;
/** Of the axles with camber out on both wheels, the part where both lean the same way. */
export const CAMBER_SAME_SIGN = 0.85;
export const PRESSURE_WHERE = { one: 0.5, all: 1 / 3, other: 1 / 6 } as const;
export const BOUNCE_WHERE = { one: 0.6, axle: 0.4 } as const;

/**
 * Chance of each set of wheels with camber out, given that some is; wheels as digits of base 3
 * (0 in tolerance, 1 too negative, 2 too positive), lf the lowest digit.
 */
export function camberPatterns(rates: Pick<PriorRates, 'camberNegative'>): Float64Array {
  const table = new Float64Array(81);
  const sign = (digit: number, axle: number) =>
    digit === 1 ? rates.camberNegative[axle]! : 1 - rates.camberNegative[axle]!;
  let others = 0;
  for (let code = 1; code < 81; code++) {
    const digits = digitsOf(code);
    const out = digits.flatMap((digit, wheel) => (digit > 0 ? [wheel] : []));
    const first = out[0]!;
    if (out.length === 1) {
      table[code] = (CAMBER_WHERE.one / 4) * sign(digits[first]!, first >> 1);
    } else if (out.length === 2 && first % 2 === 0 && out[1] === first + 1) {
      const same = digits[first] === digits[first + 1];
      table[code] =
        (CAMBER_WHERE.axle / 2) *
        (same ? CAMBER_SAME_SIGN * sign(digits[first]!, first >> 1) : (1 - CAMBER_SAME_SIGN) / 2);
    } else {
      table[code] = -out.reduce((product, wheel) => product * sign(digits[wheel]!, wheel >> 1), 1);
      others -= table[code]!;
    }
  }
  return table.map((value) => (value < 0 ? (-value / others) * CAMBER_WHERE.other : value));
}

/** Chance of each set of tires with pressure out, given that some is; digits as for camber. */
export function pressurePatterns(): Float64Array {
  const table = new Float64Array(81);
  const sign = (digit: number) => (digit === 1 ? PRESSURE_LOW : 1 - PRESSURE_LOW);
  let others = 0;
  for (let code = 1; code < 81; code++) {
    const digits = digitsOf(code);
    const out = digits.filter((digit) => digit > 0);
    const same = out.every((digit) => digit === out[0]);
    if (out.length === 1) table[code] = (PRESSURE_WHERE.one / 4) * sign(out[0]!);
    else if (out.length === 4 && same) table[code] = PRESSURE_WHERE.all * sign(out[0]!);
    else {
      table[code] = -out.reduce((product, digit) => product * sign(digit), 1);
      others -= table[code]!;
    }
  }
  return table.map((value) => (value < 0 ? (-value / others) * PRESSURE_WHERE.other : value));
}

/** Chance of each set of bouncing tires, given that some is; tires as bits, lf the lowest. */
export function bouncePatterns(): Float64Array {
  const table = new Float64Array(16);
  const rest = 0.02;
  for (let code = 1; code < 16; code++) {
    const count = [0, 1, 2, 3].filter((tire) => code & (1 << tire)).length;
    if (count === 1) table[code] = ((1 - rest) * BOUNCE_WHERE.one) / 4;
    else if (code === 0b0011 || code === 0b1100) table[code] = ((1 - rest) * BOUNCE_WHERE.axle) / 2;
    else table[code] = rest / 9;
  }
  return table;
}

function digitsOf(code: number): number[] {
  return [code % 3, Math.floor(code / 3) % 3, Math.floor(code / 9) % 3, Math.floor(code / 27)];
}
