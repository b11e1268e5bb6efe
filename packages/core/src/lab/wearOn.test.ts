import { caseFileSchema } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { tirePath } from '../engine/wear/paths.ts';
import { tireLoss } from '../engine/wear/tireLoss.ts';
import { causeGroups } from '../steps/explain/causeGroups.ts';
import { diagnose } from '../steps/explain/diagnose.ts';
import { formulaPhysics } from './formulaPhysics.ts';
import {
  carOfState,
  isSameCar,
  labState,
  neededPressure,
  putRightCar,
  thrustDeg,
  usualCar,
} from './labCar.ts';
import type { LabCar } from './labCar.ts';
import { labCase } from './labCase.ts';
import { NAMED_TREADS } from './namedTreads.ts';
import { featherFelt, firstAtLimit, tiresAt, wearOn } from './wearOn.ts';
import type { LabEvent, LabPlan } from './wearOn.ts';

function planOf(change: (car: LabCar) => void, events: LabEvent[] = [], km = 30_000): LabPlan {
  const car = usualCar();
  change(car);
  return { car, newMm: 8, km, events };
}

function leftAfter(plan: LabPlan, km = plan.km) {
  return tiresAt(wearOn(plan, formulaPhysics(plan.car.drive)), km);
}

describe('wearOn', () => {
  it('wears an ordinary front-drive car about 1 mm in 10,000 km in front (common practice, no source)', () => {
    const { lf } = leftAfter(
      planOf(() => undefined),
      20_000,
    ).depthMm;
    const mean = (lf.inner + lf.centre + lf.outer) / 3;
    expect(8 - mean).toBeGreaterThan(1.8);
    expect(8 - mean).toBeLessThan(2.5);
  });

  it('adds up to the closed form of the wear model', () => {
    const plan = planOf((car) => {
      car.camber.lf = -2;
      car.toe.rf = 0.25;
      car.pressure.lr = 0.85;
    });
    const left = leftAfter(plan);
    const loss = new Float64Array(3);
    (['lf', 'rf', 'lr', 'rr'] as const).forEach((wheel, at) => {
      tireLoss(labState(plan.car), tirePath(at, [at], [30], 'fwd', 8), loss);
      // The closed form is of first order in how wear slows; steps are exact.
      const { inner, centre, outer } = left.depthMm[wheel];
      [inner, centre, outer].forEach((mm, rib) =>
        expect((8 - mm) / loss[rib]!).toBeCloseTo(1, 1.3),
      );
    });
  });

  it('shares an axle’s toe, whichever wheel it is set at, and turns the difference into thrust', () => {
    const one = planOf((car) => (car.toe.lr = 0.5));
    const other = planOf((car) => (car.toe.rr = 0.5));
    expect(leftAfter(one).depthMm).toEqual(leftAfter(other).depthMm);
    expect(thrustDeg(one.car)).toBeCloseTo(-thrustDeg(other.car), 12);
    // Front inward on the left points right.
    expect(thrustDeg(one.car)).toBeGreaterThan(0);
  });

  it('carries tires to the other axle in a rotation, and leaves what they lost on them', () => {
    const plan = planOf((car) => (car.toe.lf = 0.6), [{ kind: 'rotate', atKm: 10_000 }]);
    const run = wearOn(plan, formulaPhysics('fwd'));
    const before = tiresAt(run, 9_750).depthMm;
    const after = tiresAt(run, 10_000).depthMm;
    expect(after.lr.outer).toBeLessThan(before.lf.outer);
    expect(before.lf.outer - after.lr.outer).toBeLessThan(0.2);
    expect(after.lf.outer).toBeGreaterThan(before.lf.outer);
  });

  it('wears evenly again after an alignment, and lets the feather fade', () => {
    const change = (car: LabCar) => (car.toe.lf = 0.6);
    const left = leftAfter(planOf(change, [{ kind: 'align', atKm: 10_000 }], 40_000));
    const never = leftAfter(planOf(change, [], 40_000));
    expect(left.depthMm.lf.outer).toBeGreaterThan(never.depthMm.lf.outer + 1.5);
    expect(featherFelt(never.feather.lf)).toBe('catchesOutward');
    expect(featherFelt(left.feather.lf)).toBe('none');
  });

  it('never goes below nothing, and stops where the tread is gone', () => {
    const { lf } = leftAfter(
      planOf((car) => (car.toe.lf = 1.5)),
      30_000,
    ).depthMm;
    expect(Math.min(lf.inner, lf.centre, lf.outer)).toBe(0);
  });

  it('makes waves under a bad damper only', () => {
    const { wavesMm } = leftAfter(planOf((car) => (car.bounces.lr = true)));
    expect(wavesMm.lr).toBeGreaterThan(0.4);
    expect(wavesMm.rr).toBe(0);
  });

  it('says that caster hardly wears a tire by itself (common practice, no source)', () => {
    const usual = leftAfter(planOf(() => undefined)).depthMm.lf;
    const much = leftAfter(planOf((car) => (car.caster = { left: 9, right: 9 }))).depthMm.lf;
    expect(Math.abs(much.inner - usual.inner)).toBeLessThan(0.15);
    expect(much.inner).not.toBe(usual.inner);
    // Much caster leans turned wheels in: the inner edge loses a little more.
    expect(much.inner - much.outer).toBeLessThan(usual.inner - usual.outer);
  });

  it('makes a loaded axle stand on its shoulders until its pressure fits the load', () => {
    const loaded = planOf((car) => (car.load.rear = 1.35));
    const pumped = planOf((car) => {
      car.load.rear = 1.35;
      car.pressure.lr = neededPressure(1.35);
    });
    const { lr, rr } = leftAfter(loaded).depthMm;
    expect(lr.centre - lr.outer).toBeGreaterThan(0.3);
    expect(rr).toEqual(lr);
    const set = leftAfter(pumped).depthMm.lr;
    expect(Math.abs(set.centre - (set.outer + set.inner) / 2)).toBeLessThan(0.15);
    // ETRTO standards manual, recalled from memory: load goes with pressure to 0.8.
    expect(neededPressure(1.35) ** 0.8).toBeCloseTo(1.35, 9);
  });

  it('leans the wheels of a lowered car in until it is aligned at its height', () => {
    const low = leftAfter(planOf((car) => (car.height = { front: -40, rear: -40 })));
    expect(low.depthMm.lr.inner).toBeLessThan(low.depthMm.lr.outer - 0.15);
    const right = putRightCar({ ...usualCar(), height: { front: -40, rear: -40 } });
    expect(isSameCar(right, usualCar())).toBe(true);
  });
});

