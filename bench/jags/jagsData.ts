import type { CaseFile } from '@keen/contract';
import { COMPLAINTS, CUPPINGS, FEATHERS, PLAYS } from '@keen/contract/words';
import {
  bouncePatterns,
  camberPatterns,
  createRandom,
  DRIVING_SLIP,
  featherPath,
  LOOSE_WHERE,
  NOISE,
  playChances,
  PRESSURE_RATE,
  pressurePatterns,
  priorRates,
  resolveCase,
  tirePaths,
  tireReadings,
  waveChances,
  WHEEL_ORDER,
} from '@keen/core/engine';

type Table = readonly (readonly number[])[];
type Value = number | readonly number[] | { table: Table };

/** The data of a case for model.bug, as an R dump. */
export function jagsData(file: CaseFile): string {
  const resolved = resolveCase(file);
  const { tolerances, drive } = resolved;
  const rates = priorRates(resolved);
  const axles = ['front', 'rear'] as const;
  const byAxle = (range: (axle: 'front' | 'rear') => number) => axles.map(range);
  const byWheel = (range: (axle: 'front' | 'rear') => number) =>
    WHEEL_ORDER.map((_, wheel) => range(axles[wheel >> 1]!));
  const paths = tirePaths(resolved);
  const readings = WHEEL_ORDER.map((wheel) => tireReadings(resolved.tires[wheel]));
  const stretch = (values: ArrayLike<number>, none: number) => [values[0]!, values[1] ?? none];

  const known = <Word extends string>(words: readonly Word[], word: Word) =>
    word === 'unknown' ? [] : [words.indexOf(word) + 1];
  const feathers = WHEEL_ORDER.flatMap((wheel, tire) =>
    known(FEATHERS, resolved.tires[wheel].feather).map((felt) => {
      const { front, rear } = featherPath(resolved, tire);
      return { felt, front, rear };
    }),
  );
  const waves = WHEEL_ORDER.flatMap((wheel, tire) =>
    known(CUPPINGS, resolved.tires[wheel].cupping).map((found) => ({ found, tire: tire + 1 })),
  );
  const plays = WHEEL_ORDER.flatMap((wheel, index) =>
    known(PLAYS, resolved.play[wheel]).map((found) => ({ found, axle: (index >> 1) + 1 })),
  );
  const pressures = WHEEL_ORDER.flatMap((wheel, tire) => {
    const ratio = resolved.tires[wheel].pressureRatio;
    return ratio === null ? [] : [{ ratio, tire: tire + 1 }];
  });
  const cambers = WHEEL_ORDER.flatMap((wheel, index) => {
    const { camber } = resolved.angles[wheel];
    return camber === null ? [] : [{ camber, wheel: index + 1 }];
  });
  const toes = [0, 1].flatMap((axle) => {
    const left = resolved.angles[WHEEL_ORDER[2 * axle]!].toe;
    const right = resolved.angles[WHEEL_ORDER[2 * axle + 1]!].toe;
    if (left === null && right === null) return [];
    const isPair = left !== null && right !== null;
    const total = isPair ? left + right : 2 * (left ?? right ?? 0);
    return [{ total, axle: axle + 1, sd: isPair ? 0.04 * Math.SQRT2 : 0.25 }];
  });
  const distances = WHEEL_ORDER.map((wheel) => resolved.tires[wheel].distanceKm);
  const isOneAge = distances.every((km) => km === distances[0]);
  /** Chances of none of so many, and of each. */
  const among = (count: number, rate: number) => [
    1 - count * rate,
    ...new Array<number>(count).fill(rate),
  ];
  /** A list with the dummy first row that the model skips. */
  const list = (values: readonly number[]) => [1, ...values];

  return dump({
    camberLow: byWheel((axle) => tolerances.camber[axle][0]),
    camberHigh: byWheel((axle) => tolerances.camber[axle][1]),
    toeLow: byAxle((axle) => tolerances.totalToe[axle][0]),
    toeHigh: byAxle((axle) => tolerances.totalToe[axle][1]),
    pressureTol: tolerances.pressure,
    wellKept: rates.wellKept,
    toeRate: [rates.frontToe, rates.rearToe],
    hardRate: rates.hardCornering,
    camberChance: withNone(camberPatterns(rates), rates.camber),
    pressureChance: withNone(pressurePatterns(), rates.pressure),
    bounceChance: withNone(bouncePatterns(), rates.bounce),
    looseChance: withNone(
      Float64Array.from([0, LOOSE_WHERE.front, LOOSE_WHERE.rear, LOOSE_WHERE.both]),
      rates.looseness,
    ),
    rateLinear: PRESSURE_RATE.linear,
    rateSquare: PRESSURE_RATE.square,
    pos: { table: paths.map((path) => stretch(path.positions, path.positions[0]!).map(plusOne)) },
    km: { table: paths.map((path) => stretch(path.thousandKm, 0)) },
    slip0: { table: paths.map((path) => stretch(path.drivingSlips, path.drivingSlips[0]!)) },
    read: {
      table: readings.map(({ lossMm }) => lossMm.map((loss) => (Number.isNaN(loss) ? 0 : loss))),
    },
    count: { table: readings.map(({ count }) => count) },
    meanLoss: readings.map(({ lossMm }) => {
      const read = lossMm.filter((loss) => !Number.isNaN(loss));
      return read.reduce((sum, loss) => sum + Math.max(0, loss), 0) / (read.length || 1);
    }),
    scatter: readings.map(({ scatterMm2 }) => scatterMm2),
    freedom: readings.map(({ scatterFreedom }) => scatterFreedom),
    roundingVar: resolved.reading.roundingMm ** 2 / 12,
    newDepth: paths.map(({ newDepthMm }) => newDepthMm),
    oddTireChance: among(4, NOISE.oddTireRate),
    oddReadingChance: among(12, NOISE.oddReadingRate),
    otherAgeChance: among(2, isOneAge ? NOISE.otherAgeRate / 2 : 0),
    nFeather: feathers.length + 1,
    feather: list(feathers.map(({ felt }) => felt)),
    featherFront: list(feathers.map(({ front }) => front)),
    featherRear: list(feathers.map(({ rear }) => rear)),
    frontSlip: DRIVING_SLIP[drive].front,
    rearSlip: DRIVING_SLIP[drive].rear,
    nWaves: waves.length + 1,
    waves: list(waves.map(({ found }) => found)),
    wavesTire: list(waves.map(({ tire }) => tire)),
    wavesChance: { table: [waveChances(false), waveChances(true)] },
    nPlay: plays.length + 1,
    play: list(plays.map(({ found }) => found)),
    playAxle: list(plays.map(({ axle }) => axle)),
    playChance: { table: [playChances(false), playChances(true)] },
    nPressure: pressures.length + 1,
    pressureFound: list(pressures.map(({ ratio }) => ratio)),
    pressureTire: list(pressures.map(({ tire }) => tire)),
    nCamber: cambers.length + 1,
    camberFound: list(cambers.map(({ camber }) => camber)),
    camberWheel: list(cambers.map(({ wheel }) => wheel)),
    nToe: toes.length + 1,
    toeFound: list(toes.map(({ total }) => total)),
    toeAxle: list(toes.map(({ axle }) => axle)),
    toeFoundSd: list(toes.map(({ sd }) => sd)),
    asked: resolved.askedComplaints ? 1 : 0,
    said: COMPLAINTS.map((complaint) => (resolved.complaints.includes(complaint) ? 1 : 0)),
  });
}

