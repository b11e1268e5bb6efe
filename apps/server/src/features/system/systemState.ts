import { readdir, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import type { SystemState } from '@keen/contract';
import { sql } from 'drizzle-orm';
import type { Context } from '../../context.ts';
import type { Happened } from '../../http/metrics.ts';
import packageJson from '../../../package.json' with { type: 'json' };

/** As `./start` names them. */
const BACKUP = /^keen-.*\.backup$/;

/** What this server knows of itself, its database, its disk and its backups. */
export async function systemState({
  db,
  pool,
  diagnoses,
  queue,
  live,
  metrics,
  startedAt,
  backups,
}: Context): Promise<SystemState> {
  const { rows } = await db.execute<{ version: string; bytes: string }>(
    sql`select current_setting('server_version') as version,
      pg_database_size(current_database()) as bytes`,
  );
  const [{ version, bytes } = { version: '', bytes: '0' }] = rows;
  return {
    version: packageJson.version,
    node: process.versions.node,
    startedAt: startedAt.toISOString(),
    database: {
      // A package adds its own to the version.
      version: version.split(' ')[0]!,
      bytes: Number(bytes),
      connections: pool.totalCount,
      idle: pool.idleCount,
      waiting: pool.waitingCount,
    },
    disk: backups && (await diskOf(backups.dir)),
    backup: backups && {
      everyHours: backups.everyHours,
      newest: await newestBackup(backups.dir),
    },
    diagnoses: { waiting: diagnoses.waiting(), oldestSeconds: diagnoses.oldestSeconds() },
    work: await queue.state(),
    streams: live.lines.count(),
    pageErrors: told(metrics.pageErrors()),
    serverErrors: told(metrics.serverErrors()),
  };
}

function told({ count, lastAt }: Happened): SystemState['pageErrors'] {
  return { count, lastAt: lastAt?.toISOString() ?? null };
}

async function newestBackup(dir: string): Promise<NonNullable<SystemState['backup']>['newest']> {
  // The folder is made with the first backup.
  const names = await readdir(dir).catch(() => []);
  const files = await Promise.all(
    names.filter((name) => BACKUP.test(name)).map((name) => stat(join(dir, name))),
  );
  const newest = files.toSorted((a, b) => b.mtimeMs - a.mtimeMs)[0];
  return newest ? { at: newest.mtime.toISOString(), bytes: newest.size } : null;
}

async function diskOf(dir: string): Promise<SystemState['disk']> {
  const { bavail, blocks, bsize } = await statfs(dir).catch(() => statfs(join(dir, '..')));
  return { freeBytes: bavail * bsize, totalBytes: blocks * bsize };
}
