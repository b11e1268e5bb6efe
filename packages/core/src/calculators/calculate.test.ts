import { describe, expect, it } from 'vitest';
import type { CalculatorInput, CalculatorName } from '@keen/contract';
import { calculatorInputs } from '@keen/contract';
import vectors from '../../tests/reference/calculators.json' with { type: 'json' };
import { calculate } from './calculate.ts';

interface Vector {
  name: CalculatorName;
  in: CalculatorInput<CalculatorName>;
  out: Record<string, number>;
  tolerance: number;
  why: string;
}

describe('calculate', () => {
  // Check vectors worked out apart from this code, from the definitions.
  it.each(vectors as Vector[])('$name: $why', ({ name, in: input, out, tolerance }) => {
    expect(calculatorInputs[name].safeParse(input).success).toBe(true);
    const result = calculate(name, input as never) as Record<string, number>;
    expect(Object.keys(result).toSorted()).toEqual(Object.keys(out).toSorted());
    for (const [field, value] of Object.entries(out)) {
      expect(Math.abs(result[field]! - value)).toBeLessThanOrEqual(
        tolerance * Math.max(1, Math.abs(value)),
      );
    }
  });

  it('drags a pair with 1/8 in of toe on 24 in tires 27.5 ft a mile', () => {
    // Derived by geometry; the trade says about 28.
    const each = calculate('toeConvert', {
      value: 1 / 16,
      from: 'in',
      to: 'deg',
      diameter: 24 * 25.4,
    }) as {
      value: number;
    };
    const { feetPerMile } = calculate('slip', { toe: each.value }) as { feetPerMile: number };
    expect(2 * feetPerMile).toBeCloseTo(27.5, 6);
  });

  it('refuses a toe length that no angle has', () => {
    expect(() =>
      calculate('toeConvert', { value: 500, from: 'mm', to: 'deg', diameter: 400 }),
    ).toThrow(expect.objectContaining({ path: 'value' }) as Error);
  });
});
