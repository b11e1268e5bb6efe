import type { AuditKind, AuditPage } from '@keen/contract';
import { desc, eq, and, lt } from 'drizzle-orm';
import { z } from 'zod';
import type { Handle } from '../../db/client.ts';
import { auditLog } from '../../db/schema/index.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody } from '../../http/validate.ts';

const PAGE = 100;
const querySchema = z.object({
  /** Where the page before ended. */
  before: z.coerce.number().int().min(1).max(Number.MAX_SAFE_INTEGER).optional(),
});

/** Who did what, for the lead. */
export function mountAudit(routes: Routes): void {
  routes.on('get', '/shop/audit', 'readAudit', async ({ req, res, actor, inShop }) => {
    const { before } = validBody(querySchema, req.query);
    res.json(await inShop((tx) => auditPage(tx, actor.shopId, before)));
  });
}

async function auditPage(
  tx: Handle,
  shopId: string,
  before: number | undefined,
): Promise<AuditPage> {
  const rows = await tx
    .select()
    .from(auditLog)
    .where(
      and(eq(auditLog.shopId, shopId), ...(before === undefined ? [] : [lt(auditLog.id, before)])),
    )
    .orderBy(desc(auditLog.id))
    .limit(PAGE);
  return {
    events: rows.map(({ id, kind, personId, detail, address, at }) => ({
      id,
      kind: kind as AuditKind,
      personId,
      detail,
      address,
      at: at.toISOString(),
    })),
    next: rows.length === PAGE ? (rows.at(-1)?.id ?? null) : null,
  };
}
