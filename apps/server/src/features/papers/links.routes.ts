import { randomBytes } from 'node:crypto';
import type { Paper, SheetLink } from '@keen/contract';
import { newSheetLinkSchema } from '@keen/contract';
import { customerPaper } from '@keen/core';
import { and, desc, eq, gt, sql } from 'drizzle-orm';
import { rateLimit } from 'express-rate-limit';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { sheetLinks } from '../../db/schema/index.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId } from '../../http/validate.ts';
import { diagnoseFor } from '../../jobs/diagnosisPool.ts';
import { paperFacts } from './paperFacts.ts';

const DAY_MS = 86_400_000;
const TOKEN_BYTES = 24;
const MOST_LINKS = 20;

/** Links to a customer's sheet, made and ended by the shop. */
export function mountLinks(routes: Routes, { diagnoses }: Context): void {
  routes.on('get', '/visits/:id/links', 'read', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noVisit');
    res.json(await inShop((tx) => listLinks(tx, actor.shopId, id)));
  });
  routes.on('post', '/visits/:id/links', 'workOnVisits', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { shopId, personId } = actor;
    const order = validBody(newSheetLinkSchema, req.body);
    const visitId = validId(req.params.id, 'noVisit');
    const facts = await paperFacts(inShop, diagnoseFor(diagnoses, asked), actor, visitId);
    const paper = customerPaper(facts);
    const links = await inShop(async (tx) => {
      if ((await listLinks(tx, shopId, visitId)).length >= MOST_LINKS) {
        throw conflict('mostLinks', { most: MOST_LINKS });
      }
      await tx
        .insert(sheetLinks)
        .values({
          id: order.id,
          shopId,
          visitId,
          token: randomBytes(TOKEN_BYTES).toString('base64url'),
          paper,
          endsAt: new Date(Date.now() + order.days * DAY_MS),
          personId,
        })
        .onConflictDoNothing();
      return listLinks(tx, shopId, visitId);
    });
    res.json(links);
  });
  routes.on('delete', '/links/:id', 'workOnVisits', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noLink');
    const gone = await inShop((tx) =>
      tx
        .delete(sheetLinks)
        .where(and(eq(sheetLinks.id, id), eq(sheetLinks.shopId, actor.shopId)))
        .returning({ id: sheetLinks.id }),
    );
    if (gone.length === 0) throw notFound('noLink');
    res.status(204).end();
  });
}

/** The sheet behind a link, for anyone who has it; nobody is signed in. */
export function mountSharedSheet(routes: Routes, { db }: Context): void {
  const limit = rateLimit({
    windowMs: 60_000,
    limit: 60,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new AppError(429, 'too_many_requests', 'tooManyRequests');
    },
  });
  routes.open('get', '/shared/:token', limit, async (req, res) => {
    res.set('x-robots-tag', 'noindex').set('referrer-policy', 'no-referrer');
    const token = String(req.params.token);
    // Only what a token can look like is looked up.
    const { rows } = /^[\w-]{1,64}$/.test(token)
      ? await db.execute<{ paper: Paper; ends_at: Date | string }>(
          sql`select paper, ends_at from keen_shared_sheet(${token})`,
        )
      : { rows: [] };
    const [row] = rows;
    if (!row) throw notFound('noSharedSheet');
    res.json({ paper: row.paper, endsAt: new Date(row.ends_at).toISOString() });
  });
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
