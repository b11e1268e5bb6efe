import type { VisitDraft } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import type { AngleKind, Method, Wheel } from '@keen/contract/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { foldEntries } from '../../visit/foldEntries.ts';
import { angleLedger } from '../measure/angleLedger.ts';
import { readingPairs, applyReadings } from '../measure/readings.ts';
import { alignmentState, alignmentWords } from './alignmentState.ts';
import { leaveRows } from './leftRows.ts';
import { isAtTarget, setRightPlan } from './setRightPlan.ts';

/** Readings typed one after another, a minute apart. */
function bay(draft: VisitDraft = {}) {
  let now = draft;
  let minute = 0;
  const at = () => new Date(Date.UTC(2026, 2, 1, 9, minute++)).toISOString();
  const self = {
    get draft() {
      return now;
    },
    get state() {
      const state = alignmentState(now);
      return { ...state, ...alignmentWords(now, state, ENGLISH_SCREENS) };
    },
    get keys() {
      return setRightPlan(now).map(({ key }) => key);
    },
    enter(path: string, value: unknown) {
      now = foldEntries(now, [{ path, value }]);
      return self;
    },
    read(wheel: Wheel, kind: AngleKind, value: number | null, method: Method = 'readout') {
      now = foldEntries(now, applyReadings(now, [{ wheel, kind, value, method, at: at() }]));
      return self;
    },
    begin() {
      return self.enter('visit.setRight.before', now.angles);
    },
    wheelStraight() {
      return self.enter('visit.setRight.steeringWheel', { state: 'straight', at: at() });
    },
  };
  return self;
}

/** A car with everything in but what is given. */
function car(change: Partial<Record<Wheel, Partial<Record<AngleKind, number>>>> = {}) {
  const shop = bay();
  const straight: Record<Wheel, Record<'camber' | 'toe', number>> = {
    lf: { camber: -0.3, toe: 0.05 },
    rf: { camber: -0.3, toe: 0.05 },
    lr: { camber: -0.75, toe: 0.075 },
    rr: { camber: -0.75, toe: 0.075 },
  };
  for (const wheel of WHEELS) {
    const angles = { ...straight[wheel], ...change[wheel] };
    for (const kind of ['camber', 'toe', 'caster'] as const) {
      const value = angles[kind as 'camber'];
      if (value !== undefined) shop.read(wheel, kind, value);
    }
  }
  return shop;
}

