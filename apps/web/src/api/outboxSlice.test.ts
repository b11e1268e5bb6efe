import { describe, expect, it } from 'vitest';
import { refusedIds } from './outboxSender.ts';
import { initialOutbox, outbox, outboxSlice } from './outboxSlice.ts';
import type { Pending } from './outboxSlice.ts';

const VISIT = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
let last = 0;
function pending(value: unknown): Pending {
  const id = `5a6d4f0e-8b1c-4f7a-9c3e-${String(++last).padStart(12, '0')}`;
  return {
    visitId: VISIT,
    entry: { id, path: 'tires.lf.newDepth', value, at: '2026-03-01T10:00:00.000Z' },
  };
}
const reduce = outboxSlice.reducer;

describe('outbox', () => {
  it('keeps what was entered in order until the server has it', () => {
    const [first, second] = [pending(8), pending(9)];
    let state = reduce(initialOutbox, outbox.entered({ pending: first, before: null }));
    state = reduce(state, outbox.entered({ pending: second, before: 8 }));
    state = reduce(state, outbox.sent([first.entry.id]));
    expect(state.pending).toEqual([second]);
  });

  it('undoes with one more entry and can redo it', () => {
    let state = reduce(initialOutbox, outbox.entered({ pending: pending(8), before: null }));
    state = reduce(state, outbox.undid(pending(null)));
    expect(state.pending).toHaveLength(2);
    expect(state.done).toEqual([]);
    expect(state.undone).toMatchObject([{ before: null, after: 8 }]);
    state = reduce(state, outbox.redid(pending(8)));
    expect(state.done).toMatchObject([{ after: 8 }]);
  });

  it('forgets what was undone once something new is entered', () => {
    let state = reduce(initialOutbox, outbox.entered({ pending: pending(8), before: null }));
    state = reduce(state, outbox.undid(pending(null)));
    state = reduce(state, outbox.entered({ pending: pending(7), before: null }));
    expect(state.undone).toEqual([]);
  });

  it('shows what the server refused and does not try it for ever', () => {
    const wrong = pending(-1);
    let state = reduce(initialOutbox, outbox.entered({ pending: wrong, before: null }));
    state = reduce(state, outbox.refused({ ids: [wrong.entry.id], text: 'at least 0' }));
    expect(state).toMatchObject({ pending: [], refused: 'at least 0' });
  });
});

describe('refusedIds', () => {
  const entries = [pending(1), pending(2), pending(3)].map(({ entry }) => entry);

  it('drops only what was wrong of a batch', () => {
    expect(refusedIds(entries, [{ path: 'entries.1.value', expected: 'x' }])).toEqual([
      entries[1]!.id,
    ]);
  });

  it('drops all when the batch as a whole cannot be kept', () => {
    expect(refusedIds(entries, [])).toHaveLength(3);
  });
});
