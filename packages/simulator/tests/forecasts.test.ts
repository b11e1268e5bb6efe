import type { Action, CaseFile, VisitDraft, Wheel } from '@keen/contract';
import { visitTakes } from '@keen/contract';
import {
  caseToChanges,
  createDiagnosisRun,
  foldEntries,
  forecastOf,
  forecastsHeld,
  forecastRibs,
  WHEEL_ORDER,
} from '@keen/core';
import { describe, expect, it } from 'vitest';
import { createLivingCar } from '../src/livingCar.ts';

const CARS = 40;
const SWEEPS = 500;
const BEFORE_HUNDRED_KM = 150;
const AFTER_HUNDRED_KM = 100;

function draftOf(file: CaseFile, odometer: number): VisitDraft {
  const at = new Date(0).toISOString();
  const changes = [
    ...caseToChanges(file, visitTakes),
    { path: 'visit.odometer', value: odometer },
  ].map((change) => ({ ...change, at }));
  return foldEntries({}, changes);
}

/** Drives a car, does what was agreed, drives on, and holds the forecast against what is read then. */
function ribsOf(seed: number, action: Action, replace: readonly Wheel[]) {
  const car = createLivingCar(seed, 'own');
  car.drive(BEFORE_HUNDRED_KM);
  const file = car.look();
  const run = createDiagnosisRun(file);
  run.step(SWEEPS);
  const decision = { action, answer: 'yes' as const, replace: [...replace] };
  const forecast = forecastOf(run.ribsAfter(), decision);
  if (action !== 'fitOnly') {
    car.align(action === 'partsThenAlign');
    car.inflate();
  }
  if (replace.length > 0) {
    car.renew(0);
    car.renew(1);
  }
  const then = draftOf(file, 50_000);
  const left = car.faults();
  car.drive(AFTER_HUNDRED_KM);
  // What goes wrong on the way nobody could have forecast.
  if (car.faults().some((fault, i) => fault !== left[i])) return [];
  const now = draftOf(car.look(), 50_000 + 100 * AFTER_HUNDRED_KM);
  if (!forecast) return [];
  const visit = (id: string, draft: VisitDraft, replaced: readonly Wheel[]) => ({
    id,
    arrivedAt: new Date(0).toISOString(),
    draft,
    replaced,
  });
  return forecastRibs(forecast, visit('then', then, replace), visit('now', now, []), true);
}

// Three standard errors over so many cars: 0.09 of what is lost, 0.08 of the readings within.
describe.each([
  ['as they were left', 'fitOnly', []],
  ['put right', 'partsThenAlign', []],
  ['put right, with new tires', 'partsThenAlign', WHEEL_ORDER],
] as const)('forecasts of cars %s', (_, action, replace) => {
  it('are about what is read later, and say how sure they are', () => {
    const cars = Array.from({ length: CARS }, (_one, seed) => ribsOf(seed + 1, action, replace));
    const { ribs, lost, within } = forecastsHeld(cars);
    expect(ribs).toBeGreaterThan(CARS * 5);
    expect(lost!.mean).toBeGreaterThan(0.9);
    expect(lost!.mean).toBeLessThan(1.12);
    expect(within!.part).toBeGreaterThan(0.62);
    expect(within!.part).toBeLessThan(0.92);
  });
});
