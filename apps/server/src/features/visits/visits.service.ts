import { randomUUID } from 'node:crypto';
import type {
  CaseFile,
  Decision,
  EntriesKept,
  Entry,
  NewDecision,
  NewVisit,
  Visit,
  VisitDetail,
} from '@keen/contract';
import { rightForPath, roleMay, visitTakes } from '@keen/contract';
import {
  caseToChanges,
  DEFAULT_LIMITS_MM,
  draftToCase,
  foldEntries,
  keptTurns,
  weighVisit,
  WHEEL_ORDER,
} from '@keen/core';
import type { FullAnswer } from '@keen/core';
import { and, asc, desc, eq, getTableColumns, inArray, isNull, max, ne, sql } from 'drizzle-orm';
import type { Handle, InShop } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { plateKeyOf } from '../../db/plateKey.ts';
import { decisions, entries, vehicles, visits } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { tellLive } from '../../db/tellLive.ts';
import { AppError, conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { decisionRecord, visitRecord } from './visitRecord.ts';

const LIST_LIMIT = 500;

/** The shop's visits, latest first: the open ones, or all. */
export async function listVisits(db: Handle, actor: Actor, all: boolean): Promise<Visit[]> {
  const scope = all
    ? eq(visits.shopId, actor.shopId)
    : and(eq(visits.shopId, actor.shopId), isNull(visits.closedAt));
  return selectVisits(db, scope);
}

async function selectVisits(db: Handle, scope: ReturnType<typeof and>): Promise<Visit[]> {
  const rows = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .where(scope)
    .orderBy(desc(visits.arrivedAt))
    .limit(LIST_LIMIT);
  const latest = await latestDecisions(
    db,
    rows.map((row) => row.visits.id),
  );
  return rows.map((row) =>
    visitRecord(row.visits, row.vehicles, latest.get(row.visits.id) ?? null),
  );
}

async function latestDecisions(db: Handle, visitIds: string[]) {
  if (visitIds.length === 0) return new Map<string, never>();
  // Without the diagnoses: a list does not carry hundreds of them.
  const columns = omitDiagnosis(getTableColumns(decisions));
  const rows = await db
    .selectDistinctOn([decisions.visitId], columns)
    .from(decisions)
    .where(inArray(decisions.visitId, visitIds))
    .orderBy(decisions.visitId, desc(decisions.createdAt));
  return new Map(rows.map((row) => [row.visitId, row]));
}

function omitDiagnosis<T extends { diagnosis: unknown }>(columns: T): Omit<T, 'diagnosis'> {
  const rest: Partial<T> = { ...columns };
  delete rest.diagnosis;
  return rest as Omit<T, 'diagnosis'>;
}

/** One visit with its entries, decisions and the earlier visits of the same car. */
export async function visitDetail(db: Handle, actor: Actor, id: string): Promise<VisitDetail> {
  const own = eq(visits.shopId, actor.shopId);
  const [visit] = await selectVisits(db, and(own, eq(visits.id, id)));
  if (!visit) throw notFound('visit');
  const kept = await db
    .select()
    .from(entries)
    .where(eq(entries.visitId, id))
    .orderBy(asc(entries.seq));
  const decided = await db
    .select()
    .from(decisions)
    .where(eq(decisions.visitId, id))
    .orderBy(asc(decisions.createdAt));
  const history = await selectVisits(
    db,
    and(own, eq(visits.vehicleId, visit.vehicle.id), ne(visits.id, id)),
  );
  return {
    visit,
    entries: kept.map(entryRecord),
    decisions: decided.map(decisionRecord),
    history,
  };
}

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
      ...(await shopLimits(tx, actor)),
    ];
    const given = new Set(order.entries.map((entry) => entry.path));
    await append(tx, actor, order.id, [
      ...carried.filter((entry) => !given.has(entry.path)),
      ...order.entries,
    ]);
    await tellLive(tx, { shopId: actor.shopId, visitId: order.id });
  }
  return (await visitDetail(tx, actor, order.id)).visit;
}

/** A visit from a case file; the car is a new one named by the file's label. */
export async function importVisit(tx: Handle, actor: Actor, file: CaseFile): Promise<Visit> {
  const at = new Date().toISOString();
  const changes = caseToChanges(file, visitTakes);
  // What cannot be typed is not imported either.
  const wrong = changes.find(({ path, value }) => !visitTakes(path, value));
  if (wrong) throw invalid([{ path: wrong.path, expected: 'a value that can be entered here' }]);
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
    const [known] = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(and(eq(vehicles.id, vehicle.id), eq(vehicles.shopId, actor.shopId)));
    if (!known) throw notFound('car');
    return known.id;
  }
  const plateKey = plateKeyOf(vehicle.plate);
  // Two people who take in the same plate at once get the same car.
  await tx
    .insert(vehicles)
    .values({ ...vehicle, shopId: actor.shopId, plateKey })
    .onConflictDoNothing();
  const [kept] = await tx
    .select({ id: vehicles.id })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, actor.shopId), eq(vehicles.plateKey, plateKey)));
  if (!kept) throw conflict('This car could not be saved; its id is taken');
  return kept.id;
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

