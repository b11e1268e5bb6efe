import type { Drive } from '@keen/contract/words';
import { STATE } from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import type { State, World } from './world.ts';

/**
 * A world from first principles, which shares no formula with the engine: the contact patch in strips
 * that press as an elastic foundation and drag as a brush, through a drive cycle of straights, bends,
 * braking and pulling, with wear that grows with a power of the friction energy of each strip.
 *
 * Sources, as recalled: brush model with parabolic pressure, Pacejka, Tire and Vehicle Dynamics, ch. 3;
 * wear with a power of friction energy, Grosch (1992). Magnitudes are invented to give an ordinary car
 * the wear that the trade calls normal.
 */

/** Strips across the tread, three a rib, at their places in units of a rib's width. */
const STRIPS = [-4, -3, -2, -1, 0, 1, 2, 3, 4].map((i) => i / 3);
const DEGREE = Math.PI / 180;
const SWINGS = [
  [-1, -1],
  [-1, 1],
  [1, -1],
  [1, 1],
] as const;

/** One way of driving: its part of the distance, side acceleration (+ = turning left) and braking in g. */
interface Manner {
  part: number;
  side: number;
  along: number;
}

/** What differs from car to car in this world. */
interface Traits {
  power: number;
  friction: number;
  brush: number;
  /** Foundation: part of the mean pressure for each degree of camber, at a rib's width from the centre. */
  leanOfCamber: number;
  leanOfForce: number;
  crown: number;
  shoulders: number;
  load: [number, number];
  axle: [number, number];
  conicity: number[];
  cycle: Manner[];
}

/** Wear of an ordinary front-drive car's front tire, mm in 1000 km. */
const ORDINARY_MM = 0.1;

export const contactPatch: World = {
  name: 'patch',
  lateFaults: 0.3,
  wrongReading: 0.012,
  createPhysics(drive, car, random) {
    const traits = drawTraits(drive, car, random);
    const plain = { ...traits, cycle: driveCycle(1, 0.5), crown: 0, conicity: [0, 0, 0, 0] };
    const healthy = new Float64Array(car.length);
    healthy.fill(1, STATE.pressure, STATE.pressure + 4);
    healthy[STATE.toe] = 0.05;
    const usual = ribRates(healthy, 0, 0, plain, 'fwd');
    const scale =
      ((ORDINARY_MM * 3) / (usual[0] + usual[1] + usual[2])) * Math.exp(car[STATE.logWearRate]!);
    const fresh = 0.15 + 0.3 * random.uniform();
    const hardens = 0.3 * random.uniform();
    return {
      rates(state, tire, position) {
        const [inner, centre, outer] = ribRates(state, tire, position, traits, drive);
        return [scale * inner, scale * centre, scale * outer];
      },
      // The first part of a tread's life wears fastest; rubber hardens with the years.
      depthFactor: (lostPart) =>
        (1 + fresh * Math.exp(-lostPart / 0.12)) * (1 - hardens * lostPart),
    };
  },
  drawFactors(_state, random) {
    const isMixed = random.uniform() < 0.06;
    const size = 0.03 + 0.04 * random.uniform();
    const older = isMixed ? Math.exp(0.4 * random.normal()) : 1;
    const axle = random.uniform() < 0.5 ? 0 : 1;
    const odd = random.uniform() < 0.05 ? Math.floor(4 * random.uniform()) : -1;
    const tire = [0, 1, 2, 3].map(
      (at) =>
        Math.exp(size * random.normal() + (at === odd ? 0.3 * random.normal() : 0)) *
        (at >> 1 === axle ? older : 1),
    );
    return {
      tire,
      rib: tire.map(() => [0, 1, 2].map(() => Math.exp(0.6 * size * random.normal()))),
    };
  },
};

function drawTraits(drive: Drive, car: State, random: Random): Traits {
  const jitter = (sd: number) => Math.exp(sd * random.normal());
  const front = (drive === 'fwd' ? 0.6 : 0.53) * jitter(0.04);
  return {
    power: 1 + 0.35 * random.uniform(),
    friction: 0.9 * jitter(0.08),
    brush: 12 * jitter(0.15),
    leanOfCamber: 0.025 * jitter(0.2),
    leanOfForce: 1.8 * jitter(0.3),
    crown: 0.04 * random.normal(),
    shoulders: 1.1 * jitter(0.2),
    load: [2 * front, 2 * (1 - front)],
    axle: [jitter(0.12), jitter(0.12)],
    conicity: [0, 1, 2, 3].map(() => 0.015 * random.normal()),
    cycle: driveCycle(car[STATE.cornering]!, 0.5 + 0.05 * random.normal()),
  };
}

