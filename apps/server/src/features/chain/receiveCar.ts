import { randomUUID } from 'node:crypto';
import type { CarReceived } from '@keen/contract';
import { DEFAULT_PREFERENCES } from '@keen/contract';
import { and, eq, inArray, or } from 'drizzle-orm';
import { archivedDecision } from '../../archive/exportVisits.ts';
import { importVisits } from '../../archive/importVisits.ts';
import type { ImportedVisit } from '../../archive/importVisits.ts';
import { addAudit } from '../../db/audit.ts';
import { inOtherShop } from '../../db/client.ts';
import type { Handle } from '../../db/client.ts';
import { idsFor } from '../../db/idsFor.ts';
import { people, photos, vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { useCode } from './carCodes.ts';
import { readCar } from './readCar.ts';
import type { CarHistory } from './readCar.ts';

const LONGEST_NAME = 80;

/**
 * Takes a car with its history from another shop of the chain, by the customer's code. It is a copy: the other shop
 * keeps its records. Visits that came from here once, or came before, do not come twice.
 * @throws {AppError} 404 for a code that leads nowhere
 */
export async function receiveCar(
  tx: Handle,
  actor: Actor,
  code: string,
  address: string | undefined,
): Promise<CarReceived> {
  const from = await useCode(tx, code);
  const shops = { from: actor.shopId, to: from.shopId };
  const history = await inOtherShop(tx, shops, () => readCar(tx, from.vehicleId));
  const vehicleId = await carHere(tx, actor, history);
  const personOf = await authorsHere(tx, actor, history);
  const fresh = await freshVisits(tx, actor, history);
  const ids = idsFor(actor.shopId);
  const taken = fresh.map((one) => archivedVisit(one, vehicleId, ids));
  const archive = { picture: () => Promise.resolve(null) };
  await importVisits(tx, actor, archive, taken, personOf, []);
  for (const { visit, photos: pictures } of fresh) {
    for (const { id, personId, ...picture } of pictures) {
      await tx.insert(photos).values({
        ...picture,
        id: ids(id),
        shopId: actor.shopId,
        visitId: ids(visit.id),
        personId: personOf(personId),
      });
    }
  }
  await addAudit(tx, actor, 'carTaken', { carId: vehicleId, visits: fresh.length }, address);
  await notifyLive(tx, { shopId: actor.shopId, kind: 'settings' });
  return { carId: vehicleId, visits: fresh.length };
}

type OneVisit = CarHistory['visits'][number];

/** The car with this plate here, or a new one. */
async function carHere(tx: Handle, { shopId }: Actor, { car }: CarHistory): Promise<string> {
  const { plate, plateKey, label, customer, phone, vin } = car;
  await tx
    .insert(vehicles)
    .values({ id: randomUUID(), shopId, plate, plateKey, label, customer, phone, vin })
    .onConflictDoNothing();
  const [here] = await tx
    .select()
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), eq(vehicles.plateKey, plateKey)));
  if (!here) throw conflict('noCarCode');
  return here.mergedInto ?? here.id;
}

/**
 * Who worked on the car keeps their name: somebody who works here too is that person, everybody else is named with
 * their shop and may not come in here.
 */
async function authorsHere(
  tx: Handle,
  actor: Actor,
  { staff, shopName }: CarHistory,
): Promise<(id: string) => string> {
  const { shopId } = actor;
  for (const { accountId, name, role } of staff) {
    await tx
      .insert(people)
      .values({
        id: randomUUID(),
        shopId,
        accountId,
        name: `${name}, ${shopName}`.slice(0, LONGEST_NAME),
        role,
        preferences: DEFAULT_PREFERENCES,
        suspendedAt: new Date(),
      })
      .onConflictDoNothing();
  }
  const here = await tx
    .select({ id: people.id, accountId: people.accountId })
    .from(people)
    .where(eq(people.shopId, shopId));
  const byAccount = new Map(here.map(({ id, accountId }) => [accountId, id]));
  const idOf = new Map(staff.map(({ id, accountId }) => [id, byAccount.get(accountId)]));
  return (id) => idOf.get(id) ?? actor.personId;
}

/** Visits that are here neither as copies nor as what they were copied from. */
async function freshVisits(
  tx: Handle,
  { shopId }: Actor,
  { visits: list }: CarHistory,
): Promise<OneVisit[]> {
  const origins = list.map(({ visit }) => visit.originId ?? visit.id);
  const here = await tx
    .select({ id: visits.id, originId: visits.originId })
    .from(visits)
    .where(
      and(
        eq(visits.shopId, shopId),
        or(inArray(visits.id, origins), inArray(visits.originId, origins)),
      ),
    );
  const known = new Set(here.flatMap(({ id, originId }) => [id, originId]));
  return list.filter(({ visit }) => !known.has(visit.originId ?? visit.id));
}

/** A visit as the archive would bring it, with ids of its own. One that is open elsewhere is closed here. */
function archivedVisit(
  { visit, entries, decisions }: OneVisit,
  vehicleId: string,
  ids: (id: string) => string,
): ImportedVisit {
  return {
    folder: '',
    vehicleId,
    originId: visit.originId ?? visit.id,
    visit: {
      id: ids(visit.id),
      number: visit.number,
      carId: vehicleId,
      arrivedAt: visit.arrivedAt.toISOString(),
      closedAt: (visit.closedAt ?? new Date()).toISOString(),
      photos: [],
      entries: entries.map(({ id, path, value, at, seq, personId, over, createdAt }) => ({
        id: ids(id),
        path,
        value,
        at: at.toISOString(),
        seq,
        personId,
        savedAt: createdAt.toISOString(),
        ...(over ? { over: over.map(ids) } : {}),
      })),
      decisions: decisions.map((one) => ({ ...archivedDecision(one), id: ids(one.id) })),
    },
  };
}
