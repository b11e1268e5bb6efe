import type { Action, CaseFile } from '@keen/contract';
import { ACTIONS } from '@keen/contract/words';
import { quantile } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { createFaultClassifier, FAULT_COUNT } from '../diagnosis/classifyFaults.ts';
import { createRandom } from '../random/random.ts';
import { DEPTH_RATE } from '../case/treadFacts.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePath } from '../wear/paths.ts';
import { healthyState, SPREAD, STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import type { PossibleCar } from './courses.ts';
import { isNeedless, isPutRight, stateAfter, statePutRight } from './courses.ts';
import { createOutlook } from './outlook.ts';
import { ribsAfter } from './ribsAfter.ts';

const file: CaseFile = exampleCase();
const resolved = resolveCase(file);
const { tolerances } = resolved;
const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
const MID = {
  camber: [middle(tolerances.camber.front), middle(tolerances.camber.rear)] as const,
  toe: [middle(tolerances.totalToe.front), middle(tolerances.totalToe.rear)] as const,
};

/** What the readings of the example say was lost, without error. */
function lossesRead(): Float64Array {
  return Float64Array.of(3, 3, 3, 3, 3, 3, 1.8, 1.8, 1.8, 1.8, 1.8, 1.8);
}

function car(change: (state: Float64Array) => void = () => {}): PossibleCar {
  const state = healthyState(MID.camber, MID.toe);
  change(state);
  const faults = new Uint8Array(FAULT_COUNT);
  createFaultClassifier(resolved)(state, faults);
  return { state, faults, factors: new Float64Array(12).fill(1), lossMm: lossesRead() };
}
const toeOut = car((state) => (state[STATE.toe] = -1));
const loose = car((state) => {
  state[STATE.looseness] = 0.3;
  state[STATE.toe] = -1;
});
const bouncing = car((state) => (state[STATE.bounce + 2] = 1));
const low = car((state) => (state[STATE.pressure] = 0.75));
const course = (outlook: ReturnType<typeof createOutlook>, name: (typeof ACTIONS)[number]) =>
  outlook.courses.find((one) => one.course === name)!;

describe('stateAfter', () => {
  it('aligns to the middle of the tolerance, sets the pressures, and leaves the rest', () => {
    const after = stateAfter('align', toeOut, resolved);
    expect(after[STATE.toe]).toBeCloseTo(MID.toe[0], 12);
    expect(toeOut.state[STATE.toe]).toBe(-1);
    expect(stateAfter('inflateAndWatch', low, resolved)[STATE.pressure]).toBe(1);
    expect(stateAfter('fitOnly', low, resolved)[STATE.pressure]).toBe(0.75);
    expect(stateAfter('align', bouncing, resolved)[STATE.bounce + 2]).toBe(1);
    expect(stateAfter('balanceOrDampers', bouncing, resolved)[STATE.bounce + 2]).toBe(0);
  });

  it('lets the toe of a loose axle go again, unless the joints come first', () => {
    expect(stateAfter('align', loose, resolved)[STATE.toe]).toBe(-1);
    const after = stateAfter('partsThenAlign', loose, resolved);
    expect(after[STATE.toe]).toBeCloseTo(MID.toe[0], 12);
    expect(after[STATE.looseness]).toBe(0);
  });

  it('measures first: aligns only what is out', () => {
    expect(stateAfter('checkAlignment', toeOut, resolved)[STATE.toe]).toBeCloseTo(MID.toe[0], 12);
    const within = car((state) => (state[STATE.camber] = -1));
    expect(stateAfter('checkAlignment', within, resolved)[STATE.camber]).toBe(-1);
    expect(stateAfter('align', within, resolved)[STATE.camber]).toBeCloseTo(MID.camber[0], 12);
  });

  it('puts everything right that wears tires', () => {
    const all = car((state) => {
      state.set(loose.state);
      state[STATE.bounce + 3] = 1;
      state[STATE.pressure + 1] = 0.7;
    });
    expect([...statePutRight(all, resolved)]).toEqual([...car().state]);
  });

  it('has dampers and balance seen to in every course that sets the angles where they come first', () => {
    const both = car((state) => {
      state[STATE.toe] = -1;
      state[STATE.bounce + 2] = 1;
    });
    const healthy = [...car().state];
    for (const aligns of ['checkAlignment', 'align', 'partsThenAlign'] as const) {
      expect(isPutRight(aligns, both)).toBe(false);
      expect(isPutRight(aligns, both, true)).toBe(true);
      expect(stateAfter(aligns, both, resolved, true)[STATE.bounce + 2]).toBe(0);
      expect(isNeedless(aligns, bouncing)).toBe(true);
      expect(isNeedless(aligns, bouncing, true)).toBe(false);
    }
    expect([...stateAfter('align', both, resolved, true)]).toEqual(healthy);
    expect(isPutRight('balanceOrDampers', both, true)).toBe(false);
    expect(isPutRight('inflateAndWatch', bouncing, true)).toBe(false);
    const outlook = createOutlook(resolved, [both], true);
    expect(outlook.dampersFirst).toBe(true);
    expect(course(outlook, 'align')).toMatchObject({ comesBack: 0, needless: 0 });
    // The rears, which bounce, last longer; the fronts as before.
    const without = course(createOutlook(resolved, [both]), 'align').pairsPerKm;
    const { front, rear } = course(outlook, 'align').pairsPerKm;
    expect(rear[0]).toBeLessThan(without.rear[0]!);
    expect(front).toEqual(without.front);
  });

  it('knows what is put right and what was not needed', () => {
    const right = (one: PossibleCar) => ACTIONS.filter((action) => isPutRight(action, one));
    expect(right(car())).toEqual([...ACTIONS]);
    expect(right(toeOut).toSorted()).toEqual(['align', 'checkAlignment', 'partsThenAlign']);
    expect(right(loose)).toEqual(['partsThenAlign']);
    expect(right(bouncing)).toEqual(['balanceOrDampers']);
    expect(right(low)).not.toContain('fitOnly');
    const needless = (one: PossibleCar) => ACTIONS.filter((action) => isNeedless(action, one));
    expect(needless(car())).toEqual(ACTIONS.filter((action) => action !== 'fitOnly'));
    expect(needless(toeOut)).not.toContain('align');
    expect(needless(loose)).not.toContain('partsThenAlign');
  });
});

/** Depth after a way by steps of 10 km, mm: the rate at half depth, with its slope over the depth. */
function stepped(mm: number, newMm: number, rate: number, slope: number, thousandKm: number) {
  let left = mm;
  const step = 0.01;
  for (let x = 0; x < thousandKm - step / 2; x += step) {
    left -= step * rate * (1 + slope * (left / newMm - 0.5));
  }
  return left;
}

/** The rate at half depth that loses so much of a new tire in 10,000 km, by halving. */
function rateFor(lostMm: number, newMm: number, slope: number): number {
  let [low, high] = [0, 5];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (newMm - stepped(newMm, newMm, middle, slope, 10) < lostMm) low = middle;
    else high = middle;
  }
  return low;
}

