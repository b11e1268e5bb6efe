import { randomUUID } from 'node:crypto';
import { afterAll, describe, expect, it } from 'vitest';
import { CARS } from '@keen/demo';
import type { VisitPage, Welcome } from '@keen/contract';
import { readConfig } from '../src/config.ts';
import type { RunningServer } from '../src/createServer.ts';
import { sql } from 'drizzle-orm';
import { connect, inShop, readInShop } from '../src/db/client.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { removeDemo } from '../src/demo/removeDemo.ts';
import { asOwner, agentOf, createDatabase, serve } from './testServer.ts';

const running: RunningServer[] = [];
async function start(url: string): Promise<RunningServer> {
  const server = await serve(url);
  running.push(server);
  return server;
}
afterAll(() => Promise.all(running.map((server) => server.close())));

describe('start', () => {
  it('migrates once when two processes start together', async () => {
    const url = await createDatabase();
    const servers = await Promise.all([start(url), start(url)]);
    for (const server of servers) await agentOf(server).get('/api/health').expect(200);
  });

  it('refuses a database of a newer version and changes nothing', async () => {
    const url = await createDatabase();
    const first = await serve(url);
    await asOwner(
      first,
      `insert into drizzle.__drizzle_migrations (hash, created_at) values ('future', 9999999999999)`,
    );
    await first.close();
    await expect(serve(url)).rejects.toThrow(/newer version/);
  });

  it('lives when the database ends a connection in the middle of a transaction', async () => {
    const server = await start(await createDatabase());
    const { db } = server.context;
    const work = inShop(db, '00000000-0000-4000-8000-000000000001', async (tx) => {
      const { rows } = await tx.execute<{ pid: number }>(sql`select pg_backend_pid() as pid`);
      await asOwner(server, 'select pg_terminate_backend($1)', [rows[0]!.pid]);
      // Between two queries nobody waits for the connection: its end must not be the process's.
      await new Promise((turn) => setTimeout(turn, 300));
      await tx.execute(sql`select 1`);
    });
    await expect(work).rejects.toThrow();
    await agentOf(server).get('/api/ready').expect(200);
  });

  it('gives a connection back whatever the work does, also when it refuses before it asks anything', async () => {
    const server = await start(await createDatabase());
    const { db, pool } = server.context;
    const shop = '00000000-0000-4000-8000-000000000001';
    const refuse = (): Promise<void> => {
      throw new Error('refused');
    };
    for (const run of [inShop, readInShop]) {
      // More often than there are connections: a lost one each time would leave none.
      for (let n = 0; n < 12; n++) {
        await expect(run(db, shop, refuse)).rejects.toThrow('refused');
        await expect(run(db, shop, (tx) => tx.execute(sql`select 1 / 0`))).rejects.toThrow();
      }
    }
    expect(pool.idleCount).toBe(pool.totalCount);
    await agentOf(server).get('/api/ready').expect(200);
  });

  it('says which setting is wrong', () => {
    expect(() => readConfig({ DATABASE_URL: 'mysql://x' })).toThrow(/DATABASE_URL/);
    expect(() => readConfig({ DATABASE_URL: 'postgres://h/d', PORT: 'many' })).toThrow(/PORT/);
  });
});

describe('demo shop', () => {
  it('loads into an empty database only, and can be made anew', async () => {
    const url = await createDatabase();
    const server = await start(url);
    const { diagnoses } = server.context;
    const owner = connect(url);
    const quiet = () => undefined;
    expect(await loadDemo(owner.db, diagnoses, quiet)).toBe(true);
    expect(await loadDemo(owner.db, diagnoses, quiet)).toBe(false);

    const agent = agentOf(server);
    const { demo } = (await agent.get('/api/welcome').expect(200)).body as Welcome;
    expect(demo?.people.length).toBeGreaterThan(2);
    await agent.post('/api/session/demo').send({ personId: demo?.people[0]?.id }).expect(200);
    const open = (await agent.get('/api/visits')).body as VisitPage;
    expect(open.visits).toHaveLength(CARS.length);

    // Whatever was made of it goes along: a chain with a second shop.
    const lead = demo?.people.find(({ role }) => role === 'lead');
    await agent.post('/api/session/demo').send({ personId: lead?.id }).expect(200);
    await agent.post('/api/chain').send({ name: 'Made-up chain' }).expect(200);
    const second = { shopId: randomUUID(), name: 'Made-up second', town: '', leadId: randomUUID() };
    await agent
      .post('/api/chain/shops')
      .send({ ...second, leadName: 'Lou', leadEmail: 'lou@demo.example' })
      .expect(200);

    await removeDemo(owner.db);
    await owner.pool.end();
    await agent.get('/api/visits').expect(401);
    expect(((await agentOf(server).get('/api/welcome')).body as Welcome).needsSetup).toBe(true);
  });
});
