import { describe, expect, it } from 'vitest';
import type { VisitDraft } from '@keen/contract';
import { axleSection } from './axleSection.ts';
import { axleSectionSvg } from './axleSectionSvg.ts';
import { sectionTires } from './sectionTires.ts';

const SIZE = { width: 400, height: 200, legalMm: 1.6 };
const INK = { rubber: '#000', ink: '#111', soft: '#222', line: '#333', marker: '#f00' };

const draft: VisitDraft = {
  tires: {
    lf: {
      newDepth: 8,
      stations: [{ outer: 1.6, centre: 4, inner: 'unreadable' }],
      feather: 'catchesOutward',
    },
    rf: { newDepth: 8, stations: [{ outer: 6, centre: 6, inner: 6 }, { outer: 4 }] },
  },
};

describe('axleSection', () => {
  const section = axleSection('front', sectionTires(draft, null), SIZE);
  const bar = (wheel: string, rib: string) =>
    section.bars.find((one) => one.wheel === wheel && one.rib === rib)!;

  it('stands as seen from behind: left tire outer to inner, right tire inner to outer', () => {
    const order = section.bars
      .toSorted((a, b) => a.x - b.x)
      .map(({ wheel, rib }) => `${wheel} ${rib}`);
    expect(order).toEqual([
      ...['lf outer', 'lf centre', 'lf inner'],
      ...['rf inner', 'rf centre', 'rf outer'],
    ]);
  });

  it('draws depth to scale from the new tread down', () => {
    expect(bar('lf', 'centre').top).toBe(100);
    expect(section.limitY).toBeCloseTo(160, 9);
  });

  it('marks what is at the limit, and what cannot be read', () => {
    expect(bar('lf', 'outer').isAtLimit).toBe(true);
    expect(bar('lf', 'centre').isAtLimit).toBe(false);
    expect(bar('lf', 'inner')).toMatchObject({ isUnreadable: true, top: null, outline: null });
  });

  it('takes the mean over the places read', () => {
    expect(bar('rf', 'outer').top).toBeCloseTo(200 * (1 - 5 / 8), 9);
  });

  it('gives a feathered tire teeth and a plain one none', () => {
    const teeth = (outline: string | null) => (outline?.match(/L/g) ?? []).length;
    expect(teeth(bar('lf', 'centre').outline)).toBe(4);
    expect(teeth(bar('rf', 'centre').outline)).toBe(0);
  });

  it('draws no tooth deeper than a millimetre of tread, however low and wide the drawing', () => {
    for (const height of [40, 60, 200, 800]) {
      const low = axleSection('front', sectionTires(draft, null), { ...SIZE, height });
      const { outline, top } = low.bars.find((one) => one.rib === 'centre')!;
      const foot = Number(/L[\d.]+ [\d.]+V([\d.]+)L/.exec(outline!)![1]);
      const mm = ((foot - top!) / height) * 8;
      expect(mm).toBeGreaterThan(0);
      expect(mm).toBeLessThan(1.01);
    }
  });

  it('leans the teeth of the two sides as mirror images', () => {
    const both = axleSection(
      'front',
      sectionTires(
        {
          tires: Object.fromEntries(
            ['lf', 'rf'].map((wheel) => [
              wheel,
              {
                newDepth: 8,
                feather: 'catchesInward',
                stations: [{ outer: 5, centre: 5, inner: 5 }],
              },
            ]),
          ),
        },
        null,
      ),
      SIZE,
    );
    const [left] = both.bars.filter(({ wheel, rib }) => wheel === 'lf' && rib === 'outer');
    const [right] = both.bars.filter(({ wheel, rib }) => wheel === 'rf' && rib === 'outer');
    const atX = (x: number) => (x === 400 ? 0 : 400 - x);
    const mirrorOf = (points: number[][]) => points.map(([x, y]) => [atX(x!), y!]).toReversed();
    const rounded = (points: number[][]) =>
      points.map(([x, y]) => `${x!.toFixed(1)},${y!.toFixed(1)}`).toSorted();
    expect(rounded(mirrorOf(corners(left!.outline!)))).toEqual(rounded(corners(right!.outline!)));
    expect(left!.outline).not.toBe(right!.outline);
  });
});

/** Corners of an outline made of M, V, H, L and Z. */
function corners(path: string): number[][] {
  const points: number[][] = [];
  let [x, y] = [0, 0];
  for (const [, command, numbers] of path.matchAll(/([MVHL])([\d. -]+)/g)) {
    const [first, second] = numbers!.trim().split(/\s+/).map(Number) as [number, number];
    if (command === 'V') y = first;
    else if (command === 'H') x = first;
    else [x, y] = [first, second];
    points.push([x, y]);
  }
  return points;
}

describe('axleSectionSvg', () => {
  it('is one well-formed picture with the figures on it', () => {
    const tires = sectionTires(draft, null);
    const svg = axleSectionSvg(
      axleSection('front', tires, SIZE),
      tires,
      {
        titles: ['Left & front', 'Right'],
        ribs: { inner: 'in', centre: 'mid', outer: 'out' },
        decimal: ',',
      },
      'mm',
      INK,
    );
    expect(svg).toMatch(/^<svg [^>]+>.*<\/svg>$/s);
    expect(svg).toContain('>1,6</text>');
    expect(svg).toContain('Left &amp; front');
    expect(svg).toContain('>mid</text>');
    expect((svg.match(/<g/g) ?? []).length).toBe((svg.match(/<\/g>/g) ?? []).length);
  });
});
