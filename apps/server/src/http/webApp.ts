import { join } from 'node:path';
import express from 'express';
import type { Router } from 'express';

const YEAR_SECONDS = 31_536_000;

/** Serves the built web app: hashed files for long, the page itself always fresh. */
export function webApp(dir: string): Router {
  const router = express.Router();
  router.use(
    '/assets',
    express.static(join(dir, 'assets'), { immutable: true, maxAge: YEAR_SECONDS * 1000 }),
    (_req, res) => {
      res.status(404).end();
    },
  );
  router.get(['/sw.js', '/asset-list.json'], (_req, res, next) => {
    // A new build is noticed at once.
    res.set('cache-control', 'no-cache');
    next();
  });
  router.use(express.static(dir, { index: false, cacheControl: false }));
  router.get('/{*path}', (_req, res) => {
    res.set('cache-control', 'no-cache').sendFile(join(dir, 'index.html'));
  });
  return router;
}
