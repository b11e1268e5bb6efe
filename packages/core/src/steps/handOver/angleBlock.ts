import type { PaperTable, VisitDraft } from '@keen/contract';
import { angleLedger } from '../measure/angleLedger.ts';
import type { LedgerRow } from '../measure/angleLedger.ts';
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
          ...(withBefore ? [earlier ? valueOf(earlier, writer) : ''] : []),
          valueOf(row, writer) + (isFull ? ` ± ${writer.number(2 * row.sd, digitsOf(row))}` : ''),
          row.limits
            ? papers.to(
                valueOf({ ...row, value: row.limits[0] }, writer),
                valueOf({ ...row, value: row.limits[1] }, writer),
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
    .map((row) => `${nameOf(row, writer)} ${valueOf(row, writer)}`);
  return names.length > 0 ? [writer.papers.leftAsItIs(names.join('; '))] : [];
}

function nameOf({ key, where }: LedgerRow, { papers, texts }: Writer): string {
  const [kind, side] = key.split('.') as [LedgerKind, string | undefined];
  const place =
    kind === 'toeOut' ? texts.sides[side as 'left' | 'right'] : where ? texts.places[where] : '';
  return [papers.angles[kind], place].filter(Boolean).join(', ');
}

function valueOf(row: LedgerRow, { number }: Writer): string {
  const text = number(row.value, digitsOf(row));
  return `${row.value > 0 ? '+' : ''}${text}${row.unit === '°' ? '°' : ' mm'}`;
}

function digitsOf({ unit }: LedgerRow): number {
  return unit === '°' ? 2 : 0;
}
