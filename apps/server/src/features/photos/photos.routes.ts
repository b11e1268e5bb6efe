import type { Photo } from '@keen/contract';
import { MOST_PHOTO_BYTES, MOST_PHOTOS } from '@keen/contract';
import { and, asc, eq } from 'drizzle-orm';
import express, { Router } from 'express';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { photos, visits } from '../../db/schema/index.ts';
import { AppError, invalid, notFound } from '../../errors.ts';
import { signedIn } from '../../http/signedIn.ts';
import type { Actor } from '../../http/signedIn.ts';
import { validId } from '../../http/validate.ts';
import { stripPicture } from '../../pictures/stripPicture.ts';

const MOST_SUBJECT = 80;

/** Pictures of a visit, kept in the database. */
export function photoRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/visits/:id/photos', async (req, res) => {
    const visitId = await ownVisit(db, signedIn(req), req.params.id);
    res.json(await listPhotos(db, visitId));
  });
  router.put(
    '/visits/:id/photos/:photoId',
    express.raw({ type: ['image/jpeg', 'image/png'], limit: MOST_PHOTO_BYTES }),
    async (req, res) => {
      const actor = signedIn(req);
      const visitId = await ownVisit(db, actor, req.params.id);
      const id = validId(req.params.photoId, 'photo');
      const { subject: said } = req.query;
      const subject = typeof said === 'string' ? said.slice(0, MOST_SUBJECT) : '';
      const plain = Buffer.isBuffer(req.body) ? stripPicture(req.body) : null;
      if (!plain) throw invalid([{ path: '', expected: 'a whole JPEG or PNG picture' }]);
      if ((await db.$count(photos, eq(photos.visitId, visitId))) >= MOST_PHOTOS) {
        throw new AppError(409, 'too_many', `A visit keeps at most ${MOST_PHOTOS} pictures`);
      }
      const { type, picture } = plain;
      await db
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
      res.json(await listPhotos(db, visitId));
    },
  );
  router.get('/photos/:id', async (req, res) => {
    const { shopId } = signedIn(req);
    const [row] = await db
      .select({ type: photos.type, picture: photos.picture })
      .from(photos)
      .where(and(eq(photos.id, validId(req.params.id, 'photo')), eq(photos.shopId, shopId)));
    if (!row) throw notFound('photo');
    // A picture never changes, and only its shop may see it.
    res.set('cache-control', 'private, max-age=31536000, immutable');
    res.type(row.type).send(row.picture);
  });
  router.delete('/photos/:id', async (req, res) => {
    const { shopId } = signedIn(req);
    const gone = await db
      .delete(photos)
      .where(and(eq(photos.id, validId(req.params.id, 'photo')), eq(photos.shopId, shopId)))
      .returning({ id: photos.id });
    if (gone.length === 0) throw notFound('photo');
    res.status(204).end();
  });
  return router;
}

async function ownVisit(db: Handle, { shopId }: Actor, id: unknown): Promise<string> {
  const visitId = validId(id, 'visit');
  const [row] = await db
    .select({ id: visits.id })
    .from(visits)
    .where(and(eq(visits.id, visitId), eq(visits.shopId, shopId)));
  if (!row) throw notFound('visit');
  return row.id;
}

async function listPhotos(db: Handle, visitId: string): Promise<Photo[]> {
  const rows = await db
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
