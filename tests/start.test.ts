import { spawn, spawnSync } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../scripts/lib/postgres.mjs';

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const folder = mkdtempSync(join(tmpdir(), 'keen-start-'));
const running = new Set<ChildProcess>();
beforeAll(() => chmodSync(folder, 0o755));
afterAll(async () => {
  for (const child of running) await stopped(child, 'SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});

/** Runs ./start to its end, for what it refuses at once. */
function refused(...args: string[]) {
  const { status, stderr } = spawnSync('./start', args, {
    cwd: root,
    encoding: 'utf8',
    timeout: 30_000,
  });
  return {
    status,
    lines: stderr
      .trim()
      .split('\n')
      .filter((line) => line.startsWith('keen groove:')),
  };
}

interface Started {
  child: ChildProcess;
  url: string;
  output: () => string;
}

/** Starts and waits until it says how to stop it. */
function started(port: number, ...args: string[]): Promise<Started> {
  const child = spawn(
    './start',
    ['--port', String(port), '--data', join(folder, 'data'), '--empty', ...args],
    { cwd: root },
  );
  running.add(child);
  let text = '';
  return new Promise((ready, reject) => {
    const hear = (chunk: Buffer) => {
      text += chunk.toString();
      if (text.includes('Ctrl-C stops it.'))
        ready({ child, url: `http://127.0.0.1:${port}`, output: () => text });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', (code) => reject(new Error(`ended with ${code}: ${text}`)));
  });
}

function stopped(child: ChildProcess, signal: NodeJS.Signals): Promise<number | null> {
  running.delete(child);
  return new Promise((done) => {
    if (child.exitCode !== null || child.signalCode !== null) done(child.exitCode);
    else {
      child.once('exit', (code) => done(code));
      child.kill(signal);
    }
  });
}

const postmaster = () =>
  Number(readFileSync(join(folder, 'data/cluster/data/postmaster.pid'), 'utf8').split('\n')[0]);

/** Whether a process still runs; one that ended but was not collected yet does not. */
function isAlive(pid: number): boolean {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** Process ids of the server that a start has running. */
function serverOf(child: ChildProcess): number {
  const { stdout } = spawnSync(
    'pgrep',
    ['-P', String(child.pid), '-f', 'apps/server/dist/[^/]+/main.mjs'],
    { encoding: 'utf8' },
  );
  // None gives no number: as 0 it would be this whole group of processes.
  return Number.parseInt(stdout, 10);
}

describe('./start refuses with one clear line', () => {
  it('a taken port', async () => {
    const port = await freePort();
    const holder = createServer().listen(port, '127.0.0.1');
    await new Promise((listening) => holder.once('listening', listening));
    const { status, lines } = refused('--port', String(port));
    holder.close();
    expect(status).not.toBe(0);
    expect(lines).toEqual([`keen groove: port ${port} is taken; use --port N for another`]);
  });

  it.each([
    [['--port', 'high'], /--port takes a number/],
    [['--fresh', '--empty'], /do not go together/],
    [['--nonsense'], /--help/],
  ])('%j', (args, expected) => {
    const { status, lines } = refused(...args);
    expect(status).not.toBe(0);
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatch(expected);
  });

  it('a data folder that is a file', async () => {
    const file = join(folder, 'file');
    writeFileSync(file, '');
    const { status, lines } = refused('--port', String(await freePort()), '--data', file);
    expect(status).not.toBe(0);
    expect(lines).toHaveLength(1);
  });

  it('nothing for --help', () => {
    const { status, stdout } = spawnSync('./start', ['--help'], { cwd: root, encoding: 'utf8' });
    expect(status).toBe(0);
    expect(stdout).toContain('--data DIR');
  });
});

describe('./start', () => {
  it(
    'serves, keeps what was saved through kill -9 of any part, and stops all it started',
    { timeout: 180_000 },
    async () => {
      const first = await started(await freePort());
      expect(await (await fetch(`${first.url}/api/health`)).json()).toEqual({ status: 'ok' });
      expect(await (await fetch(`${first.url}/visits/any`)).text()).toContain('<div id="root">');
      const setup = {
        shopName: 'Kept Tires',
        town: '',
        name: 'Kit',
        email: 'kit@test.example',
        password: 'a long password',
      };
      const response = await fetch(`${first.url}/api/setup`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(setup),
      });
      expect(response.status).toBe(200);

      const isReady = async () =>
        (await fetch(`${first.url}/api/ready`).catch(() => null))?.status ?? 0;
      const backAgain = { timeout: 60_000, interval: 100 };

      // The server is killed: the start says so and brings it back.
      const server = serverOf(first.child);
      process.kill(server, 'SIGKILL');
      await expect.poll(() => serverOf(first.child) !== server, backAgain).toBe(true);
      await expect.poll(isReady, backAgain).toBe(200);
      expect(first.output()).toMatch(
        /the server stopped \(killed by SIGKILL\).*nothing saved is lost/,
      );

      // The database is killed: it comes back at the same place, and the server lives on.
      const [killed, living] = [postmaster(), serverOf(first.child)];
      process.kill(killed, 'SIGKILL');
      await expect.poll(() => first.output(), backAgain).toContain('the database is running again');
      await expect.poll(isReady, backAgain).toBe(200);
      expect(postmaster()).not.toBe(killed);
      expect(serverOf(first.child)).toBe(living);

      // The start itself is killed: its database goes on, and the next start takes it over.
      await stopped(first.child, 'SIGKILL');
      const second = await started(await freePort());
      const signIn = await fetch(`${second.url}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ email: setup.email, password: setup.password }),
      });
      expect(signIn.status).toBe(200);
      const database = postmaster();
      expect(await stopped(second.child, 'SIGTERM')).toBe(0);
      expect(isAlive(database)).toBe(false);
    },
  );

  it('is not started twice on one data folder', { timeout: 60_000 }, async () => {
    const one = await started(await freePort());
    const { status, lines } = refused(
      '--port',
      String(await freePort()),
      '--data',
      join(folder, 'data'),
      '--empty',
    );
    expect(status).not.toBe(0);
    expect(lines[0]).toMatch(/already running/);
    expect(await stopped(one.child, 'SIGINT')).toBe(0);
  });
});
