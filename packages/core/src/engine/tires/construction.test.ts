import { describe, expect, it } from 'vitest';
import { constructionOf } from './construction.ts';

describe('constructionOf', () => {
  it.each([
    ['205/55R16 91V', 'radial'],
    ['255/40ZR17', 'radial'],
    ['33x12.50R15LT', 'radial'],
    ['205/75D15', 'bias'],
    ['18x8.50-8', 'bias'],
    ['225/70B15', 'belted'],
    ['what a size', null],
  ] as const)('%s is %s', (size, expected) => {
    expect(constructionOf(size)).toBe(expected);
  });
});
