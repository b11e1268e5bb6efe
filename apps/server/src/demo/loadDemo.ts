import { draftToCase, foldEntries, weighVisit } from '@keen/core';
import { makeDemoShop } from '@keen/demo';
import type { DemoShop, DemoVisit } from '@keen/demo';
import { eq, sql } from 'drizzle-orm';
import { DEFAULT_PREFERENCES, DEFAULT_PRICES } from '@keen/contract';
import type { Database, Handle } from '../db/client.ts';
import { plateKeyOf } from '../db/plateKey.ts';
import {
  auditLog,
  carMerges,
  decisions,
  entries,
  gaugeStudies,
  instrumentChecks,
  instruments,
  passwordLinks,
  people,
  photos,
  sheetLinks,
  shopLogos,
  shops,
  specSheets,
  studyReadings,
  tireLines,
  vehicles,
  visits,
} from '../db/schema/index.ts';
import type { DiagnosisPool } from '../jobs/diagnosisPool.ts';

/** Loads the made-up shop into an empty database; does nothing when any shop is there. */
export async function loadDemo(
  db: Database,
  diagnoses: DiagnosisPool,
  progress: (text: string) => void,
): Promise<boolean> {
  if ((await db.$count(shops)) > 0) return false;
  const demo = makeDemoShop(new Date().toISOString());
  const shopId = demo.shop.id;
  const kept = await keptVisits(demo.visits, demo.vehicles, diagnoses, progress);
  await db.transaction(async (tx) => {
    await tx.insert(shops).values({ ...demo.shop, isDemo: true });
    await tx
      .insert(people)
      .values(
        demo.people.map((person) => ({ ...person, shopId, preferences: DEFAULT_PREFERENCES })),
      );
    await tx.insert(vehicles).values(
      demo.vehicles.map((vehicle) => ({
        ...vehicle,
        shopId,
        plateKey: plateKeyOf(vehicle.plate),
      })),
    );
    await tx
      .insert(specSheets)
      .values(demo.sheets.map((sheet) => ({ ...sheet, shopId, revision: 1, retired: false })));
    await addGauges(tx, demo);
    for (const [index, { visit, draft, decision }] of kept.entries()) {
      await tx.insert(visits).values({
        id: visit.id,
        shopId,
        vehicleId: visit.vehicleId,
        number: index + 1,
        arrivedAt: new Date(visit.arrivedAt),
        closedAt: visit.closedAt ? new Date(visit.closedAt) : null,
        draft,
        seq: visit.entries.length,
      });
      await tx.insert(entries).values(
        visit.entries.map((entry, i) => ({
          ...entry,
          shopId,
          visitId: visit.id,
          seq: i + 1,
          personId: visit.personId,
          at: new Date(entry.at),
        })),
      );
      if (decision) await tx.insert(decisions).values({ ...decision, shopId });
    }
  });
  return true;
}

async function addGauges(tx: Handle, demo: DemoShop): Promise<void> {
  const shopId = demo.shop.id;
  for (const { checks, ...instrument } of demo.instruments) {
    await tx.insert(instruments).values({ ...instrument, shopId, retired: false });
    await tx.insert(instrumentChecks).values(
      checks.map(({ at, ...check }) => ({
        ...check,
        shopId,
        instrumentId: instrument.id,
        at: new Date(at),
      })),
    );
  }
  for (const { people: readers, readings, createdAt, closedAt, ...study } of demo.studies) {
    await tx.insert(gaugeStudies).values({
      ...study,
      shopId,
      readers,
      personId: readers[0]!,
      createdAt: new Date(createdAt),
      closedAt: closedAt === null ? null : new Date(closedAt),
    });
    await tx.insert(studyReadings).values(
      readings.map(({ person, at, ...reading }) => ({
        ...reading,
        shopId,
        studyId: study.id,
        reader: person,
        personId: readers[person]!,
        at: new Date(at),
      })),
    );
  }
}

/** Folds every visit and computes the diagnosis of those that were decided, on all workers. */
async function keptVisits(
  list: readonly DemoVisit[],
  cars: readonly { id: string; label: string; plate: string }[],
  diagnoses: DiagnosisPool,
  progress: (text: string) => void,
) {
  const total = list.filter((visit) => visit.decision).length;
  let done = 0;
  return Promise.all(
    list.map(async (visit) => {
      const draft = foldEntries({}, visit.entries);
      if (!visit.decision) return { visit, draft, decision: null };
      const car = cars.find(({ id }) => id === visit.vehicleId);
      const file = draftToCase(draft, [car?.label, car?.plate].filter(Boolean).join(', ')).file;
      const { diagnosis, outlook } = await diagnoses.diagnose({
        file,
        personId: visit.id,
      });
      const advised = weighVisit(outlook, DEFAULT_PRICES, draft, diagnosis.recommendation.replace)
        .advised.course;
      progress(`working out the demo shop's past: ${++done} of ${total}`);
      return {
        visit,
        draft,
        decision: {
          ...visit.decision,
          action: advised,
          advised,
          replace: diagnosis.recommendation.replace,
          visitId: visit.id,
          diagnosis,
          entrySeq: visit.entries.length,
          personId: visit.personId,
          createdAt: new Date(Date.parse(visit.arrivedAt) + 40 * 60_000),
        },
      };
    }),
  );
}

/** Removes the made-up shop with all its rows, so that it can be loaded anew. */
export async function removeDemo(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    const demo = await tx.select({ id: shops.id }).from(shops).where(eq(shops.isDemo, true));
    for (const { id } of demo) {
      for (const table of [
        auditLog,
        carMerges,
        studyReadings,
        gaugeStudies,
        instrumentChecks,
        instruments,
        passwordLinks,
        decisions,
        photos,
        sheetLinks,
        entries,
        // Search texts and due looks go with their visits.
        visits,
        tireLines,
        vehicles,
        specSheets,
        shopLogos,
        people,
      ]) {
        await tx.delete(table).where(eq(table.shopId, id));
      }
      await tx.execute(sql`delete from session where sess->>'shopId' = ${id}`);
      await tx.delete(shops).where(eq(shops.id, id));
    }
  });
}
