import { z } from 'zod';
import { momentSchema } from './storable.ts';

/** What the shop's log of safety has words for. */
export const AUDIT_KINDS = [
  'signIn',
  'signInFailed',
  'signOut',
  'refused',
  'settings',
  'logo',
  'personAdded',
  'personChanged',
  'passwordChanged',
  'passwordLink',
  'secondFactor',
  'constants',
  'archiveOut',
  'archiveIn',
  'customerShown',
  'customerExported',
  'customerErased',
  'keyMade',
  'keyChanged',
  'keyRevoked',
  'batchPosted',
  'chainMade',
  'shopOpened',
  'carCodeMade',
  'carTaken',
  'retention',
  'backup',
] as const;
export type AuditKind = (typeof AUDIT_KINDS)[number];

export const auditEventSchema = z.strictObject({
  id: z.int(),
  kind: z.enum(AUDIT_KINDS),
  /** Null for what the server did by itself, or where nobody is known. */
  personId: z.uuid().nullable(),
  detail: z.record(z.string(), z.union([z.string(), z.number()])),
  address: z.string(),
  at: momentSchema,
});
export type AuditEvent = z.infer<typeof auditEventSchema>;

/** A page of the log, latest first, and where the next one begins. */
export const auditPageSchema = z
  .strictObject({ events: z.array(auditEventSchema), next: z.int().nullable() })
  .meta({ id: 'AuditPage' });
export type AuditPage = z.infer<typeof auditPageSchema>;
