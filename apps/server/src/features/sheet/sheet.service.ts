import { draftToCase, weighVisit } from '@keen/core';
import { and, desc, eq } from 'drizzle-orm';
import type { Database } from '../../db/client.ts';
import { decisions, people, shops, vehicles, visits } from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import type { DiagnosisPool } from '../../jobs/diagnosisPool.ts';
import { renderPdf } from './renderPdf.ts';
import type { Paper } from './sheetData.ts';
import { sheetDocument } from './sheetDocument.ts';

/** The customer's sheet: the full answer to what is known now, and what was decided. */
export async function makeSheet(
  db: Database,
  diagnoses: DiagnosisPool,
  actor: Actor,
  id: string,
  paper: Paper,
): Promise<{ pdf: Buffer; number: number }> {
  const [row] = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .innerJoin(shops, eq(shops.id, visits.shopId))
    .where(and(eq(visits.id, id), eq(visits.shopId, actor.shopId)));
  if (!row) throw notFound('visit');
  const [decision] = await db
    .select()
    .from(decisions)
    .where(eq(decisions.visitId, id))
    .orderBy(desc(decisions.createdAt))
    .limit(1);
  const [advisor] = await db
    .select()
    .from(people)
    .where(eq(people.id, decision?.personId ?? actor.personId));
  const [reader] = await db.select().from(people).where(eq(people.id, actor.personId));
  if (!reader) throw notFound('person');
  const label = [row.vehicles.label, row.vehicles.plate].filter(Boolean).join(', ');
  const settings = settingsOf(row.shops);
  const { diagnosis, expectedMm, outlook } = await diagnoses.diagnose(
    draftToCase(row.visits.draft, label).file,
  );
  const pdf = await renderPdf(
    sheetDocument(
      {
        shop: { name: row.shops.name, town: row.shops.town, settings },
        visit: row.visits,
        vehicle: row.vehicles,
        advisor: advisor?.name ?? reader.name,
        diagnosis,
        expectedMm,
        outlook,
        weighing: weighVisit(outlook, settings.prices, row.visits.draft),
        decision: decision ?? null,
        preferences: reader.preferences,
      },
      paper,
    ),
  );
  return { pdf, number: row.visits.number };
}
