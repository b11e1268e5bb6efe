import { describe, expect, it } from 'vitest';
import { batteryVerdict } from './battery.ts';
import { checkVin, plainVin } from './vin.ts';

describe('checkVin (ISO 3779, 49 CFR 565.15, recalled)', () => {
  it.each([
    // The example of the check-digit rule, and the number of seventeen ones: sum 89, 89 mod 11 = 1.
    '1M8GDM9AXKP042788',
    '11111111111111111',
    '1m8gdm9axkp-042788',
  ])('takes %s', (vin) => {
    expect(checkVin(vin)).toEqual({ ok: true, hasCheckDigit: true });
  });

  it('finds one wrong character of a North American number', () => {
    const vin = '1M8GDM9AXKP042788';
    for (let i = 0; i < vin.length; i++) {
      if (i === 8) continue;
      const other = vin[i] === '4' ? '5' : '4';
      const wrong = vin.slice(0, i) + other + vin.slice(i + 1);
      // Only where the two letters count alike, as D and 4 do, is the sum the same.
      const isBlind = vin[i] === 'M' || vin[i] === 'D';
      expect(checkVin(wrong).ok, wrong).toBe(isBlind);
    }
  });

  it('does not ask a number from elsewhere for a check digit', () => {
    expect(checkVin('ZZ9ZZZ00000000001')).toMatchObject({ ok: true });
  });

  it.each([
    ['1M8GDM9AXKP04278', { reason: 'vinLength', values: { length: 16 } }],
    ['1M8GDM9AXKP04278O', { reason: 'vinSimilar' }],
    ['1M8GDM9A1KP042788', { reason: 'vinCheckDigit', values: { digit: 'X' } }],
  ])('refuses %s', (vin, why) => {
    expect(checkVin(vin)).toMatchObject({ ok: false, ...why });
  });

  it('takes out what people put in', () => {
    expect(plainVin(' 1m8-gdm ')).toBe('1M8GDM');
  });
});

describe('batteryVerdict', () => {
  it('calls a battery weak below four fifths of its rating (common practice, no source)', () => {
    expect(batteryVerdict({ rated: 600, measured: 480 })).toMatchObject({ isWeak: false });
    expect(batteryVerdict({ rated: 600, measured: 479 })).toMatchObject({ isWeak: true });
  });
});
