/** Keys that follow one another faster come from a device, not from a finger, ms. */
const DEVICE_GAP_MS = 45;
/** A point this long after its digits still belongs to them, ms. */
const POINT_AFTER_MS = 1_500;

/** What a key meant. */
export type TypedKey =
  /** Not part of a number written out; it keeps its own meaning. */
  | { kind: 'other' }
  /** A digit, which the fast entry takes; new unless it goes on from the digits before. */
  | { kind: 'digit'; isNew: boolean }
  /** A decimal point: the digits since the last new one were the beginning of a number written out. */
  | { kind: 'opened'; text: string }
  | { kind: 'held'; text: string }
  /** The number is whole. */
  | { kind: 'line'; text: string }
  /** It was given up. */
  | { kind: 'dropped' };

/**
 * Tells a number written out, as a gauge that types sends it (`5.30`, `5.30 mm`, then Enter), from the
 * digits of the fast entry, which has no decimal point. Nothing waits for it: the digits before a point
 * are told apart only once the point comes, and whoever took them takes them back.
 */
export function createTypedLine() {
  let digits = '';
  let at = Number.NEGATIVE_INFINITY;
  let line: string | null = null;

  function goOn(key: string, text: string): TypedKey {
    if (key === 'Enter' || key === 'Tab' || key === 'Escape') {
      line = null;
      return key === 'Escape' ? { kind: 'dropped' } : { kind: 'line', text };
    }
    if (key === 'Backspace') {
      line = text.length > 1 ? text.slice(0, -1) : null;
      return line === null ? { kind: 'dropped' } : { kind: 'held', text: line };
    }
    // Shift and its like.
    if (key.length !== 1) return { kind: 'other' };
    line = text + key;
    return { kind: 'held', text: line };
  }

  return {
    /**
     * @param key - the key's name or character
     * @param now - when it was pressed, ms
     * @param isPending - a digit before it still waits for another
     */
    feed(key: string, now: number, isPending: boolean): TypedKey {
      if (line !== null) return goOn(key, line);
      if (/^\d$/.test(key)) {
        const isNew = !isPending && now - at > DEVICE_GAP_MS;
        digits = isNew ? key : digits + key;
        at = now;
        return { kind: 'digit', isNew };
      }
      const before = isPending || now - at <= POINT_AFTER_MS ? digits : '';
      digits = '';
      at = Number.NEGATIVE_INFINITY;
      if ((key !== '.' && key !== ',') || before === '') return { kind: 'other' };
      line = `${before}.`;
      return { kind: 'opened', text: line };
    },
  };
}
