import type { ArchiveImported, ProblemReason, ValidationIssue } from '@keen/contract';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { exportArchive } from '../archive/exportArchive.ts';
import { importArchive } from '../archive/importArchive.ts';
import { openArchive } from '../archive/openArchive.ts';
import { inShopWithSteps } from '../db/client.ts';
import * as schema from '../db/schema/index.ts';
import { AppError } from '../errors.ts';
import type { Actor } from '../http/signedIn.ts';

/** What a process of its own is asked to do with a shop's archive. */
export type ArchiveJob =
  | { kind: 'export'; databaseUrl: string; actor: Actor }
  | { kind: 'import'; databaseUrl: string; actor: Actor; file: string };

/** How far it is, and how it ended. */
export interface ArchiveProgress {
  done: number;
  total: number;
}

export type ArchiveResult =
  | { ok: true; taken: ArchiveImported | null }
  | { ok: false; refusals: ValidationIssue[]; message: string; reason: ProblemReason | null };

process.once('message', (job: ArchiveJob) => {
  run(job).then(
    (taken) => finish({ ok: true, taken }),
    (error: unknown) => {
      const refused = error instanceof AppError ? error : null;
      finish({
        ok: false,
        refusals: refused?.refusals ?? [],
        message: error instanceof Error ? error.message : 'failed',
        reason: refused?.reason ?? null,
      });
    },
  );
});
// The server has gone, or does not want the archive any more.
process.once('disconnect', () => process.exit(1));

function finish(result: ArchiveResult): void {
  process.send?.(result, () => process.exit(0));
}

const TELL_EVERY_MS = 500;
let told = 0;

function tell(done: number, total: number): void {
  const now = Date.now();
  if (now - told < TELL_EVERY_MS) return;
  told = now;
  process.send?.({ done, total } satisfies ArchiveProgress);
}

async function run(job: ArchiveJob): Promise<ArchiveImported | null> {
  const client = new pg.Client({
    connectionString: job.databaseUrl,
    application_name: 'keen archive',
  });
  client.on('error', () => process.exit(1));
  await client.connect();
  const db = Object.assign(drizzle(client, { schema }), { $client: client as unknown as pg.Pool });
  const { shopId } = job.actor;
  try {
    if (job.kind === 'export') {
      await inShopWithSteps(db, shopId, async (tx) =>
        exportArchive(tx, job.actor, process.stdout, tell),
      );
      return null;
    }
    const archive = await openArchive(job.file);
    try {
      return await inShopWithSteps(db, shopId, (tx) => importArchive(tx, job.actor, archive, tell));
    } finally {
      archive.close();
    }
  } finally {
    await client.end();
  }
}
