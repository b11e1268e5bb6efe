import { describe, expect, it } from 'vitest';
import { keepUnits } from './pageTexts.ts';

describe('a figure and its unit', () => {
  it('stay on one line', () => {
    expect(keepUnits('The inner edge is 0.7 mm lower than the outer one.')).toBe(
      'The inner edge is 0.7\u00a0mm lower than the outer one.',
    );
    expect(keepUnits('About 12 % below the placard, give or take 4 %.')).toBe(
      'About 12\u00a0% below the placard, give or take 4\u00a0%.',
    );
  });

  it('are told from a figure before any other word', () => {
    expect(keepUnits('Of 2 miles, 3 mistakes and 25 in 100.')).toBe(
      'Of 2 miles, 3 mistakes and 25 in 100.',
    );
  });
});
