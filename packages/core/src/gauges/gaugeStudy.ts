import { createRandom } from '../engine/random/random.ts';
import { fTail } from './fTail.ts';

/** A standard deviation in mm with its 95 % interval. */
export interface SpreadMm {
  mm: number;
  low: number;
  high: number;
}

/** One line of the analysis of variance. */
export interface VarianceRow {
  source: 'people' | 'marks' | 'peopleByMarks' | 'repeats' | 'total';
  sumOfSquares: number;
  freedom: number;
  /** Null for the total. */
  meanSquare: number | null;
}

/** What two or more people and one gauge can tell. */
export interface GaugeStudy {
  people: number;
  trials: number;
  marks: number;
  table: VarianceRow[];
  /** People who read some marks differently than others: the test, and whether it counts as chance. */
  interaction: { f: number; p: number; isPooled: boolean };
  /** One person at one mark again and again. */
  repeatability: SpreadMm;
  /** One person's reading at one mark, with what is their own there: what the diagnosis sees within a visit. */
  within: SpreadMm;
  /** From person to person. */
  reproducibility: SpreadMm;
  /** Both together: anybody's reading. */
  gauge: SpreadMm;
  /** From mark to mark: what there is to see. */
  marksDiffer: SpreadMm;
  total: number;
  /** The gauge as a part of the total, 0 to 1. */
  partOfTotal: number;
  /** Steps of depth that can be told apart over these marks, whole ones below; with its 95 % interval. */
  categories: { count: number; low: number; high: number };
  /** How far each person reads from all together, mm, deeper positive. */
  offsets: SpreadMm[];
  /** The least difference that two readings must show to be one: 1 in 20 by chance, mm. */
  seen: { byOne: SpreadMm; byTwo: SpreadMm };
  /** Degrees of freedom of `within`. */
  freedom: number;
}

/** At a larger chance the interaction is taken as noise (AIAG MSA manual; recalled from memory). */
const POOLED_ABOVE = 0.25;
/** Distinct categories: 1.41 times the ratio of spreads (AIAG MSA manual; recalled from memory). */
const CATEGORY_FACTOR = 1.41;
/** Two readings differ by chance by less than this many standard deviations of one, 19 times in 20. */
const SEEN_SDS = 1.959964 * Math.SQRT2;
const DRAWS = 8_000;
const SEED = 7;
const TAIL = 0.025;

interface Squares {
  people: number;
  marks: number;
  both: number;
  repeats: number;
}

/**
 * Takes a gauge study apart by analysis of variance: two factors crossed, both random, with interaction,
 * which joins the repeats where it is no more than chance.
 * @param readings - mm, by person, trial and mark; at least two of each, none missing
 * @throws {RangeError} where there are fewer, or some are missing
 * Source: AIAG Measurement Systems Analysis manual (analysis of variance); intervals by generalized
 * inference, Hamada and Weerahandi 2000, Journal of Quality Technology 32: each mean square's chi-square
 * is drawn and carried through the same formulas.
 */
export function gaugeStudy(readings: readonly (readonly (readonly number[])[])[]): GaugeStudy {
  const people = readings.length;
  const trials = readings[0]?.length ?? 0;
  const marks = readings[0]?.[0]?.length ?? 0;
  const isWhole = readings.every(
    (own) => own.length === trials && own.every((trial) => trial.length === marks),
  );
  if (people < 2 || trials < 2 || marks < 2 || !isWhole) {
    throw new RangeError('A gauge study takes two people, two trials and two marks, none missing');
  }
  const { squares, personMeans, mean } = sumsOfSquares(readings);
  const freedom: Squares = {
    people: people - 1,
    marks: marks - 1,
    both: (people - 1) * (marks - 1),
    repeats: people * marks * (trials - 1),
  };
  const meanSquares = mapSquares(squares, (sum, kind) => sum / freedom[kind]);
  const f = ratio(meanSquares.both, meanSquares.repeats);
  const p = Number.isFinite(f) ? fTail(f, freedom.both, freedom.repeats) : 0;
  const isPooled = p > POOLED_ABOVE;
  const size = { people, trials, marks };
  const found = components(meanSquares, freedom, size, isPooled);

  const random = createRandom(SEED);
  const drawn = Array.from({ length: DRAWS }, () => {
    const chances = mapSquares(squares, (sum, kind) => {
      const square = chiSquare(freedom[kind], random.normal);
      return square > 0 ? sum / square : 0;
    });
    const parts = components(chances, freedom, size, isPooled);
    // A mean of one person's readings is off by chance as far as their repeats are.
    const noise = Math.sqrt((parts.errorOfMeans / (trials * marks)) * (1 - 1 / people));
    return { parts, noise: noise * random.normal() };
  });
  const spread = (pick: (parts: Components) => number, factor = 1): SpreadMm => {
    const all = drawn.map(({ parts }) => factor * Math.sqrt(pick(parts))).toSorted((a, b) => a - b);
    return { mm: factor * Math.sqrt(pick(found)), ...tails(all) };
  };
  const noises = drawn.map(({ noise }) => noise).toSorted((a, b) => a - b);
  const offNoise = tails(noises);
  const countOf = ({ marks: between, gauge }: Components) =>
    CATEGORY_FACTOR * Math.sqrt(ratio(between, gauge));
  const counts = tails(drawn.map(({ parts }) => countOf(parts)).toSorted((a, b) => a - b));
  const total = Math.sqrt(found.gauge + found.marks);
  const row = (source: VarianceRow['source'], kind: keyof Squares): VarianceRow => ({
    source,
    sumOfSquares: squares[kind],
    freedom: freedom[kind],
    meanSquare: meanSquares[kind],
  });
  return {
    ...size,
    table: [
      row('people', 'people'),
      row('marks', 'marks'),
      row('peopleByMarks', 'both'),
      row('repeats', 'repeats'),
      {
        source: 'total',
        sumOfSquares: squares.people + squares.marks + squares.both + squares.repeats,
        freedom: people * trials * marks - 1,
        meanSquare: null,
      },
    ],
    interaction: { f, p, isPooled },
    repeatability: spread(({ repeats }) => repeats),
    within: spread(({ within }) => within),
    reproducibility: spread(({ people: between }) => between),
    gauge: spread(({ gauge }) => gauge),
    marksDiffer: spread(({ marks: between }) => between),
    total,
    partOfTotal: ratio(Math.sqrt(found.gauge), total),
    categories: {
      count: Math.floor(countOf(found)),
      low: Math.floor(counts.low),
      high: Math.floor(counts.high),
    },
    offsets: personMeans.map((own) => ({
      mm: own - mean,
      low: own - mean + offNoise.low,
      high: own - mean + offNoise.high,
    })),
    seen: {
      byOne: spread(({ within }) => within, SEEN_SDS),
      byTwo: spread(({ gauge }) => gauge, SEEN_SDS),
    },
    freedom: isPooled ? freedom.both + freedom.repeats : freedom.repeats,
  };
}

