import { z } from 'zod';
import { ANSWERS } from './api.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';
import { ACTIONS } from './words.ts';

/** What the shop's own work teaches: what was advised, and what customers said to it. */

/** Days that count, the first and the last; all of them where one is left out. */
export const insightQuerySchema = z.strictObject({
  from: z.iso.date().optional(),
  until: z.iso.date().optional(),
});
export type InsightQuery = z.infer<typeof insightQuerySchema>;

/** How many visits ended alike: the last decision of each visit counts. */
export const adviceCountSchema = z.strictObject({
  personId: z.uuid(),
  advised: z.enum(ACTIONS),
  /** What was chosen; another action than advised is a choice of the person's own. */
  chosen: z.enum(ACTIONS),
  answer: z.enum(ANSWERS),
  count: rowNumberSchema,
});
export type AdviceCount = z.infer<typeof adviceCountSchema>;
export const adviceSchema = z
  .strictObject({ counts: z.array(adviceCountSchema) })
  .meta({ id: 'Advice' });
export type Advice = z.infer<typeof adviceSchema>;

const intervalSchema = z.strictObject({ mean: z.number(), low: z.number(), high: z.number() });
/** How chances held that were said before the angles were measured. */
export const reliabilitySchema = z
  .strictObject({
    cars: rowNumberSchema,
    chances: rowNumberSchema,
    /** Too few cars to claim anything. */
    isTooFew: z.boolean(),
    bands: z.array(
      z.strictObject({
        from: z.number(),
        to: z.number(),
        /** Mean of the chances said in this band. */
        said: z.number(),
        /** What part of them came true. */
        found: z.strictObject({
          of: rowNumberSchema,
          count: rowNumberSchema,
          part: z.number(),
          low: z.number(),
          high: z.number(),
          isTooFew: z.boolean(),
        }),
      }),
    ),
    /** How many were to be expected, and how many there were. */
    expected: z.number(),
    found: rowNumberSchema,
    excess: intervalSchema,
    logLoss: z.number(),
    baseLogLoss: z.number(),
    gain: intervalSchema,
  })
  .meta({ id: 'Reliability' });

export const declinedQuerySchema = insightQuerySchema.extend({
  /** What the page before ended with. */
  before: momentSchema.optional(),
});
/** A visit whose customer said no. */
export const declinedRowSchema = z.strictObject({
  visitId: z.uuid(),
  number: rowNumberSchema,
  plate: z.string(),
  label: z.string(),
  at: momentSchema,
  chosen: z.enum(ACTIONS),
  reason: z.string(),
  personId: z.uuid(),
});
export type DeclinedRow = z.infer<typeof declinedRowSchema>;
/** Some of them, latest first. */
export const declinedPageSchema = z
  .strictObject({ rows: z.array(declinedRowSchema), before: momentSchema.nullable() })
  .meta({ id: 'DeclinedPage' });
export type DeclinedPage = z.infer<typeof declinedPageSchema>;
