import type { LiveEvent } from '@keen/contract';
import { and, asc, eq, gt } from 'drizzle-orm';
import pg from 'pg';
import type { Logger } from 'pino';
import type { Database } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { entries } from '../../db/schema/index.ts';
import { LIVE_CHANNEL } from '../../db/tellLive.ts';
import type { LiveNote } from '../../db/tellLive.ts';
import { createListeners } from './listeners.ts';
import type { Listeners } from './listeners.ts';

type GaugeNote = Extract<LiveNote, { kind: 'gauge' }>;
type ReaderNote = Extract<LiveNote, { kind: 'reader' }>;

/** Passes on what PostgreSQL notifies, to everyone of that shop who listens here. */
export interface LiveHub {
  start(): Promise<void>;
  /** Changes of the shop, for its pages. */
  pages: Listeners<LiveEvent>;
  /** What devices say goes to their own lines, not to every page. */
  gauges: Listeners<GaugeNote['says']>;
  readers: Listeners<ReaderNote['says']>;
  close(): Promise<void>;
}

const RETRY_MS = 1000;

/**
 * Keeps one connection for LISTEN, apart from the pool, and makes it again when it breaks. A change
 * missed meanwhile shows with the next one: clients compare entry numbers and fetch what they lack.
 */
export function createLiveHub(url: string, db: Database, log: Logger): LiveHub {
  const pages = createListeners<LiveEvent>();
  const gauges = createListeners<GaugeNote['says']>();
  const readers = createListeners<ReaderNote['says']>();
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
      gauges.tell(note.shopId, note.says);
      return;
    }
    if ('kind' in note && note.kind === 'reader') {
      readers.tell(note.shopId, note.says);
      return;
    }
    if (!pages.has(note.shopId)) return;
    try {
      pages.tell(note.shopId, await eventOf(db, note));
    } catch (error) {
      log.warn({ err: error }, 'live change not passed on');
    }
  }

  return {
    start: listen,
    pages,
    gauges,
    readers,
    async close() {
      closed = true;
      await client?.end();
    },
  };
}

async function eventOf(
  db: Database,
  note: Exclude<LiveNote, GaugeNote | ReaderNote>,
): Promise<LiveEvent> {
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
