import type { WorkEstimate } from '@keen/contract';
import { distanceFromKm, formatMoney, lineMinor, nextLooks, sumEstimate } from '@keen/core';
import type { NextLook } from '@keen/core';
import type { Content } from 'pdfmake/interfaces.js';
import type { SheetData } from './sheetData.ts';
import { INK } from './sheetInk.ts';

const THOUSAND = 1000;
const ANSWER_WORDS = { accepted: 'yes', declined: 'no', later: 'later' } as const;

/** What it is worth: the life of new tires with the work and without, and the money between. */
export function worthPart({ weighing, preferences, shop }: SheetData): Content[] {
  const { advised, choices, horizonKm } = weighing;
  const asIs = choices.find(({ course }) => course === 'fitOnly')!;
  const unit = preferences.units.distance;
  const far = (km: number) =>
    `${(Math.round(distanceFromKm(km, unit) / THOUSAND) * THOUSAND).toLocaleString('en').replace(/,/g, ' ')} ${unit}`;
  const life = ({ median, low, high }: (typeof advised)['outlook']['lifeKm']) =>
    `about ${far(median)} (${far(low)} to ${far(high)}, eight times in ten)`;
  if (advised.course === 'fitOnly') {
    return [{ text: `New tires like these would live ${life(asIs.outlook.lifeKm)}.` }];
  }
  const saved = ((asIs.perMegametre - advised.perMegametre) * horizonKm) / THOUSAND;
  const money = formatMoney(Math.max(0, saved), shop.settings.prices.currency, 'en', true);
  return [
    {
      text: `With that done new tires like these would live ${life(advised.outlook.lifeKm)}; as the car is, ${life(asIs.outlook.lifeKm)}.`,
    },
    ...(saved > 0
      ? [
          {
            text: `Over ${far(horizonKm)} that is expected to save ${money}, the work paid.`,
            bold: true,
            margin: [0, 3, 0, 0] as [number, number, number, number],
          },
        ]
      : []),
  ];
}

/** The estimate as it stands: each line with its answer, the sum, who signed. */
export function estimatePart(estimate: WorkEstimate | undefined): Content[] {
  if (!estimate || estimate.lines.length === 0) return [];
  const money = (minor: number) => formatMoney(minor, estimate.currency);
  const sum = sumEstimate(estimate);
  const accepted = sumEstimate(estimate, ({ answer }) => answer === 'accepted');
  const isAnswered = estimate.lines.some(({ answer }) => answer !== undefined);
  const right = (text: string, bold = false): Content => ({ text, alignment: 'right', bold });
  const version = estimate.version > 1 ? `, version ${estimate.version}` : '';
  return [
    { text: `Estimate${version}`, bold: true, fontSize: 9, color: INK.soft, margin: [0, 8, 0, 3] },
    {
      fontSize: 8.5,
      layout: {
        hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
        vLineWidth: () => 0,
        hLineColor: () => INK.line,
        paddingTop: () => 1.5,
        paddingBottom: () => 1.5,
        paddingLeft: () => 0,
      },
      table: {
        widths: ['*', 'auto', 70],
        body: [
          ...estimate.lines.map((line) => [
            {
              text: [
                line.quantity === 1 ? '' : `${line.quantity} × `,
                line.what,
                line.reason ? { text: ` (“${line.reason}”)`, color: INK.soft } : '',
              ],
            },
            { text: line.answer ? ANSWER_WORDS[line.answer] : '', color: INK.soft },
            right(money(lineMinor(line))),
          ]),
          [
            { text: `In all, ${estimate.taxPercent} % tax of ${money(sum.tax)} in it`, bold: true },
            '',
            right(money(sum.total), true),
          ],
          ...(isAnswered
            ? [[{ text: 'Said yes to, with tax' }, '', right(money(accepted.total))]]
            : []),
        ],
      },
    },
    ...(estimate.signed
      ? [
          {
            text: `Signed by ${estimate.signed.name}, ${estimate.signed.at.slice(0, 10)}.`,
            color: INK.soft,
            fontSize: 8.5,
            margin: [0, 2, 0, 0] as [number, number, number, number],
          },
        ]
      : []),
  ];
}

/** What to look at next, by distance and by time. */
export function nextPart({ visit, outlook, decision, preferences }: SheetData): Content[] {
  const unit = preferences.units.distance;
  const wheelsOff = decision?.answer === 'yes' && decision.replace.length > 0;
  const when = ({ afterKm, months }: NextLook) =>
    afterKm === null
      ? `in ${months} months`
      : `after ${Math.round(distanceFromKm(afterKm, unit)).toLocaleString('en').replace(/,/g, ' ')} ${unit}`;
  const words: Record<NextLook['what'], string> = {
    nuts: 'tighten the wheel nuts again',
    recheck: 'show the car to the technician again',
    tread: 'have the tread looked at, inner edges too',
    alignment: 'have the angles checked',
  };
  const looks = nextLooks(visit.draft, outlook, wheelsOff);
  return [
    {
      margin: [0, 8, 0, 0],
      text: [
        { text: 'Next: ', bold: true },
        looks.map((look) => `${when(look)} ${words[look.what]}`).join('; '),
        '.',
      ],
    },
  ];
}
