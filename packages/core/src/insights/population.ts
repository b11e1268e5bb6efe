import { inverseOf } from '../engine/math/smallMatrix.ts';

/**
 * A population of which each member is known only by a normal likelihood: which mean and which spread its
 * members have, drawn towards what was held before.
 */

/** What is known of one member: exp(linear . x - x' precision x / 2), as a function of its traits x. */
export interface Member {
  linear: readonly number[];
  precision: readonly (readonly number[])[];
  /** How much it counts, 0 to 1. */
  weight: number;
  /** The group it is of, by which its first trait is moved; null for none. */
  group: number | null;
}

/** What was held of a population before. */
export interface PopulationPrior {
  /** Spread of each trait, standard deviation. */
  sd: readonly number[];
  /** How many members that spread is worth. */
  degrees: number;
  /** Spread of each mean about zero; Infinity for no opinion. */
  meanSd: readonly number[];
  /** Number of groups, and the spread of what they add to the first trait. */
  groups: number;
  groupSd: number;
}

export interface Population {
  mean: number[];
  sd: number[];
  /** How well each mean is known, standard deviation. */
  meanSd: number[];
  /** What each group adds to the first trait, and how well that is known. */
  group: { mean: number; sd: number }[];
}

const MOST_ROUNDS = 3_000;
const CLOSE = 1e-7;

/**
 * Finds a population's means and spreads by expectation and maximization.
 * @param members - at least one, of as many traits each as the prior has
 * Sources: Dempster, Laird and Rubin 1977, J. R. Stat. Soc. B 39, 4.6; Gelman et al., Bayesian Data Analysis,
 * ch. 5 and 15, for the conjugate priors: a mean normal about zero, a variance scaled inverse chi-squared.
 */
export function fitPopulation(members: readonly Member[], prior: PopulationPrior): Population {
  const traits = prior.sd.map((_, trait) => trait);
  const mean = traits.map(() => 0);
  const variance = prior.sd.map((sd) => sd * sd);
  const groups = Array.from({ length: prior.groups }, () => 0);
  const moved = (group: number | null) => (group === null ? 0 : groups[group]!);

  for (let round = 0; round < MOST_ROUNDS; round++) {
    const sums = traits.map(() => 0);
    const squares = traits.map(() => 0);
    const inGroup = groups.map(() => ({ sum: 0, weight: 0 }));
    let total = 0;
    const seen = members.map((member) => {
      const centre = mean.map((value, trait) => value + (trait === 0 ? moved(member.group) : 0));
      return { member, ...conditional(member, centre, variance) };
    });
    for (const { member, at } of seen) {
      total += member.weight;
      for (const i of traits) {
        sums[i]! += member.weight * (at[i]! - (i === 0 ? moved(member.group) : 0));
      }
    }
    let change = 0;
    for (const i of traits) {
      const held = prior.meanSd[i]! === Infinity ? 0 : variance[i]! / prior.meanSd[i]! ** 2;
      const next = sums[i]! / (total + held);
      change = Math.max(change, Math.abs(next - mean[i]!) / prior.sd[i]!);
      mean[i] = next;
    }
    for (const { member, at } of seen) {
      if (member.group === null) continue;
      inGroup[member.group]!.sum += member.weight * (at[0]! - mean[0]!);
      inGroup[member.group]!.weight += member.weight;
    }
    inGroup.forEach(({ sum, weight }, group) => {
      groups[group] = sum / (weight + variance[0]! / prior.groupSd ** 2);
    });
    for (const { member, at, covariance } of seen) {
      for (const i of traits) {
        const off = at[i]! - mean[i]! - (i === 0 ? moved(member.group) : 0);
        squares[i]! += member.weight * (off * off + covariance[i]![i]!);
      }
    }
    for (const i of traits) {
      const next =
        (prior.degrees * prior.sd[i]! ** 2 + squares[i]!) / Math.max(1, prior.degrees + total);
      change = Math.max(change, Math.abs(next - variance[i]!) / prior.sd[i]! ** 2);
      variance[i] = next;
    }
    if (change < CLOSE) break;
  }

  // What all members together say of the means: the inverse of each one's likelihood and spread together.
  const information = traits.map((i) =>
    traits.map((j) => (i === j ? 1 / prior.meanSd[i]! ** 2 : 0)),
  );
  const ofGroup = groups.map(() => 1 / prior.groupSd ** 2);
  for (const member of members) {
    const told = marginalPrecision(member, variance);
    for (const i of traits) {
      for (const j of traits) information[i]![j]! += member.weight * told[i]![j]!;
    }
    if (member.group !== null) ofGroup[member.group]! += member.weight * told[0]![0]!;
  }
  const known = inverseOf(information);
  return {
    mean,
    sd: variance.map(Math.sqrt),
    meanSd: traits.map((i) => Math.sqrt(known[i]![i]!)),
    group: groups.map((value, group) => ({ mean: value, sd: 1 / Math.sqrt(ofGroup[group]!) })),
  };
}

/**
 * Log of how likely a member's likelihood is in a population, up to a constant of the member.
 * @param centre - where members of its group lie
 * @param sd - their spread
 */
export function logMarginal(
  { linear, precision }: Member,
  centre: readonly number[],
  sd: readonly number[],
): number {
  const inverse = sd.map((value) => 1 / (value * value));
  const whole = precision.map((row, i) =>
    row.map((value, j) => value + (i === j ? inverse[i]! : 0)),
  );
  const right = linear.map((value, i) => value + inverse[i]! * centre[i]!);
  const covariance = inverseOf(whole);
  let log =
    0.5 * (Math.log(determinant(covariance)) + inverse.reduce((sum, v) => sum + Math.log(v), 0));
  right.forEach((value, i) => {
    right.forEach((other, j) => (log += 0.5 * value * covariance[i]![j]! * other));
    log -= 0.5 * inverse[i]! * centre[i]! ** 2;
  });
  return log;
}

/** A member's traits given its own likelihood and the population's. */
function conditional(
  { linear, precision }: Member,
  centre: readonly number[],
  variance: readonly number[],
): { at: number[]; covariance: number[][] } {
  const covariance = inverseOf(
    precision.map((row, i) => row.map((value, j) => value + (i === j ? 1 / variance[i]! : 0))),
  );
  const right = linear.map((value, i) => value + centre[i]! / variance[i]!);
  const at = covariance.map((row) => row.reduce((sum, value, j) => sum + value * right[j]!, 0));
  return { at, covariance };
}

/** (precision^-1 + variance)^-1, also where a member says nothing of some trait (Woodbury). */
function marginalPrecision({ linear, precision }: Member, variance: readonly number[]): number[][] {
  const { covariance } = conditional(
    { linear, precision, weight: 1, group: null },
    [0, 0, 0, 0],
    variance,
  );
  return precision.map((row, i) =>
    row.map((value, j) => {
      let sum = value;
      for (let k = 0; k < row.length; k++) {
        for (let l = 0; l < row.length; l++) {
          sum -= precision[i]![k]! * covariance[k]![l]! * precision[l]![j]!;
        }
      }
      return sum;
    }),
  );
}

/** Of a small positive definite matrix, by elimination. */
function determinant(matrix: readonly (readonly number[])[]): number {
  const rows = matrix.map((row) => [...row]);
  let product = 1;
  rows.forEach((row, i) => {
    product *= row[i]!;
    for (const below of rows.slice(i + 1)) {
      const factor = below[i]! / row[i]!;
      row.forEach((value, k) => (below[k]! -= factor * value));
    }
  });
  return product;
}
