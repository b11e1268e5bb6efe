import { describe, expect, it } from 'vitest';
import { walkRound } from './walkRound.ts';

describe('walkRound', () => {
  it('says nothing where nothing was noted', () => {
    expect(walkRound({})).toEqual([]);
    expect(walkRound({ visit: { quick: {} } })).toEqual([]);
  });

  it('lists what was noted in order, and what there is to see to', () => {
    const facts = walkRound({
      visit: {
        quick: {
          lamps: 'fault',
          nutTorque: 120,
          battery: { rated: 600, measured: 300 },
          warningLights: 'airbag',
        },
      },
    });
    expect(facts.map(({ what }) => what)).toEqual([
      'warningLights',
      'battery',
      'nutTorque',
      'lamps',
    ]);
    expect(facts.filter(({ isFault }) => isFault).map(({ what }) => what)).toEqual([
      'warningLights',
      'battery',
      'lamps',
    ]);
    expect(facts[1]!.words).toMatch(/50 % of its rating: weak/);
    const good = walkRound({
      visit: { quick: { lamps: 'good', battery: { rated: 600, measured: 590 } } },
    });
    expect(good.some(({ isFault }) => isFault)).toBe(false);
  });
});
