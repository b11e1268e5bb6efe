import { FIRST_NUISANCE, NUISANCE_COUNT, STATE } from '../wear/state.ts';
import { SIZE } from './blockCholesky.ts';
import type { TireEvidence } from './depthEvidence.ts';

/** The pieces that the covariance of the twelve losses is put together from, written out for speed. */

const Z = NUISANCE_COUNT;
const N = SIZE;

/**
 * Columns of the sensitivities in the order in which they are kept: those of the whole car first, then
 * those of the front axle and of the rear, which tires of different axles do not share.
 */
export const COLUMNS: readonly number[] = [
  ...Array.from({ length: STATE.tilt - FIRST_NUISANCE }, (_, column) => column),
  ...[0, 1].flatMap((axle) =>
    [STATE.tilt, STATE.axleCrown, STATE.drivingSlip, STATE.corneringSlip, STATE.axleRate].map(
      (element) => element - FIRST_NUISANCE + axle,
    ),
  ),
];
/** Where the rate of each axle stands in that order. */
export const RATE_AT = [0, 1].map((axle) =>
  COLUMNS.indexOf(STATE.axleRate - FIRST_NUISANCE + axle),
);
/** Columns of the whole car, and of each axle; see {@link COLUMNS}. */
const OF_CAR = STATE.tilt - FIRST_NUISANCE;
const OF_AXLE = 5;

/** Sensitivities in the order they are kept, each column times its nuisance's spread. */
export function scaleColumns(from: Float64Array, spreads: Float64Array, to: Float64Array): void {
  for (let k = 0; k < Z; k++) {
    const at = 3 * COLUMNS[k]!;
    const sd = spreads[k]!;
    to[3 * k] = from[at]! * sd;
    to[3 * k + 1] = from[at + 1]! * sd;
    to[3 * k + 2] = from[at + 2]! * sd;
  }
}

/** The 3 x 3 block of J S J' between two tires. */
export function couple(
  a: Float64Array,
  b: Float64Array,
  front: boolean,
  rear: boolean,
  block: Float64Array,
): void {
  let c00 = 0;
  let c01 = 0;
  let c02 = 0;
  let c10 = 0;
  let c11 = 0;
  let c12 = 0;
  let c20 = 0;
  let c21 = 0;
  let c22 = 0;
  const end = rear ? 3 * Z : front ? 3 * (OF_CAR + OF_AXLE) : 3 * OF_CAR;
  for (let k = 0; k < end; k += 3) {
    if (k === 3 * OF_CAR && !front) k += 3 * OF_AXLE;
    const a0 = a[k]!;
    const a1 = a[k + 1]!;
    const a2 = a[k + 2]!;
    const b0 = b[k]!;
    const b1 = b[k + 1]!;
    const b2 = b[k + 2]!;
    c00 += a0 * b0;
    c01 += a0 * b1;
    c02 += a0 * b2;
    c10 += a1 * b0;
    c11 += a1 * b1;
    c12 += a1 * b2;
    c20 += a2 * b0;
    c21 += a2 * b1;
    c22 += a2 * b2;
  }
  block[0] = c00;
  block[1] = c01;
  block[2] = c02;
  block[3] = c10;
  block[4] = c11;
  block[5] = c12;
  block[6] = c20;
  block[7] = c21;
  block[8] = c22;
}

/** Puts a block at a row and a column of a 12 x 12 matrix. */
export function placeBlock(
  block: Float64Array,
  into: Float64Array,
  row: number,
  column: number,
): void {
  const at = row * N + column;
  into[at] = block[0]!;
  into[at + 1] = block[1]!;
  into[at + 2] = block[2]!;
  into[at + N] = block[3]!;
  into[at + N + 1] = block[4]!;
  into[at + N + 2] = block[5]!;
  into[at + 2 * N] = block[6]!;
  into[at + 2 * N + 1] = block[7]!;
  into[at + 2 * N + 2] = block[8]!;
}

/** Adds to a tire's own block what it and its ribs and their readings scatter by themselves. */
export function addScatter(
  f: Float64Array,
  start: number,
  mean: Float64Array,
  tireVar: number,
  ribVar: number,
  { commonVar, covariance }: TireEvidence,
): void {
  const both = tireVar + ribVar;
  const m0 = mean[0]!;
  const m1 = mean[1]!;
  const m2 = mean[2]!;
  const at = start * N + start;
  const second = at + N;
  const third = second + N;
  f[at] = f[at]! + both * m0 * m0 + commonVar + covariance[0]!;
  f[second] = f[second]! + tireVar * m1 * m0 + commonVar + covariance[3]!;
  f[second + 1] = f[second + 1]! + both * m1 * m1 + commonVar + covariance[4]!;
  f[third] = f[third]! + tireVar * m2 * m0 + commonVar + covariance[6]!;
  f[third + 1] = f[third + 1]! + tireVar * m2 * m1 + commonVar + covariance[7]!;
  f[third + 2] = f[third + 2]! + both * m2 * m2 + commonVar + covariance[8]!;
}
