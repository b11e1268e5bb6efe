import { createHash, randomBytes } from 'node:crypto';
import type { CarCode, CarCodeState } from '@keen/contract';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { carCodes, vehicles } from '../../db/schema/index.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { hasChain } from './chain.service.ts';

const CODE_DAYS = 30;
const DAY_MS = 86_400_000;
/** Without letters that are misread or misheard: Crockford's base 32, from memory. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
/** Sixty random bits: nobody guesses one within its time. */
const CODE_LENGTH = 12;
const GROUP = /.{4}/g;

function newCode(): string {
  const letters = [...randomBytes(CODE_LENGTH)].map((byte) => LETTERS[byte % LETTERS.length]);
  return (letters.join('').match(GROUP) ?? []).join('-');
}

/** How a code is stored and looked up, however it was written down. */
export function codeHash(code: string): string {
  const plain = code
    .toUpperCase()
    .replace(/[^0-9A-Z]/g, '')
    .replace(/O/g, '0')
    .replace(/[IL]/g, '1');
  return createHash('sha256').update(plain).digest('hex');
}

async function demandCar(tx: Handle, { shopId }: Actor, id: string): Promise<void> {
  const [car] = await tx
    .select({ id: vehicles.id })
    .from(vehicles)
    .where(
      and(
        eq(vehicles.shopId, shopId),
        eq(vehicles.id, id),
        isNull(vehicles.mergedInto),
        isNull(vehicles.erasedAt),
      ),
    );
  if (!car) throw notFound('noCar');
}

/** What became of a car's codes, the latest first. @throws {AppError} 404 */
export async function codesOf(tx: Handle, actor: Actor, id: string): Promise<CarCodeState[]> {
  await demandCar(tx, actor, id);
  const rows = await tx
    .select()
    .from(carCodes)
    .where(and(eq(carCodes.shopId, actor.shopId), eq(carCodes.vehicleId, id)))
    .orderBy(desc(carCodes.createdAt));
  return rows.map(({ createdAt, endsAt, usedAt, takenBy }) => ({
    madeAt: createdAt.toISOString(),
    endsAt: endsAt.toISOString(),
    taken: usedAt && { at: usedAt.toISOString(), shop: takenBy ?? '' },
  }));
}

/**
 * A code for the customer, by which another shop of the chain takes the car with its history. The one before ends.
 * @throws {AppError} 404 for no such car, 409 for a shop on its own
 */
export async function makeCode(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string | undefined,
): Promise<CarCode> {
  await demandCar(tx, actor, id);
  if (!(await hasChain(tx))) throw conflict('noChain');
  const { shopId, personId } = actor;
  const isOpen = and(
    eq(carCodes.shopId, shopId),
    eq(carCodes.vehicleId, id),
    isNull(carCodes.usedAt),
  );
  await tx.delete(carCodes).where(isOpen);
  const code = newCode();
  const endsAt = new Date(Date.now() + CODE_DAYS * DAY_MS);
  await tx
    .insert(carCodes)
    .values({ hash: codeHash(code), shopId, vehicleId: id, personId, endsAt });
  await addAudit(tx, actor, 'carCodeMade', { carId: id }, address);
  return { code, endsAt: endsAt.toISOString() };
}

/** Uses a code up. @throws {AppError} 404 for one that does not exist, has ended, was used, or is of no shop of the chain */
export async function useCode(
  tx: Handle,
  code: string,
): Promise<{ shopId: string; vehicleId: string }> {
  const { rows } = await tx.execute<{ shop_id: string; vehicle_id: string }>(
    sql`select shop_id, vehicle_id from keen_use_car_code(${codeHash(code)})`,
  );
  const [found] = rows;
  if (!found) throw notFound('noCarCode');
  return { shopId: found.shop_id, vehicleId: found.vehicle_id };
}
