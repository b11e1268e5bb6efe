import { describe, expect, it } from 'vitest';
import { TOKENS } from './tokens.ts';

/** WCAG 2.2, relative luminance and contrast ratio. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const channel = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].toSorted((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

describe.each(['light', 'dark'] as const)('ink of the %s theme', (scheme) => {
  const t = TOKENS[scheme];
  it.each([
    ['ink', 'paper'],
    ['ink', 'sheet'],
    ['soft', 'paper'],
    ['soft', 'sheet'],
    ['marker', 'paper'],
    ['marker', 'sheet'],
    ['onMarker', 'marker'],
    ['onInk', 'ink'],
  ] as const)('reads %s on %s at 4.5 to 1 or better', (text, ground) => {
    expect(contrast(t[text], t[ground])).toBeGreaterThanOrEqual(4.5);
  });

  it.each([
    ['control', 'paper'],
    ['control', 'sheet'],
    ['rubber', 'sheet'],
  ] as const)('shows %s on %s at 3 to 1 or better', (shape, ground) => {
    expect(contrast(t[shape], t[ground])).toBeGreaterThanOrEqual(3);
  });
});

describe('contrast', () => {
  it('is 21 between black and white, as WCAG defines it', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
  });
});
