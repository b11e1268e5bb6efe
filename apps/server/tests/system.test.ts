import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { systemStateSchema } from '@keen/contract';
import type { PageError, SystemState } from '@keen/contract';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { agentOf, bodyOf, createDatabase, serve, setUpShop } from './testServer.ts';
import type { Agent } from './testServer.ts';

const data = mkdtempSync(join(tmpdir(), 'keen-system-'));
const backups = join(data, 'backups');
const lines: { msg: string; pageError?: PageError }[] = [];
let server: RunningServer;
let agent: Agent;

beforeAll(async () => {
  server = await serve(await createDatabase(), {
    backups: { dir: backups, everyHours: 24 },
    metrics: { host: '127.0.0.1', port: 0 },
    log: pino(
      { level: 'warn' },
      { write: (line: string) => lines.push(JSON.parse(line) as never) },
    ),
  });
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(async () => {
  await server.close();
  rmSync(data, { recursive: true, force: true });
});

const state = async () => bodyOf<SystemState>(await agent.get('/api/system').expect(200));
const figures = async (path = '/metrics') => {
  const { port } = server.figures!.address() as AddressInfo;
  return fetch(`http://127.0.0.1:${port}${path}`);
};
/** The value of one line of the text format. */
const valueOf = (text: string, line: string) =>
  Number(
    text
      .split('\n')
      .find((one) => one.startsWith(`${line} `))
      ?.slice(line.length + 1),
  );

describe('the state of the installation', () => {
  it('tells the lead of versions, database, queue and streams', async () => {
    const told = systemStateSchema.parse(await state());
    expect(told.node).toBe(process.versions.node);
    expect(told.database.version).toMatch(/^\d+/);
    expect(told.database.bytes).toBeGreaterThan(1_000_000);
    expect(told.diagnoses).toEqual({ waiting: 0, oldestSeconds: 0 });
    expect(Date.parse(told.startedAt)).toBeLessThanOrEqual(Date.now());
  });

  it('knows no backup at first, then the newest one, and nothing else in the folder', async () => {
    expect((await state()).backup).toEqual({ everyHours: 24, newest: null });
    mkdirSync(backups);
    const at = (name: string, moment: string, text: string) => {
      writeFileSync(join(backups, name), text);
      utimesSync(join(backups, name), new Date(moment), new Date(moment));
    };
    at('keen-2026-11-01T030000Z.backup', '2026-11-01T03:00:00Z', 'old');
    at('keen-2026-11-02T030000Z.backup', '2026-11-02T03:00:00Z', 'newer');
    at('keen-2026-11-03T030000Z.backup.part', '2026-11-03T03:00:00Z', 'half');
    const { backup, disk } = await state();
    expect(backup!.newest).toEqual({ at: '2026-11-02T03:00:00.000Z', bytes: 5 });
    expect(disk!.freeBytes).toBeGreaterThan(0);
    expect(disk!.totalBytes).toBeGreaterThanOrEqual(disk!.freeBytes);
  });
});

describe('errors of pages', () => {
  const error: PageError = {
    name: 'TypeError',
    page: '/visits/:id/read',
    frames: ['at ReadStep (/assets/read.js:1:2)'],
  };

  it('are logged and counted, signed in or not', async () => {
    await agentOf(server).post('/api/page-errors').send(error).expect(204);
    expect(lines.find(({ msg }) => msg === 'a page broke')!.pageError).toEqual(error);
    const { pageErrors } = await state();
    expect(pageErrors.count).toBe(1);
    expect(Date.parse(pageErrors.lastAt!)).toBeGreaterThan(Date.now() - 60_000);
  });

  it('say where, and nothing else', async () => {
    const post = (body: object) => agentOf(server).post('/api/page-errors').send(body);
    await post({ ...error, message: 'the plate is 418 KQ' }).expect(400);
    await post({ ...error, frames: Array.from({ length: 13 }, () => 'x') }).expect(400);
  });

  it('are taken so often and no more', async () => {
    const posts = Array.from({ length: 40 }, () =>
      agentOf(server).post('/api/page-errors').send(error),
    );
    const answers = await Promise.all(posts);
    expect(answers.some(({ status }) => status === 429)).toBe(true);
    expect(answers.every(({ status }) => status === 204 || status === 429)).toBe(true);
  });
});

describe('figures for whoever watches', () => {
  it('stand on a port of their own, in the text format, by route and never by path', async () => {
    await agent.get('/api/visits/00000000-0000-4000-8000-000000000000').expect(404);
    const answer = await figures();
    expect(answer.headers.get('content-type')).toMatch(/^text\/plain; version=0\.0\.4/);
    const text = await answer.text();
    expect(text).toContain(
      'keen_http_request_seconds_count{method="GET",route="/visits/:id",status="404"} 1',
    );
    expect(text).not.toContain('00000000-0000');
    expect(valueOf(text, 'keen_page_errors_total')).toBeGreaterThanOrEqual(1);
    expect(valueOf(text, 'keen_diagnoses_waiting')).toBe(0);
    expect(valueOf(text, 'keen_database_connections{state="total"}')).toBeGreaterThanOrEqual(1);
    expect(valueOf(text, 'process_cpu_seconds_total')).toBeGreaterThan(0);
    expect((await figures('/')).status).toBe(404);
    await agent.get('/api/metrics').expect(404);
  });

  it('count entries that are refused', async () => {
    const before = valueOf(await (await figures()).text(), 'keen_entries_refused_total');
    await agent
      .post('/api/visits/00000000-0000-4000-8000-000000000000/entries')
      .send({})
      .expect(400);
    expect(valueOf(await (await figures()).text(), 'keen_entries_refused_total')).toBe(before + 1);
  });
});
