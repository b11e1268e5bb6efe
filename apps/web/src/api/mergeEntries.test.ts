import { describe, expect, it } from 'vitest';
import type { StoredEntry, VisitDetail } from '@keen/contract';
import { mergeEntries } from './mergeEntries.ts';

function stored(seq: number, path = 'visit.words', value: unknown = `entry ${seq}`): StoredEntry {
  return { id: `id-${seq}`, path, value, at: '2026-03-01T10:00:00.000Z', seq, personId: 'p' };
}

const detail: VisitDetail = {
  visit: {
    id: 'v',
    number: 1,
    vehicle: { id: 'c', plate: 'A 1', label: 'Van', customer: '', phone: '', vin: '', drive: null },
    arrivedAt: '2026-03-01T09:00:00.000Z',
    closedAt: null,
    draft: { visit: { words: 'entry 1' } },
    seq: 1,
    waits: null,
    decision: null,
  },
  entries: [stored(1)],
  decisions: [],
  history: [],
};

describe('mergeEntries', () => {
  it('folds what follows and moves the number on', () => {
    const merged = mergeEntries(detail, [stored(3), stored(2)]);
    expect(merged?.visit.seq).toBe(3);
    expect(merged?.visit.draft.visit?.words).toBe('entry 3');
    expect(merged?.entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
  });

  it('takes what it knows already as said', () => {
    expect(mergeEntries(detail, [stored(1)])).toBe(detail);
  });

  it('asks for a fetch when entries in between are missing', () => {
    expect(mergeEntries(detail, [stored(4)])).toBeNull();
  });
});
