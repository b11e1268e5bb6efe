import type { Random } from '../random/random.ts';
import { STATE } from '../wear/state.ts';
import { BLOCKS, CONSTANT_DIRECTIONS, DIRECTIONS, TOE_IN_CAMBER } from './moves.ts';
import type { Direction } from './moves.ts';
import type { Posterior } from './posterior.ts';
import { PRIOR_PARTS } from './posterior.ts';

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const PRIORS = (1 << PRIOR_PARTS) - 1;

/** Steps are tried at all these parts of a direction's reach, so that every width of posterior is met. */
const STEP_SCALES = [2, 1.2, 0.7, 0.4, 0.23, 0.13, 0.07, 0.04] as const;

/** The constants are moved in one of so many sweeps. */
const CONSTANTS_EVERY = 3;
/** One of so many sweeps leaves its state in the archive. */
const ARCHIVED_EVERY = 4;
/** Differences are drawn from an archive of at least this size. */
const LEAST_ARCHIVE = 12;
/** Steps for each block in a sweep. */
const BLOCK_STEPS = 2;
/** Part of the differences taken whole, which jump from one explanation to another. */
const WHOLE_DIFFERENCES = 0.25;
/** Best scale of a difference step in one dimension (ter Braak 2006: 2.38 / sqrt 2). */
const DIFFERENCE_SCALE = 1.68;

/** Log ratio below which no draw would accept, and the logarithm is spared. */
const HOPELESS = -30;
const REFUSED = Number.NEGATIVE_INFINITY;

/** One chain: its present state, and the sweep that moves it on. */
export interface Walker {
  state: Float64Array;
  sweep(): void;
}

/**
 * Starts a chain of draws from a posterior by Metropolis steps.
 *
 * One sweep steps along each of {@link DIRECTIONS} once, with step sizes over several scales at once,
 * tries the jumps between explanations that no small step connects (toe-in to toe-out, toe to
 * looseness, a tire that bounces or not), and then moves whole blocks by the difference of two past
 * draws, which run along the ridges that this very case has. Only the parts of the posterior that a
 * step touches are computed again.
 * @param chain - chain 0 sets out from a healthy car, the others from scattered ones
 * @param archive - past draws, added to; give all chains of a case the same one
 *
 * Sources: Metropolis et al. (1953) with symmetric proposals; scale mixtures after Tierney (1994);
 * differences of past draws, ter Braak and Vrugt (2008), differential evolution Markov chain.
 */
