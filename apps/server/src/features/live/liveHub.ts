import type { LiveEvent, Visit } from '@keen/contract';
import { and, asc, eq, gt } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import pg from 'pg';
import type { Logger } from 'pino';
import { inShop } from '../../db/client.ts';
import type { Database, Handle } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { entries } from '../../db/schema/index.ts';
import { LIVE_CHANNEL } from '../../db/notifyLive.ts';
import type { LiveNotification } from '../../db/notifyLive.ts';
import { createListeners } from './listeners.ts';
import type { Listeners } from './listeners.ts';
import { createOpenLines } from './openLines.ts';
import type { OpenLines } from './openLines.ts';

type NotificationOf<Kind> = Extract<LiveNotification, { kind: Kind }>;
type PageNotification = Exclude<
  LiveNotification,
  NotificationOf<'gauge'> | NotificationOf<'reader'> | NotificationOf<'signedOut'>
>;

/** Reads a visit as lists have it. */
type FindVisit = (tx: Handle, shopId: string, id: string) => Promise<Visit | null>;

/** Passes on what PostgreSQL notifies, to everyone of that shop who listens here. */
export interface LiveHub {
  start(): Promise<void>;
  /** Changes of the shop, for its pages: each event as JSON, written once for all of them. */
  pages: Listeners<string>;
  /** Whether something changed in a shop within this long, ms; a while ago is long forgotten. */
  changedWithin(shopId: string, ms: number): boolean;
  /** What devices say goes to their own lines, not to every page. */
  gauges: Listeners<NotificationOf<'gauge'>['says']>;
  readers: Listeners<NotificationOf<'reader'>['says']>;
  /** Streams and device lines by person, ended when that person is signed out. */
  lines: OpenLines;
  close(): Promise<void>;
}

const RETRY_MS = 1000;
/** A connection that died without a word is noticed by asking it now and then. */
const PULSE_MS = 20_000;
const PULSE_TIMEOUT_MS = 10_000;
const MOST_SHOPS = 20_000;
const FORGET_MS = 60_000;

/**
 * Keeps one connection for LISTEN, apart from the pool, and makes it again when it breaks. What was
 * notified meanwhile is gone, so every page is then told to fetch again.
 * @param findVisit - tells what a visit is now that has changed
 */
export function createLiveHub(
  url: string,
  db: Database,
  log: Logger,
  findVisit: FindVisit,
): LiveHub {
  const pages = createListeners<string>();
  const gauges = createListeners<NotificationOf<'gauge'>['says']>();
  const readers = createListeners<NotificationOf<'reader'>['says']>();
  const lines = createOpenLines();
  const changedAt = new LRUCache<string, number>({ max: MOST_SHOPS, ttl: FORGET_MS });
  let client: pg.Client | null = null;
  let timer: NodeJS.Timeout | undefined;
  let closed = false;

  async function listen(): Promise<void> {
    const next = new pg.Client({
      connectionString: url,
      keepAlive: true,
      application_name: 'keen live',
      query_timeout: PULSE_TIMEOUT_MS,
      connectionTimeoutMillis: PULSE_TIMEOUT_MS,
    });
    const lose = (error?: Error) => {
      if (client !== next) return;
      client = null;
      clearInterval(timer);
      log.warn({ err: error }, 'live connection lost');
      next.end().catch(() => undefined);
      reconnect();
    };
    next.on('notification', ({ payload }) => {
      if (payload !== undefined) receive(payload);
    });
    next.on('error', lose);
    next.on('end', () => lose());
    await next.connect();
    await next.query(`listen ${LIVE_CHANNEL}`);
    if (closed) {
      await next.end();
      return;
    }
    client = next;
    timer = setInterval(() => next.query('select 1').catch(lose), PULSE_MS);
  }

  function reconnect(): void {
    if (closed) return;
    setTimeout(() => {
      if (closed) return;
      listen().then(
        () => pages.tellAll(JSON.stringify({ kind: 'missed' } satisfies LiveEvent)),
        reconnect,
      );
    }, RETRY_MS);
  }

  function receive(payload: string): void {
    pass(JSON.parse(payload) as LiveNotification).catch((error: unknown) =>
      log.warn({ err: error }, 'live change not passed on'),
    );
  }

  async function pass(note: LiveNotification): Promise<void> {
    if (!('kind' in note)) return notifyPages(note);
    switch (note.kind) {
      case 'gauge':
        return gauges.tell(note.shopId, note.says);
      case 'reader':
        return readers.tell(note.shopId, note.says);
      case 'signedOut':
        return lines.end(note);
      default:
        return notifyPages(note);
    }
  }

  async function notifyPages(note: PageNotification): Promise<void> {
    changedAt.set(note.shopId, Date.now());
    if (!pages.has(note.shopId)) return;
    const event = await inShop(db, note.shopId, (tx) => eventOf(tx, note, findVisit));
    if (event) pages.tell(note.shopId, JSON.stringify(event));
  }

  return {
    start: listen,
    pages,
    changedWithin: (shopId, ms) => Date.now() - (changedAt.get(shopId) ?? 0) <= ms,
    gauges,
    readers,
    lines,
    async close() {
      closed = true;
      clearInterval(timer);
      await client?.end();
    },
  };
}

async function eventOf(
  tx: Handle,
  note: PageNotification,
  findVisit: FindVisit,
): Promise<LiveEvent | null> {
  if ('kind' in note) {
    if (note.kind !== 'archive') return { kind: note.kind };
    const { kind, way, done, total } = note;
    return { kind, way, done, total };
  }
  const { visitId, after } = note;
  if (after === undefined) {
    const visit = await findVisit(tx, note.shopId, visitId);
    return visit && { kind: 'visit', visit };
  }
  const rows = await tx
    .select()
    .from(entries)
    .where(and(eq(entries.visitId, visitId), gt(entries.seq, after)))
    .orderBy(asc(entries.seq));
  return { kind: 'entries', visitId, entries: rows.map(entryRecord) };
}
