import express from 'express';
import type { Express, RequestHandler } from 'express';
import helmet from 'helmet';
import type { Context } from './context.ts';
import { archiveRoutes } from './features/archive/archive.routes.ts';
import { deviceRoutes } from './features/devices/devices.routes.ts';
import { documentRoutes } from './features/documents/documents.routes.ts';
import { dueRoutes } from './features/due/due.routes.ts';
import { linkRoutes, sharedSheetRoutes } from './features/papers/links.routes.ts';
import { liveRoutes } from './features/live/live.routes.ts';
import { paperRoutes } from './features/papers/papers.routes.ts';
import { photoRoutes } from './features/photos/photos.routes.ts';
import { sessionRoutes } from './features/session/session.routes.ts';
import { sheetsRoutes } from './features/sheets/sheets.routes.ts';
import { logoRoutes } from './features/shop/logo.routes.ts';
import { shopRoutes } from './features/shop/shop.routes.ts';
import { vehicleRoutes } from './features/vehicles/vehicles.routes.ts';
import { visitRoutes } from './features/visits/visits.routes.ts';
import { databaseAway } from './errors.ts';
import { requestLog } from './http/logging.ts';
import { problemHandler, unknownPath } from './http/problem.ts';
import { sameOrigin } from './http/sameOrigin.ts';
import { sessionStoreAnswers } from './http/sessions.ts';
import { webApp } from './http/webApp.ts';

const BODY_LIMIT = '512kb';

/** Builds the HTTP application from its context; listens on nothing by itself. */
export function createApp(context: Context, sessions: RequestHandler): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', 'loopback');
  app.use(
    helmet({
      // Plain http on loopback is the usual way to run it; a proxy in front adds TLS.
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          // Emotion writes its styles into the page.
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'"],
          'object-src': ["'none'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  );
  app.use(requestLog(context.log));
  app.use('/api', apiOf(context, sessions));
  if (context.webDir) app.use(webApp(context.webDir));
  app.use(problemHandler(context.log));
  return app;
}

function apiOf(context: Context, sessions: RequestHandler): express.Router {
  const api = express.Router();
  api.use((_req, res, next) => {
    res.set('cache-control', 'no-store');
    next();
  });
  // Alive is the process; ready is the process with its database.
  api.get('/health', (_req, res) => {
    res.json({ status: 'ok' });
  });
  api.get('/ready', async (_req, res) => {
    await context.pool.query('select 1').catch((error: unknown) => {
      context.log.error({ err: error }, 'database not answering');
      throw databaseAway();
    });
    res.json({ status: 'ok' });
  });
  api.use(sharedSheetRoutes(context));
  api.use(sameOrigin);
  api.use(sessions);
  api.use(sessionStoreAnswers);
  api.use(express.json({ limit: BODY_LIMIT }));
  api.use(documentRoutes());
  api.use(sessionRoutes(context));
  api.use('/visits', paperRoutes(context));
  api.use('/visits', visitRoutes(context));
  api.use(linkRoutes(context));
  api.use('/due', dueRoutes(context));
  api.use(photoRoutes(context));
  api.use(vehicleRoutes(context));
  api.use('/sheets', sheetsRoutes(context));
  api.use('/shop', shopRoutes(context));
  api.use('/shop', logoRoutes(context));
  api.use('/shop', archiveRoutes(context));
  api.use('/devices', deviceRoutes(context));
  api.use('/live', liveRoutes(context));
  api.use(unknownPath);
  return api;
}
