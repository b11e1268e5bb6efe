import type { CaseFile, Diagnosis } from '@keen/contract';
import { caseFileSchema } from '@keen/contract';
import { RIBS, WHEELS } from '@keen/contract/words';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { diagnose } from '../src/steps/explain/diagnose.ts';
import { verdictOf } from '../src/steps/explain/verdict.ts';
import patterns from './reference/tradePatterns.json' with { type: 'json' };
import { evenCar } from './evenCar.ts';

/**
 * Treads that every practitioner knows, with what must lead, what must not be blamed and what may be
 * advised: common practice, no source. They hold as they stand, mirrored, and in 32nds.
 */

type Place = Wheel | Axle;

interface Expected {
  /** Any of these stands first. */
  lead?: readonly (readonly [Cause, Place])[];
  leadMin?: number;
  atLeast?: readonly (readonly [Cause, Place, number])[];
  atMost?: readonly (readonly [Cause, Place, number])[];
  actions?: readonly Action[];
}

type Rotation = NonNullable<CaseFile['rotations']>[number];

interface Pattern {
  name: string;
  file: CaseFile;
  expected: Expected;
}

const OTHER_SIDE: Record<Place, Place> = {
  lf: 'rf',
  rf: 'lf',
  lr: 'rr',
  rr: 'lr',
  front: 'front',
  rear: 'rear',
};

function mirrored({ name, file, expected }: Pattern): Pattern {
  const swap = <T>(record: Partial<Record<Wheel, T>>) =>
    Object.fromEntries(
      Object.entries(record).map(([wheel, value]) => [OTHER_SIDE[wheel as Wheel], value]),
    ) as Record<Wheel, T>;
  const places = <Row extends readonly [Cause, Place, ...number[]]>(rows?: readonly Row[]) =>
    rows?.map(([cause, where, ...rest]) => [cause, OTHER_SIDE[where], ...rest]) as
      Row[] | undefined;
  return {
    name: `${name}, mirrored`,
    file: {
      ...file,
      tires: swap(file.tires),
      ...(file.rotations ? { rotations: file.rotations.map(mirroredRotation) } : {}),
      ...(file.play ? { play: swap(file.play) } : {}),
      ...(file.angles ? { angles: swap(file.angles) } : {}),
      ...(file.complaints
        ? {
            complaints: file.complaints.map(
              (said) =>
                said.replace(/Left|Right/, (side) =>
                  side === 'Left' ? 'Right' : 'Left',
                ) as typeof said,
            ),
          }
        : {}),
    },
    expected: {
      ...expected,
      ...(expected.lead ? { lead: places(expected.lead)! } : {}),
      ...(expected.atLeast ? { atLeast: places(expected.atLeast)! } : {}),
      ...(expected.atMost ? { atMost: places(expected.atMost)! } : {}),
    },
  };
}

function mirroredRotation({ atDistance, moves }: Rotation): Rotation {
  const swapped = Object.entries(moves).map(([from, to]) => [
    OTHER_SIDE[from as Wheel],
    OTHER_SIDE[to],
  ]);
  return { atDistance, moves: Object.fromEntries(swapped) as Rotation['moves'] };
}

/** The same car read with a gauge in 32nds of an inch. */
function in32nds({ name, file, expected }: Pattern): Pattern {
  const whole = (mm: number | null) => (mm === null ? null : Math.round(mm / 0.79375));
  const tires = structuredClone(file.tires);
  for (const wheel of WHEELS) {
    tires[wheel].newDepth = Number((tires[wheel].newDepth / 0.79375).toFixed(1));
    tires[wheel].stations = tires[wheel].stations.map((station) => ({
      inner: whole(station.inner),
      centre: whole(station.centre),
      outer: whole(station.outer),
    }));
  }
  return {
    name: `${name}, in 32nds`,
    file: { ...file, units: { ...file.units, depth: 'in32' }, tires },
    expected,
  };
}

/** The tire whose lowest rib is the lowest of the car. */
function worstTire({ tires }: CaseFile): Wheel {
  const lowest = (wheel: Wheel) =>
    Math.min(...tires[wheel].stations.flatMap((station) => RIBS.map((rib) => station[rib] ?? 99)));
  return WHEELS.toSorted((a, b) => lowest(a) - lowest(b))[0]!;
}

/**
 * The same car with the middle of its worst tire unread, or an edge where the middle is the lowest: the same
 * causes, said less surely.
 */
