import { z } from 'zod';
import { issue, issueOf, validationIssuesOf } from '../validationIssue.ts';
import type { Right } from '../rights.ts';
import { momentSchema, rowNumberSchema, unstorable } from '../storable.ts';
import { PLACED_FIELDS } from './fields.ts';
import type { PlacedField } from './fieldTree.ts';

/**
 * A visit is what has been entered about it: an append-only list of entries, each setting one field
 * of the draft by its path. Values are in mm, km and kPa; `null` clears a field. Folding the
 * entries in order gives the draft; nothing is ever overwritten, so undo is one more entry.
 */

const FIELDS = new Map(PLACED_FIELDS.map((field) => [field.path, field]));

/** The schema of the value that a path takes, or undefined for a path that does not exist. */
export function entryValueSchema(path: string): z.ZodType | undefined {
  return FIELDS.get(path)?.schema;
}

/** Whether the visit has a field at that path which takes that value. */
export function visitTakes(path: string, value: unknown): boolean {
  return entryValueSchema(path)?.safeParse(value).success ?? false;
}

/** The right that writing a field takes beside working on visits; null for most. */
export function rightForPath(path: string): Right | null {
  return FIELDS.get(path)?.right ?? null;
}

/** Fields that say something of a person rather than of a car: erased with the customer. */
export const PERSONAL_PATHS: readonly string[] = pathsWhere(({ personal }) => personal);

/** Fields that the car's next visit starts with. */
export const CARRIED_PATHS: readonly string[] = pathsWhere(({ carries }) => carries);

function pathsWhere(holds: (field: PlacedField) => boolean | undefined): string[] {
  return PLACED_FIELDS.filter(holds).map(({ path }) => path);
}

const overSchema = z.array(z.uuid()).max(20);

export const entrySchema = z
  .strictObject({
    /** Made by the client, so that an entry sent twice counts once. */
    id: z.uuid(),
    path: z.string().max(80),
    value: z.unknown(),
    /** When it was entered, by the client's clock, UTC. */
    at: momentSchema,
    /**
     * Entries of the same field that were seen when this one was made. One that was not seen stands
     * beside it, until somebody who has seen both chooses.
     */
    over: overSchema.optional(),
  })
  .superRefine((entry, ctx) => {
    const schema = entryValueSchema(entry.path);
    if (!schema) {
      ctx.addIssue(issue(['path'], 'visitField'));
      return;
    }
    if (entry.value === null) return;
    const never = unstorable(entry.value);
    if (never) {
      const path = ['value', ...never.path.split('.').filter(Boolean)];
      ctx.addIssue(issueOf(path, never));
      return;
    }
    const result = schema.safeParse(entry.value);
    if (!result.success) {
      for (const refusal of validationIssuesOf(result.error)) {
        const path = ['value', ...refusal.path.split('.').filter(Boolean)];
        ctx.addIssue(issueOf(path, refusal));
      }
    }
  })
  .meta({ id: 'Entry' });
export type Entry = z.infer<typeof entrySchema>;

/** An entry as the server keeps it: numbered in the order it arrived, with who entered it. */
export const storedEntrySchema = z
  .strictObject({
    id: z.uuid(),
    path: z.string(),
    value: z.unknown(),
    at: momentSchema,
    seq: rowNumberSchema,
    personId: z.uuid(),
    over: overSchema.optional(),
  })
  .meta({ id: 'StoredEntry' });
export type StoredEntry = z.infer<typeof storedEntrySchema>;
