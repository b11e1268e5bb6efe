import type { ResolvedCase } from '../case/resolveCase.ts';
import { exp, log } from '../math/elementary.ts';
import type { Random } from '../random/random.ts';
import { NOISE } from '../wear/constants.ts';
import { FIRST_NUISANCE, NUISANCE_COUNT, STATE } from '../wear/state.ts';
import { plainLoss, tireSensitivity } from '../wear/tireLoss.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import { factorAndSolve, SIZE, solve, squareOf } from './blockCholesky.ts';
import { addScatter, COLUMNS, couple, placeBlock, RATE_AT, scaleColumns } from './depthBlocks.ts';
import { depthScatter } from './depthScatter.ts';
import { depthEvidence } from './depthEvidence.ts';
import { triangleOf3 } from '../math/smallMatrix.ts';

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const Z = NUISANCE_COUNT;
const N = SIZE;
const FIRST = FIRST_NUISANCE;
const ODD_READING_VAR = NOISE.oddReadingMm * NOISE.oddReadingMm;

/** All four tires, as a mask. */
export const ALL_TIRES = 0b1111;

/**
 * The likelihood of all depths of a car, with what is not known of the formula integrated out.
 *
 * The losses of the ribs that were read are normal about the formula's:
 *
 *     covariance = J S J' + for each tire (st^2 m m' + sn^2 1 1' + readings) + diag(sr^2 m^2)
 *
 * J holds the sensitivities to the nuisances (state.ts) and S their prior variances, st and sr are the
 * car's own scatter of tires and ribs, sn the doubt about the new depth; see depthEvidence.ts for the readings. An odd tire, a wrong reading
 * and an axle of another age widen their own entries. Twelve unknowns that would make long ridges for a
 * sampler are gone this way; {@link DepthLikelihood.drawNuisances} brings them back.
 */
export interface DepthLikelihood {
  /**
   * Log likelihood at a state, up to a constant.
   * @param tires - mask of the tires whose losses may have changed since the last accepted state
   */
  propose(state: Float64Array, tires: number): number;
  /**
   * A cheap guess at {@link DepthLikelihood.propose}: the covariance stays that of the accepted state.
   * Not for a change of scatter.
   */
  screen(state: Float64Array, tires: number): number;
  /** The same guess the other way: the accepted state by the covariance of the one last proposed. */
  screenBack(): number;
  /** Makes the last proposed state the one that the next is compared to. */
  accept(): void;
  /** Draws the nuisances given the readings and the rest of the state, into the state. */
  drawNuisances(state: Float64Array, random: Random, ribs: RibDraws): void;
}

/** What one draw says of the twelve ribs, tire by tire from inner to outer. */
export interface RibDraws {
  /** What each loses against the formula, from its tire and itself alone. */
  factors: Float64Array;
  /** What each has truly lost of the new depth that was given, without the error of its reading, mm. */
  lossMm: Float64Array;
}

