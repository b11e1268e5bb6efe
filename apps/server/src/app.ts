import { constants } from 'node:zlib';
import compression from 'compression';
import express from 'express';
import type { Express, Request, RequestHandler, Response } from 'express';
import helmet from 'helmet';
import type { Context } from './context.ts';
import { databaseAway } from './errors.ts';
import { mountArchive } from './features/archive/archive.routes.ts';
import { mountAudit } from './features/audit/audit.routes.ts';
import { mountChain } from './features/chain/chain.routes.ts';
import { mountCustomers } from './features/customers/customers.routes.ts';
import { mountDevices } from './features/devices/devices.routes.ts';
import { mountDocuments } from './features/documents/documents.routes.ts';
import { mountDue } from './features/due/due.routes.ts';
import { mountGarage } from './features/garage/garage.routes.ts';
import { mountGauges } from './features/gauges/gauges.routes.ts';
import { mountInsights } from './features/insights/insights.routes.ts';
import { mountLinks, mountSharedSheet } from './features/papers/links.routes.ts';
import { mountLive } from './features/live/live.routes.ts';
import { mountPapers } from './features/papers/papers.routes.ts';
import { mountPhotos } from './features/photos/photos.routes.ts';
import { mountPractice } from './features/practice/practice.routes.ts';
import { mountBatches, mountKeys } from './features/programs/programs.routes.ts';
import { mountSession } from './features/session/session.routes.ts';
import { mountSheets } from './features/sheets/sheets.routes.ts';
import { mountLogo } from './features/shop/logo.routes.ts';
import { mountShop } from './features/shop/shop.routes.ts';
import { mountPageErrors, mountSystem } from './features/system/system.routes.ts';
import { mountVehicles } from './features/vehicles/vehicles.routes.ts';
import { mountVisits, mountVisitsForPrograms } from './features/visits/visits.routes.ts';
import { requestLog } from './http/logging.ts';
import { problemHandler, unknownPath } from './http/problem.ts';
import { createProgramRoutes } from './http/programRoutes.ts';
import type { ProgramRoutes } from './http/programRoutes.ts';
import { createRoutes } from './http/routes.ts';
import type { MountedRoute, Routes } from './http/routes.ts';
import { sameOrigin } from './http/sameOrigin.ts';
import { sessionStoreAnswers } from './http/sessions.ts';
import { webApp } from './http/webApp.ts';

const YEAR_SECONDS = 31_536_000;
/** Smaller answers travel in one packet anyway. */
const LEAST_PACKED_BYTES = 1_400;

/** Builds the HTTP application from its context; listens on nothing by itself. */
export function createApp(context: Context, sessions: RequestHandler): Express {
  const app = express();
  app.disable('x-powered-by');
  // Answers are not stored, so nobody asks whether one is still the same.
  app.disable('etag');
  app.set('trust proxy', context.trustedProxies);
  app.use(
    helmet({
      // Browsers obey it behind https only, where a proxy on this machine says so; see below.
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          // Emotion writes its styles into the page.
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'"],
          'object-src': ["'none'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  );
  app.use((req, res, next) => {
    if (req.secure) res.set('strict-transport-security', `max-age=${YEAR_SECONDS}`);
    next();
  });
  app.use(requestLog(context.log));
  app.use('/api', apiOf(context, sessions));
  if (context.webDir) app.use(webApp(context.webDir));
  app.use(problemHandler(context.log));
  return app;
}

/** Streams go out event by event; pictures, papers and archives are packed already. */
function isPacked(_req: Request, res: Response): boolean {
  return /^application\/(problem\+)?json|^text\/csv/.test(String(res.getHeader('content-type')));
}

function apiOf(context: Context, sessions: RequestHandler): express.Router {
  const api = express.Router();
  api.use(context.metrics.timeRequests);
  api.use(
    compression({
      threshold: LEAST_PACKED_BYTES,
      filter: isPacked,
      // Fast rather than tight: an answer is packed while somebody waits for it.
      level: 1,
      brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } },
    }),
  );
  api.use((_req, res, next) => {
    res.set('cache-control', 'no-store');
    next();
  });
  const open = createRoutes(context);
  mountOpen(open, context);
  api.use(open.router);
  const programs = createProgramRoutes(context);
  mountPrograms(programs, context);
  api.use(programs.router);
  api.use(sameOrigin);
  api.use(sessions);
  api.use(sessionStoreAnswers);
  const routes = createRoutes(context);
  mountAll(routes, context);
  api.use(routes.router);
  api.use(unknownPath);
  return api;
}

/** What needs no session: signs of life, and the customer's sheet. */
function mountOpen(routes: Routes, context: Context): void {
  // Alive is the process; ready is the process with its database.
  routes.open('get', '/health', (_req, res) => {
    res.json({ status: 'ok' });
  });
  routes.open('get', '/ready', async (_req, res) => {
    await context.pool.query('select 1').catch((error: unknown) => {
      context.log.error({ err: error }, 'database not answering');
      throw databaseAway();
    });
    res.json({ status: 'ok' });
  });
  mountSharedSheet(routes, context);
  mountPageErrors(routes, context);
}

/** What other programs ask by their keys. */
function mountPrograms(routes: ProgramRoutes, context: Context): void {
  mountBatches(routes, context);
  mountVisitsForPrograms(routes);
}

function mountAll(routes: Routes, context: Context): void {
  mountDocuments(routes);
  mountSession(routes, context);
  mountPapers(routes, context);
  mountVisits(routes, context);
  mountPractice(routes, context);
  mountLinks(routes, context);
  mountDue(routes);
  mountPhotos(routes, context);
  mountVehicles(routes);
  mountGarage(routes);
  mountGauges(routes);
  mountInsights(routes, context);
  mountSheets(routes);
  mountShop(routes, context);
  mountLogo(routes, context);
  mountArchive(routes, context);
  mountCustomers(routes);
  mountAudit(routes);
  mountKeys(routes);
  mountChain(routes);
  mountSystem(routes, context);
  mountDevices(routes);
  mountLive(routes, context);
}

/** Every route of the API as it is mounted, for the tables that are checked against it. */
export function mountedRoutes(context: Context): MountedRoute[] {
  const routes = createRoutes(context);
  mountOpen(routes, context);
  mountAll(routes, context);
  const programs = createProgramRoutes(context);
  mountPrograms(programs, context);
  return [...routes.mounted, ...programs.mounted];
}
