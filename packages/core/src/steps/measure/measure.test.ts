import type { DraftMeasure, Instrument } from '@keen/contract';
import type { VisitDraft } from '@keen/contract';
import type { Method } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { usedInstruments } from '../../gauges/usedInstruments.ts';
import { angleLedger } from './angleLedger.ts';
import type { Angles } from './angleLedger.ts';
import { METHOD_FACTS, methodsFor, repeatOf, standardUncertainty } from './methods.ts';
import { setupDoubts, setupList, invalidated } from './setupList.ts';

const straight: Angles = {
  lf: { camber: -0.4, toe: 0.05 },
  rf: { camber: -0.4, toe: 0.05 },
  lr: { camber: -0.8, toe: 0.08 },
  rr: { camber: -0.8, toe: 0.08 },
};
const row = (draft: VisitDraft, key: string) => angleLedger(draft).find((one) => one.key === key);
const by = (method: Partial<Record<'camber' | 'toe', Method>>): VisitDraft => ({
  angles: straight,
  visit: { measure: { method } },
});

describe('standardUncertainty', () => {
  it('adds method, resolution and repeats as squares (JCGM 100:2008)', () => {
    expect(standardUncertainty({ methodSd: 0.03 })).toBeCloseTo(0.03, 12);
    expect(standardUncertainty({ methodSd: 0.03, resolution: 0.1 })).toBeCloseTo(
      Math.hypot(0.03, 0.1 / Math.sqrt(12)),
      12,
    );
    // Three readings with a standard deviation of 0.1: 0.1 / sqrt 3.
    expect(standardUncertainty({ methodSd: 0, repeats: [0.4, 0.5, 0.6] })).toBeCloseTo(
      0.1 / Math.sqrt(3),
      12,
    );
    expect(standardUncertainty({ methodSd: 0.03, repeats: [0.4] })).toBeCloseTo(0.03, 12);
  });
});

describe('the shop’s own instrument', () => {
  const withRig = (rig: { errorSd: number; certified?: number }): VisitDraft => ({
    angles: straight,
    visit: { measure: { instruments: { readout: { name: 'Rig', checkedAt: null, ...rig } } } },
  });
  const usual = METHOD_FACTS.readout.sd.camber!;
  const camberSd = (draft: VisitDraft) => row(draft, 'camber.lf')!.sd;

  it('adds what its checks found off, as squares', () => {
    expect(camberSd(withRig({ errorSd: 0.12 }))).toBeCloseTo(Math.hypot(usual, 0.12), 12);
    expect(camberSd(withRig({ errorSd: 0 }))).toBeCloseTo(usual, 12);
  });

  it('goes by its certificate where it has one', () => {
    expect(camberSd(withRig({ errorSd: 0.04, certified: 0.03 }))).toBeCloseTo(0.05, 12);
  });

  it('says nothing of other methods', () => {
    const draft = withRig({ errorSd: 2 });
    draft.visit!.measure!.method = { camber: 'level' };
    expect(camberSd(draft)).toBeCloseTo(METHOD_FACTS.level.sd.camber!, 12);
  });

  it('of a kind is the one checked last, of those in use', () => {
    const gauge = (
      name: string,
      at: string | null,
      change: Partial<Instrument> = {},
    ): Instrument => ({
      id: name,
      name,
      kind: 'level',
      certified: null,
      block: [0],
      retired: false,
      createdAt: '2026-01-01T00:00:00.000Z',
      checks:
        at === null ? [] : [{ id: at, at, by: '', note: '', points: [{ known: 0, read: 0.1 }] }],
      ...change,
    });
    const used = usedInstruments([
      gauge('never', null),
      gauge('old', '2026-01-05T00:00:00.000Z'),
      gauge('new', '2026-03-05T00:00:00.000Z'),
      gauge('away', '2026-04-05T00:00:00.000Z', { retired: true }),
      gauge('depth', '2026-04-05T00:00:00.000Z', { kind: 'depth' }),
    ]);
    expect(used).toEqual({
      level: { name: 'new', checkedAt: '2026-03-05T00:00:00.000Z', errorSd: 0.1 },
    });
  });
});

describe('repeatOf', () => {
  it('allows what two readings of the method differ by, and no more', () => {
    const allowed = 2 * Math.SQRT2 * METHOD_FACTS.strings.sd.toe!;
    expect(repeatOf([0.1, 0.1 + allowed * 0.9], 'strings').verdict).toBe('returns');
    expect(repeatOf([0.1, 0.1 - allowed * 1.2], 'strings').verdict).toBe('moves');
    // The trade's two millimetres at a 635 mm tire are 0.18 degrees: a rig must not pass them.
    expect(repeatOf([0, 0.18], 'readout').verdict).toBe('moves');
  });
});

