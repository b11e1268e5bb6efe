import { describe, expect, it } from 'vitest';
import { heldAt, holding } from './holding.ts';

/**
 * Weeks in remission under 6-mercaptopurine, + for those still followed: Freireich and others 1963, Blood 21,
 * as survival textbooks reprint them; the expected figures are the textbooks' too (from memory).
 */
const REMISSION = '6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+'.split(' ');
const followed = REMISSION.map((text) => ({
  km: Number(text.replace('+', '')),
  cameUndone: !text.endsWith('+'),
}));

describe('holding', () => {
  const steps = holding(followed);

  it('gives the product limit of the published data', () => {
    expect(steps.map(({ km, atRisk, held }) => [km, atRisk, Number(held.toFixed(4))])).toEqual([
      [6, 21, 0.8571],
      [7, 17, 0.8067],
      [10, 15, 0.7529],
      [13, 12, 0.6902],
      [16, 11, 0.6275],
      [22, 7, 0.5378],
      [23, 6, 0.4482],
    ]);
  });

  it('gives their intervals on the log-minus-log scale', () => {
    const first = steps[0]!;
    expect([first.low, first.high].map((value) => value.toFixed(4))).toEqual(['0.6197', '0.9516']);
    const last = steps.at(-1)!;
    expect([last.low, last.high].map((value) => value.toFixed(4))).toEqual(['0.1881', '0.6801']);
  });

  it('holds between its steps, and wholly before the first', () => {
    expect(heldAt(steps, 5)).toBeNull();
    expect(heldAt(steps, 15)?.km).toBe(13);
    expect(heldAt(steps, 1_000)?.km).toBe(23);
  });

  it('ends at nothing when the last one comes undone, sure of nothing there', () => {
    const [only] = holding([{ km: 5, cameUndone: true }]);
    expect(only).toMatchObject({ held: 0, low: 0, high: 1 });
  });
});
