import { get } from 'node:http';
import type { ClientRequest } from 'node:http';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LiveEvent } from '@keen/contract';
import { liveEventSchema } from '@keen/contract';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  asOwner,
  createDatabase,
  entry,
  LEAD,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let here: RunningServer;
let there: RunningServer;
let agent: Agent;
beforeAll(async () => {
  const url = await createDatabase();
  here = await serve(url);
  there = await serve(url);
  agent = agentOf(here);
  await setUpShop(agent);
});
afterAll(async () => {
  await there.close();
  await here.close();
});

/** Listens on a server as a signed-in person; `next` resolves with the following event. */
async function listen(server: RunningServer, cookie: string, query = '') {
  const events: LiveEvent[] = [];
  const waiting: ((event: LiveEvent) => void)[] = [];
  let request: ClientRequest | undefined;
  await new Promise<void>((open, fail) => {
    request = get(
      { port: server.port, host: '127.0.0.1', path: `/api/live${query}`, headers: { cookie } },
      (response) => {
        response.setEncoding('utf8');
        response.on('data', (chunk: string) => {
          open();
          for (const [, data] of chunk.matchAll(/^data: (.+)$/gm)) {
            const event = liveEventSchema.parse(JSON.parse(data!));
            const next = waiting.shift();
            if (next) next(event);
            else events.push(event);
          }
        });
      },
    ).on('error', fail);
  });
  return {
    next: (): Promise<LiveEvent> => {
      const event = events.shift();
      return event ? Promise.resolve(event) : new Promise((resolve) => waiting.push(resolve));
    },
    events,
    close: () => request?.destroy(),
  };
}

async function cookieFor(server: RunningServer): Promise<string> {
  const response = await agentOf(server)
    .post('/api/session')
    .send({ email: LEAD.email, password: LEAD.password })
    .expect(200);
  return (response.get('set-cookie')?.[0] ?? '').split(';')[0]!;
}

describe('live changes', () => {
  it('reach people on another server process at once', async () => {
    const visit = await arrive(agent);
    const listener = await listen(there, await cookieFor(there));
    const sent = performance.now();
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [entry('tires.lf.stations.0.outer', 5.3)] })
      .expect(200);
    const event = await listener.next();
    expect(performance.now() - sent).toBeLessThan(1000);
    expect(event).toMatchObject({
      kind: 'entries',
      visitId: visit.id,
      entries: [{ seq: 1, path: 'tires.lf.stations.0.outer', value: 5.3 }],
    });
    listener.close();
  });

  it('stay within the shop', async () => {
    const stranger = await secondShop(here);
    const other = await arrive(stranger);
    const listener = await listen(here, await cookieFor(here));
    await stranger
      .post(`/api/visits/${other.id}/entries`)
      .send({ entries: [entry('visit.words', 'secret')] });
    const own = await arrive(agent);
    expect(await listener.next()).toMatchObject({ visit: { id: own.id } });
    listener.close();
  });

  it('tell how far an archive is, and that it is over', async () => {
    const listener = await listen(here, await cookieFor(here));
    await agent.get('/api/shop/archive').buffer(true).expect(200);
    const told: LiveEvent[] = [];
    for (;;) {
      const event = await listener.next();
      if (event.kind !== 'archive') continue;
      told.push(event);
      if (event.total === 0) break;
    }
    expect(told.length).toBeGreaterThan(1);
    expect(told[0]).toMatchObject({ way: 'out' });
    expect(told.at(-1)).toEqual({ kind: 'archive', way: 'out', done: 0, total: 0 });
    listener.close();
  });

  it('need somebody signed in', async () => {
    await agentOf(here).get('/api/live').expect(401);
  });

  it('tell a page to fetch again that something changed for since it asked', async () => {
    const page = await listen(there, await cookieFor(there));
    const visit = await arrive(agent);
    expect(await page.next()).toEqual({ kind: 'visit', visit });
    // Asked before that: it cannot know.
    const late = await listen(there, await cookieFor(there), '?shownForMs=2000');
    expect(await late.next()).toEqual({ kind: 'missed' });
    await new Promise((turn) => setTimeout(turn, 700));
    const after = await listen(there, await cookieFor(there), '?shownForMs=0');
    const next = await arrive(agent);
    expect(await after.next()).toEqual({ kind: 'visit', visit: next });
    await agent.get('/api/live?shownForMs=x').expect(400);
    for (const one of [page, late, after]) one.close();
  });

  it('tell every page to fetch again when the database’s line was lost', async () => {
    const page = await listen(here, await cookieFor(here));
    // Settled: nothing of the tests before is on its way any more.
    await new Promise((turn) => setTimeout(turn, 100));
    page.events.length = 0;
    await asOwner(
      here,
      `select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'keen live' and datname = current_database()`,
    );
    expect(await page.next()).toEqual({ kind: 'missed' });
    page.close();
    // And the line is a line again.
    const other = await listen(here, await cookieFor(here));
    const visit = await arrive(agent);
    expect(await other.next()).toEqual({ kind: 'visit', visit });
    other.close();
  });

  it('cut off a page that does not read, and keep nothing for it', async () => {
    const cookie = await cookieFor(here);
    const { pages } = here.context.live;
    const socket = connect(here.port, '127.0.0.1');
    socket.write(`GET /api/live HTTP/1.1\r\nHost: a\r\nCookie: ${cookie}\r\n\r\n`);
    const session = await agent.get('/api/session').expect(200);
    const { id } = (session.body as { shop: { id: string } }).shop;
    await expect.poll(() => pages.has(id), { timeout: 10_000 }).toBe(true);
    socket.pause();
    const before = process.memoryUsage().rss;
    const event = JSON.stringify({ kind: 'visit', visitId: 'x'.repeat(64 * 1024) });
    let told = 0;
    // A gigabyte for a page that reads nothing.
    for (; told < 16_000 && pages.has(id); told++) {
      pages.tell(id, event);
      await new Promise((turn) => setImmediate(turn));
    }
    expect(pages.has(id)).toBe(false);
    expect((process.memoryUsage().rss - before) / 1e6).toBeLessThan(200);
    socket.destroy();
  });
});
