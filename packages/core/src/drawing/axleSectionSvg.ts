import type { DepthUnit, Rib } from '@keen/contract/words';
import { depthFromMm } from '../engine/units/units.ts';
import type { AxleSection, Bar, SectionTire } from './axleSection.ts';
import type { Wheel } from '@keen/contract/words';

/** Inks of a printed section. */
export interface SectionInk {
  rubber: string;
  ink: string;
  soft: string;
  line: string;
  marker: string;
}

const LABEL_SPACE = 44;
const HEAD_SPACE = 18;

/** An axle section as SVG text, for paper: the same geometry as on the screen. */
export function axleSectionSvg(
  section: AxleSection,
  tires: Record<Wheel, SectionTire>,
  words: { titles: readonly [string, string]; ribs: Record<Rib, string>; decimal: string },
  unit: DepthUnit,
  ink: SectionInk,
): string {
  const { width, height } = section;
  const total = HEAD_SPACE + height + LABEL_SPACE;
  const parts = [
    text(0, 11, words.titles[0], { size: 11, fill: ink.ink, weight: 'bold' }),
    text(width, 11, words.titles[1], { size: 11, fill: ink.ink, weight: 'bold', anchor: 'end' }),
    `<g transform="translate(0 ${HEAD_SPACE})">`,
    ...section.tires.map(
      ({ wheel, x, width: wide }) =>
        `<rect x="${x}" y="${section.newY[wheel]}" width="${wide}" height="${height - section.newY[wheel]}" fill="none" stroke="${ink.line}" stroke-width="0.8" stroke-dasharray="2 3"/>`,
    ),
    ...section.bars.flatMap((bar) => barParts(bar, ink)),
    ...section.expected.map(
      ({ line }) => `<path d="${line}" fill="none" stroke="${ink.ink}" stroke-width="1.4"/>`,
    ),
    `<line x1="0" x2="${width}" y1="${section.limitY}" y2="${section.limitY}" stroke="${ink.marker}" stroke-width="1" stroke-dasharray="5 3"/>`,
    `<line x1="0" x2="${width}" y1="${height}" y2="${height}" stroke="${ink.ink}" stroke-width="1.2"/>`,
    ...section.bars.flatMap((bar) => {
      const middle = bar.x + bar.width / 2;
      const mm = tires[bar.wheel].depthMm[bar.rib];
      const shown =
        mm === null
          ? '–'
          : depthFromMm(mm, unit)
              .toFixed(unit === 'mm' ? 1 : 0)
              .replace('.', words.decimal);
      return [
        text(middle, height + 20, shown, {
          size: 17,
          fill: bar.isAtLimit ? ink.marker : ink.ink,
          weight: 'bold',
          anchor: 'middle',
        }),
        text(middle, height + 33, words.ribs[bar.rib], {
          size: 9,
          fill: ink.soft,
          anchor: 'middle',
        }),
      ];
    }),
    '</g>',
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${total}" width="${width}" height="${total}">${parts.join('')}</svg>`;
}

function barParts(bar: Bar, ink: SectionInk): string[] {
  return bar.outline === null ? [] : [`<path d="${bar.outline}" fill="${ink.rubber}"/>`];
}

function text(
  x: number,
  y: number,
  content: string,
  style: { size: number; fill: string; weight?: 'bold'; anchor?: 'middle' | 'end' },
): string {
  const weight = style.weight ? ` font-weight="${style.weight}"` : '';
  const anchor = style.anchor ? ` text-anchor="${style.anchor}"` : '';
  return `<text x="${x}" y="${y}" font-family="Archivo" font-size="${style.size}" fill="${style.fill}"${weight}${anchor}>${escape(content)}</text>`;
}

function escape(content: string): string {
  return content.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
}