/** The shop's own limits, where they differ from the usual ones. */
async function shopLimits(tx: Handle, { shopId }: Actor): Promise<Entry[]> {
  const { legal, advise } = (await shopSettings(tx, shopId)).limits;
  if (legal === DEFAULT_LIMITS_MM.legal && advise === DEFAULT_LIMITS_MM.advise) return [];
  const at = new Date().toISOString();
  return [{ id: randomUUID(), path: 'limits', value: { legal, advise }, at }];
}

/** What does not change from one visit of a car to the next, so that nobody types it twice. */
async function carriedOver(tx: Handle, vehicleId: string, visitId: string): Promise<Entry[]> {
  const [last] = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.vehicleId, vehicleId), ne(visits.id, visitId)))
    .orderBy(desc(visits.arrivedAt))
    .limit(1);
  if (!last) return [];
  const at = new Date().toISOString();
  const list: Entry[] = [];
  const carry = (path: string, value: unknown) => {
    if (value !== undefined) list.push({ id: randomUUID(), path, value, at });
  };
  const { vehicle, tires, units, visit } = last.draft;
  carry('vehicle.drive', vehicle?.drive);
  carry('vehicle.use', vehicle?.use);
  carry('vehicle.rotatable', vehicle?.rotatable);
  carry('units.depth', units?.depth);
  // The sheet of the car stays its sheet, in the revision it was chosen in.
  carry('visit.sheet', visit?.sheet);
  carry('tolerances', last.draft.tolerances);
  // The customer reads what the customer read.
  carry('visit.handOver.language', visit?.handOver?.language);
  carry('visit.handOver.units', visit?.handOver?.units);
  const { car } = visit ?? {};
  carry('visit.car.rack', car?.rack);
  carry('visit.car.driver', car?.driver);
  carry('visit.car.load', car?.load);
  carry('visit.measure.toeIn', visit?.measure?.toeIn);
  carry('visit.tiresDiffer', visit?.tiresDiffer);
  carry('visit.car.awdMatch', car?.awdMatch);
  carry('visit.car.directional', car?.directional);
  carry('visit.car.wheels', car?.wheels);
  const learned = keptTurns(last.draft);
  carry('visit.car.learned', learned.length > 0 ? learned : undefined);
  for (const axle of ['front', 'rear'] as const) {
    carry(`vehicle.rideHeightChange.${axle}`, vehicle?.rideHeightChange?.[axle]);
    carry(`visit.car.placard.${axle}`, car?.placard?.[axle]);
    carry(`visit.car.suspension.${axle}`, car?.suspension?.[axle]);
    for (const kind of ['camber', 'caster', 'toe'] as const) {
      carry(`visit.car.adjustable.${axle}.${kind}`, car?.adjustable?.[axle]?.[kind]);
    }
  }
  for (const wheel of WHEEL_ORDER) {
    carry(`visit.tires.${wheel}.dateCode`, visit?.tires?.[wheel]?.dateCode);
    carry(`visit.tires.${wheel}.line`, visit?.tires?.[wheel]?.line);
    carry(`visit.tires.${wheel}.season`, visit?.tires?.[wheel]?.season);
    carry(`tires.${wheel}.size`, tires?.[wheel]?.size);
    carry(`tires.${wheel}.newDepth`, tires?.[wheel]?.newDepth);
    carry(`tires.${wheel}.pressure.target`, tires?.[wheel]?.pressure?.target);
  }
  return list;
}

/** Appends entries to a visit; those it already has are left as they are. */
export function appendEntries(
  tx: Handle,
  actor: Actor,
  id: string,
  list: readonly Entry[],
): Promise<EntriesKept> {
  refuseUnallowed(actor, list);
  return append(tx, actor, id, list);
}

/** Some fields are the technician's. @throws {AppError} 403 naming the entries that are not this person's */
function refuseUnallowed({ role }: Actor, list: readonly Entry[]): void {
  const refusals = list.flatMap(({ path }, index) => {
    const right = rightForPath(path);
    if (right === null || roleMay(role, right)) return [];
    return [{ path: `entries.${index}.path`, expected: 'a field that your role may enter' }];
  });
  if (refusals.length > 0) {
    throw new AppError(403, 'forbidden', 'Only a technician or the lead sets angles', { refusals });
  }
}

