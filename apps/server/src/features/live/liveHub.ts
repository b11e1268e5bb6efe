import type { LiveEvent } from '@keen/contract';
import { and, asc, eq, gt } from 'drizzle-orm';
import pg from 'pg';
import type { Logger } from 'pino';
import type { Database } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { entries } from '../../db/schema/index.ts';
import { LIVE_CHANNEL } from '../../db/tellLive.ts';
import type { LiveNote } from '../../db/tellLive.ts';

export type Listener = (event: LiveEvent) => void;
type GaugeNote = Extract<LiveNote, { kind: 'gauge' }>;
/** Hears what a shop's gauge says. */
export type GaugeListener = (says: GaugeNote['says']) => void;

/** Passes on what PostgreSQL notifies, to everyone of that shop who listens here. */
export interface LiveHub {
  start(): Promise<void>;
  subscribe(shopId: string, listener: Listener): () => void;
  /** The gauge speaks to its own line, not to every page of the shop. */
  hearGauge(shopId: string, listener: GaugeListener): () => void;
  close(): Promise<void>;
}

const RETRY_MS = 1000;

/**
 * Keeps one connection for LISTEN, apart from the pool, and makes it again when it breaks. A change
 * missed meanwhile shows with the next one: clients compare entry numbers and fetch what they lack.
 */
export function createLiveHub(url: string, db: Database, log: Logger): LiveHub {
  const shops = new Map<string, Set<Listener>>();
  const gauges = new Map<string, Set<GaugeListener>>();
  let client: pg.Client | null = null;
  let closed = false;

  async function listen(): Promise<void> {
    const next = new pg.Client({ connectionString: url });
    next.on('notification', ({ payload }) => {
      if (payload) void pass(JSON.parse(payload) as LiveNote);
    });
    next.on('error', (error) => {
      log.warn({ err: error }, 'live connection lost');
      retry();
    });
    await next.connect();
    await next.query(`listen ${LIVE_CHANNEL}`);
    client = next;
  }

  function retry(): void {
    if (closed || client === null) return;
    client = null;
    const again = () => {
      if (!closed) listen().catch(() => setTimeout(again, RETRY_MS));
    };
    setTimeout(again, RETRY_MS);
  }

  async function pass(note: LiveNote): Promise<void> {
    if ('kind' in note && note.kind === 'gauge') {
      for (const listener of gauges.get(note.shopId) ?? []) listener(note.says);
      return;
    }
    const listeners = shops.get(note.shopId);
    if (!listeners || listeners.size === 0) return;
    try {
      const event = await eventOf(db, note);
      for (const listener of listeners) listener(event);
    } catch (error) {
      log.warn({ err: error }, 'live change not passed on');
    }
  }

  return {
    start: listen,
    subscribe(shopId, listener) {
      const listeners = shops.get(shopId) ?? new Set();
      shops.set(shopId, listeners.add(listener));
      return () => listeners.delete(listener);
    },
    hearGauge(shopId, listener) {
      const listeners = gauges.get(shopId) ?? new Set();
      gauges.set(shopId, listeners.add(listener));
      return () => listeners.delete(listener);
    },
    async close() {
      closed = true;
      await client?.end();
    },
  };
}

async function eventOf(db: Database, note: Exclude<LiveNote, GaugeNote>): Promise<LiveEvent> {
  if ('kind' in note) return { kind: note.kind };
  const { visitId, after } = note;
  if (after === undefined) return { kind: 'visit', visitId };
  const rows = await db
    .select()
    .from(entries)
    .where(and(eq(entries.visitId, visitId), gt(entries.seq, after)))
    .orderBy(asc(entries.seq));
  return { kind: 'entries', visitId, entries: rows.map(entryRecord) };
}
