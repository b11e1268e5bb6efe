import type { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ArchiveVisit } from '@keen/contract';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from '@keen/contract';
import { angleRows, draftToCase, estimateRows, readingRows } from '@keen/core';
import { and, asc, eq, gt, inArray } from 'drizzle-orm';
import Papa from 'papaparse';
import { ZipFile } from 'yazl';
import type { Handle } from '../db/client.ts';
import { entryRecord } from '../db/entryRecord.ts';
import {
  decisions,
  entries,
  people,
  photos,
  sheetLinks,
  shopLogos,
  shops,
  specSheets,
  vehicles,
  visits,
} from '../db/schema/index.ts';
import { settingsOf } from '../db/shopSettings.ts';
import { notFound } from '../errors.ts';
import type { Actor } from '../http/signedIn.ts';

const READ_ME = `A shop as open files.

shop.json, people.json, cars.json, sheets.json  what the shop has, without passwords
visits/NUMBER-PLATE/visit.json                  everything entered and decided, with who and when
visits/NUMBER-PLATE/case.keen.json              the case file of the tread diagnosis
visits/NUMBER-PLATE/*.csv                       readings (mm), angles (degrees), estimate
visits/NUMBER-PLATE/photos/                     pictures

The JSON files bring the shop in again; the tables are for other programs.
`;

/** Visits read in one go: a handful of queries for all of them. */
const VISITS_AT_ONCE = 100;
const MOST_WAITING_BYTES = 4_000_000;

/**
 * Writes the whole shop as a zip, some visits at a time, so that a large shop needs little memory.
 * @param out - takes the bytes; is not ended
 */
export async function exportArchive(tx: Handle, actor: Actor, out: Writable): Promise<void> {
  const zip = new ZipFile();
  const piped = pipeline(zip.outputStream, out, { end: false });
  const mtime = new Date();
  const add: AddFile = (name, bytes, isPacked = false) =>
    zip.addBuffer(bytes, name, { mtime, compress: !isPacked });
  await addShop(tx, actor, add);
  let last = -1;
  let written = 0;
  for (;;) {
    const rows = await tx
      .select()
      .from(visits)
      .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
      .where(and(eq(visits.shopId, actor.shopId), gt(visits.number, last)))
      .orderBy(asc(visits.number))
      .limit(VISITS_AT_ONCE);
    if (rows.length === 0) break;
    await addVisits(tx, rows, add);
    last = rows.at(-1)!.visits.number;
    written = await writtenSoFar(zip, written);
  }
  zip.end();
  await piped;
}

/** Entries of the zip library, with what it does not publish: their state, and how they write themselves. */
interface PumpedZip {
  entries: { state: number; doFileDataPump: unknown }[];
  outputStream: Readable;
}
/** The library's word for an entry whose data is out. */
const DATA_DONE = 3;

/** Waits until what was added so far has gone out, and lets go of it: the zip never lies in memory. */
async function writtenSoFar(zip: ZipFile, from: number): Promise<number> {
  const { entries: list, outputStream } = zip as unknown as PumpedZip;
  const last = list.at(-1);
  while (last && (last.state !== DATA_DONE || outputStream.readableLength > MOST_WAITING_BYTES)) {
    await new Promise((turn) => setTimeout(turn, 2));
  }
  for (const entry of list.slice(from)) entry.doFileDataPump = null;
  return list.length;
}

type AddFile = (name: string, bytes: Buffer, isPacked?: boolean) => void;

const jsonOf = (value: unknown) => Buffer.from(`${JSON.stringify(value, null, 1)}\n`);

async function addShop(tx: Handle, { shopId }: Actor, add: AddFile): Promise<void> {
  const [shop] = await tx.select().from(shops).where(eq(shops.id, shopId));
  if (!shop) throw notFound('shop');
  add('README.txt', Buffer.from(READ_ME));
  add(
    'shop.json',
    jsonOf({
      format: ARCHIVE_FORMAT,
      version: ARCHIVE_VERSION,
      exportedAt: new Date().toISOString(),
      name: shop.name,
      town: shop.town,
      settings: settingsOf(shop),
      since: shop.createdAt.toISOString(),
    }),
  );
  const [logo] = await tx.select().from(shopLogos).where(eq(shopLogos.shopId, shopId));
  if (logo) add(`logo.${endingOf(logo.type)}`, logo.picture, true);
  const staff = await tx.select().from(people).where(eq(people.shopId, shopId));
  add(
    'people.json',
    jsonOf(
      staff.map(({ id, name, email, role, preferences, suspendedAt, createdAt }) => ({
        id,
        name,
        email,
        role,
        preferences,
        suspendedAt: suspendedAt?.toISOString() ?? null,
        since: createdAt.toISOString(),
      })),
    ),
  );
  const cars = await tx.select().from(vehicles).where(eq(vehicles.shopId, shopId));
  add(
    'cars.json',
    jsonOf(
      cars.map(({ id, plate, label, customer, phone, vin, erasedAt, createdAt }) => ({
        id,
        plate,
        label,
        customer,
        phone,
        vin,
        erasedAt: erasedAt?.toISOString() ?? null,
        since: createdAt.toISOString(),
      })),
    ),
  );
  const sheets = await tx
    .select()
    .from(specSheets)
    .where(eq(specSheets.shopId, shopId))
    .orderBy(asc(specSheets.sheetId), asc(specSheets.revision));
  add(
    'sheets.json',
    jsonOf(
      sheets.map((row) => ({
        id: row.sheetId,
        revisionId: row.id,
        revision: row.revision,
        sheet: row.sheet,
        retired: row.retired,
        personId: row.personId,
        enteredAt: row.createdAt.toISOString(),
      })),
    ),
  );
}

