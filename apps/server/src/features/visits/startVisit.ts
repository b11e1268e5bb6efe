import { randomUUID } from 'node:crypto';
import type { CaseFile, NewVisit, Visit } from '@keen/contract';
import { validationIssue, visitTakes } from '@keen/contract';
import { caseToChanges } from '@keen/core';
import { and, eq, max, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { joinedName } from '../../db/joinedName.ts';
import { livingCars } from '../../db/livingCars.ts';
import { plateKeyOf } from '../../db/plateKey.ts';
import { vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { append, refuseUnallowed } from './appendEntries.ts';
import { carriedOver, shopFacts } from './carriedOver.ts';
import { oneVisit } from './readVisits.ts';

/** A car arrives. Asking twice with the same id gives the same visit. */
export async function startVisit(tx: Handle, actor: Actor, order: NewVisit): Promise<Visit> {
  refuseUnallowed(actor, order.entries);
  // One arrival of a shop at a time: numbers count up without gaps, and asking twice at once with the
  // same id gives one visit.
  await tx.execute(lockOf(actor.shopId));
  const [known] = await tx.select({ id: visits.id }).from(visits).where(eq(visits.id, order.id));
  if (!known) {
    const vehicleId = await vehicleFor(tx, actor, order.vehicle);
    await insertVisit(tx, actor, order.id, vehicleId);
    const carried = [
      ...(await carriedOver(tx, vehicleId, order.id)),
      ...(await shopFacts(tx, actor)),
    ];
    const given = new Set(order.entries.map((entry) => entry.path));
    await append(tx, actor, order.id, [
      ...carried.filter((entry) => !given.has(entry.path)),
      ...order.entries,
    ]);
    await notifyLive(tx, { shopId: actor.shopId, visitId: order.id });
  }
  return oneVisit(tx, actor, order.id);
}

/** A visit from a case file; the car is a new one named by the file's label. */
export async function importVisit(tx: Handle, actor: Actor, file: CaseFile): Promise<Visit> {
  const at = new Date().toISOString();
  const changes = caseToChanges(file, visitTakes);
  // What cannot be typed is not imported either.
  const wrong = changes.find(({ path, value }) => !visitTakes(path, value));
  if (wrong) throw invalid([validationIssue(wrong.path, 'valueForField')]);
  const label = file.vehicle.label?.trim() || 'Imported car';
  return startVisit(tx, actor, {
    id: randomUUID(),
    vehicle: {
      id: randomUUID(),
      plate: `IMPORT ${randomUUID().slice(0, 6).toUpperCase()}`,
      label: label.slice(0, 120),
      customer: '',
    },
    entries: changes.map((change) => ({ id: randomUUID(), ...change, at })),
  });
}

async function vehicleFor(tx: Handle, actor: Actor, vehicle: NewVisit['vehicle']): Promise<string> {
  if (!('plate' in vehicle)) {
    const [known] = await livingCars(tx, actor.shopId, [vehicle.id]);
    if (known === undefined) throw notFound('noCar');
    return known;
  }
  const plateKey = plateKeyOf(vehicle.plate);
  // Two people who take in the same plate at once get the same car.
  const customer = await joinedName(tx, actor.shopId, vehicle.customer);
  await tx
    .insert(vehicles)
    .values({ ...vehicle, customer, shopId: actor.shopId, plateKey })
    .onConflictDoNothing();
  const [kept] = await tx
    .select({ id: vehicles.id })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, actor.shopId), eq(vehicles.plateKey, plateKey)));
  if (!kept) throw conflict('visitIdTaken');
  const [living] = await livingCars(tx, actor.shopId, [kept.id]);
  return living ?? kept.id;
}

async function insertVisit(tx: Handle, actor: Actor, id: string, vehicleId: string): Promise<void> {
  const [last] = await tx
    .select({ number: max(visits.number) })
    .from(visits)
    .where(eq(visits.shopId, actor.shopId));
  await tx.insert(visits).values({
    id,
    shopId: actor.shopId,
    vehicleId,
    number: (last?.number ?? 0) + 1,
    draft: {},
    seq: 0,
  });
}

function lockOf(shopId: string) {
  return sql`select pg_advisory_xact_lock(hashtext(${shopId}))`;
}
