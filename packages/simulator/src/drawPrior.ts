import {
  bouncePatterns,
  camberPatterns,
  createRandom,
  EXCESS,
  FIRST_NUISANCE,
  GAUGE,
  HARD_CORNERING,
  LOOSE_DEG,
  LOOSE_WHERE,
  NOISE,
  NUISANCE_SPREADS,
  pressurePatterns,
  priorRates,
  SPREAD,
  STATE,
  STATE_SIZE,
} from '@keen/core/engine';
import type { Random, ResolvedCase } from '@keen/core/engine';

/**
 * Draws cars from the prior by drawing what happened to them, one thing after the other: written
 * apart from the density that the engine evaluates, so that each checks the other.
 */
export function createPriorDraws(resolved: ResolvedCase, seed: number): () => Float64Array {
  const random = createRandom(seed);
  const rates = priorRates(resolved);
  const { tolerances } = resolved;
  const cambers = camberPatterns(rates);
  const pressures = pressurePatterns();
  const bounces = bouncePatterns();

  return () => {
    const state = new Float64Array(STATE_SIZE);
    const isKept = random.uniform() < rates.wellKept;
    const happens = (rate: number) => !isKept && random.uniform() < rate;

    const camberCode = happens(rates.camber) ? pick(cambers, random) : 0;
    const pressureCode = happens(rates.pressure) ? pick(pressures, random) : 0;
    const bounceCode = happens(rates.bounce) ? pick(bounces, random) : 0;
    for (let wheel = 0; wheel < 4; wheel++) {
      const [low, high] = wheel < 2 ? tolerances.camber.front : tolerances.camber.rear;
      state[STATE.camber + wheel] = beyond(
        digit(camberCode, wheel),
        low,
        high,
        EXCESS.camberDeg,
        random,
        () => low + (high - low) * random.uniform(),
      );
      const off = tolerances.pressure;
      state[STATE.pressure + wheel] =
        1 +
        beyond(digit(pressureCode, wheel), -off, off, EXCESS.pressure, random, () =>
          within(0, 0.4 * off, -off, off, random),
        );
      state[STATE.bounce + wheel] = (bounceCode >> wheel) & 1;
    }
    for (let axle = 0; axle < 2; axle++) {
      const [low, high] = axle === 0 ? tolerances.totalToe.front : tolerances.totalToe.rear;
      const isOut = happens(axle === 0 ? rates.frontToe : rates.rearToe);
      const side = isOut ? (random.uniform() < 0.5 ? 1 : 2) : 0;
      state[STATE.toe + axle] = beyond(side, low, high, EXCESS.toeDeg, random, () =>
        within((low + high) / 2, (high - low) / 4, low, high, random),
      );
    }
    const looseAt = happens(rates.looseness)
      ? pick(new Float64Array([0, LOOSE_WHERE.front, LOOSE_WHERE.rear, LOOSE_WHERE.both]), random)
      : 0;
    for (let axle = 0; axle < 2; axle++) {
      state[STATE.looseness + axle] =
        (looseAt >> axle) & 1
          ? LOOSE_DEG + EXCESS.loosenessDeg * random.exponential()
          : within(0, 0.05, 0, LOOSE_DEG, random);
    }
    state[STATE.cornering] = happens(rates.hardCornering)
      ? HARD_CORNERING + EXCESS.cornering * random.exponential()
      : within(1, 0.2, 0, HARD_CORNERING, random);
    oddities(state, resolved, random);
    NUISANCE_SPREADS.forEach((sd, i) => (state[FIRST_NUISANCE + i] = sd * random.normal()));
    moveByShop(state, resolved);
    return state;
  };
}

/** What is odd about a car and no fault of it: its rate, its scatter, the day's gauge, one odd thing. */
function oddities(state: Float64Array, { tires }: ResolvedCase, random: Random): void {
  state[STATE.logWearRate] = SPREAD.logWearRate * random.normal();
  state[STATE.noise] = NOISE.scale * random.normal();
  state[STATE.gauge] = (random.uniform() < GAUGE.tail ? GAUGE.tailSd : GAUGE.sd) * random.normal();
  const among = (count: number, rate: number) => {
    const at = Math.floor(random.uniform() / rate);
    return at < count ? at + 1 : 0;
  };
  state[STATE.oddTire] = among(4, NOISE.oddTireRate);
  state[STATE.oddReading] = among(12, NOISE.oddReadingRate);
  const distances = Object.values(tires).map(({ distanceKm }) => distanceKm);
  const mayAge = distances.every((km) => km === distances[0]);
  state[STATE.otherAge] = mayAge ? among(2, NOISE.otherAgeRate / 2) : 0;
}

/** Where the shop's cars differ from the usual: its own means, and its spreads in place of ours. */
function moveByShop(state: Float64Array, { constants }: ResolvedCase): void {
  if (!constants) return;
  const { wearRate, frontToRear, crown, hand } = constants.traits;
  const move = (element: number, usual: number, { mean, sd }: { mean: number; sd: number }) =>
    (state[element] = mean + (sd / usual) * state[element]!);
  move(STATE.logWearRate, SPREAD.logWearRate, wearRate);
  move(STATE.crown, SPREAD.crown, crown);
  move(STATE.hand, SPREAD.hand, hand);
  const sd = frontToRear.sd * Math.SQRT2;
  move(STATE.axleRate, SPREAD.axleRate, { mean: frontToRear.mean, sd });
  move(STATE.axleRate + 1, SPREAD.axleRate, { mean: -frontToRear.mean, sd });
}

/** Below (1) or above (2) a range by an exponential excess, or (0) inside as `inside` draws it. */
function beyond(
  side: number,
  low: number,
  high: number,
  excess: number,
  random: Random,
  inside: () => number,
): number {
  if (side === 1) return low - excess * random.exponential();
  if (side === 2) return high + excess * random.exponential();
  return inside();
}

/** A normal cut to a range, by trying again. */
function within(mean: number, sd: number, low: number, high: number, random: Random): number {
  for (;;) {
    const value = mean + sd * random.normal();
    if (value >= low && value <= high) return value;
  }
}

function digit(code: number, position: number): number {
  return Math.floor(code / 3 ** position) % 3;
}

function pick(chances: Float64Array, random: Random): number {
  let left = random.uniform();
  for (let i = 0; i < chances.length; i++) {
    left -= chances[i]!;
    if (left < 0) return i;
  }
  return chances.length - 1;
}
