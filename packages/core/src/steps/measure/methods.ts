import type { VisitDraft } from '@keen/contract';
import type { AngleKind, GaugeCalculator, Method } from '@keen/contract/words';

/** What a way to measure can and cannot tell. */
export interface MethodFacts {
  /** Standard uncertainty of one wheel's angle, degrees; none where it does not measure that. */
  sd: Partial<Record<AngleKind, number>>;
  /** Whether it tells the wheels of an axle apart, or only their sum. */
  tellsTotalOnly?: boolean;
  /** The bench calculator that turns its readings into angles. */
  calculator: GaugeCalculator | null;
}

/**
 * Standard uncertainties as careful people repeat their readings (common practice, no source); a rule
 * read to 1/32 in at the rim is most of it for tapes and strings.
 */
export const METHOD_FACTS: Record<Method, MethodFacts> = {
  readout: {
    sd: { camber: 0.05, toe: 0.03, caster: 0.15 },
    calculator: null,
  },
  gauges: {
    sd: { toe: 0.05 },
    calculator: 'toeFromGauges',
  },
  tape: {
    sd: { toe: 0.05 },
    tellsTotalOnly: true,
    calculator: 'toeFromTape',
  },
  helperTape: {
    sd: { toe: 0.09 },
    tellsTotalOnly: true,
    calculator: 'toeFromTape',
  },
  strings: {
    sd: { toe: 0.07 },
    calculator: 'toeFromStrings',
  },
  level: {
    sd: { camber: 0.15 },
    calculator: 'camberFromLevel',
  },
  square: {
    sd: { camber: 0.25 },
    calculator: 'camberFromSquare',
  },
  swing: {
    sd: { caster: 0.3 },
    calculator: 'casterFromSwing',
  },
};

/**
 * Methods that measure an angle.
 * @example methodsFor('caster') // ['readout', 'swing']
 */
export function methodsFor(kind: AngleKind): Method[] {
  return (Object.keys(METHOD_FACTS) as Method[]).filter(
    (method) => METHOD_FACTS[method].sd[kind] !== undefined,
  );
}

/** Steps that gauges show an angle in, degrees. */
export const RESOLUTIONS = [0.01, 0.05, 0.1, 0.5] as const;

const USUAL: Record<AngleKind, Method> = { camber: 'readout', toe: 'readout', caster: 'readout' };
/** A cart has no rig: a square, and a tape with a helper (common practice, no source). */
const USUAL_CART: Record<AngleKind, Method> = {
  camber: 'square',
  toe: 'helperTape',
  caster: 'swing',
};

/**
 * How an angle is measured in a visit: as was chosen, else as is usual for such a car.
 * @example methodOf({}, 'toe') // 'readout'
 */
export function methodOf(draft: VisitDraft, kind: AngleKind): Method {
  const usual = draft.vehicle?.use === 'cart' ? USUAL_CART : USUAL;
  return draft.visit?.measure?.method?.[kind] ?? usual[kind];
}

/**
 * Standard uncertainty of a method in a visit, degrees: by the certificate of the shop's own instrument, else
 * as is usual, and what the instrument's checks found it off by.
 * Source: JCGM 100:2008 (GUM), 5.1.2; an error that is known and not corrected counts with its square.
 */
export function methodSd(draft: VisitDraft, method: Method, kind: AngleKind): number {
  const own = draft.visit?.measure?.instruments?.[method];
  const usual = METHOD_FACTS[method].sd[kind] ?? 0;
  return Math.hypot(own?.certified ?? usual, own?.errorSd ?? 0);
}

/**
 * Standard uncertainty of an angle from its method, the resolution it is read to, and how far repeat
 * readings scatter: the root of the sum of squares.
 * @param input.methodSd - of the method itself, degrees
 * @param input.resolution - smallest step read, degrees; spreads evenly over it
 * @param input.repeats - the readings themselves, degrees; two or more to count
 * @returns degrees
 * Source: JCGM 100:2008 (GUM), 4.2.3 for repeats, 4.3.7 for resolution, 5.1.2 for the sum.
 * @example standardUncertainty({ methodSd: 0.1, resolution: 0.1 }).toFixed(3) // '0.104'
 */
export function standardUncertainty(input: {
  methodSd: number;
  resolution?: number | undefined;
  repeats?: readonly number[] | undefined;
}): number {
  const { methodSd, resolution = 0, repeats = [] } = input;
  return Math.sqrt(methodSd ** 2 + resolution ** 2 / 12 + varianceOfMean(repeats));
}

function varianceOfMean(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return squares / (values.length - 1) / values.length;
}

/**
 * Whether an angle came back after the wheels were turned lock to lock: two readings differ by no more
 * than chance makes two readings of this method differ, at twice the standard deviation of their
 * difference.
 * @param readings - before and after, degrees
 * @param method - that both were read by
 * @example repeatOf([0.1, 0.12], 'strings').verdict // 'returns'
 */
export function repeatOf(
  readings: readonly [number, number],
  method: Method,
): { verdict: 'returns' | 'moves'; difference: number; allowed: number } {
  const sd = METHOD_FACTS[method].sd.toe ?? METHOD_FACTS.readout.sd.toe!;
  const difference = readings[1] - readings[0];
  const allowed = 2 * Math.SQRT2 * sd;
  return {
    // What is shown to two decimals is judged to two decimals.
    verdict: Math.abs(difference) > allowed + 0.005 ? 'moves' : 'returns',
    difference,
    allowed,
  };
}
