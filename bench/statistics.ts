/** What a set of chains knows of one number. */
export interface ChainSummary {
  mean: number;
  sd: number;
  /** Independent draws that the chains are worth. */
  effective: number;
  /** Monte Carlo standard error of the mean. */
  error: number;
}

/**
 * Mean, spread and effective sample size of equally long chains, from the autocorrelations up to
 * where their pairwise sums stay positive and fall (Geyer 1992; over several chains as in Gelman et
 * al., Bayesian Data Analysis, 3rd ed., 11.5).
 */
export function summarise(chains: readonly Float64Array[]): ChainSummary {
  const count = chains.length;
  const length = chains[0]!.length;
  const means = chains.map((chain) => chain.reduce((sum, x) => sum + x, 0) / length);
  const mean = means.reduce((sum, x) => sum + x, 0) / count;
  const within =
    chains.reduce(
      (sum, chain, c) => sum + chain.reduce((s, x) => s + (x - means[c]!) ** 2, 0) / (length - 1),
      0,
    ) / count;
  const between = count < 2 ? 0 : means.reduce((sum, x) => sum + (x - mean) ** 2, 0) / (count - 1);
  const variance = (within * (length - 1)) / length + between;
  if (variance === 0) return { mean, sd: 0, effective: count * length, error: 0 };

  const correlation = (lag: number) => {
    const covariance =
      chains.reduce((sum, chain, c) => {
        let products = 0;
        for (let i = lag; i < length; i++) {
          products += (chain[i]! - means[c]!) * (chain[i - lag]! - means[c]!);
        }
        return sum + products / length;
      }, 0) / count;
    return 1 - (within - covariance) / variance;
  };
  let time = -1;
  let last = Number.POSITIVE_INFINITY;
  for (let lag = 0; lag + 1 < length; lag += 2) {
    const pair = correlation(lag) + correlation(lag + 1);
    if (pair <= 0) break;
    last = Math.min(last, pair);
    time += 2 * last;
  }
  const effective = (count * length) / Math.max(time, 1 / Math.log10(count * length));
  return { mean, sd: Math.sqrt(variance), effective, error: Math.sqrt(variance / effective) };
}
