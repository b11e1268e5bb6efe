import { pageErrorSchema } from '@keen/contract';
import { rateLimit } from 'express-rate-limit';
import type { Context } from '../../context.ts';
import { AppError } from '../../errors.ts';
import { jsonBody } from '../../http/routes.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody } from '../../http/validate.ts';
import { systemState } from './systemState.ts';

const MINUTE_MS = 60_000;
/** A page that breaks again and again is not reported forever. */
const ERRORS_A_MINUTE = 30;

/** Errors of pages, also of those that nobody has signed in to. */
export function mountPageErrors(routes: Routes, { log, metrics }: Context): void {
  const limit = rateLimit({
    windowMs: MINUTE_MS,
    limit: ERRORS_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
    handler: () => {
      throw new AppError(429, 'too_many_requests', 'tooManyRequests', {
        retryAfter: MINUTE_MS / 1000,
      });
    },
  });
  routes.open('post', '/page-errors', limit, jsonBody, (req, res) => {
    const pageError = validBody(pageErrorSchema, req.body);
    metrics.pageError();
    log.warn({ pageError, requestId: req.id }, 'a page broke');
    res.status(204).end();
  });
}

/** Whether the installation is well. */
export function mountSystem(routes: Routes, context: Context): void {
  routes.on('get', '/system', 'seeSystem', async ({ res }) => {
    res.json(await systemState(context));
  });
}
