import { describe, expect, it } from 'vitest';
import { toeFromText } from './toeText.ts';

const one = (text: string) => toeFromText(text, false);

describe('toeFromText', () => {
  it('reads degrees and minutes', () => {
    expect(one('0.1')).toBe(0.1);
    expect(one('-0,25°')).toBe(-0.25);
    expect(one("6'")).toBe(0.1);
    expect(one('−12 min')).toBe(-0.2);
  });

  it('reads a length at its diameter, by hand: asin(2 / 430) is 0.2665 degrees', () => {
    expect(one('2 mm at 430')).toBeCloseTo(0.2665, 4);
    expect(one('2mm@430mm')).toBeCloseTo(0.2665, 4);
    // 1/16 in over 25 in: asin(0.0025) = 0.1432 degrees.
    expect(one('1/16 in @ 25')).toBeCloseTo(0.1432, 4);
    expect(one('-1/16" over 25"')).toBeCloseTo(-0.1432, 4);
    expect(one('1 1/8 in at 457.2 mm')).toBeCloseTo(3.583, 3);
  });

  it('takes half of a total at each wheel', () => {
    // 2 asin(0.5625 / 18) = 3.5818.
    expect(toeFromText('1 1/8 in at 18', true)).toBeCloseTo(3.5818, 3);
    expect(toeFromText('0.2', true)).toBe(0.2);
  });

  it.each(['', 'in', '2 mm', '2 mm at', '2 at 430', '600 mm at 430', '1/0 in at 25', 'x°'])(
    'refuses %j',
    (text) => {
      expect(one(text)).toBeNull();
    },
  );
});
