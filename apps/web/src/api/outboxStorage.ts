import { z } from 'zod';
import { entrySchema } from '@keen/contract';
import type { Pending } from './outboxSlice.ts';

const KEY = 'keen.outbox';
const pendingSchema = z.array(z.strictObject({ visitId: z.uuid(), entry: entrySchema }));

/** What was typed and not yet sent when the page last closed; a crash loses nothing. */
export function loadPending(): Pending[] {
  try {
    const parsed = pendingSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}

export function keepPending(pending: readonly Pending[]): void {
  try {
    if (pending.length === 0) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, JSON.stringify(pending));
  } catch {
    // Storage may be switched off or full; the entries are still in memory and on their way.
  }
}
