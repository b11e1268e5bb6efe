import { describe, expect, it } from 'vitest';
import { amountWords } from './turnWords.ts';

describe('amountWords', () => {
  it('says turns to the eighth, as a hand makes them', () => {
    expect(amountWords(0.3, 'tieRod')).toBe('¼ turn');
    expect(amountWords(-0.45, 'tieRod')).toBe('½ turn');
    expect(amountWords(1, 'turnbuckle')).toBe('1 turn');
    expect(amountWords(2.13, 'adjustableArm')).toBe('2⅛ turns');
    expect(amountWords(0.02, 'tieRod')).toBe('a touch');
  });

  it('says notches of a cam to the half, and millimetres to the tenth', () => {
    expect(amountWords(2.6, 'cam')).toBe('2.5 notches');
    expect(amountWords(1, 'cam')).toBe('1 notch');
    expect(amountWords(3.14, 'slots')).toBe('3.1 mm');
    expect(amountWords(1, 'hubShim')).toBe('');
  });
});