function withoutCentre({ name, file, expected }: Pattern): Pattern {
  const { lead, atMost, actions } = expected;
  const tires = structuredClone(file.tires);
  for (const station of tires[worstTire(file)].stations) {
    const { inner, centre, outer } = station;
    const isCentreLowest = (centre ?? 99) < Math.min(inner ?? 99, outer ?? 99);
    station[isCentreLowest ? 'inner' : 'centre'] = null;
  }
  return {
    name: `${name}, a rib unread`,
    file: { ...file, tires },
    expected: {
      ...(lead ? { lead } : {}),
      ...(atMost ? { atMost } : {}),
      ...(actions ? { actions } : {}),
    },
  };
}

/** The same car with the pressure across from its worst tire unread. */
function withoutPressure({ name, file, expected }: Pattern): Pattern {
  const tires = structuredClone(file.tires);
  const across = tires[OTHER_SIDE[worstTire(file)] as Wheel];
  if (across.pressure) delete across.pressure.measured;
  return { name: `${name}, a pressure unread`, file: { ...file, tires }, expected };
}

function chanceOf({ wheels, axles }: Diagnosis, cause: Cause, where: Place): number {
  const chances: Partial<Record<Cause, number>> =
    where === 'front' || where === 'rear' ? axles[where].probability : wheels[where].probability;
  return chances[cause]!;
}

function hold({ file, expected }: Pattern): void {
  const { diagnosis } = diagnose(caseFileSchema.parse(file));
  const [first] = diagnosis.ranked;
  if (expected.lead) {
    expect(expected.lead.map(([cause, where]) => `${cause} ${where}`)).toContain(
      `${first?.cause} ${first?.where}`,
    );
    expect(first!.probability).toBeGreaterThanOrEqual(expected.leadMin ?? 0);
  }
  for (const [cause, where, least] of expected.atLeast ?? []) {
    const chance = chanceOf(diagnosis, cause, where);
    expect(chance, `${cause} ${where}`).toBeGreaterThanOrEqual(least);
  }
  for (const [cause, where, most] of expected.atMost ?? []) {
    const chance = chanceOf(diagnosis, cause, where);
    expect(chance, `${cause} ${where}`).toBeLessThanOrEqual(most);
  }
  if (expected.actions) expect(expected.actions).toContain(diagnosis.recommendation.action);
}

const KNOWN: Pattern[] = (
  patterns as unknown as { name: string; case: CaseFile; expect: Expected }[]
).map(({ name, case: file, expect: expected }) => ({ name, file, expected }));

const WORK = ['checkAlignment', 'align', 'partsThenAlign'] as const;
const NO_PARTS = [
  ['looseness', 'front', 0.3],
  ['looseness', 'rear', 0.3],
  ...WHEELS.map((wheel) => ['bounce', wheel, 0.3] as const),
] as const;

