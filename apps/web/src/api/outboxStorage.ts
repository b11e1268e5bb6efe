import { entrySchema } from '@keen/contract';
import { openDB } from 'idb';
import type { DBSchema, IDBPDatabase } from 'idb';
import { z } from 'zod';
import type { Aside, Pending } from './outboxSlice.ts';

const DATABASE = 'keen-groove';
const STORE = 'outbox';
const BY_ENTRY = 'byEntry';
const storedSchema = z.strictObject({
  visitId: z.uuid(),
  entry: entrySchema,
  owner: z.strictObject({ personId: z.uuid(), shopId: z.uuid() }).optional(),
  /** Why the server would not take it, once it has said so. */
  reason: z.string().optional(),
});

interface OutboxDatabase extends DBSchema {
  [STORE]: { key: number; value: Pending | Aside; indexes: { [BY_ENTRY]: string } };
}

let opened: Promise<IDBPDatabase<OutboxDatabase>> | null = null;

/** One record an entry, so that two windows of one tablet do not write over each other's. */
function database(): Promise<IDBPDatabase<OutboxDatabase>> {
  opened ??= openDB<OutboxDatabase>(DATABASE, 1, {
    upgrade(db) {
      const store = db.createObjectStore(STORE, { autoIncrement: true });
      store.createIndex(BY_ENTRY, 'entry.id', { unique: true });
    },
  });
  return opened;
}

/** What was typed and not yet sent when the page last closed, in order; a crash loses nothing. */
export async function loadPending(): Promise<(Pending | Aside)[]> {
  return tolerant(async () => {
    const stored: unknown[] = await (await database()).getAll(STORE);
    return stored.flatMap((one) => {
      const { data } = storedSchema.safeParse(one);
      if (!data) return [];
      const { reason, ...pending } = data;
      return [reason === undefined ? pending : { ...pending, reason }];
    });
  }, []);
}

/**
 * Saves an entry until the server has it. One request, committed at once: a page closed in the same
 * moment would take a write in several turns with it.
 */
export async function savePending(pending: Pending): Promise<void> {
  await tolerant(async () => {
    const writing = (await database()).transaction(STORE, 'readwrite');
    const added = writing.store.add(pending);
    writing.commit();
    try {
      await Promise.all([added, writing.done]);
    } catch (error) {
      // The index holds each entry once; the one that is there is as good.
      if (!(error instanceof DOMException) || error.name !== 'ConstraintError') throw error;
    }
  }, undefined);
}

/** Writes down that entries were set aside and why, or that they are tried again. */
export async function saveReason(ids: readonly string[], reason: string | null): Promise<void> {
  await tolerant(async () => {
    const writing = (await database()).transaction(STORE, 'readwrite');
    for (const id of ids) {
      const cursor = await writing.store.index(BY_ENTRY).openCursor(id);
      if (!cursor) continue;
      const { visitId, entry, owner } = cursor.value;
      await cursor.update({ visitId, entry, owner, ...(reason === null ? {} : { reason }) });
    }
    await writing.done;
  }, undefined);
}

/** Lets go of entries that the server has, or that their author dismissed. */
export async function forgetPending(ids: readonly string[]): Promise<void> {
  await tolerant(async () => {
    const writing = (await database()).transaction(STORE, 'readwrite');
    for (const id of ids) {
      const key = await writing.store.index(BY_ENTRY).getKey(id);
      if (key !== undefined) await writing.store.delete(key);
    }
    await writing.done;
  }, undefined);
}

/** Storage may be switched off or full; the entries are still in memory and on their way. */
async function tolerant<T>(work: () => Promise<T>, otherwise: T): Promise<T> {
  try {
    return await work();
  } catch (error) {
    console.warn('What is typed is in this page only', error);
    return otherwise;
  }
}
