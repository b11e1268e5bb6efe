import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import type { Request } from 'express';
import type { Context } from '../../context.ts';
import { addAudit } from '../../db/audit.ts';
import { AppError } from '../../errors.ts';
import type { Routes } from '../../http/routes.ts';
import { packArchive, unpackArchive } from '../../jobs/archiveJobs.ts';

/** One archive at a time in each direction: they are large, and nobody needs two. */
const MOST_AT_ONCE = 2;

/** The whole shop as a zip of open files, and back in again. */
export function mountArchive(routes: Routes, { databaseUrl, log }: Context): void {
  let running = 0;
  async function oneOfFew<T>(work: () => Promise<T>): Promise<T> {
    if (running >= MOST_AT_ONCE) {
      throw new AppError(503, 'busy', 'Another archive is being made; try again in a minute', {
        retryAfter: 60,
      });
    }
    running++;
    try {
      return await work();
    } finally {
      running--;
    }
  }

  routes.on('get', '/shop/archive', 'useArchive', async ({ req, res, actor, inShop }) => {
    await inShop((tx) => addAudit(tx, actor, 'archiveOut', {}, req.ip));
    await oneOfFew(async () => {
      const day = new Date().toISOString().slice(0, 10);
      res.attachment(`shop-${day}.zip`).type('application/zip');
      const hungUp = new AbortController();
      res.once('close', () => hungUp.abort());
      try {
        await packArchive({ kind: 'export', databaseUrl, actor }, res, hungUp.signal);
      } catch (error) {
        if (!res.headersSent) throw error;
        // Half a zip must not look whole.
        if (!hungUp.signal.aborted) log.error({ err: error }, 'archive broke off');
        res.destroy();
      }
    });
  });
  routes.on(
    'post',
    '/shop/archive',
    'useArchive',
    async ({ req, res, actor, inShop }) => {
      await oneOfFew(async () => {
        const folder = await mkdtemp(join(tmpdir(), 'keen-archive-'));
        const hungUp = new AbortController();
        res.once('close', () => hungUp.abort());
        try {
          const file = join(folder, 'shop.zip');
          await receive(req, file);
          const taken = await unpackArchive(
            { kind: 'import', databaseUrl, actor, file },
            hungUp.signal,
          );
          await inShop((tx) =>
            addAudit(tx, actor, 'archiveIn', { visits: taken.visits, cars: taken.cars }, req.ip),
          );
          res.json(taken);
        } finally {
          await rm(folder, { recursive: true, force: true });
        }
      });
    },
    (_req, _res, next) => next(),
  );
}

/** Writes a body to a file as it comes, up to its limit. @throws {AppError} 413 */
async function receive(req: Request, file: string): Promise<void> {
  let bytes = 0;
  const limit = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes <= MOST_ARCHIVE_BYTES) done(null, chunk);
      else done(new AppError(413, 'too_large', 'The archive is too large'));
    },
  });
  await pipeline(req, limit, createWriteStream(file));
}
