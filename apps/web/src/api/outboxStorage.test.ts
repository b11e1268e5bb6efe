import { openDB } from 'idb';
import { describe, expect, it } from 'vitest';
import type { Pending } from './outboxSlice.ts';
import { forgetPending, loadPending, savePending, saveReason } from './outboxStorage.ts';

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
    for (const one of typed) await savePending(one);
    expect(await loadPending()).toEqual(typed);
    await forgetPending([typed[1]!.entry.id]);
    expect(await loadPending()).toEqual([typed[0], typed[2]]);
    await forgetPending(typed.map(({ entry }) => entry.id));
    expect(await loadPending()).toEqual([]);
  });

  it('keeps an entry once, however often it is kept', async () => {
    await savePending(pending(4));
    await savePending(pending(4));
    expect(await loadPending()).toEqual([pending(4)]);
    await forgetPending([pending(4).entry.id]);
  });

  it('writes down whose an entry is, why it was set aside, and that it is tried again', async () => {
    const owner = {
      personId: '11111111-1111-4111-8111-111111111111',
      shopId: '22222222-2222-4222-8222-222222222222',
    };
    const own = { ...pending(6), owner };
    await savePending(own);
    await saveReason([own.entry.id], 'at most 60');
    expect(await loadPending()).toEqual([{ ...own, reason: 'at most 60' }]);
    await saveReason([own.entry.id], null);
    expect(await loadPending()).toEqual([own]);
    await forgetPending([own.entry.id]);
  });

  it('passes over what is none of ours', async () => {
    const db = await openDB('keen-groove', 1);
    await db.put('outbox', { visitId: 3 });
    await savePending(pending(5));
    expect(await loadPending()).toEqual([pending(5)]);
    db.close();
  });
});
