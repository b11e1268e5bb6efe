import { createDiagnosisRun, LIVE_SWEEPS } from '@keen/core';
import { describe, expect, it } from 'vitest';
import { simulateCar } from '../src/simulateCar.ts';

const CARS = 120;

describe('the forecast for a new set', () => {
  it('holds what really happens about as often as it says', () => {
    let within = 0;
    let earlier = 0;
    for (let seed = 1; seed <= CARS; seed++) {
      const { file, newKm } = simulateCar(seed);
      const run = createDiagnosisRun(file);
      run.step(LIVE_SWEEPS);
      const { courses } = run.outlook();
      const { lifeKm } = courses.find(({ course }) => course === 'fitOnly')!;
      if (newKm < lifeKm.low) earlier += 1;
      else if (newKm <= lifeKm.high) within += 1;
    }
    // 80 % over many cars (docs/diagnosis.md); so few scatter about that by 4 % (one sd).
    expect(within / CARS).toBeGreaterThan(0.7);
    expect(within / CARS).toBeLessThan(0.9);
    expect(earlier / CARS).toBeGreaterThan(0.02);
    expect(earlier / CARS).toBeLessThan(0.2);
  });
});
