/**
 * Inverse of a small symmetric positive definite matrix by Gauss and Jordan, without pivoting, which such
 * a matrix does not need (Golub and Van Loan, Matrix Computations, 4.2).
 * @returns a matrix of its own
 */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const rows = matrix.map((row, i) => [
    ...row,
    ...Array.from({ length: size }, (_, j) => (i === j ? 1 : 0)),
  ]);
  for (let i = 0; i < size; i++) {
    const pivot = rows[i]![i]!;
    for (let k = 0; k < 2 * size; k++) rows[i]![k]! /= pivot;
    for (let j = 0; j < size; j++) {
      if (j === i) continue;
      const factor = rows[j]![i]!;
      if (factor === 0) continue;
      for (let k = 0; k < 2 * size; k++) rows[j]![k]! -= factor * rows[i]![k]!;
    }
  }
  return rows.map((row) => row.slice(size));
}

/** Lower triangle whose square is a symmetric positive definite 3 x 3 matrix; both by rows. */
export function triangleOf3(matrix: Float64Array): Float64Array {
  const l00 = Math.sqrt(matrix[0]!);
  const l10 = matrix[3]! / l00;
  const l20 = matrix[6]! / l00;
  const l11 = Math.sqrt(matrix[4]! - l10 * l10);
  const l21 = (matrix[7]! - l20 * l10) / l11;
  const l22 = Math.sqrt(matrix[8]! - l20 * l20 - l21 * l21);
  return Float64Array.of(l00, 0, 0, l10, l11, 0, l20, l21, l22);
}

const MOST_TURNS = 50;

/**
 * Eigenvalues and eigenvectors of a small symmetric matrix by Jacobi's rotations (Golub and Van Loan, Matrix
 * Computations, 8.5).
 * @returns values in no order, and vectors as the columns of a matrix
 */
export function eigenOf(matrix: readonly (readonly number[])[]): {
  values: number[];
  vectors: number[][];
} {
  const size = matrix.length;
  const a = matrix.map((row) => [...row]);
  const vectors = matrix.map((row, i) => row.map((_, j) => (i === j ? 1 : 0)));
  const rotate = (rows: number[][], p: number, q: number, c: number, s: number) => {
    for (const row of rows) {
      const [x, y] = [row[p]!, row[q]!];
      row[p] = c * x - s * y;
      row[q] = s * x + c * y;
    }
  };
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    let off = 0;
    for (let p = 0; p < size; p++) {
      for (let q = p + 1; q < size; q++) {
        const apq = a[p]![q]!;
        off += apq * apq;
        if (apq === 0) continue;
        const theta = (a[q]![q]! - a[p]![p]!) / (2 * apq);
        const t = (theta < 0 ? -1 : 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
        const c = 1 / Math.sqrt(t * t + 1);
        const s = t * c;
        rotate(a, p, q, c, s);
        // The same from the left, on two rows.
        const [above, below] = [a[p]!, a[q]!];
        for (let k = 0; k < size; k++) {
          const [x, y] = [above[k]!, below[k]!];
          above[k] = c * x - s * y;
          below[k] = s * x + c * y;
        }
        rotate(vectors, p, q, c, s);
      }
    }
    if (off < 1e-24) break;
  }
  return { values: a.map((row, i) => row[i]!), vectors };
}
