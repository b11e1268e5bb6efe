import { describe, expect, it } from 'vitest';
import type { CalculatorInput, CalculatorName } from '@keen/contract';
import { calculatorInputs, calculatorOutputs, validationIssueOf } from '@keen/contract';
import vectors from '../../tests/reference/calculators.json' with { type: 'json' };
import { calculate } from './calculate.ts';

interface Vector {
  name: CalculatorName;
  in: CalculatorInput<CalculatorName>;
  out: Record<string, unknown>;
  tolerance: number;
  why: string;
}

/** Leaves of a result by their dotted path. */
function leaves(value: unknown, path = ''): [string, unknown][] {
  if (typeof value !== 'object' || value === null) return [[path, value]];
  return Object.entries(value).flatMap(([key, part]) => leaves(part, `${path}.${key}`));
}

describe('calculate', () => {
  // Check vectors worked out apart from this code, from the definitions.
  it.each(vectors as unknown as Vector[])('$name: $why', ({ name, in: input, out, tolerance }) => {
    expect(calculatorInputs[name].safeParse(input).success).toBe(true);
    const answer = calculate(name, input as never);
    expect(calculatorOutputs[name].safeParse(answer).error).toBeUndefined();
    const result = new Map(leaves(answer));
    const expected = leaves(out);
    expect([...result.keys()].toSorted()).toEqual(expected.map(([path]) => path).toSorted());
    for (const [path, value] of expected) {
      const found = result.get(path);
      if (typeof value !== 'number') expect(found, path).toBe(value);
      else {
        expect(Math.abs((found as number) - value), path).toBeLessThanOrEqual(
          tolerance * Math.max(1, Math.abs(value)),
        );
      }
    }
  });

  it('drags a pair with 1/8 in of toe on 24 in tires 27.5 ft a mile', () => {
    // Derived by geometry; the trade says about 28.
    const each = calculate('toeConvert', {
      value: 1 / 16,
      from: 'in',
      to: 'deg',
      diameter: 24 * 25.4,
    });
    const { feetPerMile } = calculate('slip', { toe: each.value });
    expect(2 * feetPerMile).toBeCloseTo(27.5, 6);
  });

  it('refuses a toe length that no angle has', () => {
    expect(() =>
      calculate('toeConvert', { value: 500, from: 'mm', to: 'deg', diameter: 400 }),
    ).toThrow(expect.objectContaining({ path: 'value' }) as Error);
  });

  it.each<[CalculatorName, object, string]>([
    ['toeFromTape', { front: 10, rear: 1500, unit: 'mm', span: 600 }, 'span'],
    ['toeFromTape', { front: 0, rear: 1500, unit: 'mm', span: 600 }, 'front'],
    ['casterFromSwing', { camberTurnedOut: 1, camberTurnedIn: -1, angle: 0 }, 'angle'],
    ['camberFromLevel', { reading: 91, zeroIs: 'vertical', leans: 'in', side: 'left' }, 'reading'],
    ['camberInTurn', { camber: 90, caster: 4, sai: 12, steer: 0 }, 'camber'],
    ['thrust', { toeLr: 0.1, toeRr: 0.1, steeringRatio: 0 }, 'steeringRatio'],
    ['thrust', { toeLr: 0.1 }, 'toeRr'],
    ['eccentric', { change: 0.5, offset: -5, leverArm: 300 }, 'offset'],
    ['rearShim', { camberChange: 0, toeChange: 0.1, side: 'left', stock: [] }, 'stock'],
    ['rearShim', { camberChange: 0, toeChange: 0.1, side: 'left', stock: [0.2, 0] }, 'stock.1'],
    [
      'steeringWheelCentre',
      {
        offset: 1500,
        steeringRatio: 16,
        steeringArm: 140,
        threadPitch: 1.5,
        rack: 'ahead',
        adjuster: 'single',
      },
      'offset',
    ],
    ['slip', { toe: 1, wheel: 'lf' }, 'wheel'],
  ])('refuses %s %j at %s', (name, input, path) => {
    const parsed = calculatorInputs[name].safeParse(input);
    if (!parsed.success) expect(validationIssueOf(parsed.error).path).toBe(path);
    else {
      expect(() => calculate(name, parsed.data as never)).toThrow(
        expect.objectContaining({ path }) as Error,
      );
    }
  });

  it('takes an upper arm or a strut, whole and not both', () => {
    const ends = { lowerInner: [350, 180], lowerOuter: [700, 170] };
    const tie = { tieInner: [340, 235], tieOuter: [690, 230] };
    const refused = (points: object) => {
      const parsed = calculatorInputs.rideHeight.safeParse({
        change: 10,
        points: { ...ends, ...tie, ...points },
        steeringArm: 140,
        rack: 'behind',
      });
      return parsed.success ? null : validationIssueOf(parsed.error).path;
    };
    expect(refused({})).toBe('points.strutTop');
    expect(refused({ upperInner: [420, 420] })).toBe('points.upperOuter');
    expect(refused({ upperInner: [420, 420], upperOuter: [660, 440] })).toBeNull();
    expect(refused({ upperInner: [420, 420], upperOuter: [660, 440], strutTop: [580, 820] })).toBe(
      'points.strutTop',
    );
  });
});