/** Where a chain sets out: the first from a healthy car, the others from scattered ones. */
export function jagsStart(chain: number): string {
  const random = createRandom(100 + chain);
  const spread = chain === 0 ? 0 : 1;
  return dump({
    camber: [0, 1, 2, 3].map(() => -0.5 + spread * random.normal()),
    toe: [0, 1].map(() => 0.1 + 0.4 * spread * random.normal()),
    pressure: [1, 1, 1, 1],
    bounce: [0, 0, 0, 0],
    loose: [0.03, 0.03],
    cornering: 1,
    '.RNG.seed': chain + 1,
  }).concat('".RNG.name" <- "base::Mersenne-Twister"\n');
}

function withNone(given: Float64Array, rate: number): number[] {
  return [...given].map((chance, code) => (code === 0 ? 1 - rate : rate * chance));
}

function plusOne(value: number): number {
  return value + 1;
}

function dump(values: Record<string, Value>): string {
  return Object.entries(values)
    .map(([name, value]) => `"${name}" <- ${literal(value)}\n`)
    .join('');
}

function literal(value: Value): string {
  if (typeof value === 'number') return String(value);
  if (!('table' in value)) return `c(${value.join(', ')})`;
  const { table } = value;
  const columns = table[0]!.map((_, column) => table.map((row) => row[column]!));
  return `structure(c(${columns.flat().join(', ')}), .Dim = c(${table.length}L, ${columns.length}L))`;
}
