import { describe, expect, it } from 'vitest';
import { hubShimsIn, hubShimText } from './hubShimText.ts';

describe('hub shims in stock', () => {
  it('are read with and without part number and template, and come back as typed', () => {
    const text = '0.25; 0.5 HS-50 B; 1 HS-100';
    const shims = hubShimsIn(text);
    expect(shims).toEqual({
      hubShims: [0.25, 0.5, 1],
      hubShimParts: [
        { taper: 0.5, part: 'HS-50', template: 'B' },
        { taper: 1, part: 'HS-100', template: '' },
      ],
    });
    expect(hubShimText(shims)).toBe(text);
  });

  it('may be tapers alone with spaces or lines between', () => {
    expect(hubShimsIn('0,25 0.5\n1').hubShims).toEqual([0.25, 0.5, 1]);
    expect(hubShimsIn('')).toEqual({ hubShims: [], hubShimParts: [] });
  });

  it('leave what is no number to be refused', () => {
    expect(hubShimsIn('thick HS-1').hubShims).toEqual([Number.NaN]);
  });
});
