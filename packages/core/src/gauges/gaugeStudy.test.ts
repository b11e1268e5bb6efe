import jstat from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../tests/reference/gaugeStudy.json' with { type: 'json' };
import { createRandom } from '../engine/random/random.ts';
import { fTail } from './fTail.ts';
import { gaugeStudy } from './gaugeStudy.ts';
import { studyDeal } from './studyDeal.ts';
import { canSee, readingSpread } from './readingSpread.ts';
import { studySoFar } from './studySoFar.ts';

const { A, B, C } = reference.data;
const EXAMPLE = [A, B, C];

describe('gaugeStudy on the worked example of ten parts, three people, three trials', () => {
  // AIAG Measurement Systems Analysis manual; data and printed results recalled from memory, recomputed.
  const study = gaugeStudy(EXAMPLE);
  const { anova } = reference;

  it('has its sums of squares, freedoms and mean squares', () => {
    const lines = ['appraiser', 'part', 'interaction', 'equipment'] as const;
    lines.forEach((line, i) => {
      expect(study.table[i]!.sumOfSquares).toBeCloseTo(anova.sumOfSquares[line], 5);
      expect(study.table[i]!.freedom).toBe(anova.degreesOfFreedom[line]);
      expect(study.table[i]!.meanSquare).toBeCloseTo(anova.meanSquares[line], 5);
    });
    expect(study.table[4]!.sumOfSquares).toBeCloseTo(anova.sumOfSquares.total, 5);
  });

  it('takes the interaction for chance, as the manual does', () => {
    expect(study.interaction.f).toBeCloseTo(anova.F.interactionOverEquipment, 5);
    expect(study.interaction.isPooled).toBe(true);
  });

  it('has its spreads and its distinct categories', () => {
    expect(study.repeatability.mm).toBeCloseTo(anova.EV, 5);
    expect(study.reproducibility.mm).toBeCloseTo(anova.AV, 5);
    expect(study.gauge.mm).toBeCloseTo(anova.GRR, 5);
    expect(study.marksDiffer.mm).toBeCloseTo(anova.PV, 5);
    expect(study.total).toBeCloseTo(anova.TV, 4);
    expect(100 * study.partOfTotal).toBeCloseTo(anova.percentOfTV.GRR, 4);
    expect(study.categories.count).toBe(anova.ndc);
    expect(study.categories.low).toBeLessThanOrEqual(anova.ndc);
    expect(study.categories.high).toBeGreaterThanOrEqual(anova.ndc);
  });

  it('has the exact interval of repeatability', () => {
    // s sqrt(n / chi-square), NIST/SEMATECH e-Handbook of Statistical Methods 7.2.3.1.
    const { mm, low, high } = study.repeatability;
    const bound = (p: number) => mm * Math.sqrt(78 / jstat.chisquare.inv(p, 78));
    expect(low).toBeCloseTo(bound(0.975), 2);
    expect(high).toBeCloseTo(bound(0.025), 2);
  });

  it('has each person’s mean against all', () => {
    const { appraiserMeans, grandMean } = reference.intermediate;
    const means = Object.values(appraiserMeans);
    study.offsets.forEach(({ mm, low, high }, i) => {
      expect(mm).toBeCloseTo(means[i]! - grandMean, 5);
      expect(low).toBeLessThan(mm);
      expect(high).toBeGreaterThan(mm);
    });
  });
});

/** A study of people who differ, on marks that differ, mm. */
function invented(
  seed: number,
  sd: { people: number; both: number; repeats: number; marks: number },
  size = { people: 3, trials: 3, marks: 8 },
): number[][][] {
  const { normal } = createRandom(seed);
  const depths = Array.from({ length: size.marks }, () => 5 + sd.marks * normal());
  return Array.from({ length: size.people }, () => {
    const off = sd.people * normal();
    const cells = depths.map((depth) => depth + off + sd.both * normal());
    return Array.from({ length: size.trials }, () =>
      cells.map((cell) => cell + sd.repeats * normal()),
    );
  });
}

describe('gaugeStudy on invented people', () => {
  const sd = { people: 0.2, both: 0.1, repeats: 0.15, marks: 1.5 };
  const truth = {
    repeatability: sd.repeats,
    within: Math.hypot(sd.repeats, sd.both),
    reproducibility: sd.people,
    gauge: Math.hypot(sd.repeats, sd.both, sd.people),
    marksDiffer: sd.marks,
  };
  const ROUNDS = 60;
  const studies = Array.from({ length: ROUNDS }, (_, i) => gaugeStudy(invented(400 + i, sd)));

  it('holds the truth in about 95 of 100 intervals', () => {
    for (const [name, mm] of Object.entries(truth) as [keyof typeof truth, number][]) {
      const held = studies.filter((study) => study[name].low <= mm && mm <= study[name].high);
      // 51 of 60 or fewer happen once in 200 where 95 % hold; 60 of 60 is no fault.
      expect(held.length, name).toBeGreaterThan(51);
    }
  });

  it('does not call what one study cannot tell certain', () => {
    const widths = studies.map(({ reproducibility: { low, high } }) => high - low);
    expect(Math.min(...widths)).toBeGreaterThan(sd.people);
  });

  it('is moved by nothing but the spread: deeper tires and other names change nothing', () => {
    const readings = invented(3, sd);
    const plain = gaugeStudy(readings);
    const deeper = gaugeStudy(readings.map((own) => own.map((trial) => trial.map((mm) => mm + 4))));
    const renamed = gaugeStudy([readings[2]!, readings[0]!, readings[1]!]);
    for (const other of [deeper, renamed]) {
      expect(other.gauge.mm).toBeCloseTo(plain.gauge.mm, 9);
      expect(other.categories).toEqual(plain.categories);
    }
    expect(renamed.offsets[0]!.mm).toBeCloseTo(plain.offsets[2]!.mm, 9);
  });

  it('keeps an interaction that is more than chance apart from repeats', () => {
    const study = gaugeStudy(invented(5, { people: 0, both: 0.4, repeats: 0.05, marks: 1 }));
    expect(study.interaction.isPooled).toBe(false);
    expect(study.repeatability.mm).toBeLessThan(0.1);
    expect(study.within.mm).toBeGreaterThan(0.2);
  });

  it('says nothing worse than nought where everybody reads the same', () => {
    const same = [2, 5, 8];
    const study = gaugeStudy([
      [same, same],
      [same, same],
    ]);
    expect(study.gauge).toEqual({ mm: 0, low: 0, high: 0 });
    expect(study.partOfTotal).toBe(0);
  });

  it('refuses what is no study', () => {
    expect(() => gaugeStudy([[[1, 2]], [[1, 2]]])).toThrow(RangeError);
    expect(() =>
      gaugeStudy([
        [
          [1, 2],
          [1, 2],
        ],
        [[1, 2], [1]],
      ]),
    ).toThrow(RangeError);
  });
});

