import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { installDependencies } from './lib/dependencies.mjs';
import { buildNode } from './lib/nodeBuild.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { complain, say, step } from './lib/say.mjs';
import {
  ensurePrograms,
  startPooler,
  startProxy,
  startServer,
  startStandby,
  startWorker,
} from './lib/severalMachines.mjs';

/**
 * Two servers, two workers, a proxy, a pooler and a database with a standby, on loopback, by the configurations in
 * deploy/. Two people type into one visit while parts are stopped and killed; what was acknowledged is compared with
 * what is there afterwards.
 *   npm run several-servers
 */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
// The proxy's certificate is its own.
process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0';
process.removeAllListeners('warning');
const PASSWORD = 'seven grey gulls';
const MOST_AWAY_MS = 5_000;
const BATCH = 40;
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

async function until(what, test, limitMs = 60_000) {
  const end = Date.now() + limitMs;
  while (Date.now() < end) {
    const found = await test().catch(() => null);
    if (found) return found;
    await sleep(50);
  }
  throw new Error(`waited in vain until ${what}`);
}

async function ask(url, path, { cookie, key, method = 'GET', body, type } = {}) {
  const response = await fetch(`${url}${path}`, {
    method,
    headers: {
      'content-type': type ?? 'application/json',
      ...(cookie ? { cookie } : {}),
      ...(key ? { authorization: `Bearer ${key}` } : {}),
    },
    ...(body === undefined ? {} : { body: type ? body : JSON.stringify(body) }),
    signal: AbortSignal.timeout(10_000),
  });
  if (!response.ok) throw new Error(`${method} ${path} answered ${response.status}`);
  return response;
}

const json = async (...request) => (await ask(...request)).json();
const cookieOf = (response) => response.headers.get('set-cookie').split(';')[0];

/** Types one value after another into a visit, each until it is acknowledged, under one id. */
async function type(url, cookie, visitId, path, state) {
  for (let n = 0; !state.isOver; n++) {
    const id = randomUUID();
    state.sent.add(id);
    const entries = [{ id, path, value: `${n}`, at: new Date().toISOString() }];
    while (!state.isOver) {
      const request = { cookie, method: 'POST', body: { entries } };
      const isTaken = await ask(url, `/api/visits/${visitId}/entries`, request).then(
        () => true,
        () => false,
      );
      if (isTaken) {
        state.acknowledged.add(id);
        state.at.push(performance.now());
        break;
      }
      await sleep(25);
    }
    await sleep(20);
  }
}

/** Hears what a server tells its pages of a visit. */
async function listen(url, cookie, heard, signal) {
  const response = await fetch(`${url}/api/live`, { headers: { cookie }, signal });
  let text = '';
  for await (const chunk of response.body.pipeThrough(new TextDecoderStream())) {
    text += chunk;
    const events = text.split('\n\n');
    text = events.pop();
    for (const event of events) {
      const data = /^data: (.*)$/m.exec(event)?.[1];
      const told = data ? JSON.parse(data) : {};
      if (told.kind === 'entries') told.entries.forEach(({ id }) => heard.add(id));
    }
  }
}

/** Two people type while something happens; what was acknowledged is compared with what is there. */
async function typingWhile(name, { proxy, people, visitId }, happen, { settleMs = 1_500 } = {}) {
  const state = { sent: new Set(), acknowledged: new Set(), at: [], isOver: false };
  const typing = people.map(({ cookie }, n) =>
    type(proxy.url, cookie, visitId, n === 0 ? 'visit.words' : 'tires.lf.brand', state).catch(
      (error) => {
        state.broken = error;
      },
    ),
  );
  await sleep(1_000);
  await happen();
  const acknowledged = state.acknowledged.size;
  await until(`${name}: readings are taken again`, async () =>
    state.acknowledged.size > acknowledged + 20 ? true : null,
  );
  await sleep(settleMs);
  state.isOver = true;
  await Promise.all(typing);
  const { entries } = await until('the visit is there', () =>
    json(proxy.url, `/api/visits/${visitId}`, { cookie: people[0].cookie }),
  );
  const there = entries.map(({ id }) => id).filter((id) => state.sent.has(id));
  const gaps = state.at
    .toSorted((a, b) => a - b)
    .map((at, n, all) => (n === 0 ? 0 : at - all[n - 1]));
  return {
    name,
    acknowledged: state.acknowledged.size,
    lost: [...state.acknowledged].filter((id) => !there.includes(id)).length,
    doubled: there.length - new Set(there).size,
    awayMs: Math.round(Math.max(...gaps)),
  };
}

