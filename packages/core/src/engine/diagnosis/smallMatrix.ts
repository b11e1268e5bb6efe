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
