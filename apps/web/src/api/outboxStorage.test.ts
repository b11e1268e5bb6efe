import { openDB } from 'idb';
import { describe, expect, it } from 'vitest';
import type { Pending } from './outboxSlice.ts';
import { forgetPending, keepPending, loadPending } from './outboxStorage.ts';

const VISIT = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
const pending = (n: number): Pending => ({
  visitId: VISIT,
  entry: {
    id: `5a6d4f0e-8b1c-4f7a-9c3e-${String(100 - n).padStart(12, '0')}`,
    path: 'tires.lf.newDepth',
    value: n,
    at: '2026-03-01T10:00:00.000Z',
  },
});

describe('outbox storage', () => {
  it('brings unsent entries back in the order they were typed, and lets go of what was sent', async () => {
    const typed = [pending(1), pending(2), pending(3)];
    for (const one of typed) await keepPending(one);
    expect(await loadPending()).toEqual(typed);
    await forgetPending([typed[1]!.entry.id]);
    expect(await loadPending()).toEqual([typed[0], typed[2]]);
    await forgetPending(typed.map(({ entry }) => entry.id));
    expect(await loadPending()).toEqual([]);
  });

  it('keeps an entry once, however often it is kept', async () => {
    await keepPending(pending(4));
    await keepPending(pending(4));
    expect(await loadPending()).toEqual([pending(4)]);
    await forgetPending([pending(4).entry.id]);
  });

  it('passes over what is none of ours', async () => {
    const db = await openDB('keen-groove', 1);
    await db.put('outbox', { visitId: 3 });
    await keepPending(pending(5));
    expect(await loadPending()).toEqual([pending(5)]);
    db.close();
  });
});
