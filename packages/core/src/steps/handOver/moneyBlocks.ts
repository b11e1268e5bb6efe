import { LANGUAGES } from '@keen/contract/words';
import type { EstimateLine, PaperLine, PaperTable, WorkEstimate } from '@keen/contract';
import { lineMinor, sumEstimate } from '../decide/estimate.ts';
import { textsOf } from '../../words/textsOf.ts';
import type { Span } from '../../engine/outlook/depthCurves.ts';
import { line } from './paperFacts.ts';
import type { PaperFacts, Writer } from './paperFacts.ts';

const KM_PER_MEGAMETRE = 1000;

/** What it is worth: the life of new tires with the work and without, and the money between. */
export function worthLines({ weighing, shop }: PaperFacts, writer: Writer): PaperLine[] {
  const { papers, far, money } = writer;
  const { advised, choices, horizonKm } = weighing;
  const life = ({ median, low, high }: Span) => papers.life(far(median), far(low), far(high));
  const asIs = choices.find(({ course }) => course === 'fitOnly')!;
  if (advised.course === 'fitOnly') {
    return [line('', papers.lifeFit(life(asIs.outlook.lifeKm)))];
  }
  const saved = ((asIs.perThousandKm - advised.perThousandKm) * horizonKm) / KM_PER_MEGAMETRE;
  return [
    line('', papers.lifeWith(life(advised.outlook.lifeKm), life(asIs.outlook.lifeKm))),
    ...(saved > 0
      ? [line(papers.saves(far(horizonKm), money(saved, shop.settings.prices.currency, true)))]
      : []),
  ];
}

/** The estimate as it stands: each line with its answer, the sum, who signed; null without one. */
export function estimateBlock(
  estimate: WorkEstimate | undefined,
  writer: Writer,
): PaperTable | null {
  if (!estimate || estimate.lines.length === 0) return null;
  const { papers, date } = writer;
  const money = (minor: number) => writer.money(minor, estimate.currency);
  const sum = sumEstimate(estimate);
  const accepted = sumEstimate(estimate, ({ answer }) => answer === 'accepted');
  const isAnswered = estimate.lines.some(({ answer }) => answer !== undefined);
  const { taxPercent, signed } = estimate;
  const percent = percentWords(taxPercent, writer);
  return {
    kind: 'table',
    title: papers.heads.estimate(estimate.version),
    columns: [
      { title: '', isNumber: false },
      { title: '', isNumber: false },
      { title: '', isNumber: true },
    ],
    rows: [
      ...estimate.lines.map((one) => ({
        isStrong: false,
        cells: [
          `${lineWords(one, writer)}${one.reason ? ` (“${one.reason}”)` : ''}`,
          one.answer ? papers.lineAnswers[one.answer] : '',
          money(lineMinor(one)),
        ],
      })),
      { isStrong: true, cells: [papers.sum(percent, money(sum.tax)), '', money(sum.total)] },
      ...(isAnswered
        ? [{ isStrong: false, cells: [papers.accepted, '', money(accepted.total)] }]
        : []),
    ],
    note: signed ? papers.signedBy(signed.name, date(signed.at)) : '',
  };
}

/** How many of it and what, in the paper's language where the shop left the price list's words. */
export function lineWords({ item, what, quantity }: EstimateLine, writer: Writer): string {
  const { papers, number } = writer;
  // As nobody changed it, in whatever language it was written, it is said in the customer's.
  const isUsual = item && LANGUAGES.some((one) => textsOf(one).papers.prices[item] === what);
  const words = isUsual ? papers.prices[item] : what;
  if (quantity === 1) return words;
  return `${Number.isInteger(quantity) ? quantity : number(quantity, 2)} × ${words}`;
}

/** A share of tax as it is written, without decimals where it has none. */
export function percentWords(percent: number, { number }: Writer): string {
  return number(percent, Number.isInteger(percent) ? 0 : 2);
}
