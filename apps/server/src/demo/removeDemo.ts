import { eq, notExists, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import type { Database } from '../db/client.ts';
import {
  accounts,
  adviceDays,
  apiKeys,
  auditLog,
  batchCases,
  batches,
  carCodes,
  carMerges,
  chainLeads,
  chainLog,
  chainSheets,
  chains,
  customerMerges,
  decisions,
  entries,
  gaugeStudies,
  instrumentChecks,
  instruments,
  learningEvidence,
  learningRuns,
  passwordLinks,
  people,
  photos,
  practiceDeals,
  practiceDrills,
  practiceTries,
  sheetLinks,
  shopLogos,
  shops,
  specSheets,
  studyReadings,
  tireLines,
  vehicles,
  visits,
} from '../db/schema/index.ts';

/** Removes the made-up shop with all its rows, so that it can be reloaded. */
export async function removeDemo(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    const demo = await tx.select({ id: shops.id }).from(shops).where(eq(shops.isDemo, true));
    for (const { id } of demo) {
      for (const table of [
        adviceDays,
        auditLog,
        batchCases,
        batches,
        apiKeys,
        carCodes,
        carMerges,
        customerMerges,
        studyReadings,
        gaugeStudies,
        instrumentChecks,
        instruments,
        learningEvidence,
        learningRuns,
        passwordLinks,
        practiceDeals,
        practiceDrills,
        practiceTries,
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
      const worksNowhere = (accountId: AnyPgColumn) =>
        notExists(tx.select().from(people).where(eq(people.accountId, accountId)));
      await tx.delete(chainLeads).where(worksNowhere(chainLeads.accountId));
      await tx.delete(accounts).where(worksNowhere(accounts.id));
      await tx.execute(sql`delete from session where sess->>'shopId' = ${id}`);
      await tx.delete(shops).where(eq(shops.id, id));
    }
    // Chains of the made-up shop alone.
    const hasNoShop = (chainId: AnyPgColumn) =>
      notExists(tx.select().from(shops).where(eq(shops.chainId, chainId)));
    await tx.delete(chainSheets).where(hasNoShop(chainSheets.chainId));
    await tx.delete(chainLog).where(hasNoShop(chainLog.chainId));
    await tx.delete(chainLeads).where(hasNoShop(chainLeads.chainId));
    await tx.delete(chains).where(hasNoShop(chains.id));
  });
}
