import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../tests/exampleCase.ts';
import { diagnose } from '../steps/explain/diagnose.ts';
import { createRandom } from '../engine/random/random.ts';
import { LEAST_CARS, reliability } from './reliability.ts';
import type { Said } from './saidAndFound.ts';
import { saidAndFound } from './saidAndFound.ts';

/** Cars of which chances are said, and come true as often as another rule has it. */
function cars(count: number, seed: number, truth: (chance: number) => number): Said[][] {
  const { uniform } = createRandom(seed);
  return Array.from({ length: count }, () =>
    Array.from({ length: 12 }, () => {
      const chance = uniform() ** 3;
      return { chance, isSo: uniform() < truth(chance) };
    }),
  );
}
const honest = (chance: number) => chance;

describe('reliability', () => {
  it('finds chances that hold to hold: the truth is in about 95 of 100 intervals', () => {
    const rounds = Array.from({ length: 200 }, (_, i) => reliability(cars(60, 1 + i, honest)));
    const held = rounds.filter(({ excess }) => excess.low <= 0 && excess.high >= 0).length;
    // 95 % of 200 is 190; 181 to 199 are within what chance makes of it, 995 times in 1,000.
    expect(held).toBeGreaterThan(180);
    expect(held).toBeLessThan(200);
  });

  it('finds chances that are half too high', () => {
    const { excess, expected, found } = reliability(cars(80, 5, (chance) => chance / 2));
    expect(excess.high).toBeLessThan(0);
    expect(excess.mean).toBeCloseTo(found - expected, 9);
  });

  it('gains over one who says every car the same, and loses where chances mislead', () => {
    expect(reliability(cars(80, 7, honest)).gain.low).toBeGreaterThan(0);
    expect(reliability(cars(80, 7, () => 0.25)).gain.high).toBeLessThan(0);
  });

  it('has log loss by its definition', () => {
    const { logLoss, baseLogLoss } = reliability([
      [
        { chance: 0.8, isSo: true },
        { chance: 0.3, isSo: false },
      ],
    ]);
    expect(logLoss).toBeCloseTo(-(Math.log(0.8) + Math.log(0.7)) / 2, 12);
    expect(baseLogLoss).toBeCloseTo(Math.LN2, 12);
  });

  it('puts each chance into one band, the certain ones too', () => {
    const { bands, chances } = reliability(
      cars(50, 3, honest).map((car) => [...car, { chance: 1, isSo: true }]),
    );
    expect(bands.reduce((total, { found }) => total + found.of, 0)).toBe(chances);
    expect(bands.at(-1)).toMatchObject({ from: 0.8, to: 1 });
    for (const { from, to, said } of bands) {
      expect(said).toBeGreaterThanOrEqual(from);
      expect(said).toBeLessThanOrEqual(to);
    }
  });

  it('marks the bands that do not hold, and leaves honest ones alone but by rare chance', () => {
    // Too sure at both ends, right on the whole.
    const timid = (chance: number) => 0.25 + 0.6 * (chance - 0.25);
    const { bands, excess } = reliability(cars(150, 11, timid));
    expect(excess.low <= 0 && excess.high >= 0).toBe(true);
    expect(bands[0]!.isOff).toBe(true);
    expect(bands.at(-1)!.isOff).toBe(true);
    const honestBands = Array.from(
      { length: 50 },
      (_, i) => reliability(cars(60, i, honest)).bands,
    );
    const off = honestBands.flat().filter(({ isOff }) => isOff).length;
    // 1 in 100 of 300 is 3; more than 9 come up once in 1,000 times.
    expect(off).toBeLessThan(10);
  });

  it('claims nothing from a few cars, nor from none', () => {
    expect(reliability(cars(LEAST_CARS - 1, 1, honest)).isTooFew).toBe(true);
    expect(reliability(cars(LEAST_CARS, 1, honest)).isTooFew).toBe(false);
    expect(reliability([[], []])).toMatchObject({ cars: 0, isTooFew: true, bands: [], found: 0 });
  });
});

describe('saidAndFound', () => {
  const { diagnosis } = diagnose(exampleCase());
  const found = (draft: VisitDraft) => saidAndFound(diagnosis, draft);

  it('says nothing of what was not measured', () => {
    expect(found({})).toEqual([]);
    expect(found({ angles: { lf: { toe: 0.3 } } })).toEqual([]);
  });

  it('holds each side against its limit: toe of an axle by its total, camber by wheel', () => {
    // Usual limits: total toe -0.1 to 0.3 in front, camber -1.25 to 0.5.
    const said = found({
      angles: { lf: { toe: 0.3, camber: -1.3 }, rf: { toe: 0.05, camber: 0 } },
    });
    const { toeTooFarIn, toeTooFarOut } = diagnosis.axles.front.probability;
    const { camberTooNegative, camberTooPositive } = diagnosis.wheels.lf.probability;
    expect(said).toEqual([
      { chance: camberTooNegative, isSo: true },
      { chance: camberTooPositive, isSo: false },
      { chance: diagnosis.wheels.rf.probability.camberTooNegative, isSo: false },
      { chance: diagnosis.wheels.rf.probability.camberTooPositive, isSo: false },
      { chance: toeTooFarOut, isSo: false },
      { chance: toeTooFarIn, isSo: true },
    ]);
  });

  it('goes by the angles as found, not as set since, and by the limits of the visit', () => {
    const draft: VisitDraft = {
      tolerances: { totalToe: { front: [-0.5, 0.5] } },
      angles: { lf: { toe: 0 }, rf: { toe: 0 } },
      visit: { setRight: { before: { lf: { toe: -0.4 }, rf: { toe: -0.2 } } } },
    };
    expect(found(draft).map(({ isSo }) => isSo)).toEqual([true, false]);
  });
});
