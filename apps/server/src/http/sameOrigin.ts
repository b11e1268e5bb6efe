import type { RequestHandler } from 'express';
import { forbidden } from '../errors.ts';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Refuses changes that another site's page asks for; browsers say where a request comes from. */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  const site = req.get('sec-fetch-site');
  if (!SAFE.has(req.method) && site !== undefined && site !== 'same-origin' && site !== 'none') {
    throw forbidden('sameOrigin');
  }
  next();
};
