import type { VehicleRecord } from '@keen/contract';
import { and, desc, eq, ilike, or } from 'drizzle-orm';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { vehicles } from '../../db/schema/index.ts';
import { signedIn } from '../../http/signedIn.ts';

const MOST = 20;

/** Cars of the shop by a part of plate, label or customer. */
export function vehicleRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/', async (req, res) => {
    const { shopId } = signedIn(req);
    const words = typeof req.query.q === 'string' ? req.query.q.trim().slice(0, 60) : '';
    const rows = await db
      .select()
      .from(vehicles)
      .where(and(eq(vehicles.shopId, shopId), matching(words)))
      .orderBy(desc(vehicles.createdAt))
      .limit(MOST);
    res.json(
      rows.map(({ id, plate, label, customer }): VehicleRecord => ({
        id,
        plate,
        label,
        customer,
        drive: null,
      })),
    );
  });
  return router;
}

function matching(words: string) {
  if (words === '') return undefined;
  const escaped = `%${words.replace(/[\\%_]/g, '\\$&')}%`;
  const plate = words.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');
  return or(
    ilike(vehicles.label, escaped),
    ilike(vehicles.customer, escaped),
    ...(plate === '' ? [] : [ilike(vehicles.plateKey, `%${plate}%`)]),
  );
}
