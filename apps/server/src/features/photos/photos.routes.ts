import type { Photo } from '@keen/contract';
import { MOST_PHOTO_BYTES, MOST_PHOTOS, validationIssue } from '@keen/contract';
import { and, asc, eq } from 'drizzle-orm';
import express from 'express';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { photos, visits } from '../../db/schema/index.ts';
import { AppError, invalid, notFound } from '../../errors.ts';
import type { Routes } from '../../http/routes.ts';
import type { Actor } from '../../http/signedIn.ts';
import { PHOTO_SIDE } from '../../pictures/pictureSizes.ts';
import { queryText, validId } from '../../http/validate.ts';

const MOST_SUBJECT = 80;

/** Pictures of a visit, stored in the database. */
export function mountPhotos(routes: Routes, { workshop }: Context): void {
  routes.on('get', '/visits/:id/photos', 'read', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noVisit');
    res.json(
      await inShop(async (tx) => {
        await findVisit(tx, actor, id);
        return listPhotos(tx, id);
      }),
    );
  });
  routes.on(
    'put',
    '/visits/:id/photos/:photoId',
    'workOnVisits',
    async ({ req, res, actor, inShop }) => {
      const visitId = validId(req.params.id, 'noVisit');
      const id = validId(req.params.photoId, 'noPhoto');
      const subject = queryText(req.query.subject, 'subject').slice(0, MOST_SUBJECT);
      if (!Buffer.isBuffer(req.body)) {
        throw invalid([validationIssue('', 'picture')]);
      }
      const refuseTooMany = async (tx: Handle) => {
        await findVisit(tx, actor, visitId);
        if ((await tx.$count(photos, eq(photos.visitId, visitId))) >= MOST_PHOTOS) {
          throw new AppError(409, 'too_many', 'mostPhotos', { values: { most: MOST_PHOTOS } });
        }
      };
      await inShop(refuseTooMany);
      const clean = await workshop.cleanPicture(req.body, PHOTO_SIDE);
      if ('expected' in clean) throw invalid([{ path: '', ...clean }]);
      const { type, picture } = clean;
      const list = await inShop(async (tx) => {
        await refuseTooMany(tx);
        await tx
          .insert(photos)
          .values({
            id,
            shopId: actor.shopId,
            visitId,
            subject,
            type,
            bytes: picture.length,
            picture,
            personId: actor.personId,
          })
          .onConflictDoNothing();
        return listPhotos(tx, visitId);
      });
      res.json(list);
    },
    express.raw({ type: ['image/jpeg', 'image/png'], limit: MOST_PHOTO_BYTES }),
  );
  routes.on('get', '/photos/:id', 'read', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noPhoto');
    const [row] = await inShop((tx) =>
      tx
        .select({ type: photos.type, picture: photos.picture })
        .from(photos)
        .where(and(eq(photos.id, id), eq(photos.shopId, actor.shopId))),
    );
    if (!row) throw notFound('noPhoto');
    // A picture must not stay in the browser when its reader has signed out.
    res.set('cache-control', 'private, no-store');
    res.type(row.type).send(row.picture);
  });
  routes.on('delete', '/photos/:id', 'workOnVisits', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noPhoto');
    const gone = await inShop((tx) =>
      tx
        .delete(photos)
        .where(and(eq(photos.id, id), eq(photos.shopId, actor.shopId)))
        .returning({ id: photos.id }),
    );
    if (gone.length === 0) throw notFound('noPhoto');
    res.status(204).end();
  });
}

async function findVisit(tx: Handle, { shopId }: Actor, id: string): Promise<void> {
  const [row] = await tx
    .select({ id: visits.id })
    .from(visits)
    .where(and(eq(visits.id, id), eq(visits.shopId, shopId)));
  if (!row) throw notFound('noVisit');
}

async function listPhotos(tx: Handle, visitId: string): Promise<Photo[]> {
  const rows = await tx
    .select({
      id: photos.id,
      subject: photos.subject,
      bytes: photos.bytes,
      personId: photos.personId,
      at: photos.createdAt,
    })
    .from(photos)
    .where(eq(photos.visitId, visitId))
    .orderBy(asc(photos.createdAt));
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}
