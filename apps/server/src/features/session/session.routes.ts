import type { Session } from '@keen/contract';
import { demoSignInSchema, preferencesSchema, setupSchema, signInSchema } from '@keen/contract';
import { Router } from 'express';
import type { Request } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Context } from '../../context.ts';
import { AppError } from '../../errors.ts';
import { COOKIE_NAME } from '../../http/sessions.ts';
import { signedIn } from '../../http/signedIn.ts';
import type { Actor } from '../../http/signedIn.ts';
import { validBody } from '../../http/validate.ts';
import {
  currentSession,
  keepPreferences,
  setUpShop,
  signIn,
  signInDemo,
  welcome,
} from './session.service.ts';

const MINUTE_MS = 60_000;
const TRIES_A_MINUTE = 60;

export function sessionRoutes({ db }: Context): Router {
  const router = Router();
  const limitTries = rateLimit({
    windowMs: MINUTE_MS,
    limit: TRIES_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
    handler: () => {
      throw new AppError(429, 'too_many_tries', 'Too many tries from here; wait a minute');
    },
  });

  async function enter(req: Request, actor: Actor): Promise<Session> {
    // A new session id at each sign-in, so that one planted before is worth nothing.
    await new Promise<void>((resolve, reject) => {
      req.session.regenerate((error) => (error ? reject(error as Error) : resolve()));
    });
    req.session.personId = actor.personId;
    req.session.shopId = actor.shopId;
    return currentSession(db, actor);
  }

  router.get('/welcome', async (_req, res) => {
    res.json(await welcome(db));
  });
  router.post('/setup', limitTries, async (req, res) => {
    const actor = await setUpShop(db, validBody(setupSchema, req.body));
    res.json(await enter(req, actor));
  });
  router.post('/session', limitTries, async (req, res) => {
    const actor = await signIn(db, validBody(signInSchema, req.body));
    res.json(await enter(req, actor));
  });
  router.post('/session/demo', limitTries, async (req, res) => {
    const { personId } = validBody(demoSignInSchema, req.body);
    res.json(await enter(req, await signInDemo(db, personId)));
  });
  router.get('/session', async (req, res) => {
    res.json(await currentSession(db, signedIn(req)));
  });
  router.put('/session/preferences', async (req, res) => {
    const preferences = validBody(preferencesSchema, req.body);
    res.json(await keepPreferences(db, signedIn(req), preferences));
  });
  router.delete('/session', async (req, res) => {
    await new Promise<void>((resolve, reject) => {
      req.session.destroy((error) => (error ? reject(error as Error) : resolve()));
    });
    res.clearCookie(COOKIE_NAME).status(204).end();
  });
  return router;
}
