import { describe, expect, it } from 'vitest';
import * as fc from 'fast-check';
import { entryValueSchema, parseCaseFile, visitTakes } from '@keen/contract';
import type { VisitDraft } from '@keen/contract';
import { exampleCase } from '../../tests/exampleCase.ts';
import { caseToChanges } from './caseToChanges.ts';
import { countRead, draftToCase } from './draftToCase.ts';
import { readDigits } from '../steps/read/digitEntry.ts';
import { foldEntries } from './foldEntries.ts';
import { readingOrder } from '../steps/read/readingOrder.ts';
import { missingArrival, nextStep, stepStates } from '../steps/visitSteps.ts';

describe('foldEntries', () => {
  it('sets fields by path, grows arrays, and leaves the old draft alone', () => {
    const before: VisitDraft = { vehicle: { drive: 'fwd' } };
    const after = foldEntries(before, [
      { path: 'tires.lf.stations.1.outer', value: 4.5 },
      { path: 'vehicle.use', value: 'street' },
    ]);
    expect(after).toEqual({
      vehicle: { drive: 'fwd', use: 'street' },
      tires: { lf: { stations: [{}, { outer: 4.5 }] } },
    });
    expect(before).toEqual({ vehicle: { drive: 'fwd' } });
  });

  it('clears a field with null, so that undo is one more entry', () => {
    const draft = foldEntries({}, [
      { path: 'tires.lf.newDepth', value: 8 },
      { path: 'tires.lf.newDepth', value: null },
    ]);
    expect(draft).toEqual({ tires: { lf: {} } });
  });

  it('gives the same whether entries are folded at once or one by one', () => {
    const entry = fc.record({
      path: fc.constantFrom(
        'tires.lf.stations.0.inner',
        'tires.rr.newDepth',
        'visit.words',
        'complaints',
      ),
      value: fc.oneof(fc.constant(null), fc.integer({ min: 1, max: 9 })),
    });
    fc.assert(
      fc.property(fc.array(entry), (entries) => {
        const oneByOne = entries.reduce<VisitDraft>((draft, one) => foldEntries(draft, [one]), {});
        expect(foldEntries({}, entries)).toEqual(oneByOne);
      }),
    );
  });
});

describe('draftToCase', () => {
  it('is a valid case from the first rib on, and says what it assumed', () => {
    const { file, assumed, ribsRead } = draftToCase(
      { tires: { lf: { stations: [{ outer: 5.3 }] } } },
      'car',
    );
    expect(parseCaseFile(file).ok).toBe(true);
    expect(assumed).toEqual(['drive', 'newDepth', 'distance']);
    expect(ribsRead).toBe(1);
    expect(file.tires.lf.stations).toEqual([{ inner: null, centre: null, outer: 5.3 }]);
  });

  it('keeps the unit that the depths were read in, so that rounding is known', () => {
    const { file } = draftToCase(
      { units: { depth: 'in32' }, tires: { lf: { stations: [{ outer: 6.35 }] } } },
      'car',
    );
    expect(file.units.depth).toBe('in32');
    expect(file.tires.lf.stations[0]?.outer).toBe(8);
  });

  it('never assumes less new depth than was read', () => {
    const { file } = draftToCase({ tires: { lf: { stations: [{ outer: 11 }] } } }, 'car');
    expect(parseCaseFile(file).ok).toBe(true);
  });

  it('comes back from a case file by way of its entries', () => {
    const original = exampleCase((file) => {
      file.units = { depth: 'in32', distance: 'mi', pressure: 'psi' };
      file.vehicle = { label: 'car', drive: 'rwd', use: 'towing', rotatable: false };
      for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
        file.tires[wheel] = {
          newDepth: 10,
          distance: 20_000,
          pressure: { measured: 31, target: 35 },
          stations: [{ inner: 5, centre: 6, outer: null }],
          feather: 'none',
          damage: ['puncture'],
        };
      }
      file.rotations = [{ atDistance: 9_000, moves: { lf: 'lr', lr: 'lf' } }];
      file.complaints = ['wander'];
      file.play = { rf: 'some' };
      // Found so, and set since.
      file.angles = { lf: { toe: 0.3 } };
      file.visit = {
        words: 'wanders',
        waits: 'at the moon',
        somebodyElses: { kept: true },
        measure: { method: { toe: 'strings', camber: 'tarot' }, setup: { floor: 'done' } },
        setRight: {
          before: { lf: { toe: 0.3 } },
          now: { lf: { toe: 0.05 } },
          adjuster: { 'toe-lf': 'tieRod' },
        },
      };
    });
    const changes = caseToChanges(original, visitTakes);
    for (const { path, value } of changes) {
      const schema = entryValueSchema(path);
      expect(schema?.safeParse(value).success, path).toBe(true);
    }
    const draft = foldEntries({}, changes);
    expect(draft.angles).toEqual({ lf: { toe: 0.05 } });
    // Words that the visit does not know are kept aside, as deep as they lie.
    expect(draft.visit?.measure?.method).toEqual({ toe: 'strings' });
    expect(draft.visit?.other).toEqual({
      waits: 'at the moon',
      somebodyElses: { kept: true },
      measure: { method: { camber: 'tarot' } },
    });
    const { file } = draftToCase(draft, 'car', original.units);
    expect(file).toEqual(original);
  });
});

