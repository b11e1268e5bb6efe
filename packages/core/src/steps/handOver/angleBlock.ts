import type { PaperTable, VisitDraft } from '@keen/contract';
import { angleLedger } from '../measure/angleLedger.ts';
import type { LedgerRow } from '../measure/angleLedger.ts';
import { axleOf } from '../../engine/case/wheels.ts';
import { isScaled, TOE_DECIMALS, toeFromDegrees, toeScaleOf } from '../measure/toeScale.ts';
import type { ToeScale } from '../measure/toeScale.ts';
import { leftRows } from '../setRight/leftRows.ts';
import type { LedgerKind } from '../../words/paperTexts.ts';
import type { PaperFacts, Writer } from './paperFacts.ts';

/**
 * The angles before and now, against their limits; null where nothing was measured.
 * @param isFull - every row with its doubt, for the technician; otherwise what was out or is, of toe the total
 */
export function angleBlock(facts: PaperFacts, writer: Writer, isFull: boolean): PaperTable | null {
  const { draft } = facts.visit;
  const rows = angleLedger(draft);
  const before = draft.visit?.setRight?.before;
  const was = new Map((before ? angleLedger(draft, before) : []).map((row) => [row.key, row]));
  const shown = isFull
    ? rows
    : rows.filter(
        (row) =>
          !row.key.startsWith('toe.') && (row.state === 'out' || was.get(row.key)?.state === 'out'),
      );
  if (shown.length === 0) return null;
  const { papers } = writer;
  const { angleColumns: titles } = papers;
  const column = (title: string, isNumber: boolean) => ({ title, isNumber });
  const withBefore = was.size > 0;
  return {
    kind: 'table',
    title: papers.heads.angles,
    columns: [
      column(titles.angle, false),
      ...(withBefore ? [column(titles.before, true)] : []),
      column(titles.now, true),
      column(titles.limits, true),
      column(titles.state, false),
    ],
    rows: shown.map((row) => {
      const earlier = was.get(row.key);
      return {
        isStrong: false,
        cells: [
          nameOf(row, writer),
          ...(withBefore ? [earlier ? valueOf(earlier, writer, draft) : ''] : []),
          valueOf(row, writer, draft) + (isFull ? ` ± ${doubtOf(row, writer, draft)}` : ''),
          row.limits
            ? papers.to(
                valueOf({ ...row, value: row.limits[0] }, writer, draft),
                valueOf({ ...row, value: row.limits[1] }, writer, draft),
              )
            : '',
          papers.states[row.state],
        ],
      };
    }),
    note: isFull ? papers.doubt : '',
  };
}

/** The angles that were left as they are, in a sentence; none where none was. */
export function leftWords(draft: VisitDraft, writer: Writer): string[] {
  const rows = angleLedger(draft);
  const left = leftRows(draft, rows);
  const names = rows
    .filter(({ key }) => left.includes(key))
    .map((row) => `${nameOf(row, writer)} ${valueOf(row, writer, draft)}`);
  return names.length > 0 ? [writer.papers.leftAsItIs(names.join('; '))] : [];
}

function nameOf({ key, where }: LedgerRow, { papers, texts }: Writer): string {
  const [kind, side] = key.split('.') as [LedgerKind, string | undefined];
  const place =
    kind === 'toeOut' ? texts.sides[side as 'left' | 'right'] : where ? texts.places[where] : '';
  return [papers.angles[kind], place].filter(Boolean).join(', ');
}

function valueOf(row: LedgerRow, { number }: Writer, draft: VisitDraft): string {
  const toe = toeOf(row, draft);
  const sign = row.value > 0 ? '+' : '';
  if (toe) {
    const { unit } = toe.scale;
    const text = number(toeFromDegrees(row.value, toe.scale, toe.isTotal), TOE_DECIMALS[unit]);
    return `${sign}${text}${unit === 'min' ? '′' : ` ${unit}`}`;
  }
  return `${sign}${number(row.value, digitsOf(row))}${row.unit === '°' ? '°' : ' mm'}`;
}

/** Twice the standard uncertainty, in the row's own unit. */
function doubtOf(row: LedgerRow, { number }: Writer, draft: VisitDraft): string {
  const toe = toeOf(row, draft);
  return toe
    ? number(toeFromDegrees(2 * row.sd, toe.scale, toe.isTotal), TOE_DECIMALS[toe.scale.unit])
    : number(2 * row.sd, digitsOf(row));
}

/** Toe is given as it was measured, in minutes or in a length at its diameter; null for all else. */
function toeOf(
  { key, where }: LedgerRow,
  draft: VisitDraft,
): { scale: ToeScale; isTotal: boolean } | null {
  const isTotal = key.startsWith('totalToe.');
  if (where === null || (!isTotal && !key.startsWith('toe.'))) return null;
  const axle = where === 'front' || where === 'rear' ? where : axleOf(where);
  const scale = toeScaleOf(draft, axle, 'deg');
  return scale.unit === 'deg' || !isScaled(scale) ? null : { scale, isTotal };
}

function digitsOf({ unit }: LedgerRow): number {
  return unit === '°' ? 2 : 0;
}
