/**
 * Exponential and logarithm made of + - * / alone, which IEEE 754 defines to the last bit. The built-in
 * ones differ in that bit from one JavaScript engine to the next, and one flipped step sends a chain of
 * draws another way: a browser and a server would give one case two answers.
 *
 * Method and coefficients: fdlibm's e_exp.c and e_log.c (Sun Microsystems, 1993; freely granted), error
 * below one unit in the last place. The test holds them to the built-in functions.
 */

const LN2_HIGH = 6.9314718036912381649e-1;
const LN2_LOW = 1.90821492927058770002e-10;
const INVERSE_LN2 = 1.442695040888963387;

const P1 = 1.66666666666666019037e-1;
const P2 = -2.77777777770155933842e-3;
const P3 = 6.61375632143793436117e-5;
const P4 = -1.6533902205465251539e-6;
const P5 = 4.13813679705723846039e-8;

const OVERFLOW = 709.78;
const UNDERFLOW = -708;
/** 2 to the power -1022 .. 1023, each exact. */
const POWER_ZERO = 1022;
const POWERS = powersOfTwo();

function powersOfTwo(): Float64Array {
  const powers = new Float64Array(2046);
  powers[POWER_ZERO] = 1;
  for (let k = 1; k <= 1023; k++) powers[POWER_ZERO + k] = powers[POWER_ZERO + k - 1]! * 2;
  for (let k = 1; k <= 1022; k++) powers[POWER_ZERO - k] = powers[POWER_ZERO - k + 1]! / 2;
  return powers;
}

/**
 * e to the power x.
 * @param x - any number; below -708 the result is 0, where the built-in one still has subnormal numbers
 * @example exp(1) // 2.718281828459045
 */
export function exp(x: number): number {
  if (x > OVERFLOW) return Math.exp(x);
  if (x < UNDERFLOW) return 0;
  if (x !== x) return x;
  // x = k ln 2 + (high - low), |high - low| at most ln 2 / 2.
  const k = (INVERSE_LN2 * x + (x < 0 ? -0.5 : 0.5)) | 0;
  const high = x - k * LN2_HIGH;
  const low = k * LN2_LOW;
  const rest = high - low;
  const square = rest * rest;
  const c = rest - square * (P1 + square * (P2 + square * (P3 + square * (P4 + square * P5))));
  return (1 - (low - (rest * c) / (2 - c) - high)) * POWERS[POWER_ZERO + k]!;
}

const L1 = 6.66666666666673513e-1;
const L2 = 3.999999999940941908e-1;
const L3 = 2.857142874366239149e-1;
const L4 = 2.222219843214978396e-1;
const L5 = 1.818357216161805012e-1;
const L6 = 1.531383769920937332e-1;
const L7 = 1.479819860511658591e-1;

const bits = new Float64Array(1);
const words = new Uint32Array(bits.buffer);
/** Which of the two words holds sign and exponent on this machine. */
const HIGH_WORD = highWord();
const SMALLEST_NORMAL = 2.2250738585072014e-308;
const TWO_POW_54 = 18014398509481984;

function highWord(): 0 | 1 {
  bits[0] = 1;
  return words[1] === 0x3ff00000 ? 1 : 0;
}

/**
 * Natural logarithm.
 * @param x - 0 gives -Infinity, a negative number NaN
 * @example log(10) // 2.302585092994046
 */
export function log(x: number): number {
  if (!(x > 0)) return x === 0 ? Number.NEGATIVE_INFINITY : Number.NaN;
  if (x === Number.POSITIVE_INFINITY) return x;
  let k = 0;
  let value = x;
  if (value < SMALLEST_NORMAL) {
    k = -54;
    value *= TWO_POW_54;
  }
  bits[0] = value;
  const top = words[HIGH_WORD]!;
  k += (top >>> 20) - 1023;
  const mantissa = top & 0xfffff;
  // The mantissa lies between root 1/2 and root 2.
  const shift = (mantissa + 0x95f64) & 0x100000;
  words[HIGH_WORD] = mantissa | (shift ^ 0x3ff00000);
  k += shift >>> 20;
  const f = bits[0] - 1;
  if (f === 0) return k * LN2_HIGH + k * LN2_LOW;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const even = w * (L2 + w * (L4 + w * L6));
  const odd = z * (L1 + w * (L3 + w * (L5 + w * L7)));
  const half = 0.5 * f * f;
  return k * LN2_HIGH - (half - (s * (half + even + odd) + k * LN2_LOW) - f);
}
