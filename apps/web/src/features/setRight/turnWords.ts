import type { Adjuster } from '@keen/contract';
import { ADJUSTER_FACTS } from '@keen/core';
import { t } from '../../words/setRight.ts';

const UNITS = {
  turn: { one: t('turnWords.turn'), more: t('turnWords.turns'), isTurn: true },
  notch: { one: t('turnWords.notch'), more: t('turnWords.notches'), isTurn: false },
  mm: { one: 'mm', more: 'mm', isTurn: false },
} as const;
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** What the hand counts at an adjuster; null where it is a part, not a turn. */
export function unitOf(adjuster: Adjuster): { one: string; more: string; isTurn: boolean } | null {
  const { unit } = ADJUSTER_FACTS[adjuster];
  return unit && UNITS[unit];
}

/** An amount as a hand measures it: turns to the eighth, notches to the half, millimetres to the tenth. */
export function amountWords(amount: number, adjuster: Adjuster): string {
  const unit = unitOf(adjuster);
  if (!unit) return '';
  const size = Math.abs(amount);
  if (unit.isTurn) {
    const eighths = Math.round(size * 8);
    if (eighths === 0) return t('turnWords.aTouch');
    const whole = Math.floor(eighths / 8);
    const part = EIGHTHS[eighths % 8]!;
    const number = whole === 0 ? part : `${whole}${part}`;
    return `${number} ${eighths <= 8 ? unit.one : unit.more}`;
  }
  const rounded = adjuster === 'cam' ? Math.round(size * 2) / 2 : Math.round(size * 10) / 10;
  if (rounded === 0) return t('turnWords.aTouch');
  return `${rounded} ${rounded <= 1 ? unit.one : unit.more}`;
}
