import type { CaseFile, CaseHistory, Diagnosis } from '@keen/contract';
import { historySchema } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { diagnose } from '../src/steps/explain/diagnose.ts';
import { evenCar } from './evenCar.ts';

/**
 * What each thing that is known of a car beside its tread speaks for: common practice, no source. Each case
 * is told twice, without the fact and with it.
 */
interface Told {
  field: keyof CaseHistory | 'angles.caster';
  says: string;
  without: CaseFile;
  told: CaseFile;
  /** A figure of the answer that the fact raises. */
  raises: (answer: Diagnosis) => number;
  by: number;
}

type Change = (file: CaseFile) => void;
const withHistory =
  (history: CaseHistory, also: Change = () => undefined): Change =>
  (file) => {
    also(file);
    file.history = history;
  };
const looseFront = ({ axles }: Diagnosis) => axles.front.probability.looseness;

type Worn = Parameters<typeof evenCar>[0];
const outerEdges: Worn = { lf: [5.4, 5.6, 4.2], rf: [5.4, 5.6, 4.2] };
const innerRears: Worn = { lr: [5.3, 6.2, 6.4], rr: [5.3, 6.2, 6.4] };
const sawTread: Worn = { lf: [5.3, 4.7, 4.1], rf: [5.3, 4.7, 4.1] };
const leaning: Worn = { lf: [2.8, 4.4, 5.4] };
const leaningOut: Worn = { lf: [5.6, 5.4, 4.6] };
const saw: Change = (file) => {
  for (const wheel of ['lf', 'rf'] as const) file.tires[wheel].feather = 'catchesOutward';
};
const inOrder: Change = (file) => {
  file.angles = { lf: { camber: -0.4 }, rf: { camber: -0.4 } };
};
const lifted: Change = (file) => {
  file.vehicle.rideHeightChange = { front: 60, rear: 60 };
};
const pullsLeft: Change = (file) => {
  file.complaints = ['pullsLeft'];
};

const ALL: readonly Told[] = [
  {
    field: 'driver',
    says: 'outer edges of a hard driver are likelier from cornering',
    without: evenCar(outerEdges, withHistory({ driver: 'gentle' })),
    told: evenCar(outerEdges, withHistory({ driver: 'hard' })),
    raises: ({ axles }) => axles.front.probability.hardCornering,
    by: 0.2,
  },
  {
    field: 'load',
    says: 'a car that carries loads in the trunk leans in at the rear',
    without: evenCar(innerRears),
    told: evenCar(innerRears, withHistory({ load: 'trunk' })),
    raises: ({ wheels }) => wheels.lr.probability.camberTooNegative,
    by: 0.03,
  },
  {
    field: 'alignedAgo',
    says: 'toe wear that came back after an alignment is likelier from loose joints',
    without: evenCar(sawTread, saw),
    told: evenCar(sawTread, withHistory({ alignedAgo: 28_000 }, saw)),
    raises: looseFront,
    by: 0.03,
  },
  {
    field: 'startedAfter',
    says: 'an angle measured after a kerb tells less of what wore the tread',
    without: evenCar(leaning, inOrder),
    told: evenCar(leaning, withHistory({ startedAfter: ['kerb'] }, inOrder)),
    raises: ({ wheels }) => wheels.lf.probability.camberTooNegative,
    by: 0.05,
  },
  {
    field: 'occasions',
    says: 'trouble over bumps is likelier from loose joints',
    without: evenCar(sawTread, saw),
    told: evenCar(sawTread, withHistory({ occasions: ['bumps'] }, saw)),
    raises: looseFront,
    by: 0.03,
  },
  {
    field: 'suspension',
    says: 'a lifted car on two arms leans in more often than one on struts',
    without: evenCar({}, withHistory({ suspension: { front: 'strut' } }, lifted)),
    told: evenCar({}, withHistory({ suspension: { front: 'twoArms' } }, lifted)),
    raises: ({ wheels }) =>
      wheels.lf.probability.camberTooNegative - wheels.lf.probability.camberTooPositive,
    by: 0.003,
  },
  {
    field: 'tiresDiffer',
    says: 'one tire of another make that wears faster is less of a sign of camber or pressure',
    without: evenCar({ lf: [4.2, 4.4, 4.3] }),
    told: evenCar({ lf: [4.2, 4.4, 4.3] }, withHistory({ tiresDiffer: ['front'] })),
    raises: ({ wheels }) => 1 - wheels.lf.probability.pressureLow,
    by: 0.003,
  },
  {
    field: 'earlier',
    says: 'an edge that was worn before the angles were set is no sign of camber today',
    without: evenCar(leaning),
    told: evenCar(
      leaning,
      withHistory({
        earlier: [
          {
            ago: 10_000,
            putRight: ['angles'],
            tires: {
              lf: { stations: [{ inner: 3.6, centre: 5.2, outer: 6.2 }] },
              rf: { stations: [{ inner: 6.4, centre: 6.4, outer: 6.4 }] },
              lr: { stations: [{ inner: 6.9, centre: 6.9, outer: 6.9 }] },
              rr: { stations: [{ inner: 6.9, centre: 6.9, outer: 6.9 }] },
            },
          },
        ],
      }),
    ),
    raises: ({ wheels }) => 1 - wheels.lf.probability.camberTooNegative,
    by: 0.3,
  },
  {
    field: 'angles.caster',
    says: 'a pull that the caster explains is less of a sign of camber',
    without: evenCar(leaningOut, pullsLeft),
    told: evenCar(leaningOut, (file) => {
      pullsLeft(file);
      file.angles = { lf: { caster: 3.1 }, rf: { caster: 4.3 } };
    }),
    raises: ({ wheels }) => 1 - wheels.lf.probability.camberTooPositive,
    by: 0.01,
  },
];

describe('what is known of a car beside its tread', () => {
  it.each(ALL)('$field: $says', ({ without, told, raises, by }) => {
    const [before, after] = [diagnose(without).diagnosis, diagnose(told).diagnosis];
    expect(raises(after) - raises(before)).toBeGreaterThan(by);
  });

  it('every field of the history has a case here that it changes', () => {
    const fields = new Set<string>(ALL.map(({ field }) => field));
    expect(Object.keys(historySchema.shape).filter((field) => !fields.has(field))).toEqual([]);
  });

  it('aligns after a lift or new suspension parts, whatever the tread says yet', () => {
    for (const event of ['lift', 'parts'] as const) {
      const { recommendation } = diagnose(
        evenCar({}, withHistory({ startedAfter: [event] })),
      ).diagnosis;
      expect(recommendation.action).toBe('align');
    }
    expect(diagnose(evenCar({})).diagnosis.recommendation.action).toBe('fitOnly');
  });

  it('does not send a car to be measured because two tires of different make differ in depth', () => {
    const tread: Worn = { lf: [4.1, 4.2, 4.1] };
    const apart = diagnose(evenCar(tread, withHistory({ tiresDiffer: ['front'] }))).diagnosis;
    expect(apart.recommendation.action).toBe('fitOnly');
    expect(['checkAlignment', 'inflateAndWatch']).toContain(
      diagnose(evenCar({ lf: [3.9, 4, 3.9] })).diagnosis.recommendation.action,
    );
  });

  it('rears of another line that wore faster raise no loose joints', () => {
    const rears: Worn = { lr: [4, 4.1, 4], rr: [4, 4.1, 4] };
    const { axles } = diagnose(evenCar(rears, withHistory({ tiresDiffer: ['axles'] }))).diagnosis;
    expect(axles.rear.probability.looseness).toBeLessThan(0.12);
  });
});
