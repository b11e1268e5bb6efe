import { exp, log } from '../math/elementary.ts';
import type { RibDraws } from './depthLikelihood.ts';
import type { Random } from '../random/random.ts';
import { STATE } from '../wear/state.ts';
import { BLOCKS, DIRECTIONS, TOE_IN_CAMBER } from './moves.ts';
import type { Direction } from './moves.ts';
import type { Posterior } from './posterior.ts';
import { PRIOR_PARTS } from './posterior.ts';

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const PRIORS = (1 << PRIOR_PARTS) - 1;

/** Steps are tried at all these multiples of a direction's own width, so that a ragged posterior is met. */
const STEP_SCALES = [3, 1.6, 1, 1, 0.5] as const;
/** One step in so many is as long as the prior is wide, so that a far explanation is reached in one. */
const LONG_STEPS = 4;
/** The widths are learned in the first sweeps of a chain, toward this rate of acceptance (Roberts, Gelman, Gilks 1997). */
const GOOD_RATE = 0.25;
const LEARNING = 0.15;

/** The age of an axle is redrawn in one of so many sweeps. */
const SELDOM = 3;
/** One of so many sweeps leaves its state in the archive. */
const ARCHIVED_EVERY = 4;
/** Differences are drawn from an archive of at least this size. */
const LEAST_ARCHIVE = 12;
/** Part of the differences taken whole, which jump from one explanation to another. */
const WHOLE_DIFFERENCES = 0.25;
/** Best scale of a difference step in one dimension (ter Braak 2006: 2.38 / sqrt 2). */
const DIFFERENCE_SCALE = 1.68;
/** Width of the turns of toe into play, as the tangent of half the angle. */
const TURN = 0.5;

const RIBS_OF_CAR = 12;
/** How far camber (degrees) and pressure step when a wrong reading is brought in or out. */
const READING_CAMBER = 4;
const READING_PRESSURE = 0.4;
/** How far all pressures are moved together, as a part of the target, and how much they are stretched apart. */
const SQUEEZE_REACH = 0.3;
const SQUEEZE = 0.6;

/** Log ratio below which no draw would accept, and the logarithm is spared. */
const HOPELESS = -60;
const REFUSED = Number.NEGATIVE_INFINITY;
/** Keeps the logarithm of a uniform finite. */
const LEAST_UNIFORM = 1e-300;

/** A Markov chain: its present state, and the sweep that moves it on. */
export interface MarkovChain {
  state: Float64Array;
  sweep(): void;
  /** Ends the learning of step widths; only draws after this are the posterior's. */
  settle(): void;
  /** Draws what was integrated out, given the present state, into the state: see depthLikelihood.ts. */
  drawNuisances(ribs: RibDraws): void;
}

/**
 * Starts a chain of draws from a posterior by Metropolis steps.
 *
 * One sweep steps along each of {@link DIRECTIONS} once, with step sizes over several scales at once,
 * tries the jumps between explanations that no small step connects (toe-in to toe-out, toe to
 * looseness, a tire that bounces or not, an odd reading), and then moves whole blocks by the difference
 * of two past draws, which run along the ridges that this very case has. Only the parts of the posterior
 * that a step touches are computed again.
 * @param chain - chain 0 sets out from a healthy car, the others from scattered ones
 * @param archive - past draws, added to; give all chains of a case the same one
 *
 * Sources: delayed acceptance, Christen and Fox (2005), algorithm 1; Metropolis et al. (1953) with symmetric proposals; scale mixtures after Tierney (1994);
 * differences of past draws, ter Braak and Vrugt (2008), differential evolution Markov chain.
 */
