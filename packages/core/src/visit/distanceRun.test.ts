import { describe, expect, it } from 'vitest';
import { distanceRun, usualDistance } from './distanceRun.ts';

const tires = (km: number) => ({
  lf: { distance: km },
  rf: { distance: km },
  lr: { distance: km - 8_000 },
  rr: { distance: km - 8_000 },
});

describe('distanceRun', () => {
  it('adds what was run since the last reading to each tire', () => {
    const run = distanceRun(91_200, [
      { arrivedAt: '2026-06-01T08:00:00Z', draft: {} },
      {
        arrivedAt: '2026-03-12T08:00:00Z',
        draft: { tires: tires(30_000), visit: { odometer: 83_000 } },
      },
    ]);
    expect(run).toEqual({
      readAt: '2026-03-12T08:00:00Z',
      sinceKm: 8_200,
      sameTiresKm: { lf: 38_200, rf: 38_200, lr: 30_200, rr: 30_200 },
    });
  });

  it('knows only what new tires would have run where the old ones had no distance', () => {
    const draft = { tires: { lf: { distance: 5_000 } }, visit: { odometer: 83_000 } };
    expect(distanceRun(84_000, [{ arrivedAt: '2026-03-12T08:00:00Z', draft }])).toMatchObject({
      sinceKm: 1_000,
      sameTiresKm: null,
    });
  });

  it('says nothing of an odometer that reads less than before, or was never read', () => {
    const draft = { tires: tires(30_000), visit: { odometer: 83_000 } };
    expect(distanceRun(8_300, [{ arrivedAt: '2026-03-12T08:00:00Z', draft }])).toBeNull();
    expect(distanceRun(8_300, [])).toBeNull();
  });
});

describe('usualDistance', () => {
  it('counts 15 000 km a year', () => {
    expect(usualDistance('2024-11-28', '2026-11-28')).toBe(30_000);
    expect(usualDistance('2026-11-28', '2024-11-28')).toBe(0);
  });
});