describe('angleLedger', () => {
  it('finds an ordinary car in, and derives what it can', () => {
    const rows = angleLedger({ angles: straight });
    expect(rows.filter(({ limits }) => limits).every(({ state }) => state === 'in')).toBe(true);
    const total = row({ angles: straight }, 'totalToe.front');
    expect(total).toMatchObject({ value: 0.1, limitsFrom: 'usual' });
    expect(row({ angles: straight }, 'thrust')!.value).toBeCloseTo(0, 12);
    expect(row({ angles: straight }, 'crossCamber')!.value).toBeCloseTo(0, 12);
  });

  it('counts derived doubt as the root of the squares', () => {
    const { toe } = METHOD_FACTS.readout.sd;
    expect(row({ angles: straight }, 'totalToe.rear')!.sd).toBeCloseTo(toe! * Math.SQRT2, 12);
    expect(row({ angles: straight }, 'thrust')!.sd).toBeCloseTo(toe! / Math.SQRT2, 12);
  });

  it('counts the step of the gauge and how repeats scatter, wheel by wheel', () => {
    const measure = {
      resolution: { toe: 0.1 },
      readings: { lf: { toe: [0.0, 0.1] } },
    };
    const draft: VisitDraft = { angles: straight, visit: { measure } };
    const once = Math.hypot(METHOD_FACTS.readout.sd.toe!, 0.1 / Math.sqrt(12));
    // Two readings a tenth apart: their mean has a standard uncertainty of 0.05.
    const twice = Math.hypot(once, 0.05);
    expect(row(draft, 'toe.rf')!.sd).toBeCloseTo(once, 12);
    expect(row(draft, 'toe.lf')!.sd).toBeCloseTo(twice, 12);
    expect(row(draft, 'totalToe.front')!.sd).toBeCloseTo(Math.hypot(once, twice), 12);
  });

  it('says when a method cannot tell in from out', () => {
    const near = { ...straight, lf: { camber: -1.4, toe: 0.05 } };
    expect(row({ ...by({ camber: 'readout' }), angles: near }, 'camber.lf')!.state).toBe('out');
    expect(row({ ...by({ camber: 'level' }), angles: near }, 'camber.lf')!.state).toBe('tooClose');
  });

  it('takes the limits of the file before the usual ones', () => {
    const rows = angleLedger({ angles: straight, tolerances: { camber: { front: [-2, -1] } } });
    const camber = rows.find(({ key }) => key === 'camber.lf');
    expect(camber).toMatchObject({ limits: [-2, -1], limitsFrom: 'file', state: 'out' });
  });

  it.each(['tape', 'helperTape'] as const)('tells no toe of a wheel and no thrust by %s', (toe) => {
    expect(row(by({ toe }), 'toe.lf')).toBeUndefined();
    expect(row(by({ toe }), 'thrust')).toBeUndefined();
    expect(row(by({ toe }), 'totalToe.front')).toBeDefined();
  });

  it('judges a cart by what is usual for carts, measured as carts are', () => {
    const cart: VisitDraft = { vehicle: { use: 'cart' }, angles: straight };
    expect(row(cart, 'toe.lf')).toBeUndefined();
    const total = row(cart, 'totalToe.front')!;
    expect(total).toMatchObject({ limits: [0.1, 0.5], limitsFrom: 'usual' });
    expect(total.sd).toBeCloseTo(METHOD_FACTS.helperTape.sd.toe! * Math.SQRT2, 12);
  });

  it('shows setback in mm and toe-out on turns, each turn by itself', () => {
    const measure = { setback: 9, turning: { left: { inside: 20, outside: 18.4 } } };
    const draft: VisitDraft = { visit: { measure } };
    expect(row(draft, 'setback')).toMatchObject({ value: 9, unit: 'mm', state: 'tooClose' });
    expect(row(draft, 'toeOut.left')!.value).toBeCloseTo(1.6, 12);
    expect(row(draft, 'toeOut.left')!.state).toBe('noLimit');
    expect(row(draft, 'toeOut.right')).toBeUndefined();
  });

  it('has no row for what was not measured', () => {
    expect(angleLedger({})).toEqual([]);
  });
});

describe('setupList', () => {
  it('asks only what the method needs', () => {
    const points = (measure: DraftMeasure, use: 'street' | 'cart' = 'street') =>
      setupList({ vehicle: { use }, visit: { measure } }).map(({ point }) => point);
    const byTape = { what: { kinds: ['toe'], axles: ['front'] }, method: { toe: 'tape' } } as const;
    expect(points({ ...byTape, what: { kinds: ['toe'], axles: ['front'] } })).toEqual([
      'pressures',
      'load',
      'height',
      'floor',
      'chocks',
      'runOut',
      'settled',
      'wheelStraight',
    ]);
    expect(points({})).toContain('clamps');
    // Pinned, rolled for run-out, pins out, settled, brake held: in the order it is done.
    const order = ['turnPlates', 'clamps', 'runOut', 'pinsOut', 'settled', 'brakeHeld'];
    expect(points({}).filter((point) => order.includes(point))).toEqual(order);
    // Of a cart by tape and square neither clamps nor a brake holder; grease first.
    const cart = points({}, 'cart');
    expect(cart[0]).toBe('grease');
    expect(cart).not.toContain('clamps');
    expect(cart).not.toContain('brakeHeld');
    expect(methodsFor('caster')).toEqual(['readout', 'swing']);
    expect(methodsFor('camber')).toEqual(['readout', 'level', 'square']);
  });

  it('says what a skipped point makes of the reading, with the reason', () => {
    const measure: DraftMeasure = {
      method: { camber: 'level' },
      setup: { floor: 'skipped', settled: 'done' },
      skipped: { floor: 'yard' },
    };
    expect(setupDoubts({ visit: { measure } }, ENGLISH_SCREENS.measure)).toEqual([
      'Skipped: floor level, or its slope known (yard); a sloping floor reads as camber, left against right.',
    ]);
  });

  it('says which done points are worth nothing once another was skipped', () => {
    const measure: DraftMeasure = { setup: { clamps: 'skipped', runOut: 'done' } };
    expect(invalidated({ visit: { measure } })).toEqual(['runOut']);
    expect(setupDoubts({ visit: { measure } }, ENGLISH_SCREENS.measure).join()).toMatch(
      /Also affected: rim run-out/,
    );
    expect(invalidated({ visit: { measure: { setup: { clamps: 'done' } } } })).toEqual([]);
  });
});