/** @param known - nuisances that are not in doubt, by element of the state */
export function createDepthLikelihood(
  resolved: ResolvedCase,
  paths: readonly TirePath[],
  known: ReadonlyMap<number, number> = new Map(),
): DepthLikelihood {
  const evidence = depthEvidence(resolved, paths);
  const read = Float64Array.from(evidence.flatMap(({ lossMm }) => [...lossMm]));
  const scatter = depthScatter(resolved, known);
  const { spreads, shifts } = scatter;
  const hasShifts = shifts.some((value) => value !== 0);
  /** Columns that two tires share: those of the whole car, and of the axles that both have been on. */
  const shares = paths.map(({ positions }, tire) =>
    paths
      .slice(0, tire + 1)
      .map((other) =>
        [0, 1].map((axle) =>
          [positions, other.positions].every((places) =>
            places.some((place) => place >> 1 === axle),
          ),
        ),
      ),
  );

  // For each tire its means and sensitivities (times the prior's spread), for each pair of tires the block
  // of J S J': accepted, and as proposed.
  const means = [0, 1, 2, 3].map(() => new Float64Array(3));
  const slopes = means.map(() => new Float64Array(3 * Z));
  const blocks = means.map((_, tire) => means.slice(0, tire + 1).map(() => new Float64Array(9)));
  const trialMeans = means.map(() => new Float64Array(3));
  const trialSlopes = means.map(() => new Float64Array(3 * Z));
  const trialBlocks = blocks.map((row) => row.map(() => new Float64Array(9)));
  // The same means by the formula alone, before what is known of the nuisances has moved them.
  const plains = means.map(() => new Float64Array(3));
  const trialPlains = means.map(() => new Float64Array(3));
  // Cholesky's factors and the logs of their determinants.
  let factor = new Float64Array(N * N);
  let trialFactor = new Float64Array(N * N);
  let logDeterminant = 0;
  let trialDeterminant = 0;
  const residuals = new Float64Array(N);
  const solved = new Float64Array(N);
  const sensitivity = new Float64Array(3 * Z);
  const guess = new Float64Array(3);
  let proposed = ALL_TIRES;
  let otherAge = 0;
  let trialAge = 0;

  /** Means and scaled sensitivities of a tire's ribs as proposed. */
  function runTire(state: Float64Array, tire: number): void {
    const mean = trialMeans[tire]!;
    const slope = trialSlopes[tire]!;
    tireSensitivity(state, paths[tire]!, mean, sensitivity);
    if (hasShifts) {
      trialPlains[tire]!.set(mean);
      for (let k = 0; k < Z; k++) {
        const from = 3 * COLUMNS[k]!;
        for (let rib = 0; rib < 3; rib++)
          mean[rib] = mean[rib]! + sensitivity[from + rib]! * shifts[k]!;
      }
    }
    scaleColumns(sensitivity, spreads, slope);
    if (trialAge > 0) {
      const at = 3 * RATE_AT[trialAge - 1]!;
      for (let rib = 0; rib < 3; rib++) slope[at + rib] = slope[at + rib]! * scatter.otherAge;
    }
  }

  function propose(state: Float64Array, tires: number): number {
    trialAge = state[AT.otherAge]!;
    proposed = trialAge === otherAge ? tires : ALL_TIRES;
    const scaleSquared = exp(2 * state[AT.noise]!);
    const oddTire = state[AT.oddTire]! - 1;
    const ribVar = scatter.ofRib(scaleSquared);
    for (let tire = 0; tire < 4; tire++) {
      const isNew = (proposed & (1 << tire)) !== 0;
      if (isNew) runTire(state, tire);
      const mean = isNew ? trialMeans[tire]! : means[tire]!;
      for (let rib = 0; rib < 3; rib++)
        residuals[3 * tire + rib] = read[3 * tire + rib]! - mean[rib]!;
      for (let other = 0; other <= tire; other++) {
        const isOtherNew = (proposed & (1 << other)) !== 0;
        let block = blocks[tire]![other]!;
        if (isNew || isOtherNew) {
          block = trialBlocks[tire]![other]!;
          const [front, rear] = shares[tire]![other]!;
          couple(
            isNew ? trialSlopes[tire]! : slopes[tire]!,
            isOtherNew ? trialSlopes[other]! : slopes[other]!,
            front!,
            rear!,
            block,
          );
        }
        placeBlock(block, trialFactor, 3 * tire, 3 * other);
      }
      const tireVar = scatter.ofTire(tire, scaleSquared, tire === oddTire);
      addScatter(trialFactor, 3 * tire, mean, tireVar, ribVar, evidence[tire]!);
    }
    const oddReading = state[AT.oddReading]!;
    if (oddReading > 0) {
      const at = (oddReading - 1) * (N + 1);
      trialFactor[at] = trialFactor[at]! + ODD_READING_VAR;
    }
    trialDeterminant = log(factorAndSolve(trialFactor, residuals, solved));
    return -0.5 * (squareOf(solved) + trialDeterminant);
  }

  function screen(state: Float64Array, tires: number): number {
    for (let tire = 0; tire < 4; tire++) {
      let mean = means[tire]!;
      if ((tires & (1 << tire)) !== 0) {
        mean = trialMeans[tire]!;
        plainLoss(state, paths[tire]!, mean);
        if (hasShifts) moveAlike(mean, means[tire]!, plains[tire]!);
      }
      for (let rib = 0; rib < 3; rib++)
        residuals[3 * tire + rib] = read[3 * tire + rib]! - mean[rib]!;
    }
    return -0.5 * (solve(factor, residuals, solved) + logDeterminant);
  }

  function screenBack(): number {
    for (let tire = 0; tire < 4; tire++) {
      let mean = means[tire]!;
      if (hasShifts && (proposed & (1 << tire)) !== 0) {
        guess.set(plains[tire]!);
        moveAlike(guess, trialMeans[tire]!, trialPlains[tire]!);
        mean = guess;
      }
      for (let rib = 0; rib < 3; rib++)
        residuals[3 * tire + rib] = read[3 * tire + rib]! - mean[rib]!;
    }
    return -0.5 * (solve(trialFactor, residuals, solved) + trialDeterminant);
  }

  function accept(): void {
    otherAge = trialAge;
    logDeterminant = trialDeterminant;
    [factor, trialFactor] = [trialFactor, factor];
    for (let tire = 0; tire < 4; tire++) {
      const isNew = (proposed & (1 << tire)) !== 0;
      if (isNew) {
        swap(means, trialMeans, tire);
        swap(slopes, trialSlopes, tire);
        swap(plains, trialPlains, tire);
      }
      for (let other = 0; other <= tire; other++) {
        if (isNew || (proposed & (1 << other)) !== 0)
          swap(blocks[tire]!, trialBlocks[tire]!, other);
      }
    }
  }

  const triangles = evidence.map(({ covariance }) => triangleOf3(covariance));
  const drawnErrors = new Float64Array(3);

  /** Roots of the errors of a tire's three readings, one of which may be wrong. */
  function rootOfErrors(tire: number, oddReading: number): Float64Array {
    if (oddReading < 0 || ((oddReading / 3) | 0) !== tire) return triangles[tire]!;
    const covariance = evidence[tire]!.covariance.slice();
    const at = 4 * (oddReading % 3);
    covariance[at] = covariance[at]! + ODD_READING_VAR;
    return triangleOf3(covariance);
  }

  const weights = new Float64Array(N);
  const drawn = new Float64Array(Z);
  const newDepths = new Float64Array(4);

  /**
   * By Matheron's rule: draw everything from the prior, then shift it by what the readings say of the
   * difference (Hoffman and Ribak 1991).
   */
  function drawNuisances(state: Float64Array, random: Random, { factors, lossMm }: RibDraws): void {
    propose(state, ALL_TIRES);
    accept();
    const scaleSquared = exp(2 * state[AT.noise]!);
    const oddTire = state[AT.oddTire]! - 1;
    const oddReading = state[AT.oddReading]! - 1;
    for (let k = 0; k < Z; k++) drawn[k] = random.normal();
    const ribVar = scatter.ofRib(scaleSquared);
    const ribSd = Math.sqrt(ribVar);
    for (let tire = 0; tire < 4; tire++) {
      const tireVar = scatter.ofTire(tire, scaleSquared, tire === oddTire);
      const ofTire = Math.sqrt(tireVar) * random.normal();
      const newDepth = Math.sqrt(evidence[tire]!.commonVar) * random.normal();
      const root = rootOfErrors(tire, oddReading);
      for (let rib = 0; rib < 3; rib++) {
        const at = 3 * tire + rib;
        const m = means[tire]![rib]!;
        factors[at] = ofTire + ribSd * random.normal();
        drawnErrors[rib] = random.normal();
        let value = m * (1 + factors[at]) + newDepth;
        for (let k = 0; k <= rib; k++) value += root[3 * rib + k]! * drawnErrors[k]!;
        for (let k = 0; k < Z; k++) value += slopes[tire]![3 * k + rib]! * drawn[k]!;
        weights[at] = read[at]! - value;
        newDepths[tire] = newDepth;
      }
    }
    // weights = covariance^-1 times the difference, by the two triangles.
    solve(factor, weights.slice(), weights);
    for (let i = N - 1; i >= 0; i--) {
      let sum = weights[i]!;
      for (let j = i + 1; j < N; j++) sum -= factor[j * N + i]! * weights[j]!;
      weights[i] = sum * factor[i * N + i]!;
    }
    for (let tire = 0; tire < 4; tire++) {
      const tireVar = scatter.ofTire(tire, scaleSquared, tire === oddTire);
      let pull = 0;
      let together = 0;
      for (let rib = 0; rib < 3; rib++) {
        pull += weights[3 * tire + rib]! * means[tire]![rib]!;
        together += weights[3 * tire + rib]!;
      }
      newDepths[tire] = newDepths[tire]! + evidence[tire]!.commonVar * together;
      for (let rib = 0; rib < 3; rib++) {
        const at = 3 * tire + rib;
        const own = weights[at]! * means[tire]![rib]!;
        factors[at] = 1 + factors[at]! + tireVar * pull + ribVar * own;
        for (let k = 0; k < Z; k++)
          drawn[k] = drawn[k]! + slopes[tire]![3 * k + rib]! * weights[at]!;
      }
    }
    for (let tire = 0; tire < 4; tire++) {
      for (let rib = 0; rib < 3; rib++) {
        const at = 3 * tire + rib;
        const { today } = evidence[tire]!;
        if (today) {
          // What is left is best known by today's reading itself.
          lossMm[at] = today.lossMm[rib]! + Math.sqrt(today.variance[rib]!) * random.normal();
          continue;
        }
        let lost = means[tire]![rib]! * factors[at]! + newDepths[tire]!;
        for (let k = 0; k < Z; k++) lost += slopes[tire]![3 * k + rib]! * drawn[k]!;
        lossMm[at] = lost;
      }
    }
    for (let k = 0; k < Z; k++) {
      const wider = otherAge > 0 && k === RATE_AT[otherAge - 1] ? scatter.otherAge : 1;
      state[FIRST + COLUMNS[k]!] = shifts[k]! + spreads[k]! * wider * drawn[k]!;
    }
  }

  return { propose, screen, screenBack, accept, drawNuisances };
}

/** Moves losses by the formula as those of another state were moved from theirs. */
function moveAlike(losses: Float64Array, moved: Float64Array, plain: Float64Array): void {
  for (let rib = 0; rib < 3; rib++) {
    if (plain[rib]! > 0) losses[rib] = (losses[rib]! * moved[rib]!) / plain[rib]!;
  }
}

function swap(a: Float64Array[], b: Float64Array[], at: number): void {
  const kept = a[at]!;
  a[at] = b[at]!;
  b[at] = kept;
}
