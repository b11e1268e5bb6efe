import { join } from 'node:path';
import express from 'express';
import type { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';

const YEAR_SECONDS = 31_536_000;

/** Serves the built web app: hashed files for long, the page itself always fresh. */
export function webApp(dir: string): Router {
  const router = express.Router();
  // Maps of the sources are for anyone who builds, not for everybody.
  router.use((req, res, next) => {
    if (req.path.endsWith('.map')) res.status(404).end();
    else next();
  });
  router.use(
    '/assets',
    expressStaticGzip(join(dir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: YEAR_SECONDS * 1000 },
    }),
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
  router.get('/{*path}', (req, res) => {
    // A customer's sheet, or a password to choose: whoever has the address, and no search engine.
    if (/^\/(s|password)\//.test(req.path)) res.set('x-robots-tag', 'noindex');
    res.set('cache-control', 'no-cache').sendFile(join(dir, 'index.html'));
  });
  return router;
}
