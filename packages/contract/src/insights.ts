import { z } from 'zod';
import { ANSWERS } from './api.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';
import { ACTIONS, CATCHES, FORECAST_KINDS, RETURNS, WORKS } from './words.ts';

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
        /** What came true does not fit what was said, by a 99 % interval. */
        isOff: z.boolean(),
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
  /** What the no has cost by the next visit at which the car was judged; null while there is none. */
  cost: z
    .strictObject({ visitId: z.uuid(), number: rowNumberSchema, minor: z.number() })
    .nullable(),
});
export type DeclinedRow = z.infer<typeof declinedRowSchema>;
/** Some of them, latest first. */
export const declinedPageSchema = z
  .strictObject({ rows: z.array(declinedRowSchema), before: momentSchema.nullable() })
  .meta({ id: 'DeclinedPage' });
export type DeclinedPage = z.infer<typeof declinedPageSchema>;

const visitRefSchema = z.strictObject({
  visitId: z.uuid(),
  number: rowNumberSchema,
  at: momentSchema,
});
export type VisitRef = z.infer<typeof visitRefSchema>;
const partSchema = z.strictObject({ part: z.number(), low: z.number(), high: z.number() });

export const comebacksSchema = z
  .strictObject({
    /** What comes back later is new wear; the shop's own setting. */
    withinKm: z.number(),
    /** There is more of the shop's work than was looked through. */
    isCut: z.boolean(),
    works: z.array(
      z.strictObject({
        work: z.enum(WORKS),
        done: rowNumberSchema,
        seenAgain: rowNumberSchema,
        cameBack: rowNumberSchema,
        held: partSchema.nullable(),
        isTooFew: z.boolean(),
        /** Where something came undone, and what part holds from there on. */
        steps: z.array(
          z.strictObject({
            km: z.number(),
            atRisk: rowNumberSchema,
            undone: rowNumberSchema,
            held: z.number(),
            low: z.number(),
            high: z.number(),
          }),
        ),
      }),
    ),
    /** Latest first. */
    rows: z.array(
      z.strictObject({
        work: z.enum(WORKS),
        plate: z.string(),
        label: z.string(),
        km: z.number(),
        how: z.enum(RETURNS),
        done: visitRefSchema,
        back: visitRefSchema,
        caughtAt: z.strictObject({ visit: visitRefSchema, why: z.enum(CATCHES) }).nullable(),
      }),
    ),
  })
  .meta({ id: 'Comebacks' });
export type Comebacks = z.infer<typeof comebacksSchema>;
export type ComebackRow = Comebacks['rows'][number];

const declineCostFields = {
  seenAgain: rowNumberSchema,
  /** A no, on average; minor units at today's prices. */
  cost: z.strictObject({
    mean: z.number(),
    interval: z.strictObject({ low: z.number(), high: z.number() }).nullable(),
  }),
  /** What the work would have come to; null where no no has cost anything. */
  work: z.number().nullable(),
  isTooFew: z.boolean(),
} as const;
/** What saying no has cost customers in rubber. */
export const declineCostsSchema = z
  .strictObject({
    /** Visits that ended with a no. */
    declined: rowNumberSchema,
    /** There are more than were looked through. */
    isCut: z.boolean(),
    all: z.strictObject(declineCostFields),
    byAdvised: z.array(z.strictObject({ advised: z.enum(ACTIONS), ...declineCostFields })),
  })
  .meta({ id: 'DeclineCosts' });
export type DeclineCosts = z.infer<typeof declineCostsSchema>;

/** How the depths that were forecast held, on tires that ran on as they were. */
const heldSchema = z.strictObject({
  cars: rowNumberSchema,
  ribs: rowNumberSchema,
  isTooFew: z.boolean(),
  /** Rubber lost, as a part of what was forecast; null where there is nothing to tell from. */
  lost: z
    .strictObject({
      mean: z.number(),
      interval: z.strictObject({ low: z.number(), high: z.number() }).nullable(),
    })
    .nullable(),
  /** What part of the readings lay within the span that holds eight in ten. */
  within: partSchema.nullable(),
});

/** Forecasts against later readings: of all tires, and of each kind by itself. */
export const forecastsHeldSchema = heldSchema
  .extend({
    /** There is more than was looked through. */
    isCut: z.boolean(),
    kinds: z.array(heldSchema.extend({ kind: z.enum(FORECAST_KINDS) })),
    /** Each car's worst rib: forecast and found, mm lost. */
    points: z.array(
      z.strictObject({
        visitId: z.uuid(),
        number: rowNumberSchema,
        plate: z.string(),
        kind: z.enum(FORECAST_KINDS),
        km: z.number(),
        forecast: z.number(),
        found: z.number(),
      }),
    ),
  })
  .meta({ id: 'ForecastsHeld' });
export type ForecastsHeld = z.infer<typeof forecastsHeldSchema>;
