import type { GaugeMessage } from '@keen/contract';
import { sql } from 'drizzle-orm';
import type { Handle } from './client.ts';

export const LIVE_CHANNEL = 'keen_live';

/** Whose sessions: a person's in their shop, or an account's in all shops. */
export type SessionOwner = { personId: string } | { accountId: string };

/** What travels over NOTIFY: small, since its payload is limited; readers fetch the rest. */
export type LiveNotification =
  | {
      shopId: string;
      visitId: string;
      /** Entries after this number are new; absent when something else about the visit changed. */
      after?: number;
    }
  /** Something of the whole shop changed. */
  | { shopId: string; kind: 'sheets' | 'settings' | 'gauges' | 'learning' }
  /** An archive is being made or taken in: visits done of all. */
  | { shopId: string; kind: 'archive'; way: 'in' | 'out'; done: number; total: number }
  /** The simulated gauge said something, or broke off. */
  | { shopId: string; kind: 'gauge'; says: GaugeMessage | 'breaksOff' }
  /** The simulated drive-over reader delivered a pass, which waits in the database, or broke off. */
  | { shopId: string; kind: 'reader'; says: 'pass' | 'breaksOff' }
  /**
   * Sessions of a person ended, or of an account in all its shops: one, or all but one. Sessions by name,
   * never by their secret id.
   */
  | ({ kind: 'signedOut'; session?: string; except?: string } & SessionOwner);

/** Tells every server process, once the transaction commits. */
export async function notifyLive(tx: Handle, note: LiveNotification): Promise<void> {
  await tx.execute(sql`select pg_notify(${LIVE_CHANNEL}, ${JSON.stringify(note)})`);
}
