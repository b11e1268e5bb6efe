import type { StoredEntry } from '@keen/contract';
import type { InferSelectModel } from 'drizzle-orm';
import type { entries } from './schema/index.ts';

/** A kept entry as the API tells it. */
export function entryRecord(row: InferSelectModel<typeof entries>): StoredEntry {
  return {
    id: row.id,
    path: row.path,
    value: row.value,
    at: row.at.toISOString(),
    seq: row.seq,
    personId: row.personId,
    ...(row.over ? { over: row.over } : {}),
  };
}
