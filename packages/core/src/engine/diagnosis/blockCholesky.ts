/**
 * Cholesky's factor of a 12 x 12 covariance in four blocks of three, one a tire, written out so that the
 * entries of a block stay in registers: this runs some hundred thousand times for an answer.
 *
 * Method: Golub and Van Loan, Matrix Computations, 4.2.9 (block Cholesky), lower triangle by rows.
 */

export const SIZE = 12;
// Names of its own: some loaders resolve an exported one at every use.
const N = 12;
const BLOCK = 3;
/** A pivot that rounding has made smaller than this is taken for this. */
const LEAST_PIVOT = 1e-12;

/**
 * Factors in place and solves for residuals on the way.
 * @param f - lower triangle of the covariance by rows, 12 x 12; receives the factor, with the inverse of
 * each diagonal entry in its place
 * @param r - residuals
 * @param z - receives the factor's inverse times the residuals
 * @returns the determinant of the covariance
 */
export function factorAndSolve(f: Float64Array, r: Float64Array, z: Float64Array): number {
  let determinant = 1;
  for (let i = 0; i < N; i += BLOCK) {
    const p0 = i * N;
    const p1 = p0 + N;
    const p2 = p1 + N;
    // The diagonal block and the residuals, less what the blocks to the left take.
    let d00 = f[p0 + i]!;
    let d10 = f[p1 + i]!;
    let d11 = f[p1 + i + 1]!;
    let d20 = f[p2 + i]!;
    let d21 = f[p2 + i + 1]!;
    let d22 = f[p2 + i + 2]!;
    let r0 = r[i]!;
    let r1 = r[i + 1]!;
    let r2 = r[i + 2]!;
    for (let j = 0; j < i; j += BLOCK) {
      const q0 = j * N;
      const q1 = q0 + N;
      const q2 = q1 + N;
      let c00 = f[p0 + j]!;
      let c01 = f[p0 + j + 1]!;
      let c02 = f[p0 + j + 2]!;
      let c10 = f[p1 + j]!;
      let c11 = f[p1 + j + 1]!;
      let c12 = f[p1 + j + 2]!;
      let c20 = f[p2 + j]!;
      let c21 = f[p2 + j + 1]!;
      let c22 = f[p2 + j + 2]!;
      for (let k = 0; k < j; k++) {
        const a0 = f[p0 + k]!;
        const a1 = f[p1 + k]!;
        const a2 = f[p2 + k]!;
        const b0 = f[q0 + k]!;
        const b1 = f[q1 + k]!;
        const b2 = f[q2 + k]!;
        c00 -= a0 * b0;
        c01 -= a0 * b1;
        c02 -= a0 * b2;
        c10 -= a1 * b0;
        c11 -= a1 * b1;
        c12 -= a1 * b2;
        c20 -= a2 * b0;
        c21 -= a2 * b1;
        c22 -= a2 * b2;
      }
      const e0 = f[q0 + j]!;
      const l10 = f[q1 + j]!;
      const e1 = f[q1 + j + 1]!;
      const l20 = f[q2 + j]!;
      const l21 = f[q2 + j + 1]!;
      const e2 = f[q2 + j + 2]!;
      c00 *= e0;
      c01 = (c01 - c00 * l10) * e1;
      c02 = (c02 - c00 * l20 - c01 * l21) * e2;
      c10 *= e0;
      c11 = (c11 - c10 * l10) * e1;
      c12 = (c12 - c10 * l20 - c11 * l21) * e2;
      c20 *= e0;
      c21 = (c21 - c20 * l10) * e1;
      c22 = (c22 - c20 * l20 - c21 * l21) * e2;
      f[p0 + j] = c00;
      f[p0 + j + 1] = c01;
      f[p0 + j + 2] = c02;
      f[p1 + j] = c10;
      f[p1 + j + 1] = c11;
      f[p1 + j + 2] = c12;
      f[p2 + j] = c20;
      f[p2 + j + 1] = c21;
      f[p2 + j + 2] = c22;
      d00 -= c00 * c00 + c01 * c01 + c02 * c02;
      d10 -= c10 * c00 + c11 * c01 + c12 * c02;
      d11 -= c10 * c10 + c11 * c11 + c12 * c12;
      d20 -= c20 * c00 + c21 * c01 + c22 * c02;
      d21 -= c20 * c10 + c21 * c11 + c22 * c12;
      d22 -= c20 * c20 + c21 * c21 + c22 * c22;
      const z0 = z[j]!;
      const z1 = z[j + 1]!;
      const z2 = z[j + 2]!;
      r0 -= c00 * z0 + c01 * z1 + c02 * z2;
      r1 -= c10 * z0 + c11 * z1 + c12 * z2;
      r2 -= c20 * z0 + c21 * z1 + c22 * z2;
    }
    if (d00 < LEAST_PIVOT) d00 = LEAST_PIVOT;
    const e0 = 1 / Math.sqrt(d00);
    const l10 = d10 * e0;
    const l20 = d20 * e0;
    d11 -= l10 * l10;
    if (d11 < LEAST_PIVOT) d11 = LEAST_PIVOT;
    const e1 = 1 / Math.sqrt(d11);
    const l21 = (d21 - l20 * l10) * e1;
    d22 -= l20 * l20 + l21 * l21;
    if (d22 < LEAST_PIVOT) d22 = LEAST_PIVOT;
    const e2 = 1 / Math.sqrt(d22);
    f[p0 + i] = e0;
    f[p1 + i] = l10;
    f[p1 + i + 1] = e1;
    f[p2 + i] = l20;
    f[p2 + i + 1] = l21;
    f[p2 + i + 2] = e2;
    const z0 = r0 * e0;
    const z1 = (r1 - l10 * z0) * e1;
    z[i] = z0;
    z[i + 1] = z1;
    z[i + 2] = (r2 - l20 * z0 - l21 * z1) * e2;
    determinant *= d00 * d11 * d22;
  }
  return determinant;
}

/**
 * Squared length of the factor's inverse times residuals.
 * @param f - a factor as {@link factorAndSolve} leaves it
 * @param r - residuals
 * @param z - receives the factor's inverse times the residuals
 */
export function solve(f: Float64Array, r: Float64Array, z: Float64Array): number {
  let square = 0;
  for (let i = 0; i < N; i += BLOCK) {
    const p0 = i * N;
    const p1 = p0 + N;
    const p2 = p1 + N;
    let r0 = r[i]!;
    let r1 = r[i + 1]!;
    let r2 = r[i + 2]!;
    for (let k = 0; k < i; k++) {
      const zk = z[k]!;
      r0 -= f[p0 + k]! * zk;
      r1 -= f[p1 + k]! * zk;
      r2 -= f[p2 + k]! * zk;
    }
    const z0 = r0 * f[p0 + i]!;
    const z1 = (r1 - f[p1 + i]! * z0) * f[p1 + i + 1]!;
    const z2 = (r2 - f[p2 + i]! * z0 - f[p2 + i + 1]! * z1) * f[p2 + i + 2]!;
    z[i] = z0;
    z[i + 1] = z1;
    z[i + 2] = z2;
    square += z0 * z0 + z1 * z1 + z2 * z2;
  }
  return square;
}

/** Sum of squares of twelve numbers. */
export function squareOf(z: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < N; i++) sum += z[i]! * z[i]!;
  return sum;
}