/** More of the same kind, written from the same knowledge: common practice, no source. */
const MORE: Pattern[] = [
  {
    name: 'one front inner edge, its neighbour even, pressures right',
    file: evenCar({ lf: [3.1, 4.4, 5.6], rf: [6.1, 6.2, 6.2] }),
    expected: { lead: [['camberTooNegative', 'lf']], actions: WORK, atMost: NO_PARTS },
  },
  {
    name: 'both rear inner edges on a car that stands lower',
    file: evenCar({ lr: [3.2, 5.0, 6.2], rr: [3.3, 5.1, 6.2] }, (file) => {
      file.vehicle.rideHeightChange = { front: -30, rear: -35 };
    }),
    expected: {
      lead: [
        ['camberTooNegative', 'lr'],
        ['camberTooNegative', 'rr'],
        ['toeTooFarOut', 'rear'],
      ],
      actions: WORK,
      atMost: NO_PARTS,
    },
  },
  {
    name: 'one soft tire, found soft',
    file: evenCar({ rr: [4.6, 6.0, 4.7] }, (file) => {
      file.tires.rr.pressure = { target: 230, measured: 175 };
    }),
    expected: { lead: [['pressureLow', 'rr']], leadMin: 0.85, atMost: NO_PARTS },
  },
  {
    name: 'one tire hard, centre worn',
    file: evenCar({ lf: [5.6, 4.0, 5.6] }, (file) => {
      file.tires.lf.pressure = { target: 230, measured: 300 };
    }),
    expected: { lead: [['pressureHigh', 'lf']], leadMin: 0.8, atMost: NO_PARTS },
  },
  {
    name: 'waves on one rear tire only',
    file: evenCar({}, (file) => {
      file.tires.lr.cupping = 'heavy';
      file.complaints = ['noise'];
    }),
    expected: { lead: [['bounce', 'lr']], leadMin: 0.8, actions: ['balanceOrDampers'] },
  },
  {
    name: 'waves on one front tire, nothing heard or felt by the driver',
    file: evenCar({}, (file) => {
      file.tires.rf.cupping = 'heavy';
    }),
    expected: { lead: [['bounce', 'rf']], leadMin: 0.5, actions: ['balanceOrDampers'] },
  },
  {
    name: 'both outer edges like a saw on rears that ran in front until lately',
    file: evenCar({ lr: [5.4, 4.6, 3.4], rr: [5.4, 4.6, 3.5] }, (file) => {
      for (const wheel of ['lr', 'rr'] as const) file.tires[wheel].feather = 'catchesOutward';
      file.rotations = [{ atDistance: 29_000, moves: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } }];
    }),
    expected: { lead: [['toeTooFarIn', 'front']], leadMin: 0.6, actions: WORK, atMost: NO_PARTS },
  },
  {
    name: 'both fronts like a saw under the hand, no edge low yet',
    file: evenCar({}, (file) => {
      for (const wheel of ['lf', 'rf'] as const) file.tires[wheel].feather = 'catchesOutward';
    }),
    expected: { lead: [['toeTooFarIn', 'front']], actions: WORK, atMost: NO_PARTS },
  },
  {
    name: 'both fronts worn on their shoulders, pressures right today, rears even',
    file: evenCar({ lf: [4.2, 5.8, 4.2], rf: [4.3, 5.8, 4.2] }),
    expected: {
      lead: [
        ['pressureLow', 'lf'],
        ['pressureLow', 'rf'],
      ],
      leadMin: 0.6,
      actions: ['inflateAndWatch', 'checkAlignment'],
      atMost: NO_PARTS,
    },
  },
  {
    name: 'an even car lifted since the last alignment',
    file: evenCar({}, (file) => {
      file.vehicle.rideHeightChange = { front: 50, rear: 50 };
    }),
    expected: { actions: ['align', 'checkAlignment'], atMost: NO_PARTS },
  },
  {
    name: 'rears worn on a rear-drive car as much as its fronts, all even',
    file: evenCar({ lr: [5.4, 5.5, 5.4], rr: [5.4, 5.5, 5.4] }, (file) => {
      file.vehicle.drive = 'rwd';
    }),
    expected: { actions: ['fitOnly'], atMost: NO_PARTS },
  },
  {
    name: 'rears far older than one distance for all four would have them',
    file: evenCar({ lr: [3.0, 3.1, 3.0], rr: [3.1, 3.1, 3.0] }),
    expected: { atMost: NO_PARTS },
  },
];

const ALL = [...KNOWN, ...MORE];

describe.each(ALL)('$name', (pattern) => {
  it('is told as it is', () => hold(pattern));
  it('is told the same in a mirror', () => hold(mirrored(pattern)));
  it('is told the same in 32nds', () => hold(in32nds(pattern)));
  it('is told the same, less surely, with a rib of its worst tire unread', () =>
    hold(withoutCentre(pattern)));
  it('is told the same with a pressure unread', () => hold(withoutPressure(pattern)));
});

describe('a tread that is plainly uneven', () => {
  const edge = evenCar({ lf: [3.1, 4.4, 5.6], rf: [6.1, 6.2, 6.2] });

  it('is never called one with nothing out, nor answered by fitting tires', () => {
    const { diagnosis } = diagnose(edge);
    expect(verdictOf(diagnosis, edge).headline).not.toMatch(/nothing out/);
    expect(diagnosis.recommendation.action).not.toBe('fitOnly');
    expect(diagnosis.recommendation.beforeFitting).toBe(true);
  });

  it('still points to the same wheel with any one value missing', () => {
    for (const rib of ['inner', 'centre', 'outer'] as const) {
      const file = structuredClone(edge);
      file.tires.rr.stations[0]![rib] = null;
      const [first] = diagnose(file).diagnosis.ranked;
      expect(first).toMatchObject({ cause: 'camberTooNegative', where: 'lf' });
    }
    const file = structuredClone(edge);
    file.tires.lf.stations[0]!.centre = null;
    delete file.tires.rf.pressure;
    const { ranked } = diagnose(file).diagnosis;
    expect(ranked.slice(0, 2).map(({ where }) => where)).toContain('lf');
  });
});

describe('a reading that is wrong', () => {
  it('is named as one to take again', () => {
    const file = evenCar({ rr: [6.3, 1.9, 6.3] });
    const { oddities } = diagnose(file).diagnosis;
    expect(oddities).toContainEqual(
      expect.objectContaining({ kind: 'reading', where: 'rr', rib: 'centre' }),
    );
  });
});
