import { parseCaseFile } from '@keen/contract';
import { createDiagnosisRun } from '@keen/core';
import { resolveCase } from '@keen/core/engine';
import { describe, expect, it } from 'vitest';
import { readingOf, scoreFlags, simulateVisits, WORLD_NAMES } from '../src/index.ts';
import type { Reading } from '../src/index.ts';

const CARS = 60;
const SWEEPS = 400;

describe('cars that have been here before', () => {
  it('are the same for the same seed, whole cases, with readings that only go down', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { file } = simulateVisits(seed, 'patch', 3);
      expect(simulateVisits(seed, 'patch', 3).file).toEqual(file);
      expect(parseCaseFile(file)).toMatchObject({ ok: true });
      const [first, second] = file.history!.earlier!;
      expect(first!.ago).toBeGreaterThan(second!.ago);
      for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
        const [then, later] = [first!, second!].map((one) => one.tires[wheel]!.stations[0]!.inner!);
        // By no more than a gauge is off.
        expect(later!).toBeLessThan(then! + (file.units.depth === 'mm' ? 1 : 2));
      }
    }
  });

  it('are read better with their earlier visits than without, all worlds together', () => {
    const truths: { faults: Uint8Array; excessMm: number[] }[] = [];
    const readers: Record<'file' | 'alone', Reading[]> = { file: [], alone: [] };
    for (const world of WORLD_NAMES) {
      for (let seed = 1; seed <= CARS / WORLD_NAMES.length; seed++) {
        const car = simulateVisits(seed, world, 2);
        truths.push({ faults: car.faults, excessMm: [] });
        for (const which of ['file', 'alone'] as const) {
          const run = createDiagnosisRun(car[which]);
          run.step(SWEEPS);
          readers[which].push(readingOf(run.answer().diagnosis));
        }
      }
    }
    const logLoss = (which: 'file' | 'alone') => {
      const flags = scoreFlags(truths, readers[which]);
      return flags.reduce((sum, flag) => sum + flag.logLoss, 0) / flags.length;
    };
    expect(logLoss('file')).toBeLessThan(logLoss('alone'));
  });

  it('begin anew where something was put right', () => {
    const cars = Array.from({ length: 60 }, (_, i) => simulateVisits(i + 1, 'own', 2).file);
    const set = cars.filter(({ history }) => history!.earlier![0]!.putRight);
    expect(set.length).toBeGreaterThan(10);
    for (const file of set) expect(resolveCase(file).since?.because).toBe('putRight');
  });
});
