import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { freePort } from '../../scripts/lib/postgres.mjs';

/** Runs the least server that could answer at all, as a process of its own, on the same database. */
export async function bareHandler(databaseUrl: string) {
  const port = await freePort();
  const child = fork(fileURLToPath(new URL('./bareServer.ts', import.meta.url)), {
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port) },
  });
  await once(child, 'message');
  const base = `http://127.0.0.1:${port}`;
  const json = async (url: string, init?: RequestInit) => (await fetch(url, init)).json();
  return {
    open: (id: string) => json(`${base}/visits/${id}`),
    save: (id: string) =>
      json(`${base}/visits/${id}/entries`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id: randomUUID(),
          path: 'tires.lf.stations.0.outer',
          value: 5.1,
          at: new Date().toISOString(),
        }),
      }),
    close: () => child.kill(),
  };
}