describe('alignmentState', () => {
  it('is done on a car with everything in', () => {
    expect(car().state).toMatchObject({ kind: 'done', headline: 'All angles are in.', detail: '' });
  });

  it('does not take a toe from before the camber was set', () => {
    const shop = car({ lr: { camber: -3 } }).begin();
    expect(shop.state).toMatchObject({
      kind: 'out',
      headline: 'Left rear camber is out.',
    });
    shop.read('lr', 'camber', -0.75);
    expect(shop.state).toMatchObject({
      kind: 'stale',
      headline: 'Measure again: rear toe and thrust.',
    });
    expect(shop.state.detail).toMatch(/Camber was set since/);
    expect(shop.keys).toEqual(['toe-lr', 'toe-rr']);
    shop.read('lr', 'toe', 0.075).read('rr', 'toe', 0.075);
    expect(shop.state.kind).toBe('done');
  });

  it('asks for the front and the steering wheel after the rear toe', () => {
    const shop = car({ lr: { toe: 0.6 }, rr: { toe: 0.6 } }).begin();
    shop.read('lr', 'toe', 0.075).read('rr', 'toe', 0.075);
    expect(shop.state).toMatchObject({ kind: 'stale', headline: 'Measure again: front toe.' });
    shop.read('lf', 'toe', 0.05).read('rf', 'toe', 0.05);
    expect(shop.state).toMatchObject({ kind: 'steering' });
    expect(shop.wheelStraight().state.kind).toBe('done');
    // Turned once more: it has to be looked at again.
    expect(shop.read('lf', 'toe', 0.06).state.kind).toBe('steering');
  });

  it('takes a file that brings all angles at once as read at one moment', () => {
    const shop = car({ lr: { camber: -3 } }).begin();
    const at = '2026-03-01T12:00:00.000Z';
    const all = WHEELS.flatMap((wheel) => [
      { wheel, kind: 'camber' as const, method: 'readout' as const, value: -0.5, at },
      { wheel, kind: 'toe' as const, method: 'readout' as const, value: 0.05, at },
    ]);
    const after = foldEntries(shop.draft, applyReadings(shop.draft, all));
    expect(angleLedger(after).filter(({ state }) => state === 'stale')).toEqual([]);
  });

  it('finds a stale toe also where nobody wrote down when it was read', () => {
    const before = car({ lr: { camber: -3 } }).draft.angles!;
    const draft: VisitDraft = {
      angles: { ...before, lr: { camber: -0.75, toe: 0.075 } },
      visit: { setRight: { before } },
    };
    expect(alignmentState(draft)).toMatchObject({ kind: 'stale' });
  });

  it('names one wheel that is out, and makes a step of it', () => {
    // The total of 0.10 is in; the left wheel is not.
    const shop = car({ lf: { toe: 0.3 }, rf: { toe: -0.2 } });
    expect(shop.state.headline).toBe('Front toe is out.');
    const one = car({ lf: { toe: 0.22 } });
    expect(one.state.headline).toMatch(/Left front toe/i);
    expect(one.keys).toContain('toe-lf');
    expect(one.keys).not.toContain('toe-rf');
  });

  it('says that it cannot tell, until it is left as it is, and judges another value anew', () => {
    const shop = car({ lr: { camber: -1.71 }, rr: { camber: -1.4 } });
    expect(shop.state).toMatchObject({
      kind: 'undecided',
      headline: 'Can’t tell yet: left rear camber.',
    });
    const rows = shop.state.unanswered;
    expect(rows.map(({ key }) => key)).toEqual(['camber.lr']);
    const { path, value } = leaveRows(shop.draft, rows, true);
    shop.enter(path, value);
    expect(shop.state).toMatchObject({ kind: 'done', detail: 'Left as it is: left rear camber.' });
    shop.read('lr', 'camber', -1.69);
    expect(shop.state.kind).toBe('undecided');
  });

  it('speaks of what was measured only', () => {
    const shop = bay().read('lf', 'toe', 0.05).read('rf', 'toe', 0.05);
    expect(shop.state).toMatchObject({
      kind: 'done',
      headline: 'What was measured is in.',
      detail: 'Not measured: front camber, rear camber and rear toe.',
    });
  });

  it('looks at the steering wheel when the customer says that it stands off', () => {
    const shop = car().enter('complaints', ['wheelOffLeft']);
    expect(shop.state.kind).toBe('steering');
    expect(shop.keys).toEqual(['steeringWheel']);
    shop.enter('visit.setRight.steeringWheel', { state: 'right', at: '2026-03-01T10:00:00.000Z' });
    expect(shop.state.detail).toBe('It is off to the right: set it straight.');
  });

  it('gives the whole correction of a cart to the wheel found wrong, and no camber a zero target', () => {
    const shop = bay({ vehicle: { use: 'cart' }, visit: { inspect: { crookedWheel: 'left' } } })
      .read('lf', 'camber', 2, 'square')
      .read('rf', 'camber', 0.6, 'square')
      .read('lf', 'toe', 0.6, 'helperTape')
      .read('rf', 'toe', 0.6, 'helperTape');
    const plan = setRightPlan(shop.draft);
    const camber = plan.filter(({ kind }) => kind === 'camber');
    expect(camber.map(({ key }) => key)).toEqual(['camber-lf']);
    expect(camber[0]!.change).toBeCloseTo(-1.4, 9);
    expect(plan.filter(({ kind }) => kind === 'toe').map(({ key }) => key)).toEqual(['toe-front']);
    // Alike on both sides is in, however far from zero.
    const alike = bay({ vehicle: { use: 'cart' } })
      .read('lf', 'camber', 2, 'square')
      .read('rf', 'camber', 2, 'square');
    expect(alike.state.kind).toBe('done');
  });

  it('sets a tape’s total as a total', () => {
    const shop = bay().read('lf', 'toe', 0.4, 'tape').read('rf', 'toe', 0.4, 'tape');
    expect(shop.state.headline).toBe('Front total toe is out.');
    const [step] = setRightPlan(shop.draft);
    expect(step).toMatchObject({ key: 'toe-front', where: null, now: 0.8 });
    expect(step!.change).toBeCloseTo(-0.7, 9);
  });
});

