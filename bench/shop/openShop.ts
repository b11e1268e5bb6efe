import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Session } from '@keen/contract';
import pg from 'pg';
import { freePort, startCluster } from '../../scripts/lib/postgres.mjs';
import { startServerProcess } from '../../scripts/lib/serverProcess.mjs';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** A shop of its own on a real server and a real database, empty, with its lead signed in. */
export async function openShop(name: string) {
  const folder = mkdtempSync(join(tmpdir(), 'keen-bench-'));
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder);
  const port = await freePort();
  const server = await startServerProcess({
    root: ROOT,
    env: {
      DATABASE_URL: cluster.url,
      DATABASE_OWNER_URL: cluster.ownerUrl,
      HOST: '127.0.0.1',
      PORT: String(port),
    },
    args: [],
    inWords: ({ failed }) => failed,
  });
  const owner = new pg.Client({ connectionString: cluster.ownerUrl });
  await owner.connect();
  const base = `http://127.0.0.1:${port}/api`;
  const answer = await fetch(`${base}/setup`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      shopName: `Bench ${name}`,
      town: 'Benchhaven',
      name: 'Bea Bench',
      email: `${name}@bench.example`,
      password: 'seven grey gulls fly',
    }),
  });
  const cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? '';
  const session = (await answer.json()) as Session;

  return {
    base,
    cookie,
    session,
    owner,
    ownerUrl: cluster.ownerUrl,
    appUrl: cluster.url,
    /** Of the server's process. */
    pid: server.pid,
    /** Asks the server as the lead. @throws what it refuses */
    ask: async <T>(path: string, body?: unknown): Promise<T> => {
      const response = await fetch(`${base}${path}`, {
        headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
        ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
      });
      if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
      return (await response.json()) as T;
    },
    async close() {
      await owner.end();
      await server.stop();
      await cluster.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
