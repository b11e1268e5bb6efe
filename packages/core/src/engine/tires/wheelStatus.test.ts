import { describe, expect, it } from 'vitest';
import { wheelStatus } from './wheelStatus.ts';

describe('wheelStatus', () => {
  // 1.6 mm: Directive 89/459/EEC and UN ECE R30; 2/32 in: 49 CFR 570.9; all recalled from memory.
  it.each([
    [1.6, { legal: 1.6, advise: 3 }, 'replace'],
    [1.61, { legal: 1.6, advise: 3 }, 'plan'],
    [1.5875, { legal: 1.5875, advise: 3.175 }, 'replace'],
    [1.6, { legal: 1.5875, advise: 3.175 }, 'plan'],
    [3, { legal: 1.6, advise: 3 }, 'plan'],
    [3.1, { legal: 1.6, advise: 3 }, 'ok'],
  ] as const)('calls %d mm with limits %o %s', (depth, limits, status) => {
    expect(wheelStatus(depth, [], limits)).toBe(status);
  });

  it('puts cords, bulge and cut above any depth', () => {
    for (const damage of ['cords', 'bulge', 'cut'] as const) {
      expect(wheelStatus(8, [damage], { legal: 1.6, advise: 3 })).toBe('unsafe');
    }
    expect(wheelStatus(8, ['puncture', 'flatSpot'], { legal: 1.6, advise: 3 })).toBe('ok');
  });

  it('says nothing of a depth nobody could read', () => {
    expect(wheelStatus(null, [], { legal: 1.6, advise: 3 })).toBe('ok');
  });
});