interface VisitRow {
  visits: typeof visits.$inferSelect;
  vehicles: typeof vehicles.$inferSelect;
}

/** Adds some visits, each as a folder; what belongs to them is read for all of them at once. */
async function addVisits(tx: Handle, rows: readonly VisitRow[], add: AddFile): Promise<void> {
  const ids = rows.map(({ visits: { id } }) => id);
  const [kept, decided, linked] = [
    await tx.select().from(entries).where(inArray(entries.visitId, ids)).orderBy(asc(entries.seq)),
    await tx
      .select()
      .from(decisions)
      .where(inArray(decisions.visitId, ids))
      .orderBy(asc(decisions.createdAt)),
    await tx
      .select()
      .from(sheetLinks)
      .where(inArray(sheetLinks.visitId, ids))
      .orderBy(asc(sheetLinks.createdAt)),
  ];
  const entriesOf = byVisit(kept);
  const decisionsOf = byVisit(decided);
  const linksOf = byVisit(linked);
  const withPhotos = await tx
    .selectDistinct({ visitId: photos.visitId })
    .from(photos)
    .where(inArray(photos.visitId, ids));
  const pictured = new Set(withPhotos.map(({ visitId }) => visitId));
  for (const { visits: visit, vehicles: car } of rows) {
    // One visit's pictures at a time: they are the large part.
    const pictures = pictured.has(visit.id)
      ? await tx
          .select()
          .from(photos)
          .where(eq(photos.visitId, visit.id))
          .orderBy(asc(photos.createdAt))
      : [];
    const folder = `visits/${String(visit.number).padStart(5, '0')}-${car.plateKey.slice(0, 40)}`;
    const archived: ArchiveVisit = {
      id: visit.id,
      number: visit.number,
      carId: car.id,
      arrivedAt: visit.arrivedAt.toISOString(),
      closedAt: visit.closedAt?.toISOString() ?? null,
      entries: (entriesOf.get(visit.id) ?? []).map((row) => ({
        ...entryRecord(row),
        savedAt: row.createdAt.toISOString(),
      })),
      decisions: (decisionsOf.get(visit.id) ?? []).map((one) => ({
        id: one.id,
        action: one.action,
        advised: one.advised,
        replace: one.replace,
        answer: one.answer,
        reason: one.reason,
        diagnosis: one.diagnosis,
        entrySeq: one.entrySeq,
        personId: one.personId,
        at: one.createdAt.toISOString(),
      })),
      photos: pictures.map((one) => ({
        id: one.id,
        file: `photos/${one.id}.${endingOf(one.type)}`,
        subject: one.subject,
        personId: one.personId,
        at: one.createdAt.toISOString(),
      })),
      links: (linksOf.get(visit.id) ?? []).map((one) => ({
        id: one.id,
        token: one.token,
        paper: one.paper,
        endsAt: one.endsAt.toISOString(),
        opened: one.opened,
        personId: one.personId,
        at: one.createdAt.toISOString(),
      })),
    };
    add(`${folder}/visit.json`, jsonOf(archived));
    const label = [car.label, car.plate].filter(Boolean).join(', ');
    add(`${folder}/case.keen.json`, jsonOf(draftToCase(visit.draft, label).file));
    const tables = { readings: readingRows, angles: angleRows, estimate: estimateRows };
    for (const [name, rowsOf] of Object.entries(tables)) {
      const table = rowsOf(visit.draft);
      if (table.length > 1) {
        add(`${folder}/${name}.csv`, Buffer.from(`${Papa.unparse(table)}\r\n`));
      }
    }
    pictures.forEach((one, i) => add(`${folder}/${archived.photos[i]!.file}`, one.picture, true));
  }
}

function byVisit<Row extends { visitId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const map = new Map<string, Row[]>();
  for (const row of rows) {
    const list = map.get(row.visitId);
    if (list) list.push(row);
    else map.set(row.visitId, [row]);
  }
  return map;
}

function endingOf(type: 'image/jpeg' | 'image/png'): string {
  return type === 'image/png' ? 'png' : 'jpg';
}
