import type { CaseFile, Decision, NewDecision } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { forecastOf, rankVisitOptions } from '@keen/core';
import type { WholeAnswer } from '@keen/core';
import type { InShop } from '../../db/client.ts';
import { decisions } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { caseOf } from '../../db/visitCase.ts';
import { conflict, invalid } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { visitDetail } from './readVisits.ts';
import { decisionRecord } from '../../db/visitRecord.ts';

/**
 * Saves a decision beside the full diagnosis of that moment. Asking twice with the same id gives the
 * same decision. No transaction is open while the diagnosis is computed.
 * @param inShop - transactions of the asker's shop
 */
export async function decide(
  inShop: InShop,
  diagnose: (file: CaseFile) => Promise<WholeAnswer>,
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
  const { diagnosis, outlook, ribsAfter } = await diagnose(caseOf(detail));
  const advised = rankVisitOptions(outlook, prices, detail.visit.draft, order.replace).advised
    .course;
  if (order.action !== advised && order.reason === '') {
    throw invalid([validationIssue('reason', 'reasonForChoice')]);
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
        forecast: forecastOf(ribsAfter, order),
        entrySeq: detail.visit.seq,
        personId: actor.personId,
      })
      .onConflictDoNothing()
      .returning();
    if (!row) throw conflict('decisionSaving');
    await notifyLive(tx, { shopId: actor.shopId, visitId: id });
    return decisionRecord(row);
  });
}
