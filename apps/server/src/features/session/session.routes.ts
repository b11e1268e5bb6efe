import type { Session } from '@keen/contract';
import {
  changePasswordSchema,
  changeShopSchema,
  confirmSecondFactorSchema,
  demoSignInSchema,
  newPasswordSchema,
  ownPasswordSchema,
  preferencesSchema,
  setupSchema,
  signInSchema,
} from '@keen/contract';
import { rateLimit } from 'express-rate-limit';
import type { Context } from '../../context.ts';
import { addAudit } from '../../db/audit.ts';
import { inShop } from '../../db/client.ts';
import type { Database } from '../../db/client.ts';
import { AppError } from '../../errors.ts';
import { jsonBody } from '../../http/routes.ts';
import type { Asked, Routes } from '../../http/routes.ts';
import { COOKIE_NAME } from '../../http/sessions.ts';
import type { Actor } from '../../http/signedIn.ts';
import { validBody } from '../../http/validate.ts';
import { endLines, endSessions, listOwnSessions } from '../../people/ownSessions.ts';
import { currentSession } from './currentSession.ts';
import { setUpShop, welcome } from './frontDoor.ts';
import {
  changePassword,
  confirmSecondFactor,
  dropSecondFactor,
  savePreferences,
} from './ownAccount.ts';
import { choosePassword, passwordLinkOwner } from './passwordLink.ts';
import { newSecondFactor } from './secondFactor.ts';
import { changeShop, signIn, signInDemo } from './signIn.ts';

const MINUTE_MS = 60_000;
const LONGEST_AGENT = 200;

export function mountSession(routes: Routes, context: Context): void {
  mountDoor(routes, context);
  mountAccount(routes, context);
}

/** Coming in: nobody is signed in yet. */
function mountDoor(routes: Routes, { db, demo, triesAMinute }: Context): void {
  const limitTries = rateLimit({
    windowMs: MINUTE_MS,
    limit: triesAMinute,
    standardHeaders: true,
    legacyHeaders: false,
    handler: () => {
      throw new AppError(429, 'too_many_tries', 'tooManyTriesHere', {
        retryAfter: MINUTE_MS / 1000,
      });
    },
  });

  routes.open('get', '/welcome', async (_req, res) => {
    res.json(await welcome(db, demo));
  });
  routes.open('post', '/setup', limitTries, jsonBody, async (req, res) => {
    await enter(db, { req, res }, await setUpShop(db, validBody(setupSchema, req.body)));
  });
  routes.open('post', '/session', limitTries, jsonBody, async (req, res) => {
    await enter(
      db,
      { req, res },
      await signIn(db, validBody(signInSchema, req.body), req.ip ?? ''),
    );
  });
  routes.open('post', '/session/demo', limitTries, jsonBody, async (req, res) => {
    const { personId } = validBody(demoSignInSchema, req.body);
    await enter(db, { req, res }, await signInDemo(db, demo, personId));
  });
  routes.open('get', '/password-links/:token', limitTries, async (req, res) => {
    res.json(await passwordLinkOwner(db, String(req.params.token)));
  });
  routes.open('post', '/password-links/:token', limitTries, jsonBody, async (req, res) => {
    const { password } = validBody(newPasswordSchema, req.body);
    await choosePassword(db, String(req.params.token), password, req.ip ?? '');
    res.status(204).end();
  });
}

/** Opens a session of its own for somebody who has shown who they are, and answers with what they work with. */
async function enter(
  db: Database,
  { req, res }: Pick<Asked, 'req' | 'res'>,
  actor: Actor,
): Promise<void> {
  // A new session id at each sign-in prevents session fixation.
  await new Promise<void>((resolve, reject) => {
    req.session.regenerate((error) => (error ? reject(error as Error) : resolve()));
  });
  const address = req.ip ?? '';
  const session = await inShop(db, actor.shopId, async (tx): Promise<Session> => {
    await addAudit(tx, actor, 'signIn', {}, address);
    return currentSession(tx, actor);
  });
  Object.assign(req.session, {
    accountId: actor.accountId,
    personId: actor.personId,
    shopId: actor.shopId,
    role: actor.role,
    mustSetUp: session.account.mustSetUpSecondFactor,
    agent: (req.get('user-agent') ?? '').slice(0, LONGEST_AGENT),
    address,
    since: new Date().toISOString(),
  });
  res.json(session);
}

/** One's own account. */
function mountAccount(routes: Routes, { db }: Context): void {
  routes.on('get', '/session', 'ownAccount', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => currentSession(tx, actor)));
  });
  routes.on('put', '/session/shop', 'ownAccount', async ({ req, res, actor, inShop }) => {
    const { shopId } = validBody(changeShopSchema, req.body);
    const next = await changeShop(db, actor, shopId);
    // Streams of the shop that is left end with its session.
    await inShop((tx) => endLines(tx, actor.personId, req.sessionID));
    await enter(db, { req, res }, next);
  });
  routes.on('put', '/session/preferences', 'ownAccount', async ({ req, res, actor, inShop }) => {
    const preferences = validBody(preferencesSchema, req.body);
    res.json(await inShop((tx) => savePreferences(tx, actor, preferences)));
  });
  // Signing out always works, also for a session that has ended already.
  routes.open('delete', '/session', async (req, res) => {
    const { personId, shopId } = req.session;
    const id = req.sessionID;
    await new Promise<void>((resolve, reject) => {
      req.session.destroy((error) => (error ? reject(error as Error) : resolve()));
    });
    if (personId && shopId) {
      await inShop(db, shopId, async (tx) => {
        await endLines(tx, personId, id);
        await addAudit(tx, { shopId, personId }, 'signOut', {}, req.ip);
      });
    }
    res.clearCookie(COOKIE_NAME).status(204).end();
  });
  routes.on('get', '/session/all', 'ownAccount', async ({ req, res, actor, inShop }) => {
    res.json(await inShop((tx) => listOwnSessions(tx, actor.accountId, req.sessionID)));
  });
  routes.on('delete', '/session/others', 'ownAccount', async ({ req, res, actor, inShop }) => {
    await inShop(async (tx) => {
      await endSessions(tx, { accountId: actor.accountId }, req.sessionID);
      await addAudit(tx, actor, 'signOut', { others: 1 }, req.ip);
    });
    res.status(204).end();
  });
  routes.on('put', '/session/password', 'ownAccount', async ({ req, res, actor, inShop }) => {
    const order = validBody(changePasswordSchema, req.body);
    await inShop((tx) => changePassword(tx, actor, order, req.sessionID, req.ip ?? ''));
    res.status(204).end();
  });
  routes.on('post', '/session/second-factor', 'ownAccount', async ({ res, actor, inShop }) => {
    const { person } = await inShop((tx) => currentSession(tx, actor));
    res.json(await newSecondFactor(person.name));
  });
  routes.on('put', '/session/second-factor', 'ownAccount', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const order = validBody(confirmSecondFactorSchema, req.body);
    const codes = await inShop((tx) => confirmSecondFactor(tx, actor, order, req.ip ?? ''));
    req.session.mustSetUp = false;
    res.json(codes);
  });
  // The password comes in a body, which a DELETE does not carry everywhere.
  routes.on('post', '/session/second-factor/off', 'ownAccount', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { password } = validBody(ownPasswordSchema, req.body);
    await inShop((tx) => dropSecondFactor(tx, actor, password, req.ip ?? ''));
    const { account } = await inShop((tx) => currentSession(tx, actor));
    req.session.mustSetUp = account.mustSetUpSecondFactor;
    res.status(204).end();
  });
}
