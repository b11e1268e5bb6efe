import type { VisitDraft } from '@keen/contract';
import { RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { angleLedger } from '../measure/angleLedger.ts';
import { lineMinor } from '../decide/estimate.ts';
import { plainMoney } from '../decide/money.ts';

/** Tables of a visit for other programs: a heading, then a line each; mm, km, kPa and degrees. */
type Rows = string[][];

/** Every depth at every place; `×` where a rib cannot be read. */
export function readingRows({ tires }: VisitDraft): Rows {
  const rows = WHEEL_ORDER.flatMap((wheel) =>
    (tires?.[wheel]?.stations ?? []).flatMap((station, i) =>
      RIBS.flatMap((rib) => {
        const depth = station[rib];
        if (depth === undefined) return [];
        return [[wheel, rib, String(i + 1), depth === 'unreadable' ? '×' : String(depth)]];
      }),
    ),
  );
  return [['wheel', 'rib', 'place', 'depth_mm'], ...rows];
}

/** The angles before and now, each with its standard uncertainty and limits. */
export function angleRows(draft: VisitDraft): Rows {
  const before = draft.visit?.setRight?.before;
  const was = new Map(
    (before ? angleLedger(draft, before) : []).map((row) => [row.key, row.value]),
  );
  const shown = (value: number | undefined | null) =>
    value === undefined || value === null ? '' : String(Number(value.toFixed(4)));
  const rows = angleLedger(draft).map((row) => [
    row.key.split('.')[0]!,
    row.key.split('.')[1] ?? row.where ?? '',
    shown(was.get(row.key)),
    shown(row.value),
    shown(row.sd),
    shown(row.limits?.[0]),
    shown(row.limits?.[1]),
    row.unit === '°' ? 'deg' : 'mm',
    row.state,
  ]);
  return [['angle', 'where', 'before', 'now', 'sd', 'low', 'high', 'unit', 'state'], ...rows];
}

/** The estimate line by line, money in the currency's own decimals. */
export function estimateRows({ visit }: VisitDraft): Rows {
  const { estimate } = visit ?? {};
  const rows = (estimate?.lines ?? []).map((line) => [
    line.what,
    String(line.quantity),
    plainMoney(line.unitMinor, estimate!.currency),
    plainMoney(lineMinor(line), estimate!.currency),
    estimate!.currency,
    estimate!.taxMode,
    String(estimate!.taxPercent),
    line.answer ?? '',
    line.reason ?? '',
  ]);
  const heading = [
    'what',
    'quantity',
    'each',
    'sum',
    'currency',
    'tax',
    'tax_percent',
    'answer',
    'reason',
  ];
  return [heading, ...rows];
}