describe('the outlook', () => {
  it('of a car that is known is its wear by hand, but for what new tires bring', () => {
    const many = createOutlook(
      resolved,
      Array.from({ length: 2000 }, () => car()),
    );
    // Life of each rib by hand from the forward model; the least of twelve with their own factors.
    const loss = new Float64Array(3);
    const rate = [0, 1, 2, 3].flatMap((tire) => {
      tireLoss(car().state, tirePath(tire, [tire], [1], resolved.drive), loss);
      return [...loss];
    });
    const random = createRandom(99);
    const lives = Array.from({ length: 4000 }, () => {
      const tires = [0, 1, 2, 3].map(() => NOISE.tire * random.normal());
      return Math.min(
        ...rate.map((perThousandKm, at) => {
          const factor = 1 + tires[Math.floor(at / 3)]! + NOISE.rib * random.normal();
          const wheel = (['lf', 'rf', 'lr', 'rr'] as const)[Math.floor(at / 3)]!;
          const { newDepthMm } = resolved.tires[wheel];
          // Tread wears faster above half of its depth than below: the mean down to the limit.
          const fresh = 1 + DEPTH_RATE * ((newDepthMm + 1.6) / 2 / newDepthMm - 0.5);
          return (1000 * (newDepthMm - 1.6)) / (perThousandKm * fresh * factor);
        }),
      );
    });
    const { lifeKm } = course(many, 'fitOnly');
    expect(lifeKm.low / quantile(lives, 0.1)).toBeCloseTo(1, 1);
    expect(lifeKm.median / quantile(lives, 0.5)).toBeCloseTo(1, 1);
    expect(lifeKm.high / quantile(lives, 0.9)).toBeCloseTo(1, 1);
  });

  it('leaves with the old tires what their age or line made of an axle’s rate', () => {
    const count = 2000;
    /** 80 % interval and median of a new set's life when the rear axle wears faster by a part, and of the old. */
    const lives = (of: CaseFile, faster: number, otherAge: 0 | 2) => {
      const cars = Array.from({ length: count }, () =>
        car((state) => {
          // Next to no scatter, and a front axle that lasts: what is left is the rear axle's rate.
          state[STATE.noise] = -20;
          state[STATE.axleRate] = -3;
          state[STATE.axleRate + 1] = faster;
          state[STATE.otherAge] = otherAge;
        }),
      );
      const outlook = createOutlook(resolveCase(of), cars);
      return { ...course(outlook, 'fitOnly').lifeKm, old: outlook.oldKm!.median };
    };
    const plain = lives(file, 0, 0).median;
    const known = lives(file, 0.5, 0);
    expect(plain / known.median).toBeCloseTo(1.5, 2);
    // Draws of the axle's own part and of the tires', of which those are taken that add up to the whole.
    const random = createRandom(7);
    const ownParts = (sd: number, faster: number) => {
      const rest = Math.sqrt(sd * sd - SPREAD.axleRate * SPREAD.axleRate);
      const taken: number[] = [];
      while (taken.length < count) {
        const own = SPREAD.axleRate * random.normal();
        if (Math.abs(own + rest * random.normal() - faster) < 0.02) taken.push(own);
      }
      return [0.1, 0.5, 0.9].map((part) => quantile(taken, part));
    };
    const differing = { ...file, history: { ...file.history, tiresDiffer: ['axles' as const] } };
    for (const [of, otherAge, sd] of [
      [file, 2, NOISE.otherAge],
      [differing, 0, NOISE.differingAxle],
    ] as const) {
      const { low, median, high, old } = lives(of, 0.5, otherAge);
      const [slow, middling, fast] = ownParts(sd, 0.5);
      for (const [life, part] of [
        [high, slow],
        [median, middling],
        [low, fast],
      ] as const) {
        expect(Math.abs(plain / life - 1 - part!)).toBeLessThan(0.015);
      }
      expect(old).toBeCloseTo(known.old, 6);
    }
  });

  it('puts the ratio of the wear model between a car that is out and one put right', () => {
    // 0.5 degrees on each front wheel wears about threefold (common practice, no source).
    const out = car((state) => (state[STATE.toe] = MID.toe[0] + 1));
    const outlook = createOutlook(
      resolved,
      Array.from({ length: 400 }, () => out),
    );
    const ratio = course(outlook, 'align').lifeKm.median / course(outlook, 'fitOnly').lifeKm.median;
    expect(ratio).toBeGreaterThan(2.2);
    expect(ratio).toBeLessThan(4.5);
    expect(course(outlook, 'fitOnly').first.wheel).toMatch(/f$/);
    expect(course(outlook, 'align').comesBack).toBe(0);
    expect(course(outlook, 'fitOnly').comesBack).toBe(1);
    expect(course(outlook, 'balanceOrDampers').needless).toBe(1);
  });

  it('draws depths that fall to the limit just when the life is over', () => {
    const outlook = createOutlook(
      resolved,
      Array.from({ length: 500 }, () => toeOut),
    );
    const { km, mm } = outlook.curves.newAsIs;
    const at = km.findIndex((_km, i) => mm[i]!.median <= outlook.limitMm);
    const life = course(outlook, 'fitOnly').lifeKm.median;
    expect(km[at - 1]!).toBeLessThanOrEqual(life);
    expect(km[at]!).toBeGreaterThanOrEqual(life * 0.98);
    for (const { low, median, high } of mm) {
      expect(low).toBeLessThanOrEqual(median);
      expect(median).toBeLessThanOrEqual(high);
    }
    expect(outlook.curves.newPutRight.mm[at]!.median).toBeGreaterThan(mm[at]!.median + 1);
  });

  it('starts the old tires where they were read, and gives none where nothing was', () => {
    const outlook = createOutlook(resolved, [car(), toeOut]);
    const read = Object.values(resolved.tires).flatMap(({ readMm }) =>
      Object.values(readMm).map(
        (depths) => depths.reduce((sum, mm) => sum + mm, 0) / depths.length,
      ),
    );
    expect(outlook.curves.oldAsIs!.mm[0]!.median).toBeCloseTo(Math.min(...read), 9);
    const blank = { inner: null, centre: null, outer: null };
    const unread = exampleCase();
    for (const tire of Object.values(unread.tires)) tire.stations = [blank];
    const nothing = createOutlook(resolveCase(unread), [car()]);
    expect(nothing.oldKm).toBeNull();
    expect(nothing.curves.oldAsIs).toBeNull();
    expect(nothing.oldRibs).toBeNull();
  });

  it('runs each rib ahead by itself, the lowest as the curve of the whole car has it', () => {
    const partly = exampleCase();
    for (const station of partly.tires.lr.stations) station.centre = null;
    const { oldRibs, curves } = createOutlook(resolveCase(partly), [car(), toeOut]);
    expect(oldRibs!.lr.centre).toBeNull();
    const starts = Object.values(oldRibs!).flatMap((tire) =>
      Object.values(tire).flatMap((rib) => (rib ? [rib.mm[0]!.median] : [])),
    );
    expect(starts).toHaveLength(11);
    expect(Math.min(...starts)).toBeCloseTo(curves.oldAsIs!.mm[0]!.median, 9);
    for (const tire of Object.values(oldRibs!)) {
      for (const rib of Object.values(tire)) {
        rib?.mm.slice(1).forEach((at, i) => expect(at.median).toBeLessThan(rib.mm[i]!.median));
      }
    }
  });

  it('runs each rib ahead after each course, worn or new', () => {
    const { oldRibs, newDepthMm, courses, limitMm } = createOutlook(resolved, [toeOut]);
    const ribs = ribsAfter(resolved, [toeOut]);
    const after = (course: Action, kind: 'worn' | 'fresh') => {
      const { km, mm } = ribs[course][kind]!.lf.inner!;
      return (mm[0]!.median - mm[1]!.median) / km[1]!;
    };
    // As it is, the worn ribs go on as they do.
    expect(ribs.fitOnly.worn!.lf.inner!.mm[1]!.median).toBeCloseTo(
      oldRibs!.lf.inner!.mm[2]!.median,
      9,
    );
    expect(ribs.fitOnly.fresh.lf.inner!.mm[0]!.median).toBe(newDepthMm);
    // Toe that is set right no longer eats the inner edge, of old tires and new.
    for (const kind of ['worn', 'fresh'] as const) {
      expect(after('align', kind)).toBeLessThan(0.8 * after('fitOnly', kind));
    }
    // Where the first rib of a new set comes to the limit, its life is over: by small steps of the rate as it is.
    const slope = DEPTH_RATE + toeOut.state[STATE.depthRate]!;
    for (const { course: of, lifeKm } of courses) {
      const { mm } = ribs[of].fresh.lf.inner!;
      const rate = rateFor(newDepthMm - mm[1]!.median, newDepthMm, slope);
      expect(stepped(newDepthMm, newDepthMm, rate, slope, 20)).toBeCloseTo(mm[2]!.median, 3);
      const ends = Object.values(ribs[of].fresh).flatMap((tire) =>
        Object.values(tire).map((rib) => {
          const own = rateFor(newDepthMm - rib!.mm[1]!.median, newDepthMm, slope);
          return stepped(newDepthMm, newDepthMm, own, slope, lifeKm.median / 1000);
        }),
      );
      expect(Math.min(...ends)).toBeCloseTo(limitMm, 1);
    }
  });

  it('is the same for the same case', () => {
    const cars = [car(), toeOut, loose];
    expect(createOutlook(resolved, cars)).toEqual(createOutlook(resolved, cars));
  });
});
