import type { Units, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import { axleSection, axleSectionSvg, DEFAULT_LIMITS_MM, WHEEL_ORDER } from '@keen/core';
import type { SectionInk, SectionTire } from '@keen/core';
import { labCase, tiresAt } from '@keen/core/lab';
import Papa from 'papaparse';
import { MOST_KM } from './labSetup.ts';
import type { Driven } from './useLab.ts';
import { t } from '../../words/wearLab.ts';
import { term } from '../../words/terms.ts';

const TABLE_STEP_KM = 1000;
const PICTURE = { width: 408, height: 186, gap: 16, scale: 2 } as const;
const AXLE_HEIGHT = 18 + PICTURE.height + 44;

/** The depths of all ribs every 1000 km, mm, as a table for a spreadsheet. */
export function labTable({ run }: Driven): string {
  const heading = [
    'km',
    ...WHEEL_ORDER.flatMap((wheel) => RIBS.map((rib) => `${wheel} ${rib} mm`)),
  ];
  const rows = Array.from({ length: MOST_KM / TABLE_STEP_KM + 1 }, (_, i) => {
    const km = i * TABLE_STEP_KM;
    const { depthMm } = tiresAt(run, km);
    return [
      km,
      ...WHEEL_ORDER.flatMap((wheel) => RIBS.map((rib) => depthMm[wheel][rib].toFixed(2))),
    ];
  });
  return Papa.unparse([heading, ...rows]);
}

/** The car as it stands at a distance, as a case file. */
export function labCaseText({ plan, run }: Driven, km: number): string {
  return JSON.stringify(labCase(plan, tiresAt(run, km), km), null, 2);
}

/** Both axles as a picture of their own, as they are printed. */
export function labPicture(
  tires: Record<Wheel, SectionTire>,
  unit: Units['depth'],
  ink: SectionInk & { paper: string },
): string {
  const { width, height, gap } = PICTURE;
  const axles = (['front', 'rear'] as const).map((axle, i) => {
    const section = axleSection(axle, tires, {
      width,
      height,
      legalMm: DEFAULT_LIMITS_MM.legal,
    });
    const words = {
      titles: [
        t('labFiles.left', { axle: term(`axle.${axle}`) }),
        t('labFiles.right', { axle: term(`axle.${axle}`) }),
      ] as const,
      ribs: {
        inner: term('rib.inner'),
        centre: term('rib.centre'),
        outer: term('rib.outer'),
      },
      decimal: '.',
    };
    // Each is a picture of its own; here they stand one under the other.
    return axleSectionSvg(section, tires, words, unit, ink).replace(
      '<svg ',
      `<svg x="${gap}" y="${gap + i * (AXLE_HEIGHT + gap)}" `,
    );
  });
  const [wide, high] = [width + 2 * gap, 2 * AXLE_HEIGHT + 3 * gap];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PICTURE.scale * wide}" height="${PICTURE.scale * high}" viewBox="0 0 ${wide} ${high}" font-family="sans-serif">`,
    `<rect width="${wide}" height="${high}" fill="${ink.paper}"/>`,
    ...axles,
    '</svg>',
  ].join('');
}