describe('readDigits', () => {
  it('takes two digits for a depth in mm, without a point', () => {
    expect(readDigits('5', 'mm', 8.5)).toEqual({ state: 'open', value: 5 });
    expect(readDigits('53', 'mm', 8.5)).toEqual({ state: 'done', value: 5.3 });
    expect(readDigits('08', 'mm', 8.5)).toEqual({ state: 'done', value: 0.8 });
    expect(readDigits('10', 'mm', 8.5)).toEqual({ state: 'done', value: 1 });
  });

  it('waits for a third digit only where the tread can be that deep', () => {
    expect(readDigits('10', 'mm', 11.5)).toEqual({ state: 'open', value: 1 });
    expect(readDigits('105', 'mm', 11.5)).toEqual({ state: 'done', value: 10.5 });
    expect(readDigits('53', 'mm', 11.5)).toEqual({ state: 'done', value: 5.3 });
  });

  it('lets 2 to 9 go at once in 32nds and holds 1', () => {
    for (const digit of ['2', '5', '9']) {
      expect(readDigits(digit, 'in32', 12)).toEqual({ state: 'done', value: Number(digit) });
    }
    expect(readDigits('1', 'in32', 12)).toEqual({ state: 'open', value: 1 });
    expect(readDigits('11', 'in32', 12)).toEqual({ state: 'done', value: 11 });
  });

  it('needs at most 24 keys for twelve readings', () => {
    const keys = (text: string) => text.length;
    expect(12 * keys('53')).toBeLessThanOrEqual(24);
  });

  it('takes nothing else', () => {
    for (const text of ['', 'a', '5.3', '-1']) {
      expect(readDigits(text, 'mm', 8)).toEqual({ state: 'open', value: null });
    }
  });
});

describe('readingOrder', () => {
  it.each(['walkAround', 'axleByAxle', 'outerFirst'] as const)(
    'visits each rib once: %s',
    (order) => {
      const names = readingOrder(order).map(({ wheel, rib }) => `${wheel}.${rib}`);
      expect(new Set(names).size).toBe(12);
      expect(names[0]).toBe('lf.outer');
    },
  );

  it('walks round the car from the left front', () => {
    const wheels = readingOrder('walkAround').map(({ wheel }) => wheel);
    expect([...new Set(wheels)]).toEqual(['lf', 'lr', 'rr', 'rf']);
  });
});

describe('visit steps', () => {
  it('go from arriving to deciding as entries come in', () => {
    expect(nextStep({}, false)).toBe('arrive');
    const changes = caseToChanges(exampleCase(), visitTakes);
    const read = foldEntries({}, changes);
    expect(countRead(read)).toBe(12);
    expect(nextStep(read, false)).toBe('inspect');
    const felt = foldEntries(
      read,
      (['lf', 'rf', 'lr', 'rr'] as const).flatMap((wheel) => [
        { path: `tires.${wheel}.feather`, value: 'none' },
        { path: `play.${wheel}`, value: 'none' },
      ]),
    );
    expect(nextStep(felt, false)).toBe('decide');
    expect(nextStep(felt, true)).toBe('hand-over');
    const given = { handOver: { given: 'printed' as const, next: [] } };
    expect(nextStep({ ...felt, visit: { ...felt.visit, ...given } }, true)).toBeNull();
  });

  it('say what is missing and how far the reading is', () => {
    expect(missingArrival({ vehicle: { drive: 'fwd' } })).toEqual(['noDistance', 'noNewDepth']);
    const { read } = stepStates(
      { tires: { lf: { stations: [{ inner: 5, outer: 'unreadable' }] } } },
      false,
    );
    expect(read).toEqual({ state: 'partly', note: { kind: 'of', done: 2, all: 12 } });
  });
});