async function setUpPeople(url) {
  const lead = await ask(url, '/api/setup', {
    method: 'POST',
    body: {
      shopName: 'Two Servers Tires',
      town: '',
      name: 'Lea',
      email: 'lea@two.example',
      password: PASSWORD,
    },
  });
  const cookie = cookieOf(lead);
  const person = { name: 'Tom', email: 'tom@two.example', role: 'technician' };
  await ask(url, '/api/shop/people', {
    cookie,
    method: 'POST',
    body: { id: randomUUID(), password: PASSWORD, ...person },
  });
  const second = await ask(url, '/api/session', {
    method: 'POST',
    body: { email: person.email, password: PASSWORD },
  });
  return [{ cookie }, { cookie: cookieOf(second) }];
}

async function startVisit(url, { cookie }) {
  const depths = { inner: 5.2, centre: 4.4, outer: 3.3 };
  const entries = ['lf', 'rf', 'lr', 'rr'].flatMap((wheel) =>
    [
      ...Object.entries(depths).map(([rib, mm]) => [`tires.${wheel}.stations.0.${rib}`, mm]),
      [`tires.${wheel}.newDepth`, 8],
      [`tires.${wheel}.distance`, 30_000],
    ].map(([path, value]) => ({ id: randomUUID(), path, value, at: new Date().toISOString() })),
  );
  const visit = {
    id: randomUUID(),
    vehicle: { id: randomUUID(), plate: 'TWO 1', label: 'Van', customer: '' },
    entries,
  };
  await ask(url, '/api/visits', { cookie, method: 'POST', body: visit });
  return visit.id;
}

/** What one person types through one server is heard by pages on the other one. */
async function receivedAcross(servers, people, visitId) {
  const heard = [new Set(), new Set()];
  const over = new AbortController();
  const listening = servers.map((server, n) =>
    listen(server.url, people[n].cookie, heard[n], over.signal).catch(() => undefined),
  );
  await sleep(500);
  const states = servers.map(() => ({
    sent: new Set(),
    acknowledged: new Set(),
    at: [],
    isOver: false,
  }));
  const typing = servers.map((server, n) =>
    type(server.url, people[n].cookie, visitId, 'visit.words', states[n]),
  );
  await sleep(2_000);
  states.forEach((state) => (state.isOver = true));
  await Promise.all(typing);
  await sleep(500);
  over.abort();
  await Promise.all(listening);
  const acknowledged = states.reduce((sum, state) => sum + state.acknowledged.size, 0);
  const missed = states.reduce(
    (sum, state, n) => sum + [...state.acknowledged].filter((id) => !heard[1 - n].has(id)).length,
    0,
  );
  return { acknowledged, missed };
}

/** A batch on two workers, one of which is killed in the middle. */
async function batchTrial({ proxy, people, visitId, workers, restartWorker }) {
  const [{ cookie }] = people;
  const { secret } = await json(proxy.url, '/api/keys', {
    cookie,
    method: 'POST',
    body: { id: randomUUID(), name: 'Trial', scopes: ['diagnose'], days: 30 },
  });
  const file = await json(proxy.url, `/api/visits/${visitId}/case`, { cookie });
  delete file.visit;
  const lines = Array.from({ length: BATCH }, (_, n) => {
    const lf = { ...file.tires.lf, distance: 30_000 + 10 * n };
    return JSON.stringify({ ...file, tires: { ...file.tires, lf } });
  });
  const began = performance.now();
  const { id } = await json(proxy.url, '/api/v1/batches', {
    key: secret,
    method: 'POST',
    body: lines.join('\n'),
    type: 'application/x-ndjson',
  });
  const state = () => json(proxy.url, `/api/v1/batches/${id}`, { key: secret });
  const slowly = async (test) => {
    await sleep(600);
    return test();
  };
  await until('the batch is under way', () =>
    slowly(async () => ((await state()).done >= 6 ? true : null)),
  );
  workers[0].kill();
  await restartWorker();
  const ended = await until(
    'the batch is done',
    () =>
      slowly(async () => {
        const batch = await state();
        return batch.state === 'done' ? batch : null;
      }),
    300_000,
  );
  const seconds = Math.round((performance.now() - began) / 1000);
  const { results } = await json(proxy.url, `/api/v1/batches/${id}/results?limit=200`, {
    key: secret,
  });
  const answered = results.filter(({ answer }) => answer !== null).length;
  return { seconds, cases: BATCH, done: ended.done, answered };
}

async function asOwner(url, ...statements) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    let result;
    for (const statement of statements) result = await client.query(statement);
    return result.rows;
  } finally {
    await client.end();
  }
}

const lineOf = ({ name, acknowledged, lost, doubled, awayMs }) =>
  `${name.padEnd(34)} acknowledged ${acknowledged}, lost ${lost}, doubled ${doubled}, longest pause ${awayMs} ms`;