async function append(
  tx: Handle,
  actor: Actor,
  visitId: string,
  list: readonly Entry[],
): Promise<EntriesKept> {
  const [visit] = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.id, visitId), eq(visits.shopId, actor.shopId)))
    .for('update');
  if (!visit) throw notFound('visit');
  if (list.length === 0) return { entries: [], seq: visit.seq };
  const ids = list.map((entry) => entry.id.toLowerCase());
  const known = await tx
    .select({ id: entries.id, visitId: entries.visitId })
    .from(entries)
    .where(inArray(entries.id, ids));
  if (known.some((row) => row.visitId !== visitId)) throw conflict('An entry id is taken');
  const seen = new Set(known.map((row) => row.id));
  // Ids are compared as the database writes them, in lower case.
  const fresh = list
    .map((entry) => ({ ...entry, id: entry.id.toLowerCase() }))
    .filter((entry) => !seen.has(entry.id) && seen.add(entry.id));
  if (fresh.length > 0) {
    const added = await tx
      .insert(entries)
      .values(
        fresh.map((entry, index) => ({
          id: entry.id,
          shopId: actor.shopId,
          visitId,
          seq: visit.seq + index + 1,
          path: entry.path,
          value: entry.value,
          personId: actor.personId,
          at: new Date(entry.at),
          over: entry.over ?? null,
        })),
      )
      .onConflictDoNothing()
      .returning({ id: entries.id });
    // An id of another shop's row, which is not seen from here.
    if (added.length < fresh.length) throw conflict('An entry id is taken');
    const seq = visit.seq + fresh.length;
    await tx
      .update(visits)
      .set({ draft: foldEntries(visit.draft, fresh), seq })
      .where(eq(visits.id, visitId));
    await tellLive(tx, { shopId: actor.shopId, visitId, after: visit.seq });
  }
  const stored = await tx
    .select()
    .from(entries)
    .where(and(eq(entries.visitId, visitId), inArray(entries.id, ids)))
    .orderBy(asc(entries.seq));
  return { entries: stored.map(entryRecord), seq: visit.seq + fresh.length };
}

/** Closes a visit, or opens it again. */
export async function setClosed(
  tx: Handle,
  actor: Actor,
  id: string,
  closed: boolean,
): Promise<Visit> {
  const rows = await tx
    .update(visits)
    .set({ closedAt: closed ? new Date() : null })
    .where(and(eq(visits.id, id), eq(visits.shopId, actor.shopId)))
    .returning({ id: visits.id });
  if (rows.length === 0) throw notFound('visit');
  await tellLive(tx, { shopId: actor.shopId, visitId: id });
  return (await visitDetail(tx, actor, id)).visit;
}

/** The visit as a case file. */
export async function visitCase(db: Handle, actor: Actor, id: string): Promise<CaseFile> {
  const { visit } = await visitDetail(db, actor, id);
  return caseOf(visit);
}

export function caseOf(visit: Visit): CaseFile {
  const label = [visit.vehicle.label, visit.vehicle.plate].filter(Boolean).join(', ');
  return draftToCase(visit.draft, label).file;
}

/**
 * Saves a decision beside the full diagnosis of that moment. Asking twice with the same id gives the
 * same decision. No transaction is open while the diagnosis is computed.
 * @param inShop - transactions of the asker's shop
 */
export async function decide(
  inShop: InShop,
  diagnose: (file: CaseFile) => Promise<FullAnswer>,
  actor: Actor,
  id: string,
  order: NewDecision,
): Promise<Decision> {
  const { detail, prices } = await inShop(async (tx) => ({
    detail: await visitDetail(tx, actor, id),
    prices: (await shopSettings(tx, actor.shopId)).prices,
  }));
  const known = detail.decisions.find((decision) => decision.id === order.id);
  if (known) return known;
  const { diagnosis, outlook } = await diagnose(caseOf(detail.visit));
  const advised = weighVisit(outlook, prices, detail.visit.draft, order.replace).advised.course;
  if (order.action !== advised && order.reason === '') {
    throw invalid([
      { path: 'reason', expected: 'a reason for choosing something else than what is advised' },
    ]);
  }
  return inShop(async (tx) => {
    const [row] = await tx
      .insert(decisions)
      .values({
        ...order,
        shopId: actor.shopId,
        visitId: id,
        advised,
        diagnosis,
        entrySeq: detail.visit.seq,
        personId: actor.personId,
      })
      .onConflictDoNothing()
      .returning();
    if (!row) throw conflict('This decision is already being saved');
    await tellLive(tx, { shopId: actor.shopId, visitId: id });
    return decisionRecord(row);
  });
}