export function createWalker(
  posterior: Posterior,
  random: Random,
  chain: number,
  archive: Float64Array[] = [],
): Walker {
  const state = Float64Array.from(posterior.healthy);
  for (const [element, value] of posterior.known) state[element] = value;
  const isFree = ({ elements }: Direction) => !elements.some((e) => posterior.known.has(e));
  const directions = DIRECTIONS.filter(isFree);
  const constants = CONSTANT_DIRECTIONS.filter(isFree);
  const blocks = BLOCKS;
  // Chains set out from different explanations, so that agreement between them means something.
  const spread = chain === 0 ? 0 : 1;
  for (let wheel = 0; wheel < 4; wheel++) {
    state[AT.camber + wheel]! += spread * 0.8 * random.normal();
  }
  for (let axle = 0; axle < 2; axle++) state[AT.toe + axle]! += spread * 0.4 * random.normal();

  const saved = new Float64Array(state.length);
  const logs = posterior.parts.map(({ log }) => log);
  const current = Float64Array.from(logs, (log) => log(state));
  // A start outside the prior's support would never be left by a downhill walk.
  if (!Number.isFinite(current[0]! + current[1]!)) {
    state.set(posterior.healthy);
    for (const [element, value] of posterior.known) state[element] = value;
    logs.forEach((log, part) => (current[part] = log(state)));
  }
  const trial = Float64Array.from(current);

  /** Accepts or takes back a change that is already made, by the parts that it touches. */
  function decide(touched: number): boolean {
    let change = 0;
    let left = touched;
    while (left !== 0) {
      const lowest = left & -left;
      const part = 31 - Math.clz32(lowest);
      left ^= lowest;
      const value = logs[part]!(state);
      trial[part] = value;
      change += value - current[part]!;
      // What the prior refuses need not be looked at further.
      if ((lowest & PRIORS) !== 0 && change === REFUSED) return false;
    }
    if (!(
      change >= 0 ||
      (change > HOPELESS && Math.log(random.uniform() || Number.MIN_VALUE) < change)
    ))
      return false;
    for (left = touched; left !== 0; left &= left - 1) {
      const part = 31 - Math.clz32(left & -left);
      current[part] = trial[part]!;
    }
    return true;
  }

  function stepAlong({ elements, amounts, reach }: Direction): void {
    const scale = STEP_SCALES[(random.uniform() * STEP_SCALES.length) | 0]!;
    const step = reach * scale * (2 * random.uniform() - 1);
    let touched = 0;
    for (let i = 0; i < elements.length; i++) {
      const element = elements[i]!;
      saved[element] = state[element]!;
      state[element] = state[element]! + step * amounts[i]!;
      touched |= posterior.touches[element]!;
    }
    if (decide(touched)) return;
    for (let i = 0; i < elements.length; i++) state[elements[i]!] = saved[elements[i]!]!;
  }

  /** Steps by the difference of two past draws: long along the ridges that this case has. */
  function stepByDifference(block: readonly number[]): void {
    const from = archive[(random.uniform() * archive.length) | 0]!;
    const to = archive[(random.uniform() * archive.length) | 0]!;
    const gamma =
      random.uniform() < WHOLE_DIFFERENCES
        ? 1
        : (DIFFERENCE_SCALE / Math.sqrt(block.length)) * (0.3 + random.uniform());
    let touched = 0;
    for (let i = 0; i < block.length; i++) {
      const element = block[i]!;
      saved[element] = state[element]!;
      state[element] = state[element]! + gamma * (to[element]! - from[element]!);
      touched |= posterior.touches[element]!;
    }
    if (decide(touched)) return;
    for (let i = 0; i < block.length; i++) state[block[i]!] = saved[block[i]!]!;
  }

  /**
   * Toe of the other sign leaves the same total wear and the mirrored slope, which the cambers of the
   * axle may have made instead. Done twice it undoes itself, so it needs no Jacobian.
   */
  function flipToe(axle: number, leaning: number): void {
    const element = AT.toe + axle;
    const left = AT.camber + 2 * axle;
    const toe = state[element]!;
    const [oldLeft, oldRight] = [state[left]!, state[left + 1]!];
    const lean = 2 * toe * TOE_IN_CAMBER * leaning;
    state[element] = -toe;
    state[left] = oldLeft + lean;
    state[left + 1] = oldRight + lean;
    const touched = posterior.touches[element]!;
    const both = posterior.touches[left]! | posterior.touches[left + 1]!;
    if (decide(leaning === 0 ? touched : touched | both)) return;
    state[element] = toe;
    state[left] = oldLeft;
    state[left + 1] = oldRight;
  }

  /** Toe and wander add as squares: turn the pair on its circle, which keeps the slip. */
  function turnToeIntoPlay(axle: number): void {
    const toe = AT.toe + axle;
    const play = AT.looseness + axle;
    const oldToe = state[toe]!;
    const oldPlay = state[play]!;
    const radius = Math.hypot(oldToe / 2, oldPlay);
    const angle = Math.atan2(oldPlay, oldToe / 2) + 0.8 * random.normal();
    state[toe] = 2 * radius * Math.cos(angle);
    state[play] = radius * Math.sin(angle);
    if (decide(posterior.touches[toe]! | posterior.touches[play]!)) return;
    state[toe] = oldToe;
    state[play] = oldPlay;
  }

  /** Exchanges two elements' distance from healthy: the same fault elsewhere. */
  function exchange(a: number, b: number): void {
    const oldA = state[a]!;
    const oldB = state[b]!;
    state[a] = oldB - posterior.healthy[b]! + posterior.healthy[a]!;
    state[b] = oldA - posterior.healthy[a]! + posterior.healthy[b]!;
    if (decide(posterior.touches[a]! | posterior.touches[b]!)) return;
    state[a] = oldA;
    state[b] = oldB;
  }

  /** Brings a tire's bounce in or out. */
  function toggleBounce(tire: number, alsoTire: number): void {
    const element = AT.bounce + tire;
    const other = AT.bounce + alsoTire;
    state[element] = 1 - state[element]!;
    if (other !== element) state[other] = 1 - state[other]!;
    if (decide(posterior.touches[element]! | posterior.touches[other]!)) return;
    state[element] = 1 - state[element];
    if (other !== element) state[other] = 1 - state[other]!;
  }

  let swept = 0;

  function sweep(): void {
    for (let i = 0; i < directions.length; i++) stepAlong(directions[i]!);
    if (swept % CONSTANTS_EVERY === 0) {
      for (let i = 0; i < constants.length; i++) stepAlong(constants[i]!);
    }
    for (let axle = 0; axle < 2; axle++) {
      flipToe(axle, 0);
      flipToe(axle, random.uniform());
      turnToeIntoPlay(axle);
      exchange(AT.camber + 2 * axle, AT.camber + 2 * axle + 1);
      toggleBounce(2 * axle, 2 * axle + 1);
    }
    for (let tire = 0; tire < 4; tire++) toggleBounce(tire, tire);
    exchange(AT.looseness, AT.looseness + 1);
    swept++;
    if (swept % ARCHIVED_EVERY === 0) archive.push(state.slice());
    if (archive.length < LEAST_ARCHIVE) return;
    for (let i = 0; i < BLOCK_STEPS * blocks.length; i++) {
      stepByDifference(blocks[i % blocks.length]!);
    }
  }

  return { state, sweep };
}
