/** Rows in columns, figures to three places. */
export function table(rows: readonly (readonly (string | number)[])[]): string {
  const text = rows.map((row) =>
    row.map((cell) => (typeof cell === 'number' ? cell.toFixed(3) : cell)),
  );
  const widths = text[0]!.map((_, column) => Math.max(...text.map((row) => row[column]!.length)));
  return text
    .map((row) =>
      row
        .map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
        .join('  '),
    )
    .join('\n');
}

export function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Scores of a flag that are printed. */
export const KEYS = ['logLoss', 'brier', 'auc', 'calibrationError'] as const;
