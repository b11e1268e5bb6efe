import { z } from 'zod';
import { momentSchema, rowNumberSchema } from './storable.ts';
import { shopConstantsSchema } from './shopConstants.ts';
import { ACTIONS, LEARNING_STAGES, LEARNING_STATES } from './words.ts';

/** What the shop's own cars teach of the constants that the diagnosis uses. */

/** A figure that was learned, with its standard deviation. */
const figureSchema = z.strictObject({ value: z.number(), sd: z.number() });

/** A car that would have been advised otherwise. */
const otherAdviceSchema = z.strictObject({
  visitId: z.uuid(),
  before: z.enum(ACTIONS),
  after: z.enum(ACTIONS),
});

/** What a run found, as it is stored. */
export const learningResultSchema = z.strictObject({
  constants: shopConstantsSchema,
  traits: z.strictObject({
    wearRate: figureSchema,
    frontToRear: figureSchema,
    crown: figureSchema,
    hand: figureSchema,
  }),
  faultRates: z.strictObject({
    frontToe: figureSchema,
    rearToe: figureSchema,
    camber: figureSchema,
    pressure: figureSchema,
    bounce: figureSchema,
    looseness: figureSchema,
    hardCornering: figureSchema,
  }),
  lines: z
    .array(z.strictObject({ line: z.string(), cars: rowNumberSchema, rate: figureSchema }))
    .max(200),
  cars: rowNumberSchema,
  /** The part of what was learned that `constants` use, 0 to 1. */
  used: z.number().min(0).max(1),
  /** How much likelier a car's reading is with them, ln, on cars that they were not learned from. */
  gain: z.strictObject({
    mean: z.number(),
    interval: z.strictObject({ low: z.number(), high: z.number() }).nullable(),
  }),
  /** The latest cars, advised with and without them. */
  tried: z.strictObject({ cars: rowNumberSchema, changed: z.array(otherAdviceSchema).max(200) }),
});
export type LearningResult = z.infer<typeof learningResultSchema>;

/** A run as the archive has it: only those that ended well. */
export const archiveLearningSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    version: z.int().min(1),
    personId: z.uuid(),
    at: momentSchema,
    /** Since when new visits use it; null where they do not. */
    usedSince: momentSchema.nullable(),
    result: learningResultSchema,
  }),
);

export const learningRunSchema = z
  .strictObject({
    id: z.uuid(),
    /** Counted up within the shop. */
    version: z.int().min(1),
    personId: z.uuid(),
    at: momentSchema,
    state: z.enum(LEARNING_STATES),
    stage: z.enum(LEARNING_STAGES),
    /** Steps done, of all. */
    done: rowNumberSchema,
    total: rowNumberSchema,
    usedSince: momentSchema.nullable(),
    result: learningResultSchema
      .extend({
        tried: z.strictObject({
          cars: rowNumberSchema,
          changed: z.array(
            otherAdviceSchema.extend({ number: rowNumberSchema, plate: z.string() }),
          ),
        }),
      })
      .nullable(),
  })
  .meta({ id: 'LearningRun' });
export type LearningRun = z.infer<typeof learningRunSchema>;

export const learningSchema = z
  .strictObject({
    /** Latest first. */
    runs: z.array(learningRunSchema),
    /** Cars whose tread was read, as far as they are looked at. */
    cars: rowNumberSchema,
    /** Fewer than this teach nothing. */
    leastCars: rowNumberSchema,
  })
  .meta({ id: 'Learning' });
export type Learning = z.infer<typeof learningSchema>;

/** Asking twice with the same id starts once. */
export const newLearningRunSchema = z.strictObject({ id: z.uuid() }).meta({ id: 'NewLearningRun' });
export type NewLearningRun = z.infer<typeof newLearningRunSchema>;

/** Stops a run, or goes on with it. */
export const changeLearningRunSchema = z
  .strictObject({ state: z.enum(['running', 'canceled']) })
  .meta({ id: 'ChangeLearningRun' });

/** Which run new visits use; null for the usual constants. */
export const useLearnedSchema = z
  .strictObject({ runId: z.uuid().nullable() })
  .meta({ id: 'UseLearned' });
export type UseLearned = z.infer<typeof useLearnedSchema>;
