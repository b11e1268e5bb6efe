import type { GaragePage, MadeUpYears, VisitPage, Welcome } from '@keen/contract';
import { planYears } from '@keen/demo';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { connect } from '../src/db/client.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { makeYears } from '../src/demo/makeYears.ts';
import { removeDemo } from '../src/demo/removeDemo.ts';
import { agentOf, asOwner, bodyOf, createDatabase, serve } from './testServer.ts';
import type { Agent } from './testServer.ts';

const CARS = 5;
const log = pino({ level: 'silent' });
const running: RunningServer[] = [];
afterAll(() => Promise.all(running.map((server) => server.close())));

async function start(url: string, cars: number, yearsCars = cars): Promise<RunningServer> {
  const server = await serve(url, {
    yearsCars,
    prepare: async (db, diagnoses) => {
      await loadDemo(db, diagnoses, () => undefined, cars);
    },
  });
  running.push(server);
  return server;
}

async function signIn(server: RunningServer): Promise<Agent> {
  const agent = agentOf(server);
  const { demo } = bodyOf<Welcome>(await agent.get('/api/welcome').expect(200));
  const lead = demo!.people.find(({ role }) => role === 'lead')!;
  await agent.post('/api/session/demo').send({ personId: lead.id }).expect(200);
  return agent;
}

const progressOf = async (agent: Agent) =>
  bodyOf<MadeUpYears>(await agent.get('/api/shop/made-up-years').expect(200));

async function whole(agent: Agent): Promise<MadeUpYears> {
  for (;;) {
    const years = await progressOf(agent);
    if (years.made >= years.cars || years.brokeOff) return years;
    await new Promise((turn) => setTimeout(turn, 200));
  }
}

describe('the made-up years', () => {
  let url: string;
  let server: RunningServer;
  let agent: Agent;
  beforeAll(async () => {
    url = await createDatabase();
    server = await start(url, CARS);
    agent = await signIn(server);
  });

  it('come in while the shop is open, and say how far they are', async () => {
    const open = bodyOf<VisitPage>(await agent.get('/api/visits').expect(200));
    expect(open.visits.length).toBeGreaterThan(10);
    expect(await whole(agent)).toEqual({ cars: CARS, made: CARS, brokeOff: false });
  });

  it('are visits among the others, numbered as they came, with decisions that lists can count', async () => {
    const rows = await asOwner<{ number: number }>(
      server,
      'select number from visits order by arrived_at, id',
    );
    expect(rows.map(({ number }) => number)).toEqual(rows.map((_, index) => index + 1));
    const planned = planYears(new Date().toISOString(), CARS);
    const garage = bodyOf<GaragePage>(
      await agent.get('/api/garage').query({ words: planned[0]!.vehicle.plate }).expect(200),
    );
    expect(garage.rows.map(({ vehicle }) => vehicle.id)).toEqual([planned[0]!.vehicle.id]);
    const [made] = await asOwner<{ decided: number; visits: number }>(
      server,
      `select count(distinct v.id)::int as visits, count(d.id)::int as decided
       from visits v left join decisions d on d.visit_id = v.id where v.vehicle_id = any($1)`,
      [planned.map(({ vehicle }) => vehicle.id)],
    );
    expect(made!.visits).toBe(planned.flatMap(({ visits }) => visits).length);
    expect(made!.decided).toBeGreaterThan(0);
  });

  it('go on where they broke off, and leave what is there alone', async () => {
    const planned = planYears(new Date().toISOString(), CARS);
    const [kept, gone] = [planned[0]!.vehicle.id, planned[3]!.vehicle.id];
    const xmin = () => asOwner(server, 'select xmin::text from vehicles where id = $1', [kept]);
    const before = await xmin();
    for (const table of ['decisions', 'entries']) {
      await asOwner(
        server,
        `delete from ${table} where visit_id in (select id from visits where vehicle_id = $1)`,
        [gone],
      );
    }
    await asOwner(server, 'delete from visits where vehicle_id = $1', [gone]);
    await asOwner(server, 'delete from vehicles where id = $1', [gone]);
    const again = await start(url, CARS);
    expect(await whole(await signIn(again))).toMatchObject({ made: CARS });
    expect(await asOwner(server, 'select 1 from vehicles where id = $1', [gone])).toHaveLength(1);
    expect(await xmin()).toEqual(before);
  });

  it('go with the demo shop when that is made anew', async () => {
    const owner = connect(url);
    await removeDemo(owner.db);
    await owner.pool.end();
    expect(await asOwner(server, 'select 1 from vehicles')).toHaveLength(0);
  });

  it('are left out of a demo that was loaded without room for them', async () => {
    const bare = await createDatabase();
    const without = await start(bare, 0);
    const made = makeYears(bare, CARS, log);
    await expect.poll(() => made.progress().cars, { timeout: 60_000 }).toBe(0);
    expect(made.progress()).toEqual({ cars: 0, made: 0, brokeOff: false });
    made.close();
    const [{ first } = { first: 0 }] = await asOwner<{ first: number }>(
      without,
      'select min(number)::int as first from visits',
    );
    expect(first).toBe(1);
    expect(await progressOf(await signIn(without))).toEqual({ cars: 0, made: 0, brokeOff: false });
  });
});