describe('fTail', () => {
  it('agrees with a statistics package', () => {
    for (const [over, under] of [
      [1, 4],
      [9, 18],
      [18, 60],
      [4, 99],
    ] as const) {
      for (const f of [0.05, 0.434, 1, 2.5, 9]) {
        expect(fTail(f, over, under)).toBeCloseTo(1 - jstat.centralF.cdf(f, over, under), 8);
      }
    }
  });

  it('has the printed point of the F table', () => {
    // Upper 5 % point of F with 2 and 60 degrees of freedom: 3.150 (NIST/SEMATECH e-Handbook 1.3.6.7.3).
    expect(fTail(3.15, 2, 60)).toBeCloseTo(0.05, 4);
    expect(fTail(0, 2, 60)).toBe(1);
  });
});

describe('studyDeal', () => {
  it('deals each mark once a trial, to everybody in another order, never twice running', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 2, max: 12 }), (seed, marks) => {
        const size = { trials: 3, marks };
        const turns = studyDeal(seed, 0, size);
        for (let trial = 0; trial < size.trials; trial++) {
          const read = turns.filter((turn) => turn.trial === trial).map(({ mark }) => mark);
          expect(read.toSorted((a, b) => a - b)).toEqual(
            Array.from({ length: marks }, (_, i) => i),
          );
        }
        turns.slice(1).forEach(({ mark }, i) => expect(mark).not.toBe(turns[i]!.mark));
        expect(studyDeal(seed, 0, size)).toEqual(turns);
      }),
    );
    const orders = [0, 1, 2].map((person) => studyDeal(9, person, { trials: 2, marks: 10 }));
    expect(new Set(orders.map((order) => JSON.stringify(order))).size).toBe(3);
  });
});

describe('studySoFar', () => {
  const plan = { people: 3, trials: 3, marks: 10 };
  const all = EXAMPLE.flatMap((own, person) =>
    own.flatMap((read, trial) => read.map((mm, mark) => ({ person, trial, mark, mm }))),
  );

  it('says the same as the study once it is whole', () => {
    const so = studySoFar(plan, all);
    expect(so.isWhole).toBe(true);
    expect(so.taken).toEqual([30, 30, 30]);
    expect(so.result).toEqual(gaugeStudy(EXAMPLE));
  });

  it('rests on what everybody has read while it goes on', () => {
    const half = studySoFar(
      plan,
      all.filter(({ person, trial, mark }) => trial < 2 && (person < 2 || mark < 4)),
    );
    expect(half.isWhole).toBe(false);
    expect(half.used).toEqual({ marks: [0, 1, 2, 3], trials: 2 });
    expect(half.result!.gauge.mm).toBeGreaterThan(0);
  });

  it('says nothing before two marks are read twice by all', () => {
    expect(studySoFar(plan, []).result).toBeNull();
    expect(
      studySoFar(
        plan,
        all.filter(({ trial }) => trial < 1),
      ).result,
    ).toBeNull();
    expect(
      studySoFar(
        plan,
        all.filter(({ person }) => person < 2),
      ).result,
    ).toBeNull();
  });
});

describe('what the diagnosis goes by after a study', () => {
  const spread = (mm: number) => ({ mm, low: mm, high: mm });

  it('is near the study’s own spread for a large study, near the usual one for a small', () => {
    const within = spread(0.3);
    expect(readingSpread({ within, freedom: 1_000 }, 0)).toBeCloseTo(0.298, 3);
    expect(readingSpread({ within, freedom: 2 }, 0)).toBeCloseTo(0.169, 3);
  });

  it('leaves rounding to the diagnosis', () => {
    const rounded = readingSpread({ within: spread(0.3), freedom: 60 }, 0.79375);
    const exact = readingSpread(
      { within: spread(Math.sqrt(0.09 - 0.79375 ** 2 / 12)), freedom: 60 },
      0,
    );
    expect(rounded).toBeCloseTo(exact, 9);
    expect(readingSpread({ within: spread(0), freedom: 60 }, 0.79375)).toBeGreaterThan(0.05);
  });

  it('sees half a millimetre only where the whole interval does', () => {
    expect(canSee({ mm: 0.4, low: 0.3, high: 0.5 })).toBe('yes');
    expect(canSee({ mm: 0.4, low: 0.3, high: 0.6 })).toBe('unsure');
    expect(canSee({ mm: 0.7, low: 0.6, high: 0.9 })).toBe('no');
  });
});