describe('firstAtLimit', () => {
  it('finds the rib that wears first, and where', () => {
    const plan = planOf((car) => (car.camber.lf = -4), [], 150_000);
    const run = wearOn(plan, formulaPhysics('fwd'));
    const end = firstAtLimit(run, 1.6)!;
    expect(end).toMatchObject({ wheel: 'lf', rib: 'inner' });
    expect(tiresAt(run, end.km).depthMm.lf.inner).toBeCloseTo(1.6, 3);
  });

  it('is nothing where no rib gets there', () => {
    const run = wearOn(
      planOf(() => undefined, [], 5_000),
      formulaPhysics('fwd'),
    );
    expect(firstAtLimit(run, 1.6)).toBeNull();
  });
});

describe('a named tread', () => {
  const CAUSES: Record<string, string> = {
    saw: 'toeTooFarIn',
    sawInner: 'toeTooFarOut',
    innerEdge: 'camberTooNegative',
    rearInner: 'camberTooNegative',
    soft: 'pressureLow',
    hard: 'pressureHigh',
    waves: 'bounce',
    keen: 'hardCornering',
  };

  it.each(NAMED_TREADS.filter(({ name }) => name in CAUSES))(
    'is read back by the diagnosis: $title',
    ({ name, car }) => {
      const plan = { car, newMm: 8, km: 25_000, events: [] };
      const file = caseFileSchema.parse(labCase(plan, leftAfter(plan), 25_000));
      const first = causeGroups(diagnose(file).diagnosis).slice(0, 3);
      expect(first.flatMap(({ places }) => places.map(({ cause }) => cause))).toContain(
        CAUSES[name],
      );
    },
  );

  it('keeps rotations and a pressure that was set in its case', () => {
    const plan = planOf(
      (car) => (car.pressure.lf = 0.8),
      [
        { kind: 'rotate', atKm: 10_000 },
        { kind: 'inflate', atKm: 15_000 },
        { kind: 'rotate', atKm: 29_000 },
      ],
    );
    const file = caseFileSchema.parse(labCase(plan, leftAfter(plan, 20_000), 20_000));
    expect(file.rotations).toHaveLength(1);
    expect(file.tires.lf.pressure).toEqual({ measured: 230, target: 230 });
  });
});

describe('carOfState', () => {
  it('is the car again whose state it was', () => {
    const car = usualCar();
    car.camber.rf = -2.5;
    car.toe.lf = car.toe.rf = 0.2;
    car.play.rear = 0.2;
    car.bounces.rr = true;
    car.rate = 1.3;
    expect(isSameCar(carOfState(labState(car), 'fwd'), car)).toBe(true);
  });
});
