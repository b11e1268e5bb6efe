import type { GaragePage } from '@keen/contract';
import pg from 'pg';
import { expect, inject, it } from 'vitest';
import {
  agentOf,
  appUrlOf,
  arrive,
  bodyOf,
  createDatabase,
  LEAD,
  serve,
  setUpShop,
  stopDatabase,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

/** A copy that stays as it is, as a standby that lags behind. */
async function copyOf(url: string): Promise<string> {
  const name = new URL(url).pathname.slice(1);
  const copy = new URL(url);
  copy.pathname = `/${name}_copy`;
  const admin = new pg.Client({ connectionString: inject('clusterUrl') });
  await admin.connect();
  await admin.query(`create database ${name}_copy template ${name}`);
  await admin.end();
  return copy.href;
}

const platesOf = async (agent: Agent) =>
  bodyOf<GaragePage>(await agent.get('/api/garage').expect(200))
    .rows.map(({ vehicle }) => vehicle.plate)
    .toSorted();

it('lists are read on the standby, and on the database itself while the standby is away', async () => {
  const url = await createDatabase();
  const first = await serve(url);
  await setUpShop(agentOf(first));
  const early = agentOf(first);
  await early.post('/api/session').send({ email: LEAD.email, password: LEAD.password }).expect(200);
  await arrive(early, 'EARLY 1');
  await first.close();

  const copy = await copyOf(url);
  const server = await serve(url, { readUrl: appUrlOf(copy) });
  try {
    const agent = agentOf(server);
    await agent
      .post('/api/session')
      .send({ email: LEAD.email, password: LEAD.password })
      .expect(200);
    const late = await arrive(agent, 'LATE 1');
    expect(await platesOf(agent)).toEqual(['EARLY 1']);
    // What is worked on is never old.
    await agent.get(`/api/visits/${late.id}`).expect(200);

    const startAgain = await stopDatabase(copy);
    expect(await platesOf(agent)).toEqual(['EARLY 1', 'LATE 1']);
    await startAgain();
    // Left alone for a while after that.
    expect(await platesOf(agent)).toEqual(['EARLY 1', 'LATE 1']);
  } finally {
    await server.close();
  }
});
