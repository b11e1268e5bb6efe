import { DEFAULT_PREFERENCES } from '@keen/contract';
import { draftToCase, foldEntries } from '@keen/core';
import { makeDemoShop, planYears } from '@keen/demo';
import type { DemoShop, DemoVisit } from '@keen/demo';
import type { Database, Handle } from '../db/client.ts';
import { plateKeyOf } from '../db/plateKey.ts';
import {
  accounts,
  gaugeStudies,
  instrumentChecks,
  instruments,
  people,
  shops,
  specSheets,
  studyReadings,
  vehicles,
} from '../db/schema/index.ts';
import type { DiagnosisPool } from '../jobs/diagnosisPool.ts';
import { adviseDemo } from './adviseDemo.ts';
import { saveVisit, visitNumbers } from './saveVisit.ts';

/**
 * Loads the made-up shop into an empty database; does nothing when any shop is there.
 * @param yearsCars - cars of the shop's past that follow while it is open: their visits' numbers stay free
 */
export async function loadDemo(
  db: Database,
  diagnoses: DiagnosisPool,
  progress: (text: string) => void,
  yearsCars = 0,
): Promise<boolean> {
  if ((await db.$count(shops)) > 0) return false;
  const now = new Date();
  const demo = makeDemoShop(now.toISOString());
  const shopId = demo.shop.id;
  const numbers = visitNumbers([
    ...demo.visits,
    ...planYears(now.toISOString(), yearsCars).flatMap((car) => car.visits),
  ]);
  const kept = await preparedVisits(demo.visits, demo.vehicles, diagnoses, progress);
  await db.transaction(async (tx) => {
    // The past is counted from this moment, however much later it is made.
    await tx.insert(shops).values({ ...demo.shop, isDemo: true, createdAt: now });
    await tx.insert(accounts).values(demo.people.map(({ id, email }) => ({ id, email })));
    await tx.insert(people).values(
      demo.people.map(({ id, name, role }) => ({
        id,
        shopId,
        accountId: id,
        name,
        role,
        preferences: DEFAULT_PREFERENCES,
      })),
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
    for (const { visit, draft, decision } of kept) {
      await saveVisit(tx, shopId, numbers.get(visit.id)!, { ...visit, draft, decision });
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
async function preparedVisits(
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
      const answer = await diagnoses.diagnose({ file, personId: visit.id });
      const { action: advised, replace, diagnosis, forecast } = adviseDemo(answer, draft);
      progress(`working out the demo shop's past: ${++done} of ${total}`);
      return {
        visit,
        draft,
        decision: {
          ...visit.decision,
          action: advised,
          advised,
          replace,
          diagnosis,
          forecast: forecast({ action: advised, replace, answer: visit.decision.answer }),
          entrySeq: visit.entries.length,
          createdAt: new Date(Date.parse(visit.arrivedAt) + 40 * 60_000).toISOString(),
        },
      };
    }),
  );
}
