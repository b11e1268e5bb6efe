import { describe, expect, it } from 'vitest';
import { createTypedLine } from './typedLine.ts';

/** What each key of a text means when they come this far apart. */
function typed(keys: readonly string[], gapMs: number, isPending = (_i: number) => false) {
  const line = createTypedLine();
  return keys.map((key, i) => line.feed(key, 1_000 + i * gapMs, isPending(i)));
}
const GAUGE = [...'5.30', 'Enter'];

describe('createTypedLine', () => {
  it('reads a number that a gauge types, whatever its speed', () => {
    for (const gap of [0, 4, 30]) {
      expect(typed(GAUGE, gap)).toEqual([
        { kind: 'digit', isNew: true },
        { kind: 'opened', text: '5.' },
        { kind: 'held', text: '5.3' },
        { kind: 'held', text: '5.30' },
        { kind: 'line', text: '5.30' },
      ]);
    }
  });

  it('takes its unit along, a comma, and Tab for an end', () => {
    expect(typed([...'12,30 mm', 'Tab'], 4).at(-1)).toEqual({ kind: 'line', text: '12.30 mm' });
  });

  it('counts leading zeros as one number when they come as fast as a device sends', () => {
    const keys = typed([...'0005.30'], 4);
    expect(keys[4]).toEqual({ kind: 'opened', text: '0005.' });
    expect(keys.filter((key) => key.kind === 'digit' && key.isNew)).toHaveLength(1);
  });

  it('leaves the digits of a hand alone', () => {
    expect(typed([...'5347'], 200, (i) => i % 2 === 1)).toEqual([
      { kind: 'digit', isNew: true },
      { kind: 'digit', isNew: false },
      { kind: 'digit', isNew: true },
      { kind: 'digit', isNew: false },
    ]);
    expect(typed(['5', 'Enter'], 200)[1]).toEqual({ kind: 'other' });
  });

  it('takes a point by hand as part of the digits just typed, not of old ones', () => {
    expect(typed([...'12.'], 300, (i) => i === 1)[2]).toEqual({ kind: 'opened', text: '12.' });
    const line = createTypedLine();
    line.feed('5', 0, false);
    expect(line.feed('.', 5_000, false)).toEqual({ kind: 'other' });
  });

  it('is corrected by Backspace and given up by Escape', () => {
    const keys = [...'5.', 'Backspace', '.', '4', 'Escape', '7'];
    expect(typed(keys, 100).slice(2)).toEqual([
      { kind: 'held', text: '5' },
      { kind: 'held', text: '5.' },
      { kind: 'held', text: '5.4' },
      { kind: 'dropped' },
      { kind: 'digit', isNew: true },
    ]);
  });
});
