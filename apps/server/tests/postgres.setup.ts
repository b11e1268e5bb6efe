import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { startCluster } from '../../../scripts/lib/postgres.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    /** Of the owner, who may do everything. */
    clusterUrl: string;
    /** Of the app's role, on the same cluster. */
    appUrl: string;
  }
}

/** A real PostgreSQL for the tests, in a folder of its own for this run. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), 'keen-test-'));
  // As root the server runs as the postgres user, which must be able to pass through.
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder);
  project.provide('clusterUrl', cluster.ownerUrl);
  project.provide('appUrl', cluster.url);
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
