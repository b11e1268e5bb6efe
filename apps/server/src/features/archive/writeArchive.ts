import type { ArchiveVisit } from '@keen/contract';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from '@keen/contract';
import { angleRows, draftToCase, estimateRows, readingRows } from '@keen/core';
import { asc, eq } from 'drizzle-orm';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import Papa from 'papaparse';
import type { Database } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import {
  decisions,
  entries,
  people,
  photos,
  shopLogos,
  shops,
  specSheets,
  vehicles,
  visits,
} from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const READ_ME = `A shop as open files.

shop.json, people.json, cars.json, sheets.json  what the shop has, without passwords
visits/NUMBER-PLATE/visit.json                  everything entered and decided, with who and when
visits/NUMBER-PLATE/case.keen.json              the case file of the tread diagnosis
visits/NUMBER-PLATE/*.csv                       readings (mm), angles (degrees), estimate
visits/NUMBER-PLATE/photos/                     pictures

The JSON files bring the shop in again; the tables are for other programs.
`;

type Write = (chunk: Uint8Array) => Promise<void>;

/**
 * Writes the whole shop as a zip, one visit after another, so that a large shop needs little memory.
 * @param write - takes the next bytes, and resolves when more may come
 */
export async function writeArchive(db: Database, actor: Actor, write: Write): Promise<void> {
  const chunks: Uint8Array[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) failure = error;
    else chunks.push(chunk);
  });
  const flush = async () => {
    if (failure) throw failure;
    for (const chunk of chunks.splice(0)) await write(chunk);
  };
  const addText = (name: string, text: string) => {
    const file = new ZipDeflate(name, { level: 6 });
    zip.add(file);
    file.push(strToU8(text), true);
  };
  const addJson = (name: string, value: unknown) =>
    addText(name, `${JSON.stringify(value, null, 1)}\n`);
  // Pictures are packed already.
  const addBytes = (name: string, bytes: Uint8Array) => {
    const file = new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
  };

  await addShop(db, actor, addText, addJson, addBytes);
  await flush();
  const list = await db
    .select({ id: visits.id })
    .from(visits)
    .where(eq(visits.shopId, actor.shopId))
    .orderBy(asc(visits.number));
  for (const { id } of list) {
    await addVisit(db, id, addText, addJson, addBytes);
    await flush();
  }
  zip.end();
  await flush();
}

type AddText = (name: string, text: string) => void;
type AddJson = (name: string, value: unknown) => void;
type AddBytes = (name: string, bytes: Uint8Array) => void;

async function addShop(
  db: Database,
  { shopId }: Actor,
  addText: AddText,
  addJson: AddJson,
  addBytes: AddBytes,
): Promise<void> {
  const [shop] = await db.select().from(shops).where(eq(shops.id, shopId));
  if (!shop) throw notFound('shop');
  addText('README.txt', READ_ME);
  addJson('shop.json', {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    exportedAt: new Date().toISOString(),
    name: shop.name,
    town: shop.town,
    settings: settingsOf(shop),
  });
  const [logo] = await db.select().from(shopLogos).where(eq(shopLogos.shopId, shopId));
  if (logo) addBytes(`logo.${endingOf(logo.type)}`, logo.picture);
  const staff = await db.select().from(people).where(eq(people.shopId, shopId));
  addJson(
    'people.json',
    staff.map(({ id, name, email, role, preferences }) => ({ id, name, email, role, preferences })),
  );
  const cars = await db.select().from(vehicles).where(eq(vehicles.shopId, shopId));
  addJson(
    'cars.json',
    cars.map(({ id, plate, label, customer, phone, vin }) => ({
      id,
      plate,
      label,
      customer,
      phone,
      vin,
    })),
  );
  const sheets = await db
    .select()
    .from(specSheets)
    .where(eq(specSheets.shopId, shopId))
    .orderBy(asc(specSheets.sheetId), asc(specSheets.revision));
  addJson(
    'sheets.json',
    sheets.map((row) => ({
      id: row.sheetId,
      revisionId: row.id,
      revision: row.revision,
      sheet: row.sheet,
      retired: row.retired,
      personId: row.personId,
      enteredAt: row.createdAt.toISOString(),
    })),
  );
}

async function addVisit(
  db: Database,
  id: string,
  addText: AddText,
  addJson: AddJson,
  addBytes: AddBytes,
): Promise<void> {
  const [row] = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .where(eq(visits.id, id));
  if (!row) return;
  const { visits: visit, vehicles: car } = row;
  const [kept, decided, pictures] = await Promise.all([
    db.select().from(entries).where(eq(entries.visitId, id)).orderBy(asc(entries.seq)),
    db.select().from(decisions).where(eq(decisions.visitId, id)).orderBy(asc(decisions.createdAt)),
    db.select().from(photos).where(eq(photos.visitId, id)).orderBy(asc(photos.createdAt)),
  ]);
  const folder = `visits/${String(visit.number).padStart(5, '0')}-${car.plateKey}`;
  const archived: ArchiveVisit = {
    id,
    number: visit.number,
    carId: car.id,
    arrivedAt: visit.arrivedAt.toISOString(),
    closedAt: visit.closedAt?.toISOString() ?? null,
    entries: kept.map(entryRecord),
    decisions: decided.map((one) => ({
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
  };
  addJson(`${folder}/visit.json`, archived);
  const label = [car.label, car.plate].filter(Boolean).join(', ');
  addJson(`${folder}/case.keen.json`, draftToCase(visit.draft, label).file);
  const tables = { readings: readingRows, angles: angleRows, estimate: estimateRows };
  for (const [name, rowsOf] of Object.entries(tables)) {
    const rows = rowsOf(visit.draft);
    if (rows.length > 1) addText(`${folder}/${name}.csv`, `${Papa.unparse(rows)}\r\n`);
  }
  pictures.forEach((one, i) => addBytes(`${folder}/${archived.photos[i]!.file}`, one.picture));
}

function endingOf(type: 'image/jpeg' | 'image/png'): string {
  return type === 'image/png' ? 'png' : 'jpg';
}
