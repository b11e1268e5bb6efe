import { randomBytes } from 'node:crypto';
import type { SheetLink } from '@keen/contract';
import { newSheetLinkSchema } from '@keen/contract';
import { customerPaper } from '@keen/core';
import { and, desc, eq, gt, sql } from 'drizzle-orm';
import { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { sheetLinks } from '../../db/schema/index.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import { paperFacts } from './paperFacts.ts';

const DAY_MS = 86_400_000;
const TOKEN_BYTES = 24;
const MOST_LINKS = 20;

/** Links to a customer's sheet, made and ended by the shop. */
export function linkRoutes({ db, diagnoses }: Context): Router {
  const router = Router();
  router.get('/visits/:id/links', async (req, res) => {
    const { shopId } = signedIn(req);
    res.json(await listLinks(db, shopId, validId(req.params.id, 'visit')));
  });
  router.post('/visits/:id/links', async (req, res) => {
    const actor = signedIn(req);
    const order = validBody(newSheetLinkSchema, req.body);
    const visitId = validId(req.params.id, 'visit');
    const paper = customerPaper(await paperFacts(db, diagnoses, actor, visitId));
    const known = await listLinks(db, actor.shopId, visitId);
    if (known.length >= MOST_LINKS) {
      throw conflict(`A visit has at most ${MOST_LINKS} links; end one first`);
    }
    await db
      .insert(sheetLinks)
      .values({
        id: order.id,
        shopId: actor.shopId,
        visitId,
        token: randomBytes(TOKEN_BYTES).toString('base64url'),
        paper,
        endsAt: new Date(Date.now() + order.days * DAY_MS),
        personId: actor.personId,
      })
      .onConflictDoNothing();
    res.json(await listLinks(db, actor.shopId, visitId));
  });
  router.delete('/links/:id', async (req, res) => {
    const { shopId } = signedIn(req);
    const gone = await db
      .delete(sheetLinks)
      .where(and(eq(sheetLinks.id, validId(req.params.id, 'link')), eq(sheetLinks.shopId, shopId)))
      .returning({ id: sheetLinks.id });
    if (gone.length === 0) throw notFound('link');
    res.status(204).end();
  });
  return router;
}

/** The sheet behind a link, for whoever has it; nobody is signed in. */
export function sharedSheetRoutes({ db }: Context): Router {
  const router = Router();
  const limit = rateLimit({
    windowMs: 60_000,
    limit: 60,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new AppError(429, 'too_many_requests', 'Too many requests; wait a minute');
    },
  });
  router.get('/shared/:token', limit, async (req, res) => {
    const [row] = await db
      .update(sheetLinks)
      .set({ opened: sql`${sheetLinks.opened} + 1` })
      .where(and(eq(sheetLinks.token, String(req.params.token)), gt(sheetLinks.endsAt, sql`now()`)))
      .returning({ paper: sheetLinks.paper, endsAt: sheetLinks.endsAt });
    if (!row) throw notFound('sheet; its link has ended, or was never given');
    res.set('x-robots-tag', 'noindex').set('referrer-policy', 'no-referrer');
    res.json({ paper: row.paper, endsAt: row.endsAt.toISOString() });
  });
  return router;
}

async function listLinks(db: Handle, shopId: string, visitId: string): Promise<SheetLink[]> {
  const rows = await db
    .select()
    .from(sheetLinks)
    .where(
      and(
        eq(sheetLinks.visitId, visitId),
        eq(sheetLinks.shopId, shopId),
        gt(sheetLinks.endsAt, sql`now()`),
      ),
    )
    .orderBy(desc(sheetLinks.createdAt));
  return rows.map(({ id, token, endsAt, opened }) => ({
    id,
    token,
    endsAt: endsAt.toISOString(),
    opened,
  }));
}
