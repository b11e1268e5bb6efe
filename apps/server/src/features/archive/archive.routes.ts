import { MOST_ARCHIVE_BYTES } from '@keen/contract';
import express, { Router } from 'express';
import type { Context } from '../../context.ts';
import { invalid } from '../../errors.ts';
import { signedIn } from '../../http/signedIn.ts';
import { openArchive } from './openArchive.ts';
import { takeArchive } from './takeArchive.ts';
import { writeArchive } from './writeArchive.ts';

/** The whole shop as a zip of open files, and back in again. */
export function archiveRoutes({ db, log }: Context): Router {
  const router = Router();
  router.get('/archive', async (req, res) => {
    const actor = signedIn(req);
    const day = new Date().toISOString().slice(0, 10);
    res.attachment(`shop-${day}.zip`).type('application/zip');
    try {
      await writeArchive(
        db,
        actor,
        (chunk) =>
          new Promise((resolve) => {
            if (res.write(chunk)) resolve();
            else {
              res.once('drain', resolve);
              res.once('close', resolve);
            }
          }),
      );
      res.end();
    } catch (error) {
      if (!res.headersSent) throw error;
      // Half a zip must not look whole.
      log.error({ err: error }, 'archive broke off');
      res.destroy();
    }
  });
  router.post(
    '/archive',
    express.raw({ type: () => true, limit: MOST_ARCHIVE_BYTES }),
    async (req, res) => {
      const actor = signedIn(req);
      if (!Buffer.isBuffer(req.body)) throw invalid([{ path: '', expected: 'a zip file' }]);
      res.json(await takeArchive(db, actor, await openArchive(req.body)));
    },
  );
  return router;
}
