import type { CaseFile, Language, Units } from '@keen/contract';
import type { EarlierVisit, FullAnswer, PaperFacts } from '@keen/core';
import { declinedBefore, draftToCase, rankVisitOptions } from '@keen/core';
import { and, desc, eq, lt, ne } from 'drizzle-orm';
import type { Handle, InShop } from '../../db/client.ts';
import { decisions, people, shopLogos, shops, vehicles, visits } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/**
 * What the papers of a visit are made of: the full answer to what is known now, what was decided, and the
 * customer's language and units, or those asked for.
 */
export async function paperFacts(
  inShop: InShop,
  diagnose: (file: CaseFile) => Promise<FullAnswer>,
  actor: Actor,
  id: string,
  asked: { language?: Language | undefined; units?: Units } = {},
): Promise<PaperFacts> {
  const stored = await inShop((tx) => storedFacts(tx, actor, id));
  const { shop, settings, visit, vehicle, logo, decision, advisor, reader, earlier } = stored;
  const { draft, number, arrivedAt } = visit;
  const before = { arrivedAt: arrivedAt.toISOString(), others: earlier };
  const { file } = draftToCase(draft, '', {}, before);
  const { diagnosis, expectedMm, outlook } = await diagnose(file);
  return {
    shop: {
      name: shop.name,
      town: shop.town,
      settings,
      logo: logo && `data:${logo.type};base64,${logo.picture.toString('base64')}`,
    },
    visit: { number, arrivedAt: arrivedAt.toISOString(), draft },
    file,
    vehicle,
    advisor: advisor?.name ?? '',
    diagnosis,
    expectedMm,
    outlook,
    weighing: rankVisitOptions(
      outlook,
      settings.prices,
      draft,
      decision?.replace ?? diagnosis.recommendation.replace,
    ),
    decision: decision ?? null,
    declined: declinedBefore(earlier, draft, diagnosis, settings.prices),
    language: asked.language ?? draft.visit?.handOver?.language ?? 'en',
    units:
      asked.units ?? draft.visit?.handOver?.units ?? reader?.preferences.units ?? settings.units,
  };
}

async function storedFacts(tx: Handle, actor: Actor, id: string) {
  const [row] = await tx
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .innerJoin(shops, eq(shops.id, visits.shopId))
    .leftJoin(shopLogos, eq(shopLogos.shopId, visits.shopId))
    .where(and(eq(visits.id, id), eq(visits.shopId, actor.shopId)));
  if (!row) throw notFound('noVisit');
  const [decision] = await tx
    .select()
    .from(decisions)
    .where(eq(decisions.visitId, id))
    .orderBy(desc(decisions.createdAt))
    .limit(1);
  const [advisor] = await tx
    .select()
    .from(people)
    .where(eq(people.id, decision?.personId ?? actor.personId));
  const [reader] = await tx.select().from(people).where(eq(people.id, actor.personId));
  const earlier = await earlierVisits(tx, row.visits);
  return {
    shop: row.shops,
    settings: await shopSettings(tx, actor.shopId),
    visit: row.visits,
    vehicle: row.vehicles,
    logo: row.shop_logos,
    decision,
    advisor,
    reader,
    earlier,
  };
}

/** Earlier visits of the same car, latest first, each with its last decision. */
async function earlierVisits(
  tx: Handle,
  { id, vehicleId, arrivedAt }: Pick<typeof visits.$inferSelect, 'id' | 'vehicleId' | 'arrivedAt'>,
): Promise<EarlierVisit[]> {
  const rows = await tx
    .selectDistinctOn([visits.arrivedAt, visits.id])
    .from(visits)
    .leftJoin(decisions, eq(decisions.visitId, visits.id))
    .where(and(eq(visits.vehicleId, vehicleId), ne(visits.id, id), lt(visits.arrivedAt, arrivedAt)))
    .orderBy(desc(visits.arrivedAt), visits.id, desc(decisions.createdAt));
  return rows.map((row) => ({
    number: row.visits.number,
    arrivedAt: row.visits.arrivedAt.toISOString(),
    draft: row.visits.draft,
    decision: row.decisions,
  }));
}
