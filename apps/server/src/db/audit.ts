import type { AuditKind } from '@keen/contract';
import type { Handle } from './client.ts';
import { auditLog } from './schema/index.ts';

/**
 * Writes down who did something that matters to the shop's safety. Details are names and numbers of
 * ours, never what was typed about a customer.
 * @param who - the person; null where it is not known or nobody's doing
 * @param address - where it came from
 */
export async function addAudit(
  tx: Handle,
  who: { shopId: string; personId: string | null },
  kind: AuditKind,
  detail: Record<string, string | number> = {},
  address = '',
): Promise<void> {
  await tx
    .insert(auditLog)
    .values({ shopId: who.shopId, personId: who.personId, kind, detail, address });
}