async function main() {
  await installDependencies(root);
  await ensurePrograms();
  const dist = await buildNode(root, 'server');
  const folder = mkdtempSync(join(tmpdir(), 'keen-several-'));
  chmodSync(folder, 0o755);
  /** What to stop, in the order it was started. */
  const started = [];
  const faults = [];
  const hold = (isSo, what) => {
    if (!isSo) faults.push(what);
  };
  try {
    const primary = await startCluster(folder);
    started.push(primary);
    step('starting a standby that confirms every commit');
    const standby = await startStandby(primary, folder);
    started.push(standby);
    await asOwner(
      primary.ownerUrl,
      `alter system set synchronous_standby_names = '*'`,
      // Until it can be read there, so that nobody misses on a list what they have just saved.
      `alter system set synchronous_commit = 'remote_apply'`,
      'select pg_reload_conf()',
    );
    await until('the standby confirms', async () => {
      const rows = await asOwner(primary.ownerUrl, 'select sync_state from pg_stat_replication');
      return rows[0]?.sync_state === 'sync' ? true : null;
    });

    const pooler = await startPooler(root, folder, primary);
    started.push(pooler);
    step('starting two servers, two workers and the proxy');
    const ports = [await freePort(), await freePort()];
    const serverOn = async (n) => {
      const server = await startServer(join(dist, 'main.mjs'), {
        database: pooler,
        readUrl: standby.url,
        port: ports[n],
      });
      started.push(server);
      await until('a server is ready', () => ask(server.url, '/api/ready'));
      return server;
    };
    // One after the other, since the first makes the tables.
    const servers = [await serverOn(0), await serverOn(1)];
    const workerOn = () => {
      const worker = startWorker(join(dist, 'jobWorker.mjs'), pooler);
      started.push(worker);
      return worker;
    };
    const workers = [workerOn(), workerOn()];
    const proxy = await startProxy(root, folder, ports);
    started.push(proxy);
    await until('the proxy answers', () => ask(proxy.url, '/api/ready'));

    const people = await setUpPeople(proxy.url);
    const visitId = await startVisit(proxy.url, people[0]);
    const trial = { proxy, people, visitId };

    for (const path of ['/api/garage', '/api/due', '/api/insights/advice']) {
      await ask(proxy.url, path, { cookie: people[0].cookie });
    }
    const readers = await asOwner(
      standby.ownerUrl,
      `select pid from pg_stat_activity where application_name = 'keen reads'`,
    );
    say(`lists are read on the standby, by ${readers.length} connections`);
    hold(readers.length > 0, 'nothing was read on the standby');

    const across = await receivedAcross(servers, people, visitId);
    say(
      `typed through one server, heard on the other: ${across.acknowledged - across.missed} of ${across.acknowledged}`,
    );
    hold(across.missed === 0, 'live changes were missed');

    const rounds = [
      ['nothing happens', async () => undefined],
      [
        'servers are updated one by one',
        async () => {
          for (const n of [0, 1]) {
            await servers[n].stop();
            servers[n] = await serverOn(n);
            await sleep(2_000);
          }
        },
      ],
      ['a server is killed', async () => servers[0].kill()],
      [
        'it comes back, the other is killed',
        async () => {
          servers[0] = await serverOn(0);
          await sleep(2_000);
          servers[1].kill();
        },
      ],
    ];
    for (const [name, happen] of rounds) {
      const result = await typingWhile(name, trial, happen);
      say(lineOf(result));
      hold(result.lost + result.doubled === 0, `${name}: readings were lost or doubled`);
      hold(result.awayMs < MOST_AWAY_MS, `${name}: away for ${result.awayMs} ms`);
    }
    servers[1] = await serverOn(1);

    const batch = await batchTrial({
      ...trial,
      workers,
      restartWorker: async () => {
        workers[0] = workerOn();
      },
    });
    say(
      `a worker is killed within a batch:   ${batch.answered} of ${batch.cases} answered, ${batch.done} counted, ${batch.seconds} s in all`,
    );
    hold(batch.answered === batch.cases && batch.done === batch.cases, 'a batch is not whole');

    const failover = await typingWhile('the database fails over', trial, async () => {
      process.kill(primary.pid, 'SIGKILL');
      await standby.promote();
      // It is alone now, and waits for nobody.
      await asOwner(
        standby.ownerUrl,
        'alter system reset synchronous_standby_names',
        'select pg_reload_conf()',
      );
      pooler.leadTo(standby.port);
    });
    say(lineOf(failover));
    hold(failover.lost + failover.doubled === 0, 'readings were lost in the failover');
  } finally {
    for (const part of started.reverse()) await Promise.resolve(part.stop()).catch(() => undefined);
    rmSync(folder, { recursive: true, force: true });
  }
  for (const fault of faults) complain(fault);
  process.exit(faults.length === 0 ? 0 : 1);
}

main().catch((error) => {
  complain(error);
  process.exit(1);
});