export function createChain(
  posterior: Posterior,
  random: Random,
  chain: number,
  archive: Float64Array[] = [],
): MarkovChain {
  const state = Float64Array.from(posterior.healthy);
  for (const [element, value] of posterior.known) state[element] = value;
  const isFree = ({ elements }: Direction) => !elements.some((e) => posterior.known.has(e));
  const directions = DIRECTIONS.filter(isFree);
  const { touches, wears, scatters } = posterior;
  /** Each direction's width, as a part of its reach. */
  const widths = new Float64Array(directions.length).fill(0.5);
  let isLearning = true;
  // Chains set out from different explanations, so that agreement between them means something.
  const spread = chain === 0 ? 0 : 1;
  for (let wheel = 0; wheel < 4; wheel++) {
    state[AT.camber + wheel]! += spread * 0.8 * random.normal();
  }
  for (let axle = 0; axle < 2; axle++) state[AT.toe + axle]! += spread * 0.4 * random.normal();

  const saved = new Float64Array(state.length);
  const logs = posterior.parts.map((part) => part.log);
  const depths = posterior.createDepths();
  const current = Float64Array.from(logs, (part) => part(state));
  // A start outside the prior's support would never be left by a downhill walk.
  if (!Number.isFinite(current[0]! + current[1]!)) {
    state.set(posterior.healthy);
    for (const [element, value] of posterior.known) state[element] = value;
    logs.forEach((part, i) => (current[i] = part(state)));
  }
  let currentDepths = depths.propose(state, 0b1111);
  depths.accept();
  const trial = Float64Array.from(current);

  /**
   * Accepts a change that is already made, or says that it is to be taken back. A change of the depths is
   * screened by a cheap guess first, and what passes is corrected for the guess.
   * @param touched - parts whose terms may have changed
   * @param worn - tires whose losses may have changed
   * @param isScatter - whether the scatter of the depths may have
   * @param logJacobian - of a change that stretches the space
   */
  function decide(touched: number, worn: number, isScatter: boolean, logJacobian = 0): boolean {
    let change = logJacobian;
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
    if (change < HOPELESS) return false;
    const isDeep = worn !== 0 || isScatter;
    let trialDepths = currentDepths;
    let first = 0;
    if (isDeep) {
      if (!isScatter) {
        first = change + depths.screen(state, worn) - currentDepths;
        if (first < log(random.uniform() + LEAST_UNIFORM)) return false;
      }
      trialDepths = depths.propose(state, worn);
      const prior = change;
      change += trialDepths - currentDepths;
      if (!isScatter) {
        const back = depths.screenBack() - trialDepths - prior;
        change += Math.min(0, back) - Math.min(0, first);
      }
    }
    if (!(change >= 0 || change >= log(random.uniform() + LEAST_UNIFORM))) return false;
    for (let left = touched; left !== 0; left &= left - 1) {
      const part = 31 - Math.clz32(left & -left);
      current[part] = trial[part]!;
    }
    if (isDeep) {
      currentDepths = trialDepths;
      depths.accept();
    }
    return true;
  }

  function stepAlong(at: number, { elements, amounts, reach }: Direction): void {
    const isLong = random.uniform() * LONG_STEPS < 1;
    const scale = isLong
      ? 2 * random.uniform()
      : widths[at]! * STEP_SCALES[(random.uniform() * STEP_SCALES.length) | 0]!;
    const step = reach * scale * (2 * random.uniform() - 1);
    let touched = 0;
    let worn = 0;
    let isScatter = false;
    for (let i = 0; i < elements.length; i++) {
      const element = elements[i]!;
      saved[element] = state[element]!;
      state[element] = state[element]! + step * amounts[i]!;
      touched |= touches[element]!;
      worn |= wears[element]!;
      if (scatters[element] === 1) isScatter = true;
    }
    const isTaken = decide(touched, worn, isScatter);
    if (isLearning && !isLong) {
      const width = widths[at]! * (1 + LEARNING * ((isTaken ? 1 : 0) - GOOD_RATE));
      widths[at] = Math.min(2, Math.max(0.01, width));
    }
    if (isTaken) return;
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
    let worn = 0;
    for (let i = 0; i < block.length; i++) {
      const element = block[i]!;
      saved[element] = state[element]!;
      state[element] = state[element]! + gamma * (to[element]! - from[element]!);
      touched |= touches[element]!;
      worn |= wears[element]!;
    }
    if (decide(touched, worn, false)) return;
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
    const both = touches[left]! | touches[left + 1]!;
    const bothWorn = wears[left]! | wears[left + 1]!;
    const isDone =
      leaning === 0
        ? decide(touches[element]!, wears[element]!, false)
        : decide(touches[element]! | both, wears[element]! | bothWorn, false);
    if (isDone) return;
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
    const half = TURN * random.normal();
    const cosine = (1 - half * half) / (1 + half * half);
    const sine = (2 * half) / (1 + half * half);
    state[toe] = oldToe * cosine - 2 * oldPlay * sine;
    state[play] = (oldToe / 2) * sine + oldPlay * cosine;
    if (decide(touches[toe]! | touches[play]!, wears[toe]! | wears[play]!, false)) return;
    state[toe] = oldToe;
    state[play] = oldPlay;
  }

  /** Exchanges two elements' distance from healthy: the same fault elsewhere. */
  function exchange(a: number, b: number): void {
    const oldA = state[a]!;
    const oldB = state[b]!;
    state[a] = oldB - posterior.healthy[b]! + posterior.healthy[a]!;
    state[b] = oldA - posterior.healthy[a]! + posterior.healthy[b]!;
    if (decide(touches[a]! | touches[b]!, wears[a]! | wears[b]!, false)) return;
    state[a] = oldA;
    state[b] = oldB;
  }

  /**
   * Moves all four pressures together and draws them nearer to one another or apart: either all of them
   * are out or none, and there is little between. Stretching their three differences by k costs k^3.
   */
  function squeezePressures(): void {
    const at = AT.pressure;
    const mean = (state[at]! + state[at + 1]! + state[at + 2]! + state[at + 3]!) / 4;
    const moved = mean + SQUEEZE_REACH * (2 * random.uniform() - 1);
    const logStretch = SQUEEZE * random.normal();
    const stretch = exp(logStretch);
    let touched = 0;
    let worn = 0;
    for (let tire = 0; tire < 4; tire++) {
      saved[at + tire] = state[at + tire]!;
      state[at + tire] = moved + stretch * (state[at + tire]! - mean);
      touched |= touches[at + tire]!;
      worn |= wears[at + tire]!;
    }
    if (decide(touched, worn, false, 3 * logStretch)) return;
    for (let tire = 0; tire < 4; tire++) state[at + tire] = saved[at + tire]!;
  }

  /** Brings a tire's bounce in or out. */
  function toggleBounce(tire: number, alsoTire: number): void {
    const element = AT.bounce + tire;
    const other = AT.bounce + alsoTire;
    state[element] = 1 - state[element]!;
    if (other !== element) state[other] = 1 - state[other]!;
    if (decide(touches[element]! | touches[other]!, wears[element]! | wears[other]!, false)) return;
    state[element] = 1 - state[element];
    if (other !== element) state[other] = 1 - state[other]!;
  }

  /** Proposes any of an oddity's values, the present one among them. */
  function redraw(element: number, values: number): void {
    const old = state[element]!;
    const value = (random.uniform() * values) | 0;
    if (value === old) return;
    state[element] = value;
    if (decide(touches[element]!, 0, true)) return;
    state[element] = old;
  }

  /**
   * A wrong reading in place of the camber or pressure that would have worn that rib, or the other way
   * round: proposes any rib or none, and steps what is most about that rib along with it.
   */
  function redrawReading(): void {
    const element = AT.oddReading;
    const old = state[element]!;
    const value = (random.uniform() * (RIBS_OF_CAR + 1)) | 0;
    if (value === old) return;
    const rib = (value === 0 ? old : value) - 1;
    const tire = (rib / 3) | 0;
    const isCentre = rib % 3 === 1;
    const along = (isCentre ? AT.pressure : AT.camber) + tire;
    const reach = isCentre ? READING_PRESSURE : READING_CAMBER;
    const oldAlong = state[along]!;
    state[element] = value;
    state[along] = oldAlong + reach * random.uniform() * (2 * random.uniform() - 1);
    if (decide(touches[element]! | touches[along]!, wears[along]!, true)) return;
    state[element] = old;
    state[along] = oldAlong;
  }

  let swept = 0;

  function sweep(): void {
    for (let i = 0; i < directions.length; i++) stepAlong(i, directions[i]!);
    for (let axle = 0; axle < 2; axle++) {
      flipToe(axle, 0);
      flipToe(axle, random.uniform());
      turnToeIntoPlay(axle);
      exchange(AT.camber + 2 * axle, AT.camber + 2 * axle + 1);
    }
    const tire = swept & 3;
    toggleBounce(tire, tire);
    toggleBounce(tire, tire ^ 1);
    exchange(AT.looseness, AT.looseness + 1);
    squeezePressures();
    squeezePressures();
    redraw(AT.oddTire, 5);
    redrawReading();
    redrawReading();
    redraw(AT.oddReading, RIBS_OF_CAR + 1);
    if (swept % SELDOM === 0) redraw(AT.otherAge, 3);
    swept++;
    if (swept % ARCHIVED_EVERY === 0) archive.push(state.slice());
    if (archive.length < LEAST_ARCHIVE) return;
    for (let i = 0; i < BLOCKS.length; i++) stepByDifference(BLOCKS[i]!);
  }

  return {
    state,
    sweep,
    settle: () => (isLearning = false),
    drawNuisances: (ribs) => depths.drawNuisances(state, random, ribs),
  };
}
