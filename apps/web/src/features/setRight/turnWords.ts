import type { Adjuster } from '@keen/contract';

/** What an adjuster is turned or moved by, for one and for more. */
const UNITS: Record<Adjuster, { one: string; more: string; isTurn: boolean } | null> = {
  tieRod: { one: 'turn', more: 'turns', isTurn: true },
  turnbuckle: { one: 'turn', more: 'turns', isTurn: true },
  adjustableArm: { one: 'turn', more: 'turns', isTurn: true },
  cam: { one: 'notch', more: 'notches', isTurn: false },
  twoCams: { one: 'notch', more: 'notches', isTurn: false },
  slots: { one: 'mm', more: 'mm', isTurn: false },
  armShims: { one: 'mm', more: 'mm', isTurn: false },
  hubShim: null,
  none: null,
};
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** What the hand counts at an adjuster; null where it is a part, not a turn. */
export function unitOf(adjuster: Adjuster): { one: string; more: string; isTurn: boolean } | null {
  return UNITS[adjuster];
}

/** An amount as a hand measures it: turns to the eighth, notches to the half, millimetres to the tenth. */
export function amountWords(amount: number, adjuster: Adjuster): string {
  const unit = UNITS[adjuster];
  if (!unit) return '';
  const size = Math.abs(amount);
  if (unit.isTurn) {
    const eighths = Math.round(size * 8);
    if (eighths === 0) return 'a touch';
    const whole = Math.floor(eighths / 8);
    const part = EIGHTHS[eighths % 8]!;
    const number = whole === 0 ? part : `${whole}${part}`;
    return `${number} ${eighths <= 8 ? unit.one : unit.more}`;
  }
  const rounded = adjuster === 'cam' ? Math.round(size * 2) / 2 : Math.round(size * 10) / 10;
  if (rounded === 0) return 'a touch';
  return `${rounded} ${rounded <= 1 ? unit.one : unit.more}`;
}
