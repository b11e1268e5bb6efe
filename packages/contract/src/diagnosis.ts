import { z } from 'zod';
import { wheelSchema } from './caseFile.ts';
import { ACTIONS, AXLE_CAUSES, CHECKS, RIBS, STATUSES, WHEEL_CAUSES, PUT_RIGHT } from './words.ts';

export const DIAGNOSIS_FORMAT = 'keen-groove/diagnosis';
export const DIAGNOSIS_VERSION = 1;

const probability = z.number().min(0).max(1);
const estimate = z.strictObject({ mean: z.number(), sd: z.number() });
const whereSchema = z.union([wheelSchema, z.enum(['front', 'rear'])]);

export const wheelDiagnosisSchema = z.strictObject({
  camber: estimate,
  pressureRatio: estimate,
  probability: z.strictObject({
    camberTooNegative: probability,
    camberTooPositive: probability,
    pressureLow: probability,
    pressureHigh: probability,
    bounce: probability,
  }),
  wear: z.strictObject({
    total: z.number(),
    base: z.number(),
    camber: z.number(),
    toe: z.number(),
    pressure: z.number(),
    cornering: z.number(),
    bounce: z.number(),
  }),
  minDepth: z.number().nullable(),
  status: z.enum(STATUSES),
});

export const axleDiagnosisSchema = z.strictObject({
  totalToe: estimate,
  probability: z.strictObject({
    toeTooFarIn: probability,
    toeTooFarOut: probability,
    looseness: probability,
    hardCornering: probability,
  }),
});

/** A reason as a code with what stands in its sentence, so that any language can say it; depths in mm. */
export const reasonCodeSchema = z.strictObject({
  code: z.string(),
  figures: z.array(z.union([z.number(), z.string(), z.boolean()])),
});
export type ReasonCode = z.infer<typeof reasonCodeSchema>;

export const rankedCauseSchema = z.strictObject({
  cause: z.enum([...WHEEL_CAUSES, ...AXLE_CAUSES]),
  where: whereSchema,
  probability,
  excess: z.number(),
  /** Tires that carry this wear, by where they are mounted today; left out where they are still in their place. */
  tires: z.array(wheelSchema).optional(),
  because: z.array(z.string()),
  against: z.array(z.string()),
  /** The reasons as codes, in the order of their sentences. */
  codes: z
    .strictObject({ because: z.array(reasonCodeSchema), against: z.array(reasonCodeSchema) })
    .optional(),
});

export const nextCheckSchema = z.strictObject({
  check: z.enum(CHECKS),
  where: whereSchema,
  gain: z.number(),
});

/**
 * What does not fit the model for reasons of its own: a reading to take again, a tire that something
 * unknown has worn, an axle whose tires seem to be of another age.
 */
export const odditySchema = z.strictObject({
  kind: z.enum(['reading', 'tire', 'age']),
  where: whereSchema,
  rib: z.enum(RIBS).optional(),
  probability,
});

export const recommendationSchema = z.strictObject({
  action: z.enum(ACTIONS),
  beforeFitting: z.boolean(),
  replace: z.array(wheelSchema),
  unsafe: z.array(wheelSchema),
  parts: z.array(
    z.strictObject({
      part: z.string(),
      where: whereSchema,
      why: z.string(),
      cause: z.enum(['looseness', 'bounce']).optional(),
      probability: probability.optional(),
    }),
  ),
  reasons: z.array(z.string()),
  /** The reasons as codes, in the order of their sentences. */
  codes: z.array(reasonCodeSchema).optional(),
  /** Whose prices the action was weighed at: those of the case or the command line, or usual ratios. */
  prices: z.enum(['given', 'usual']).optional(),
  /** The courses weighed, cheapest first, when prices were given; money in minor units of their currency. */
  courses: z
    .array(
      z.strictObject({
        course: z.enum(ACTIONS),
        workNow: z.number(),
        now: z.number(),
        perThousandKm: z.strictObject({ mean: z.number(), low: z.number(), high: z.number() }),
        saves: z.strictObject({ mean: z.number(), low: z.number(), high: z.number() }),
        /** Why it is left out, or null. */
        bar: z.string().nullable(),
      }),
    )
    .optional(),
});

const ribForecastSchema = z.array(z.tuple([z.number(), z.number(), z.number()]));
/**
 * What was forecast of the tires that a visit left on the car: depth at each rib against the distance run
 * since, mm. Without a course: of the tires that were on the car, as it was.
 */
export const forecastSchema = z
  .strictObject({
    km: z.array(z.number()),
    /** At each of those distances the median and what holds it eight times in ten: low, median, high. */
    ribs: z.partialRecord(wheelSchema, z.partialRecord(z.enum(RIBS), ribForecastSchema)),
    /** What was agreed to be done, and the wheels that got new tires. */
    course: z.enum(ACTIONS).optional(),
    replaced: z.array(wheelSchema).max(4).optional(),
  })
  .meta({ id: 'Forecast' });
export type Forecast = z.infer<typeof forecastSchema>;

/** What the tread says, version 1; see the field notes in docs/formats.md. */
export const diagnosisSchema = z
  .strictObject({
    format: z.literal(DIAGNOSIS_FORMAT),
    version: z.literal(DIAGNOSIS_VERSION),
    wheels: z.strictObject({
      lf: wheelDiagnosisSchema,
      rf: wheelDiagnosisSchema,
      lr: wheelDiagnosisSchema,
      rr: wheelDiagnosisSchema,
    }),
    axles: z.strictObject({ front: axleDiagnosisSchema, rear: axleDiagnosisSchema }),
    ranked: z.array(rankedCauseSchema),
    nextChecks: z.array(nextCheckSchema),
    oddities: z.array(odditySchema).optional(),
    /** Since when the answer speaks of the tires, by an earlier reading; left out for their whole life. */
    since: z
      .strictObject({
        km: z.number(),
        /** Something was put right then, or the tread has worn differently since. */
        because: z.enum(['putRight', 'changed']),
        putRight: z.array(z.enum(PUT_RIGHT)),
      })
      .optional(),
    recommendation: recommendationSchema,
  })
  .meta({ id: 'Diagnosis', title: 'Keen Groove diagnosis, version 1' });

export type Diagnosis = z.infer<typeof diagnosisSchema>;
export type WheelDiagnosis = z.infer<typeof wheelDiagnosisSchema>;
export type AxleDiagnosis = z.infer<typeof axleDiagnosisSchema>;
export type RankedCause = z.infer<typeof rankedCauseSchema>;
export type NextCheck = z.infer<typeof nextCheckSchema>;
export type Oddity = z.infer<typeof odditySchema>;
export type Recommendation = z.infer<typeof recommendationSchema>;
export type Estimate = z.infer<typeof estimate>;
