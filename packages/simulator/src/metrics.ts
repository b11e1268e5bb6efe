/** Scores of probabilities against what was true, for one yes-or-no question asked many times. */

/** No probability is taken to be surer than this: nobody can check a claim beyond it here. */
const SUREST = 1e-4;
const BINS = 10;

/** Mean of -log(probability given to what was true), nats. */
export function logLoss(chances: readonly number[], truths: readonly boolean[]): number {
  return meanOf(chances, (chance, i) => {
    const p = Math.min(1 - SUREST, Math.max(SUREST, chance));
    return -Math.log(truths[i]! ? p : 1 - p);
  });
}

/** Mean squared distance between probability and truth (Brier 1950). */
export function brier(chances: readonly number[], truths: readonly boolean[]): number {
  return meanOf(chances, (chance, i) => (chance - (truths[i]! ? 1 : 0)) ** 2);
}

/**
 * Chance that a true case was given more than a false one, ties counting half: the area under the
 * receiver operating characteristic as the rank-sum statistic (Hanley and McNeil 1982).
 * @returns NaN when all are true or none is
 */
export function auc(chances: readonly number[], truths: readonly boolean[]): number {
  const order = [...chances.keys()].toSorted((a, b) => chances[a]! - chances[b]!);
  let rankSum = 0;
  let positives = 0;
  for (let start = 0; start < order.length;) {
    let end = start + 1;
    while (end < order.length && chances[order[end]!] === chances[order[start]!]) end++;
    const midRank = (start + 1 + end) / 2;
    for (let i = start; i < end; i++) {
      if (!truths[order[i]!]) continue;
      rankSum += midRank;
      positives++;
    }
    start = end;
  }
  const negatives = order.length - positives;
  return (rankSum - (positives * (positives + 1)) / 2) / (positives * negatives);
}

/**
 * Expected calibration error over ten bins of equal width: how far what was said stands from how often
 * it came true, weighted by how often it was said (Naeini, Cooper and Hauskrecht 2015).
 */
export function calibrationError(chances: readonly number[], truths: readonly boolean[]): number {
  const said = new Float64Array(BINS);
  const came = new Float64Array(BINS);
  chances.forEach((chance, i) => {
    const bin = Math.min(BINS - 1, Math.floor(chance * BINS));
    said[bin]! += chance;
    came[bin]! += truths[i]! ? 1 : 0;
  });
  return said.reduce((sum, total, bin) => sum + Math.abs(total - came[bin]!), 0) / chances.length;
}

function meanOf(values: readonly number[], score: (value: number, i: number) => number): number {
  return values.reduce((sum, value, i) => sum + score(value, i), 0) / values.length;
}
