import type { Action } from '@keen/contract';
import { entrySchema, parseCaseFile } from '@keen/contract';
import { carStory, draftToCase } from '@keen/core';
import { describe, expect, it } from 'vitest';
import { liveYears, planYears, YEARS_CARS } from '../src/index.ts';
import type { Advise, LivedVisit, PlannedCar } from '../src/index.ts';

const NOW = '2026-03-02T09:00:00.000Z';
const ADVISORS = ['first', 'second'];
const DAY_MS = 86_400_000;

/** Stands in for the diagnosis, so that the test is about the lives and takes no minutes. */
const advising =
  (action: Action): Advise =>
  () => ({
    action,
    replace: [],
    diagnosis: {} as ReturnType<Advise>['diagnosis'],
    forecast: () => null,
  });

describe('two made-up years', () => {
  const planned = planYears(NOW, YEARS_CARS);
  const arrivals = planned.flatMap(({ visits }) => visits.map(({ arrivedAt }) => arrivedAt));

  it('have about 1,500 visits in opening hours, none on a Sunday', () => {
    expect(arrivals.length).toBeGreaterThan(1_300);
    expect(arrivals.length).toBeLessThan(1_700);
    for (const arrivedAt of arrivals) {
      const at = new Date(arrivedAt);
      expect((Date.parse(NOW) - at.getTime()) / DAY_MS).toBeGreaterThan(1);
      expect((Date.parse(NOW) - at.getTime()) / DAY_MS).toBeLessThan(732);
      expect(at.getUTCDay()).not.toBe(0);
      expect(at.getUTCHours()).toBeGreaterThanOrEqual(8);
      expect(at.getUTCHours()).toBeLessThanOrEqual(17);
    }
  });

  it('have cars and visits that nobody mistakes for one another, the same each time', () => {
    const unique = (list: readonly string[]) => new Set(list).size === list.length;
    expect(unique(planned.map(({ vehicle }) => vehicle.plate))).toBe(true);
    expect(
      unique(planned.flatMap(({ vehicle, visits }) => [vehicle.id, ...visits.map(({ id }) => id)])),
    ).toBe(true);
    expect(planYears(NOW, 3)).toEqual(planned.slice(0, 3));
  });

  it('are lived the same way each time', () => {
    const car = planned[5]!;
    const live = () => liveYears(car, ADVISORS, advising('checkAlignment'));
    expect(live()).toEqual(live());
  });

  describe.each(['align', 'checkAlignment', 'inflateAndWatch'] as const)(
    'advised to %s',
    (action) => {
      const lives = planned
        .slice(0, 40)
        .map((car) => [car, liveYears(car, ADVISORS, advising(action))] as const);
      const visits = lives.flatMap(([, lived]) => lived);

      it('are entries that the API itself would take, and valid cases', () => {
        for (const { entries, draft } of visits) {
          for (const entry of entries) {
            expect(entrySchema.safeParse(entry).success, entry.path).toBe(true);
          }
          expect(parseCaseFile(draftToCase(draft, 'car').file)).toMatchObject({ ok: true });
        }
      });

      it('follow each tire from visit to visit: it wears down until it is changed', () => {
        const told = lives.filter(([car, lived]) => {
          const { sets } = carStory(lived.map((visit, i) => asKept(car, visit, i + 1)));
          const tires = sets.flatMap((set) => set.tires);
          const changed = lived
            .slice(0, -1)
            .flatMap(({ decision }) => (decision?.answer === 'yes' ? decision.replace : [])).length;
          // The four it came with, and every one that was bought before its last visit.
          return tires.length === 4 + changed;
        });
        // A tire that bounces has flat spots: read on one and then beside it, it seems to have grown.
        expect(told.length).toBeGreaterThan(0.94 * lives.length);
      });

      it('enter what a rig found and what was set where that was agreed, after the decision', () => {
        const measured = visits.filter(({ draft }) => draft.angles);
        if (action === 'inflateAndWatch') {
          // Something else is chosen now and then.
          expect(measured.length).toBeLessThan(0.1 * visits.length);
          return;
        }
        expect(measured.length).toBeGreaterThan(0.15 * visits.length);
        for (const { entries, decision } of measured) {
          const first = entries.findIndex(({ path }) => path.startsWith('angles.'));
          expect(decision?.answer).toBe('yes');
          expect(first).toBeGreaterThanOrEqual(decision!.entrySeq);
        }
      });
    },
  );

  it('say no in words, and yes without', () => {
    const decisions = planned
      .slice(0, 60)
      .flatMap((car) => liveYears(car, ADVISORS, advising('align')))
      .flatMap(({ decision }) => decision ?? []);
    const answers = (answer: string) => decisions.filter((one) => one.answer === answer);
    expect(answers('yes').length).toBeGreaterThan(answers('no').length);
    expect(answers('no').length).toBeGreaterThan(10);
    for (const { reason } of answers('no')) expect(reason).not.toBe('');
    // The product asks why where something else is chosen than advised.
    for (const one of decisions.filter((it) => it.action !== it.advised)) {
      expect(one.reason).not.toBe('');
    }
  });
});

function asKept(car: PlannedCar, visit: LivedVisit, number: number) {
  const { decision } = visit;
  return {
    id: visit.id,
    number,
    vehicle: { ...car.vehicle, vin: '', drive: null },
    arrivedAt: visit.arrivedAt,
    closedAt: visit.closedAt,
    draft: visit.draft,
    seq: visit.entries.length,
    waits: null,
    decision: decision && { ...decision, personId: visit.personId, at: decision.createdAt },
  };
}
