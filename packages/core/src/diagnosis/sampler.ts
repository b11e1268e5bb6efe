import type { Random } from '../random/random.ts';
import { STATE } from '../wear/state.ts';
import { DIRECTIONS } from './moves.ts';
import type { Posterior } from './posterior.ts';
import { TOUCHES_HAND } from './posterior.ts';

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const HAND = TOUCHES_HAND;

/** Steps are tried at all these parts of a direction's reach, so that every width of posterior is met. */
const STEP_SCALES = [2, 1.2, 0.7, 0.4, 0.23, 0.13, 0.07, 0.04] as const;

/** Log ratio below which no draw would accept, and the logarithm is spared. */
const HOPELESS = -30;

/** One chain: its present state, and the sweep that moves it on. */
export interface Walker {
  state: Float64Array;
  sweep(): void;
}

/**
 * Starts a chain of draws from a posterior by Metropolis steps.
 *
 * One sweep steps along each of {@link DIRECTIONS} once, with step sizes over several scales at once
 * (no adaptation, so a case gives the same chain always), and then tries the jumps between
 * explanations that no small step connects: toe-in to toe-out, toe to looseness, a tire that bounces
 * or not. Only the parts of the posterior that a step touches are computed again.
 * @param chain - chain 0 sets out from a healthy car, the others from scattered ones
 *
 * Source: Metropolis et al. (1953) with symmetric proposals; scale mixtures after Tierney (1994).
 */
export function createWalker(posterior: Posterior, random: Random, chain: number): Walker {
  const state = Float64Array.from(posterior.healthy);
  for (const [element, value] of posterior.known) state[element] = value;
  const STEPS = DIRECTIONS.filter(({ elements }) => !elements.some((e) => posterior.known.has(e)));
  // Chains set out from different explanations, so that agreement between them means something.
  const spread = chain === 0 ? 0 : 1;
  for (let wheel = 0; wheel < 4; wheel++) {
    state[AT.camber + wheel]! += spread * 0.8 * random.normal();
  }
  for (let axle = 0; axle < 2; axle++) state[AT.toe + axle]! += spread * 0.4 * random.normal();

  const saved = new Float64Array(state.length);
  const depths = [0, 1, 2, 3].map((tire) => posterior.depth(state, tire));
  const trial = [0, 0, 0, 0];
  let hand = posterior.hand(state);
  let prior = posterior.prior(state);
  // A start outside the prior's support would never be left by a downhill walk.
  if (!Number.isFinite(prior)) {
    state.set(posterior.healthy);
    for (const [element, value] of posterior.known) state[element] = value;
    prior = posterior.prior(state);
  }

  /** Accepts or takes back a change that is already made; `logJacobian` for what is not symmetric. */
  function decide(touched: number, logJacobian: number): boolean {
    const newPrior = posterior.prior(state);
    if (newPrior === Number.NEGATIVE_INFINITY) return false;
    let change = newPrior - prior + logJacobian;
    for (let tire = 0; tire < 4; tire++) {
      if ((touched & (1 << tire)) === 0) continue;
      const depth = posterior.depth(state, tire);
      trial[tire] = depth;
      change += depth - depths[tire]!;
    }
    const newHand = touched & HAND ? posterior.hand(state) : hand;
    change += newHand - hand;
    if (!(
      change >= 0 ||
      (change > HOPELESS && Math.log(random.uniform() || Number.MIN_VALUE) < change)
    ))
      return false;
    prior = newPrior;
    hand = newHand;
    for (let tire = 0; tire < 4; tire++) if (touched & (1 << tire)) depths[tire] = trial[tire]!;
    return true;
  }

  function stepAlong(index: number): void {
    const { elements, amounts, reach } = STEPS[index]!;
    const scale = STEP_SCALES[(random.uniform() * STEP_SCALES.length) | 0]!;
    const step = reach * scale * (2 * random.uniform() - 1);
    let touched = 0;
    for (let i = 0; i < elements.length; i++) {
      const element = elements[i]!;
      saved[element] = state[element]!;
      state[element] = state[element]! + step * amounts[i]!;
      touched |= posterior.touches[element]!;
    }
    if (decide(touched, 0)) return;
    for (let i = 0; i < elements.length; i++) state[elements[i]!] = saved[elements[i]!]!;
  }

  /** Toe of the other sign leaves the same total wear and the mirrored slope. */
  function flipToe(axle: number): void {
    const element = AT.toe + axle;
    const before = state[element]!;
    state[element] = -before;
    if (!decide(posterior.touches[element]!, 0)) state[element] = before;
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
    if (decide(posterior.touches[toe]! | posterior.touches[play]!, 0)) return;
    state[toe] = oldToe;
    state[play] = oldPlay;
  }

  /** Exchanges two elements' distance from healthy: the same fault elsewhere. */
  function exchange(a: number, b: number): void {
    const oldA = state[a]!;
    const oldB = state[b]!;
    state[a] = oldB - posterior.healthy[b]! + posterior.healthy[a]!;
    state[b] = oldA - posterior.healthy[a]! + posterior.healthy[b]!;
    if (decide(posterior.touches[a]! | posterior.touches[b]!, 0)) return;
    state[a] = oldA;
    state[b] = oldB;
  }

  /** Brings a tire's bounce in or out. */
  function toggleBounce(tire: number, alsoTire: number): void {
    const element = AT.bounce + tire;
    const other = AT.bounce + alsoTire;
    state[element] = 1 - state[element]!;
    if (other !== element) state[other] = 1 - state[other]!;
    if (decide(posterior.touches[element]! | posterior.touches[other]!, 0)) return;
    state[element] = 1 - state[element];
    if (other !== element) state[other] = 1 - state[other]!;
  }

  function sweep(): void {
    for (let i = 0; i < STEPS.length; i++) stepAlong(i);
    for (let axle = 0; axle < 2; axle++) {
      flipToe(axle);
      turnToeIntoPlay(axle);
      exchange(AT.camber + 2 * axle, AT.camber + 2 * axle + 1);
      toggleBounce(2 * axle, 2 * axle + 1);
    }
    for (let tire = 0; tire < 4; tire++) toggleBounce(tire, tire);
    exchange(AT.looseness, AT.looseness + 1);
  }

  return { state, sweep };
}
