import type { CaseFile } from '@keen/contract';
import { createDiagnosisRun } from '@keen/core';
import { liveYears, makeDemoShop, planYears } from '@keen/demo';
import { eq } from 'drizzle-orm';
import { connect, PATIENT_CONNECT_MS } from '../db/client.ts';
import type { Database } from '../db/client.ts';
import { plateKeyOf } from '../db/plateKey.ts';
import { shops, vehicles, visits } from '../db/schema/index.ts';
import { workOnce } from '../jobs/workOnce.ts';
import { adviseDemo } from './adviseDemo.ts';
import { saveVisit, visitNumbers } from './saveVisit.ts';

/** A part of the demo shop's past to make up. */
export interface YearsOrder {
  ownerUrl: string;
  /** In all. */
  cars: number;
  /** This process makes every so-manieth car, beginning with this one. */
  part: number;
  parts: number;
}

/** Told as cars are there: how many more; or that this shop has no place for a past. */
export type YearsMessage = { made: number } | { hasNoPlace: true };

workOnce(makeYears);

async function makeYears({ ownerUrl, cars, part, parts }: YearsOrder): Promise<void> {
  const { db, pool } = connect(ownerUrl, { connectMs: PATIENT_CONNECT_MS });
  const [shop] = await db.select().from(shops).where(eq(shops.isDemo, true));
  if (shop) await makeCars(db, shop, cars, (index) => index % parts === part);
  await pool.end();
}

async function makeCars(
  db: Database,
  shop: { id: string; createdAt: Date },
  count: number,
  isOwn: (index: number) => boolean,
): Promise<void> {
  const now = shop.createdAt.toISOString();
  const demo = makeDemoShop(now);
  const planned = planYears(now, count);
  const numbers = visitNumbers([...demo.visits, ...planned.flatMap((car) => car.visits)]);
  const latest = demo.visits.at(-1)!;
  const [kept] = await db.select().from(visits).where(eq(visits.id, latest.id));
  // Loaded without a past: no numbers were left free among its visits.
  if (kept?.number !== numbers.get(latest.id)) return tell({ hasNoPlace: true });
  const own = planned.filter((_, index) => isOwn(index));
  const known = new Set(
    (await db.select({ id: vehicles.id }).from(vehicles).where(eq(vehicles.shopId, shop.id))).map(
      ({ id }) => id,
    ),
  );
  const advisors = demo.people.filter(({ role }) => role === 'advisor').map(({ id }) => id);
  tell({ made: own.filter(({ vehicle }) => known.has(vehicle.id)).length });
  for (const car of own.filter(({ vehicle }) => !known.has(vehicle.id))) {
    const lived = liveYears(car, advisors, (file, draft) => adviseDemo(diagnose(file), draft));
    // A car comes in whole or not at all, so that making them can break off anywhere.
    await db.transaction(async (tx) => {
      const { vehicle } = car;
      const createdAt = new Date(lived[0]!.arrivedAt);
      const plateKey = plateKeyOf(vehicle.plate);
      await tx.insert(vehicles).values({ ...vehicle, shopId: shop.id, plateKey, createdAt });
      for (const visit of lived) {
        const whole = { ...visit, vehicleId: vehicle.id };
        await saveVisit(tx, shop.id, numbers.get(visit.id)!, whole);
      }
    });
    tell({ made: 1 });
  }
}

/** Some 900 of these are made, so each rests on fewer sweeps than an answer that somebody waits for. */
const SWEEPS = 1_000;

function diagnose(file: CaseFile) {
  const run = createDiagnosisRun(file);
  run.step(SWEEPS);
  return {
    diagnosis: run.answer().diagnosis,
    outlook: run.outlook(),
    ribsAfter: run.ribsAfter(),
  };
}

function tell(told: YearsMessage): void {
  process.send?.(told);
}
