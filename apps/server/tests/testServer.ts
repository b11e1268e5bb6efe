import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { pino } from 'pino';
import supertest from 'supertest';
import { expect, inject } from 'vitest';
import type { ArchiveImported, Session, Visit } from '@keen/contract';
import { buildNode } from '../../../scripts/lib/nodeBuild.mjs';
import { startServer } from '../src/createServer.ts';
import type { RunningServer, ServerOptions } from '../src/createServer.ts';

/** A database of its own on the test cluster; the address is the owner's. */
export async function createDatabase(): Promise<string> {
  const name = `t_${randomUUID().replace(/-/g, '')}`;
  const admin = new pg.Client({ connectionString: inject('clusterUrl') });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = new URL(inject('clusterUrl'));
  url.pathname = `/${name}`;
  return url.href;
}

/** The same database as the app's role sees it. */
export function appUrlOf(ownerUrl: string): string {
  const url = new URL(inject('appUrl'));
  url.pathname = new URL(ownerUrl).pathname;
  return url.href;
}

/** Asks the database as its owner, past every wall. */
export async function asOwner<Row extends pg.QueryResultRow>(
  server: Pick<RunningServer, 'context'>,
  text: string,
  values: unknown[] = [],
): Promise<Row[]> {
  const url = new URL(inject('clusterUrl'));
  url.pathname = new URL(server.context.databaseUrl).pathname;
  const client = new pg.Client({ connectionString: url.href });
  await client.connect();
  try {
    return (await client.query<Row>(text, values)).rows;
  } finally {
    await client.end();
  }
}

