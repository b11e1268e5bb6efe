import type { AngleKind, Method } from '@keen/contract/words';

/** What a way to measure can and cannot tell. */
export interface MethodFacts {
  title: string;
  /** Standard uncertainty of one wheel's angle, degrees; none where it does not measure that. */
  sd: Partial<Record<AngleKind, number>>;
  /** What it cannot know. */
  blindTo: string | null;
  /** The bench calculator that turns its readings into angles. */
  calculator: 'toeFromTape' | 'toeFromStrings' | 'camberFromLevel' | 'casterFromSwing' | null;
}

/**
 * Standard uncertainties as careful people repeat their readings (common practice, no source); a rule
 * read to 1/32 in at the rim is most of it for tapes and strings.
 */
export const METHOD_FACTS: Record<Method, MethodFacts> = {
  readout: {
    title: 'Rig or gauges',
    sd: { camber: 0.05, toe: 0.03, caster: 0.15 },
    blindTo: null,
    calculator: null,
  },
  tape: {
    title: 'Toe plates or tape',
    sd: { toe: 0.05 },
    blindTo:
      'A tape tells the total only: it does not know where straight ahead is, so the toe of each wheel is taken as half.',
    calculator: 'toeFromTape',
  },
  strings: {
    title: 'Strings',
    sd: { toe: 0.07 },
    blindTo: 'Strings set off the hubs take the track as equal on both sides.',
    calculator: 'toeFromStrings',
  },
  level: {
    title: 'Level, phone or bubble',
    sd: { camber: 0.15 },
    blindTo: 'A level knows the floor only as well as the floor is known.',
    calculator: 'camberFromLevel',
  },
  swing: {
    title: 'Camber swing',
    sd: { caster: 0.3 },
    blindTo: 'Turn plates that do not read alike turn into caster.',
    calculator: 'casterFromSwing',
  },
};

/** Methods that measure an angle. */
export function methodsFor(kind: AngleKind): Method[] {
  return (Object.keys(METHOD_FACTS) as Method[]).filter(
    (method) => METHOD_FACTS[method].sd[kind] !== undefined,
  );
}

/**
 * Standard uncertainty of an angle from its method, the resolution it is read to, and how far repeat
 * readings scatter: the root of the sum of squares.
 * @param input.methodSd - of the method itself, degrees
 * @param input.resolution - smallest step read, degrees; spreads evenly over it
 * @param input.repeats - the readings themselves, degrees; two or more to count
 * @returns degrees
 * Source: JCGM 100:2008 (GUM), 4.2.3 for repeats, 4.3.7 for resolution, 5.1.2 for the sum.
 */
export function standardUncertainty(input: {
  methodSd: number;
  resolution?: number;
  repeats?: readonly number[];
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
