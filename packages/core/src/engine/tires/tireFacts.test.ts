import { describe, expect, it } from 'vitest';
import standards from '../../../tests/reference/standards.json' with { type: 'json' };
import { coldPressure } from './coldPressure.ts';
import { readDateCode, tireAgeYears } from './dateCode.ts';
import { ROTATION_MOVES, rotationPatterns } from './rotations.ts';
import { belowPlacard, serviceDescription } from './serviceDescription.ts';

const TODAY = '2026-03-01';

describe('readDateCode (49 CFR 574.5, recalled)', () => {
  it.each(standards.dotDateCode)('reads $code', ({ code, weekBegins }) => {
    expect(readDateCode(code, TODAY)).toEqual({ weekBegins });
  });

  it.each(['0019', '5419', '5319', '23', 'abcd', '0127'])('refuses %s', (code) => {
    expect(() => readDateCode(code, TODAY)).toThrow(
      expect.objectContaining({ path: 'dateCode' }) as Error,
    );
  });

  it('counts years', () => {
    expect(tireAgeYears('0120', '2026-01-05')).toBeCloseTo(6, 2);
  });
});

describe('serviceDescription (ISO 4000-1, UN ECE R30, recalled)', () => {
  it('knows every index and symbol of the table', () => {
    for (const [index, kg] of Object.entries(standards.loadIndexKg)) {
      expect(serviceDescription(`205/55R16 ${index}V`)?.loadKg, index).toBe(kg);
    }
    for (const [symbol, kmh] of Object.entries(standards.speedSymbolKmh)) {
      expect(serviceDescription(`205/55R16 91${symbol}`)?.speedKmh, symbol).toBe(kmh);
    }
  });

  it('reads a pair of indices, and nothing where nothing is', () => {
    expect(serviceDescription('LT265/70R17 121/118S')).toMatchObject({ loadIndex: 121 });
    expect(serviceDescription('205/55R16')).toBeNull();
    expect(serviceDescription('18x8.50-8')).toBeNull();
  });

  it('says what falls below the placard, H above U', () => {
    expect(belowPlacard('205/55R16 91H', '205/55R16 91U')).toEqual([]);
    expect(belowPlacard('205/55R16 88T', '205/55R16 91V')).toEqual([
      { kind: 'load', loadIndex: 88, loadKg: 560, askedKg: 615 },
      { kind: 'speed', symbol: 'T', asked: 'V' },
    ]);
    expect(belowPlacard('205/55R16', '205/55R16 91V')).toEqual([]);
  });
});

describe('coldPressure', () => {
  it('follows Gay-Lussac: about a tenth of gauge pressure for 20 K', () => {
    // (250 + 101.325) * 293.15 / 313.15 - 101.325, by hand.
    expect(coldPressure(250, 20)).toBeCloseTo(227.562, 3);
    expect(coldPressure(250, 0)).toBeCloseTo(250, 12);
    expect(coldPressure(0, 60)).toBe(0);
  });
});

describe('rotations', () => {
  it('are permutations, and offered by drive and fitment (common practice, no source)', () => {
    for (const moves of Object.values(ROTATION_MOVES)) {
      expect(Object.values(moves).toSorted()).toEqual(Object.keys(moves).toSorted());
    }
    const free = { isStaggered: false, isDirectional: false };
    expect(rotationPatterns({ drive: 'fwd', ...free })[0]).toBe('forwardCross');
    expect(rotationPatterns({ drive: 'rwd', ...free })[0]).toBe('rearwardCross');
    expect(rotationPatterns({ drive: 'awd', isStaggered: true, isDirectional: true })).toEqual([]);
    // A directional tire stays on its side, a staggered one on its axle.
    for (const pattern of rotationPatterns({ drive: 'awd', ...free, isDirectional: true })) {
      for (const [from, to] of Object.entries(ROTATION_MOVES[pattern])) expect(from[0]).toBe(to[0]);
    }
    for (const pattern of rotationPatterns({ drive: 'awd', ...free, isStaggered: true })) {
      for (const [from, to] of Object.entries(ROTATION_MOVES[pattern])) expect(from[1]).toBe(to[1]);
    }
  });
});
