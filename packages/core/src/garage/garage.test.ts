import type { Visit, VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { NEW_DEPTH_SD_MM, RATE_SD, READING_SD_MM } from '../engine/case/treadFacts.ts';
import { createRandom } from '../engine/random/random.ts';
import { ROTATION_MOVES } from '../engine/tires/rotations.ts';
import { carStory } from './carStory.ts';
import { tireLives } from '../visit/tireLives.ts';
import type { CarVisit } from '../visit/tireLives.ts';
import { rateChange, wearStretches } from './wearRates.ts';

type Ribs = readonly [inner: number, centre: number, outer: number];

function draftOf(
  km: number,
  ribs: Partial<Record<Wheel, Ribs>>,
  more: Partial<VisitDraft> = {},
): VisitDraft {
  const tires = Object.fromEntries(
    Object.entries(ribs).map(([wheel, [inner, centre, outer]]) => [
      wheel,
      { newDepth: 8, distance: km, stations: [{ inner, centre, outer }] },
    ]),
  );
  return { tires, ...more };
}

function visitAt(id: string, draft: VisitDraft, replaced: readonly Wheel[] = []): CarVisit {
  return { id, arrivedAt: `2026-0${id}-01T09:00:00Z`, draft, replaced };
}

const EVEN: Ribs = [6, 6, 6];
const four = (ribs: Ribs) => ({ lf: ribs, rf: ribs, lr: ribs, rr: ribs });

describe('tires followed through visits', () => {
  it('goes on with the same four while they wear and run', () => {
    const lives = tireLives([
      visitAt('1', draftOf(10_000, four([7, 7, 7]))),
      visitAt('2', draftOf(20_000, four(EVEN))),
    ]);
    expect(lives).toHaveLength(4);
    expect(lives.map(({ points }) => points.length)).toEqual([2, 2, 2, 2]);
    expect(lives.map(({ mounted }) => mounted)).toEqual(['lf', 'rf', 'lr', 'rr']);
  });

  it('takes a deeper tread for another tire, and one odd rib for an odd reading', () => {
    const first = visitAt('1', draftOf(30_000, four([4, 4, 4])));
    const renewed = draftOf(30_000, {
      ...four([3.5, 3.5, 3.5]),
      lf: [8, 8, 8],
      rf: [3.5, 4.9, 3.5],
    });
    const lives = tireLives([first, visitAt('2', renewed)]);
    expect(lives).toHaveLength(5);
    expect(lives.find(({ mounted }) => mounted === null)?.points[0]?.wheel).toBe('lf');
  });

  it.each([
    ['replaced at the visit before', draftOf(31_000, four([3.9, 3.9, 3.9])), ['lf', 'rf'] as const],
    ['of less distance than before', draftOf(2_000, four([3.9, 3.9, 3.9])), []],
  ])('ends a tire that is %s', (_what, next, replaced) => {
    const lives = tireLives([
      visitAt('1', draftOf(30_000, four([4, 4, 4])), replaced),
      visitAt('2', next),
    ]);
    expect(lives).toHaveLength(replaced.length > 0 ? 6 : 8);
  });

  it('takes the tires that are replaced at the latest visit off the car', () => {
    const lives = tireLives([visitAt('1', draftOf(30_000, four([2, 2, 2])), ['lf', 'rf'])]);
    expect(lives.map(({ mounted }) => mounted)).toEqual([null, null, 'lr', 'rr']);
  });

  it('follows a rotation between two visits, and not one that was before the first', () => {
    const straight = ROTATION_MOVES.frontToRear;
    const rotations = [
      { atDistance: 5_000, moves: straight },
      { atDistance: 15_000, moves: straight },
    ];
    const worn = { lf: [5, 5, 5], rf: [5, 5, 5], lr: [7, 7, 7], rr: [7, 7, 7] } as const;
    const lives = tireLives([
      visitAt('1', draftOf(10_000, worn)),
      // What stood in front stands at the rear now.
      visitAt(
        '2',
        draftOf(
          20_000,
          { lf: [6, 6, 6], rf: [6, 6, 6], lr: [4.5, 4.5, 4.5], rr: [4.5, 4.5, 4.5] },
          { rotations },
        ),
      ),
    ]);
    expect(lives).toHaveLength(4);
    const front = lives.find(({ points }) => points[0]!.wheel === 'lf')!;
    expect(front.points.map(({ wheel }) => wheel)).toEqual(['lf', 'lr']);
    expect(front.mounted).toBe('lr');
  });

  it('knows a winter set again by its marks when it comes back', () => {
    const marked = (season: 'summer' | 'winter', code: string) => ({
      visit: {
        tires: Object.fromEntries(
          (['lf', 'rf', 'lr', 'rr'] as const).map((wheel) => [
            wheel,
            { season, dateCode: code, line: season },
          ]),
        ),
      },
    });
    const lives = tireLives([
      visitAt('1', draftOf(5_000, four([7.5, 7.5, 7.5]), marked('winter', '4024'))),
      visitAt('4', draftOf(20_000, four(EVEN), marked('summer', '1022'))),
      visitAt('9', draftOf(12_000, four([7, 7, 7]), marked('winter', '4024'))),
    ]);
    expect(lives).toHaveLength(8);
    const winter = lives.filter(({ season }) => season === 'winter');
    expect(winter.map(({ points }) => points.length)).toEqual([2, 2, 2, 2]);
    expect(winter.every(({ mounted }) => mounted !== null)).toBe(true);
    expect(new Set(winter.map(({ mounted }) => mounted)).size).toBe(4);
  });

  it('passes over a visit at which nothing was read, and keeps a tire that was not read once', () => {
    const lives = tireLives([
      visitAt('1', draftOf(10_000, four([7, 7, 7]))),
      visitAt('2', { tires: {} }),
      visitAt('3', draftOf(20_000, { lf: [6, 6, 6] })),
      visitAt('4', draftOf(30_000, four([5, 5, 5]))),
    ]);
    expect(lives).toHaveLength(4);
    expect(lives.map(({ points }) => points.length)).toEqual([3, 2, 2, 2]);
  });
});

describe('rates of wear', () => {
  const life = (points: readonly (readonly [km: number, ribs: Ribs])[]) =>
    tireLives(points.map(([km, ribs], i) => visitAt(String(i + 1), draftOf(km, { lf: ribs }))))[0]!;

  it('is loss over distance, from new and from reading to reading', () => {
    // Worked by hand: 8 to 5.9 over 10,000 km; then 5.9 to 5 over another 10,000.
    const [first, second] = wearStretches(
      life([
        [10_000, [5.9, 7, 7]],
        [20_000, [5, 6, 6.2]],
      ]),
    );
    expect(first!.rate.inner).toBeCloseTo(2.1, 10);
    expect(second!.rate.inner).toBeCloseTo(0.9, 10);
    expect(second!.rate.outer).toBeCloseTo(0.8, 10);
    const change = rateChange(first!, second!);
    expect(change).toMatchObject({ rib: 'inner', kind: 'slower' });
    expect(change!.before).toBeCloseTo(2.1, 10);
    expect(change!.now).toBeCloseTo(0.9, 10);
  });

  it('calls nothing a change that the readings cannot show', () => {
    const short = wearStretches(
      life([
        [10_000, [7, 7, 7]],
        [12_000, [6.7, 6.8, 6.8]],
      ]),
    );
    expect(rateChange(short[0]!, short[1]!)!.kind).toBe('tooLittle');
    const same = wearStretches(
      life([
        [20_000, [5, 6, 6]],
        [40_000, [2.1, 4, 4]],
      ]),
    );
    expect(rateChange(same[0]!, same[1]!)!.kind).toBe('same');
  });

  it('is less sure of what was read in 32nds', () => {
    const inches = { units: { depth: 'in32' } } as const;
    const read = (more: Partial<VisitDraft>) => {
      const [tire] = tireLives([
        visitAt('1', draftOf(20_000, { lf: [5, 6, 6] }, more)),
        visitAt('2', draftOf(40_000, { lf: [4, 5, 5] }, more)),
      ]);
      return wearStretches(tire!)[1]!.sd;
    };
    // Worked by hand: 0.15 mm and a step of 1/32 in, twice, over 20,000 km.
    expect(read(inches)).toBeCloseTo(Math.sqrt(2 * (0.15 ** 2 + 0.79375 ** 2 / 12)) / 2, 9);
    expect(read({})).toBeCloseTo(Math.sqrt(2 * (0.15 ** 2 + 0.1 ** 2 / 12)) / 2, 9);
  });

  it('joins readings that lie close together', () => {
    const stretches = wearStretches(
      life([
        [10_000, [7, 7, 7]],
        [10_400, [7, 7, 7]],
        [20_000, [6, 6, 6]],
      ]),
    );
    expect(stretches.map(({ km }) => km)).toEqual([10_000, 10_000]);
  });

  it('is wrong about one difference in twenty by chance alone, as its rule says', () => {
    // Tires on a car that did not change: its rate and its readings differ as the engine has it.
    const random = createRandom(7);
    let slower = 0;
    let faster = 0;
    const tires = 4_000;
    for (let i = 0; i < tires; i++) {
      const read = (mm: number): Ribs => {
        const one = () => mm + READING_SD_MM * random.normal();
        return [one(), one(), one()];
      };
      const atNew = 8 + NEW_DEPTH_SD_MM * random.normal();
      const lost = 1.8 * (1 + RATE_SD * random.normal());
      const tire = life([
        [12_000, read(atNew - 1.8)],
        [24_000, read(atNew - 1.8 - lost)],
      ]);
      const [before, now] = wearStretches(tire);
      const { kind } = rateChange(before!, now!)!;
      if (kind === 'slower') slower++;
      if (kind === 'faster') faster++;
    }
    expect(slower / tires).toBeGreaterThan(0.01);
    expect(slower / tires).toBeLessThan(0.04);
    expect(faster / tires).toBeGreaterThan(0.01);
    expect(faster / tires).toBeLessThan(0.04);
  });
});

describe('the story of a car', () => {
  const visit = (
    number: number,
    draft: VisitDraft,
    decision: Partial<Visit['decision']> = null,
  ): Visit =>
    ({
      id: `00000000-0000-4000-8000-00000000000${number}`,
      number,
      arrivedAt: `2026-0${number}-01T09:00:00Z`,
      draft,
      decision: decision && { replace: [], ...decision },
    }) as unknown as Visit;

  it('says what was done between the two latest stretches', () => {
    const story = carStory([
      visit(5, draftOf(20_000, four([5, 6, 6]))),
      visit(2, draftOf(10_000, four([5.9, 7, 7])), { action: 'align', answer: 'yes' }),
    ]);
    expect(story.between?.work).toBe('aligned');
    expect(story.between?.visit.number).toBe(2);
    expect(story.wheels.map(({ change }) => change?.kind)).toEqual(Array(4).fill('slower'));
  });

  it('counts what was declined as not done, and angles that were set as set', () => {
    const declined = carStory([
      visit(1, draftOf(10_000, four([6, 7, 7])), { action: 'align', answer: 'no' }),
      visit(3, draftOf(20_000, four([4, 6, 6]))),
    ]);
    expect(declined.between?.work).toBeNull();
    const set = draftOf(10_000, four([6, 7, 7]), {
      visit: { setRight: { before: { lf: { toe: 0.4 } } } },
    });
    const story = carStory([visit(1, set), visit(3, draftOf(20_000, four([5, 6, 6])))]);
    expect(story.between?.work).toBe('aligned');
  });

  it('has nothing to compare for a car that was here once', () => {
    const story = carStory([visit(1, draftOf(10_000, four(EVEN)))]);
    expect(story.between).toBeNull();
    expect(story.wheels.map(({ stretches }) => stretches.length)).toEqual([1, 1, 1, 1]);
    expect(carStory([])).toEqual({ sets: [], wheels: [], between: null });
  });
});