/**
 * A drive cycle of an ordinary road: two thirds nearly straight, bends left and right of three
 * tightnesses, some braking and pulling.
 * @param cornering - multiple of the usual side acceleration
 * @param left - part of the bends that turn left
 */
function driveCycle(cornering: number, left: number): Manner[] {
  const bends = [
    { part: 0.14, side: 0.06 },
    { part: 0.09, side: 0.13 },
    { part: 0.04, side: 0.22 },
  ];
  return [
    { part: 0.53, side: 0, along: 0.02 },
    { part: 0.1, side: 0, along: -0.15 },
    { part: 0.1, side: 0, along: 0.1 },
    ...bends.flatMap(({ part, side }) => [
      { part: part * left, side: side * cornering, along: 0 },
      { part: part * (1 - left), side: -side * cornering, along: 0 },
    ]),
  ];
}

/** Friction energy to a power at the three ribs, over the drive cycle, in units of no meaning. */
function ribRates(
  state: State,
  tire: number,
  position: number,
  traits: Traits,
  drive: Drive,
): [number, number, number] {
  const axle = position >> 1;
  const isLeft = (position & 1) === 0;
  // A bend to the left pushes the right wheels toward the car and the left ones away from it.
  const inward = isLeft ? -1 : 1;
  const camber = state[STATE.camber + position]!;
  const toe = (state[STATE.toe + axle]! / 2) * DEGREE;
  const wander = state[STATE.looseness + axle]! * DEGREE;
  const pressure = state[STATE.pressure + tire]!;
  const bounce = state[STATE.bounce + tire]! > 0.5;
  const ribs: [number, number, number] = [0, 0, 0];
  for (const { part, side, along } of traits.cycle) {
    // Turning left loads the right wheels; braking loads the front.
    const sideShift = (isLeft ? -1 : 1) * 0.5 * side;
    const alongShift = (axle === 0 ? -1 : 1) * 0.25 * along;
    const load = Math.max(0.1, traits.load[axle]! * (1 + sideShift + alongShift));
    const drag =
      along < 0
        ? -along * (axle === 0 ? 0.6 : 0.4) * 1.5
        : along * (drive === 'awd' ? 0.5 : (drive === 'fwd') === (axle === 0) ? 1 : 0) * 1.5;
    // The road swings the wheel both ways, and loose joints do so by themselves.
    for (const [swing, play] of SWINGS) {
      // Slip that the side force needs, with that of the toe: + moves the patch toward the car.
      const needed = (side * 0.5 * inward) / traits.brush;
      const ownSlip = 0.0034 * swing * traits.axle[axle]!;
      const slip = toe + needed + ownSlip + wander * play;
      const force = slip * traits.brush;
      const pressures = stripPressures(
        load,
        traits.leanOfCamber * camber + traits.leanOfForce * force + traits.conicity[position]!,
        traits.shoulders * (1 - pressure) + traits.crown,
      );
      pressures.forEach((p, strip) => {
        if (p <= 0) return;
        const y = STRIPS[strip]!;
        const longitudinal =
          drag / traits.brush / 2 + 0.0009 * y * camber + 0.0016 * traits.axle[axle]!;
        const total = Math.hypot(slip, longitudinal);
        const dragged = brushForce(total, p, traits);
        const energy = dragged * total * (pressure < 1 ? 1 + 0.8 * (1 - pressure) : 1);
        ribs[Math.floor(strip / 3)]! +=
          (part / SWINGS.length) * Math.pow(energy * 1e4, traits.power) * (bounce ? 1.15 : 1);
      });
    }
  }
  return ribs;
}

/** Pressures of the strips under a load: a foundation that leans and rounds, and cannot pull. */
function stripPressures(load: number, lean: number, round: number): number[] {
  const shape = STRIPS.map((y) => 1 + lean * y + round * (y * y - 0.74));
  // Raised or lowered until the strips that touch carry the load.
  let [low, high] = [-3, 3];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    const carried = shape.reduce((sum, s) => sum + Math.max(0, s + middle), 0);
    if (carried < STRIPS.length) low = middle;
    else high = middle;
  }
  return shape.map((s) => (Math.max(0, s + low) * load) / STRIPS.length);
}

/** Force of a strip of bristles at a slip: parabolic pressure, sticking in front and sliding behind. */
function brushForce(slip: number, pressure: number, { friction, brush }: Traits): number {
  const most = friction * pressure;
  const theta = (brush * slip) / (3 * friction);
  if (theta >= 1) return most;
  return most * (3 * theta - 3 * theta * theta + theta ** 3);
}
