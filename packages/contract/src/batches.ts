import { z } from 'zod';
import { diagnosisSchema } from './diagnosis.ts';
import { expectationFields } from './expectationFields.ts';
import { momentSchema } from './storable.ts';

/** Cases in one batch, bytes of one line and of all of it. */
export const BATCH_LIMITS = { cases: 5_000, lineBytes: 262_144, bytes: 67_108_864 } as const;
/** Days that a batch and its answers are kept after its end. */
export const BATCH_KEPT_DAYS = 7;

export const BATCH_STATES = ['running', 'done', 'canceled'] as const;
export type BatchState = (typeof BATCH_STATES)[number];

export const CALLBACK_STATES = ['waiting', 'delivered', 'failed'] as const;
export type CallbackState = (typeof CALLBACK_STATES)[number];

export const newBatchQuerySchema = z
  .strictObject({
    /** Chosen by the program that asks; the same again begins nothing new. */
    id: z.uuid().toLowerCase().optional(),
    name: z.string().trim().max(80).optional(),
    /** Called with a signed request at the end; https, unless the installation allows others. */
    callback: z
      .url({ protocol: /^https?$/ })
      .max(500)
      .optional(),
  })
  .meta({ id: 'NewBatchQuery' });
export type NewBatchQuery = z.infer<typeof newBatchQuerySchema>;

/** Many cases that are diagnosed when there is room. */
export const batchSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string(),
    /** Name of the key that it came with. */
    key: z.string(),
    state: z.enum(BATCH_STATES),
    cases: z.int().min(0),
    /** Answered or refused so far. */
    done: z.int().min(0),
    /** Lines that are no case, or cases that cannot be diagnosed. */
    refused: z.int().min(0),
    createdAt: momentSchema,
    endedAt: momentSchema.nullable(),
    callback: z
      .strictObject({
        url: z.string(),
        state: z.enum(CALLBACK_STATES),
        /** HTTP status of the last try; null before one was answered. */
        status: z.int().nullable(),
      })
      .nullable(),
  })
  .meta({ id: 'Batch' });
export type Batch = z.infer<typeof batchSchema>;

export const batchListSchema = z.array(batchSchema).meta({ id: 'Batches' });

export const batchResultsQuerySchema = z
  .strictObject({
    /** Line after which the page begins. */
    after: z.coerce.number().int().min(0).default(0),
    limit: z.coerce.number().int().min(1).max(200).default(50),
  })
  .meta({ id: 'BatchResultsQuery' });

/** What became of one line: its answer, what is wrong with it, or neither while it waits. */
export const batchResultSchema = z
  .strictObject({
    /** Number of the line in what was posted, from 1. */
    line: z.int().min(1),
    answer: diagnosisSchema.nullable(),
    error: z.strictObject({ path: z.string(), ...expectationFields }).nullable(),
  })
  .meta({ id: 'BatchResult' });
export type BatchResult = z.infer<typeof batchResultSchema>;

/** A page of answers, by line. */
export const batchResultsSchema = z
  .strictObject({
    results: z.array(batchResultSchema),
    /** Line to ask on after; null at the end. */
    next: z.int().nullable(),
  })
  .meta({ id: 'BatchResults' });
export type BatchResults = z.infer<typeof batchResultsSchema>;

/** What a call back says; the answers are to be fetched. */
export const batchCallbackSchema = z
  .strictObject({
    type: z.literal('batch.ended'),
    timestamp: momentSchema,
    data: z.strictObject({
      id: z.uuid(),
      cases: z.int(),
      refused: z.int(),
    }),
  })
  .meta({ id: 'BatchCallback' });
export type BatchCallback = z.infer<typeof batchCallbackSchema>;
