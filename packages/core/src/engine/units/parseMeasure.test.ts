import { describe, expect, it } from 'vitest';
import { parseMeasure } from './parseMeasure.ts';

describe('parseMeasure', () => {
  it.each([
    ['39.5', 39.5],
    ['39,5', 39.5],
    ['39 3/8', 39.375],
    ['39-3/8', 39.375],
    ['1 1/16', 1.0625],
    ['5/16', 0.3125],
    ['-5/16', -0.3125],
    ['−0.5', -0.5],
    ['1 903', 1903],
    ['12 345.5', 12345.5],
    [' 7 ', 7],
    ['.5', 0.5],
  ])('reads %j', (text, value) => {
    expect(parseMeasure(text)).toBe(value);
  });

  it.each(['abc', '3/0', '39 3', '1 2 3', '3/8/2', '--1', '1e5', '5 1/'])(
    'does not guess at %j',
    (text) => {
      expect(parseMeasure(text)).toBeNaN();
    },
  );

  it('takes an empty field for nothing entered', () => {
    expect(parseMeasure('  ')).toBeNull();
  });
});