function sumsOfSquares(readings: readonly (readonly (readonly number[])[])[]) {
  const people = readings.length;
  const trials = readings[0]!.length;
  const marks = readings[0]![0]!.length;
  const all = readings.flat(2);
  const mean = meanOf(all);
  const personMeans = readings.map((own) => meanOf(own.flat()));
  const indices = Array.from({ length: marks }, (_, mark) => mark);
  const markMeans = indices.map((mark) =>
    meanOf(readings.flatMap((own) => own.map((trial) => trial[mark]!))),
  );
  let both = 0;
  let repeats = 0;
  readings.forEach((own, person) => {
    for (const mark of indices) {
      const cell = own.map((trial) => trial[mark]!);
      const cellMean = meanOf(cell);
      both += trials * (cellMean - personMeans[person]! - markMeans[mark]! + mean) ** 2;
      repeats += sum(cell.map((value) => (value - cellMean) ** 2));
    }
  });
  const squares: Squares = {
    people: trials * marks * sum(personMeans.map((own) => (own - mean) ** 2)),
    marks: trials * people * sum(markMeans.map((own) => (own - mean) ** 2)),
    both,
    repeats,
  };
  return { squares, personMeans, mean };
}

/** Variances, mm2. */
interface Components {
  repeats: number;
  within: number;
  people: number;
  gauge: number;
  marks: number;
  /** Mean square that means of people are judged by. */
  errorOfMeans: number;
}

function components(
  squares: Squares,
  freedom: Squares,
  size: { people: number; trials: number; marks: number },
  isPooled: boolean,
): Components {
  const { people, trials, marks } = size;
  const pooled =
    (squares.both * freedom.both + squares.repeats * freedom.repeats) /
    (freedom.both + freedom.repeats);
  const repeats = isPooled ? pooled : squares.repeats;
  const error = isPooled ? pooled : squares.both;
  const interaction = isPooled ? 0 : Math.max(0, (squares.both - squares.repeats) / trials);
  const between = Math.max(0, (squares.people - error) / (trials * marks));
  const within = repeats + interaction;
  return {
    repeats,
    within,
    people: between,
    gauge: within + between,
    marks: Math.max(0, (squares.marks - error) / (trials * people)),
    errorOfMeans: error,
  };
}

function mapSquares(
  squares: Squares,
  change: (value: number, kind: keyof Squares) => number,
): Squares {
  return {
    people: change(squares.people, 'people'),
    marks: change(squares.marks, 'marks'),
    both: change(squares.both, 'both'),
    repeats: change(squares.repeats, 'repeats'),
  };
}

/** A chi-square by its definition: squares of so many standard normals. */
function chiSquare(freedom: number, normal: () => number): number {
  let total = 0;
  for (let i = 0; i < freedom; i++) total += normal() ** 2;
  return total;
}

/** @param sorted - ascending */
function tails(sorted: readonly number[]): { low: number; high: number } {
  const at = (part: number) => sorted[Math.round(part * (sorted.length - 1))]!;
  return { low: at(TAIL), high: at(1 - TAIL) };
}

function ratio(upper: number, lower: number): number {
  if (lower > 0) return upper / lower;
  return upper > 0 ? Infinity : 0;
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

function meanOf(values: readonly number[]): number {
  return sum(values) / values.length;
}
