import { and, eq, inArray, isNull, lt, max, sql } from 'drizzle-orm';
import type { Logger } from 'pino';
import { addAudit } from '../db/audit.ts';
import { inShop } from '../db/client.ts';
import type { Database, Handle } from '../db/client.ts';
import { photos, vehicles, visits } from '../db/schema/index.ts';
import { shopSettings } from '../db/shopSettings.ts';
import { eraseCustomer } from './eraseCustomer.ts';

/** Cars and pictures of one shop in one go; what is left goes with the next. */
const AT_ONCE = 200;
/** Any number, the same in every process: one of them does this at a time. */
const RETENTION_LOCK = 4310_0003;

/** Erases, shop by shop, what has been stored for longer than the shop wants. Safe to run at any time. */
export async function applyRetention(db: Database, log: Logger): Promise<void> {
  const { rows } = await db.execute<{ id: string }>(sql`select keen_shop_ids() as id`);
  for (const { id } of rows) {
    await inShop(db, id, (tx) => applyToShop(tx, id)).catch((error: unknown) =>
      log.error({ err: error }, 'retention period not applied'),
    );
  }
}

async function applyToShop(tx: Handle, shopId: string): Promise<void> {
  const { rows } = await tx.execute<{ mine: boolean }>(
    sql`select pg_try_advisory_xact_lock(${RETENTION_LOCK}, hashtext(${shopId})) as mine`,
  );
  if (!rows[0]?.mine) return;
  const { customerMonths, photoMonths } = (await shopSettings(tx, shopId)).retention;
  const old = (months: number) => sql`now() - make_interval(months => ${months})`;

  let goneCustomers = 0;
  if (customerMonths !== null) {
    const cars = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .innerJoin(visits, eq(visits.vehicleId, vehicles.id))
      .where(and(eq(vehicles.shopId, shopId), isNull(vehicles.erasedAt)))
      .groupBy(vehicles.id)
      .having(lt(max(visits.arrivedAt), old(customerMonths)))
      .limit(AT_ONCE);
    for (const { id } of cars) await eraseCustomer(tx, shopId, id);
    goneCustomers = cars.length;
  }

  let gonePhotos = 0;
  if (photoMonths !== null) {
    const list = await tx
      .select({ id: photos.id })
      .from(photos)
      .innerJoin(visits, eq(visits.id, photos.visitId))
      .where(and(eq(photos.shopId, shopId), lt(visits.arrivedAt, old(photoMonths))))
      .limit(AT_ONCE);
    const ids = list.map(({ id }) => id);
    if (ids.length > 0) await tx.delete(photos).where(inArray(photos.id, ids));
    gonePhotos = ids.length;
  }

  if (goneCustomers + gonePhotos > 0) {
    const detail = { customers: goneCustomers, photos: gonePhotos };
    await addAudit(tx, { shopId, personId: null }, 'retention', detail);
  }
}
