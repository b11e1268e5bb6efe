import { describe, expect, it } from 'vitest';
import { parseTireSize } from './tireSize.ts';

/** The handbook rounds rim and section height to 1 mm each. */
const HANDBOOK_ROUNDING_MM = 1.5;

describe('parseTireSize', () => {
  it.each([
    // Design diameters of the ETRTO standards manual, recalled from memory.
    ['175/65R14', 584],
    ['185/65R15', 621],
    ['195/65R15', 635],
    ['205/55R16', 632],
    ['215/60R16', 664],
    ['225/45R17', 634],
    ['235/65R17', 738],
    ['255/40R19', 687],
  ])('puts %s within the rounding of the handbook diameter %d mm', (size, handbook) => {
    expect(Math.abs(parseTireSize(size).diameter - handbook)).toBeLessThanOrEqual(
      HANDBOOK_ROUNDING_MM,
    );
  });

  it('reads marks before and behind without their changing anything', () => {
    const plain = parseTireSize('205/55R16');
    for (const size of [
      'P205/55R16',
      '205/55ZR16 91V',
      '205/55r16c 104/102T',
      'lt205/55-16',
      'ST205/55D16',
    ]) {
      expect(parseTireSize(size)).toEqual(plain);
    }
  });

  it('takes inch sizes at their word', () => {
    expect(parseTireSize('33x12.50R15LT')).toMatchObject({
      diameter: expect.closeTo(33 * 25.4, 9) as number,
      sectionWidth: expect.closeTo(12.5 * 25.4, 9) as number,
      rimDiameter: 381,
    });
  });

  it('reads a rim code with decimals', () => {
    expect(parseTireSize('245/70R19.5').rimDiameter).toBeCloseTo(495.3, 9);
  });

  it.each([
    '',
    'R16',
    '205/55',
    '205/55X16',
    '205-55R16',
    '205/55R16/',
    ' 205/55R16',
    '10x8.50-12',
    '0/55R16',
    '205/0R16',
  ])('refuses %j at its field', (size) => {
    expect(() => parseTireSize(size)).toThrow(expect.objectContaining({ path: 'size' }) as Error);
  });
});
