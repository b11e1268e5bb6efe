import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import type { Context } from '../../context.ts';
import { addAudit } from '../../db/audit.ts';
import type { InShop } from '../../db/client.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { AppError } from '../../errors.ts';
import { receive } from '../../http/receive.ts';
import type { Routes } from '../../http/routes.ts';
import { packArchive, unpackArchive } from '../../jobs/archiveJobs.ts';
import type { OnProgress } from '../../jobs/archiveJobs.ts';

/** One archive at a time in each direction: they are large, and nobody needs two. */
const MOST_AT_ONCE = 2;

/** Nothing is being made or taken in any more, however it ended. */
const OVER = { done: 0, total: 0 };

/** The whole shop as a zip of open files, and back in again. */
export function mountArchive(routes: Routes, { databaseUrl, log }: Context): void {
  let running = 0;
  async function oneOfFew<T>(work: () => Promise<T>): Promise<T> {
    if (running >= MOST_AT_ONCE) {
      throw new AppError(503, 'busy', 'archiveAtWork', {
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

  /** Tells the shop's pages how far it is, one after the other; an archive does not fail for that. */
  function progressReporter(inShop: InShop, shopId: string, way: 'in' | 'out'): OnProgress {
    let told: Promise<void> = Promise.resolve();
    return ({ done, total }) => {
      told = told
        .then(() => inShop((tx) => notifyLive(tx, { shopId, kind: 'archive', way, done, total })))
        .catch((error: unknown) => log.warn({ err: error }, 'progress not told'));
    };
  }

  routes.on('get', '/shop/archive', 'useArchive', async ({ req, res, actor, inShop }) => {
    await inShop((tx) => addAudit(tx, actor, 'archiveOut', {}, req.ip));
    await oneOfFew(async () => {
      const day = new Date().toISOString().slice(0, 10);
      res.attachment(`shop-${day}.zip`).type('application/zip');
      const hungUp = new AbortController();
      res.once('close', () => hungUp.abort());
      const tell = progressReporter(inShop, actor.shopId, 'out');
      try {
        await packArchive({ kind: 'export', databaseUrl, actor }, res, hungUp.signal, tell);
      } catch (error) {
        if (!res.headersSent) throw error;
        // Half a zip must not look whole.
        if (!hungUp.signal.aborted) log.error({ err: error }, 'archive broke off');
        res.destroy();
      } finally {
        tell(OVER);
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
        const tell = progressReporter(inShop, actor.shopId, 'in');
        try {
          const file = join(folder, 'shop.zip');
          await receive(req, file, MOST_ARCHIVE_BYTES, 'archiveTooLarge');
          // From here it is we who work: a silent connection is not an idle one.
          req.socket.setTimeout(0);
          const taken = await unpackArchive(
            { kind: 'import', databaseUrl, actor, file },
            hungUp.signal,
            tell,
          );
          await inShop((tx) =>
            addAudit(tx, actor, 'archiveIn', { visits: taken.visits, cars: taken.cars }, req.ip),
          );
          res.json(taken);
        } finally {
          tell(OVER);
          await rm(folder, { recursive: true, force: true });
        }
      });
    },
    (_req, _res, next) => next(),
  );
}