describe('readings', () => {
  it('stand side by side by method, and say whether they agree', () => {
    const shop = bay().read('lf', 'toe', 0.14, 'tape').read('lf', 'toe', 0.63, 'strings');
    expect(shop.draft.angles?.lf?.toe).toBe(0.63);
    const [pair] = readingPairs(shop.draft, 'lf', 'toe');
    // 2 * sqrt(0.05² + 0.07²) = 0.172
    expect(pair).toMatchObject({
      agree: false,
      used: { method: 'strings' },
      other: { method: 'tape' },
    });
    expect(pair!.allowed).toBeCloseTo(0.172, 3);
    // Taken away, the other one counts again.
    shop.read('lf', 'toe', null, 'strings');
    expect(shop.draft.angles?.lf?.toe).toBe(0.14);
  });

  it('are not relabelled when another method is chosen', () => {
    const shop = bay().read('lf', 'toe', 0.14, 'tape').read('rf', 'toe', 0.14, 'tape');
    shop.enter('visit.measure.method.toe', 'readout');
    const total = angleLedger(shop.draft).find(({ key }) => key === 'totalToe.front')!;
    expect(total.sd).toBeCloseTo(0.05 * Math.SQRT2, 9);
    expect(angleLedger(shop.draft).some(({ key }) => key === 'toe.lf')).toBe(false);
  });
});

describe('whatever is entered', () => {
  const reading = fc.record({
    wheel: fc.constantFrom(...WHEELS),
    kind: fc.constantFrom<AngleKind>('camber', 'toe', 'caster'),
    value: fc.double({ min: -3, max: 3, noNaN: true }).map((value) => Number(value.toFixed(2))),
    method: fc.constantFrom<Method>('readout', 'strings', 'tape', 'level'),
  });
  const act = fc.oneof(
    { weight: 8, arbitrary: reading },
    { weight: 1, arbitrary: fc.constant('begin' as const) },
    { weight: 2, arbitrary: fc.constant('straight' as const) },
    { weight: 1, arbitrary: fc.constant('leave' as const) },
  );

  it('never ends in done with a stale or an outlying row that nobody left', () => {
    fc.assert(
      fc.property(fc.array(act, { minLength: 4, maxLength: 30 }), (acts) => {
        const shop = car();
        for (const one of acts) {
          if (one === 'begin') shop.begin();
          else if (one === 'straight') shop.wheelStraight();
          else if (one === 'leave') {
            const { path, value } = leaveRows(shop.draft, shop.state.unanswered, true);
            shop.enter(path, value);
          } else shop.read(one.wheel, one.kind, one.value, one.method);
        }
        if (shop.state.kind !== 'done') return;
        const left = new Set(shop.state.left.map(({ key }) => key));
        for (const row of angleLedger(shop.draft)) {
          if (left.has(row.key)) continue;
          expect(row.state).not.toBe('stale');
          expect(row.state).not.toBe('out');
          if (row.state === 'tooClose') expect(isAtTarget(row)).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('ends in done when each step of the plan is carried out exactly', () => {
    const off = fc
      .double({ min: -4, max: 4, noNaN: true })
      .map((value) => Number(value.toFixed(2)));
    fc.assert(
      fc.property(
        fc.record({ camber: off, toe: off, caster: off }),
        off,
        off,
        (lf, camber, toe) => {
          const shop = car({ lf, rf: { caster: 4 }, rr: { camber, toe } }).begin();
          for (let i = 0; i < 40 && shop.state.kind !== 'done'; i++) {
            const [step] = setRightPlan(shop.draft);
            // Rows that no step sets, such as a caster too close to tell, are left as they are.
            if (!step) {
              const { path, value } = leaveRows(shop.draft, shop.state.unanswered, true);
              shop.enter(path, value);
            } else if (step.key === 'steeringWheel') shop.wheelStraight();
            else {
              const now = shop.draft.angles![step.where!]![step.kind!]!;
              shop.read(step.where!, step.kind!, step.needs === 'set' ? step.target! : now);
            }
          }
          expect(shop.state.kind).toBe('done');
        },
      ),
      { numRuns: 100 },
    );
  });
});
