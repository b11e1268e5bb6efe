import type { Language, Units } from '@keen/contract';
import type { EarlierVisit, PaperFacts } from '@keen/core';
import { declinedBefore, draftToCase, weighVisit } from '@keen/core';
import { and, desc, eq, ne } from 'drizzle-orm';
import type { Database } from '../../db/client.ts';
import { decisions, people, shopLogos, shops, vehicles, visits } from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import type { DiagnosisPool } from '../../jobs/diagnosisPool.ts';

/**
 * What the papers of a visit are made of: the full answer to what is known now, what was decided, and the
 * customer's language and units, or those asked for.
 */
export async function paperFacts(
  db: Database,
  diagnoses: DiagnosisPool,
  actor: Actor,
  id: string,
  asked: { language?: Language | undefined; units?: Units } = {},
): Promise<PaperFacts> {
  const [row] = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .innerJoin(shops, eq(shops.id, visits.shopId))
    .leftJoin(shopLogos, eq(shopLogos.shopId, visits.shopId))
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
  const settings = settingsOf(row.shops);
  const { draft, number, arrivedAt } = row.visits;
  const { diagnosis, expectedMm, outlook } = await diagnoses.diagnose(draftToCase(draft, '').file);
  const logo = row.shop_logos;
  return {
    shop: {
      name: row.shops.name,
      town: row.shops.town,
      settings,
      logo: logo && `data:${logo.type};base64,${logo.picture.toString('base64')}`,
    },
    visit: { number, arrivedAt: arrivedAt.toISOString(), draft },
    vehicle: row.vehicles,
    advisor: advisor?.name ?? '',
    diagnosis,
    expectedMm,
    outlook,
    weighing: weighVisit(outlook, settings.prices, draft),
    decision: decision ?? null,
    declined: declinedBefore(
      await earlierVisits(db, row.visits),
      draft,
      diagnosis,
      settings.prices,
    ),
    language: asked.language ?? draft.visit?.handOver?.language ?? 'en',
    units:
      asked.units ?? draft.visit?.handOver?.units ?? reader?.preferences.units ?? settings.units,
  };
}

/** Earlier visits of the same car, latest first, each with its last decision. */
async function earlierVisits(
  db: Database,
  { id, vehicleId }: Pick<typeof visits.$inferSelect, 'id' | 'vehicleId'>,
): Promise<EarlierVisit[]> {
  const rows = await db
    .selectDistinctOn([visits.arrivedAt, visits.id])
    .from(visits)
    .leftJoin(decisions, eq(decisions.visitId, visits.id))
    .where(and(eq(visits.vehicleId, vehicleId), ne(visits.id, id)))
    .orderBy(desc(visits.arrivedAt), visits.id, desc(decisions.createdAt));
  return rows.map((row) => ({
    number: row.visits.number,
    arrivedAt: row.visits.arrivedAt.toISOString(),
    draft: row.visits.draft,
    decision: row.decisions,
  }));
}
