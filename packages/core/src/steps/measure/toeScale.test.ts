import { showToe, toeFromDegrees, toeScaleOf, toeToDegrees } from './toeScale.ts';
import { describe, expect, it } from 'vitest';

describe('toe in other units', () => {
  const mm = { unit: 'mm', diameter: 635 } as const;

  it('is the length at its diameter, exactly', () => {
    // 635 sin(0.15°)
    expect(toeFromDegrees(0.15, mm, false)).toBeCloseTo(1.6624, 4);
    expect(toeToDegrees(1.6624, mm, false)).toBeCloseTo(0.15, 4);
    expect(showToe(-0.15, mm, false)).toBe('−1.7 mm');
    expect(showToe(0.25, { unit: 'min', diameter: undefined }, false)).toBe('+15′');
  });

  it('takes a total as two wheels', () => {
    // 1 1/8 in over 18 in: 2 asin(0.5625 / 18)
    const inches = { unit: 'in', diameter: 457.2 } as const;
    expect(toeToDegrees(1.125, inches, true)).toBeCloseTo(3.5816, 4);
    expect(toeFromDegrees(3.5816, inches, true)).toBeCloseTo(1.125, 4);
  });

  it('falls back to degrees where no diameter is known, and is no number where no angle has that length', () => {
    expect(showToe(0.2, { unit: 'mm', diameter: undefined }, false)).toBe('+0.20°');
    expect(toeToDegrees(700, mm, false)).toBeNaN();
  });

  it('goes by the visit before the person, and by each axle’s own tire', () => {
    const tires = { lf: { size: '205/55R16' }, lr: { size: '225/55R16' } };
    expect(toeScaleOf({ tires }, 'front', 'mm')).toEqual({
      unit: 'mm',
      diameter: expect.closeTo(631.9, 1) as number,
    });
    expect(toeScaleOf({ tires }, 'rear', 'mm').diameter).toBeCloseTo(653.9, 1);
    const draft = { tires, visit: { measure: { toeIn: { unit: 'in', diameter: 400 } as const } } };
    expect(toeScaleOf(draft, 'front', 'deg')).toEqual({ unit: 'in', diameter: 400 });
  });
});