/** Looks again and again until there is something to see. */
export async function until<T>(look: () => Promise<T | null>): Promise<T> {
  for (;;) {
    const found = await look();
    if (found !== null) return found;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** A server on a database; options change what is usual in tests. */
export function serve(
  ownerUrl: string,
  change: Partial<ServerOptions> = {},
): Promise<RunningServer> {
  return startServer({
    databaseUrl: appUrlOf(ownerUrl),
    ownerUrl,
    demo: true,
    // Tests sign in more often than people do.
    triesAMinute: 100_000,
    host: '127.0.0.1',
    port: 0,
    webDir: undefined,
    worker: false,
    log: pino({ level: 'silent' }),
    ...change,
  });
}

export type Agent = ReturnType<typeof supertest.agent>;

export function agentOf(server: RunningServer): Agent {
  return supertest.agent(server.http);
}

export const LEAD = {
  shopName: 'Test Tires',
  town: 'Testhaven',
  name: 'Lea Lead',
  email: 'lea@test.example',
  password: 'correct horse battery',
};

/** Sets up the first shop and stays signed in as its lead. */
export async function setUpShop(agent: Agent): Promise<Session> {
  const response = await agent.post('/api/setup').send(LEAD).expect(200);
  return response.body as Session;
}

export function entry(path: string, value: unknown, id: string = randomUUID()) {
  return { id, path, value, at: new Date().toISOString() };
}

/** Starts a visit of a new car. */
export async function arrive(agent: Agent, plate = randomUUID().slice(0, 8)): Promise<Visit> {
  const response = await agent
    .post('/api/visits')
    .send({
      id: randomUUID(),
      vehicle: { id: randomUUID(), plate, label: 'Test van', customer: 'Tess Ter' },
      entries: [],
    })
    .expect(200);
  return response.body as Visit;
}

/** Twelve readings of a car that toes in in front, mm. */
export function toeInReadings() {
  const depths = {
    lf: { inner: 5.3, centre: 4.5, outer: 3.4 },
    rf: { inner: 5.2, centre: 4.4, outer: 3.3 },
    lr: { inner: 6.2, centre: 6.2, outer: 6.2 },
    rr: { inner: 6.2, centre: 6.2, outer: 6.2 },
  };
  return Object.entries(depths).flatMap(([wheel, ribs]) => [
    ...Object.entries(ribs).map(([rib, mm]) => entry(`tires.${wheel}.stations.0.${rib}`, mm)),
    entry(`tires.${wheel}.newDepth`, 8),
    entry(`tires.${wheel}.distance`, 30_000),
    ...(wheel.endsWith('f') ? [entry(`tires.${wheel}.feather`, 'catchesOutward')] : []),
  ]);
}

/** A second shop on the same database, with its own lead; setup is offered only once. */
export async function secondShop(server: RunningServer, role = 'lead'): Promise<Agent> {
  const shopId = randomUUID();
  const personId = randomUUID();
  await asOwner(server, 'insert into shops (id, name, town, is_demo) values ($1, $2, $3, true)', [
    shopId,
    'Other Tires',
    'Elsewhere',
  ]);
  await asOwner(
    server,
    `with account as (
       insert into accounts (id, email) values (gen_random_uuid(), 'otto@other.example') returning id)
     insert into people (id, shop_id, account_id, name, role, preferences)
     select $1, $2, id, 'Otto Other', $3, '{}' from account`,
    [personId, shopId, role],
  );
  const agent = agentOf(server);
  await agent.post('/api/session/demo').send({ personId }).expect(200);
  return agent;
}

/** The body of a response, as what the test knows it to be. */
export function bodyOf<T>(response: { body: unknown }): T {
  return response.body as T;
}

const ROOT = fileURLToPath(new URL('../../..', import.meta.url));

/** The server as a process of its own, from its bundle as it is started for users. */
export interface ServerProcess {
  child: ChildProcess;
  port: number;
  url: string;
  /** Everything it printed so far: its log. */
  printed(): string;
  isAlive(): boolean;
  stop(): Promise<void>;
}

export async function spawnServer(ownerUrl: string, ...args: string[]): Promise<ServerProcess> {
  const main = join(await buildNode(ROOT, 'server'), 'main.mjs');
  const child = spawn(process.execPath, ['--enable-source-maps', main, ...args], {
    env: {
      ...process.env,
      DATABASE_URL: appUrlOf(ownerUrl),
      DATABASE_OWNER_URL: ownerUrl,
      PORT: '0',
      LOG_LEVEL: 'info',
    },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
  });
  let printed = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream?.on('data', (data: Buffer) => (printed += data.toString()));
  }
  const ended = new Promise<void>((done) => child.once('exit', () => done()));
  return new Promise((ready, reject) => {
    child.on('message', (message: { ready?: number }) => {
      if (message.ready === undefined) return;
      const port = message.ready;
      ready({
        child,
        port,
        url: `http://127.0.0.1:${port}`,
        printed: () => printed,
        isAlive: () => child.exitCode === null && child.signalCode === null,
        async stop() {
          child.kill('SIGTERM');
          await ended;
        },
      });
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${printed}`)));
  });
}

/**
 * Takes a database out of reach, as a crash would: no new connections, and the open ones are cut.
 * @returns brings it back
 */
export async function stopDatabase(url: string): Promise<() => Promise<void>> {
  const name = new URL(url).pathname.slice(1);
  const admin = new pg.Client({ connectionString: inject('clusterUrl') });
  await admin.connect();
  await admin.query(`alter database ${name} with allow_connections false`);
  await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
    name,
  ]);
  return async () => {
    await admin.query(`alter database ${name} with allow_connections true`);
    await admin.end();
  };
}

/** Asks for a file; its body is a buffer. */
export function getBytes(from: Agent, path: string) {
  return from
    .get(path)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    });
}

/** The whole shop as a zip. */
export async function archiveOf(from: Agent): Promise<Buffer> {
  return bodyOf<Buffer>(await getBytes(from, '/api/shop/archive').expect(200));
}

/**
 * Brings a shop's archive into a new, empty shop on a server of its own.
 * @param look - what is asked there, as its lead
 */
export async function broughtElsewhere(
  from: Agent,
  look: (lead: Agent) => Promise<void>,
): Promise<void> {
  const server = await serve(await createDatabase());
  try {
    const lead = agentOf(server);
    await setUpShop(lead);
    const taken = await lead
      .post('/api/shop/archive')
      .set('content-type', 'application/zip')
      .send(await archiveOf(from))
      .expect(200);
    expect(bodyOf<ArchiveImported>(taken).faults).toEqual([]);
    await look(lead);
  } finally {
    await server.close();
  }
}
