import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { readingSpreadSchema } from './visit/values.ts';
import { FIELD_LIMITS } from './fieldLimits.ts';
import { momentSchema } from './storable.ts';
import { DEPTH_UNITS, INSTRUMENT_KINDS } from './words.ts';

/** Gauge studies, and the records of the shop's own gauges. */

/** Fewer of anything than two tells nothing; more of anybody's time than this nobody gives. */
export const STUDY_SIZE = {
  people: { least: 2, most: 5 },
  trials: { least: 2, most: 5 },
  marks: { least: 2, most: 20 },
} as const;

const upTo = ({ most }: { most: number }) =>
  z
    .int()
    .min(0)
    .max(most - 1);
const nameSchema = z.string().trim().min(1).max(60);
const mmSchema = z.number().min(0).max(FIELD_LIMITS.newDepthMm);

/** A gauge study as it is laid out. */
export const newStudySchema = z
  .strictObject({
    id: z.uuid(),
    name: nameSchema,
    /** What the gauge is read in, and so what its readings are rounded to. */
    readIn: z.enum(DEPTH_UNITS),
    people: z
      .array(z.uuid())
      .min(STUDY_SIZE.people.least)
      .max(STUDY_SIZE.people.most)
      .refine((ids) => new Set(ids.map((id) => id.toLowerCase())).size === ids.length, {
        error: 'eachPersonOnce' satisfies ExpectedReason,
      }),
    /** Where each mark is. */
    marks: z
      .array(z.string().trim().min(1).max(40))
      .min(STUDY_SIZE.marks.least)
      .max(STUDY_SIZE.marks.most)
      .refine((names) => new Set(names).size === names.length, {
        error: 'eachMarkOnce' satisfies ExpectedReason,
      }),
    trials: z.int().min(STUDY_SIZE.trials.least).max(STUDY_SIZE.trials.most),
  })
  .meta({ id: 'NewStudy' });
export type NewStudy = z.infer<typeof newStudySchema>;

/** A reading of a study; person, trial and mark count from 0. */
export const studyReadingSchema = z.strictObject({
  person: upTo(STUDY_SIZE.people),
  trial: upTo(STUDY_SIZE.trials),
  mark: upTo(STUDY_SIZE.marks),
  mm: mmSchema,
});
/** Depth under the gauge, mm; null takes the reading away. */
export const saveStudyReadingSchema = studyReadingSchema
  .extend({ mm: mmSchema.nullable() })
  .meta({ id: 'SaveStudyReading' });
export type SaveStudyReading = z.infer<typeof saveStudyReadingSchema>;

export const studyRowSchema = newStudySchema.extend({
  createdAt: momentSchema,
  /** No more readings are taken. */
  closedAt: momentSchema.nullable(),
  taken: z.int().min(0),
});
export type StudyRow = z.infer<typeof studyRowSchema>;
/** Some of the shop's studies, latest first. */
export const studyPageSchema = z
  .strictObject({
    studies: z.array(studyRowSchema),
    /** What the next page comes before; null on the last page. */
    before: momentSchema.nullable(),
  })
  .meta({ id: 'StudyPage' });
export type StudyPage = z.infer<typeof studyPageSchema>;
export const studyQuerySchema = z.strictObject({ before: momentSchema.optional() });

export const studySchema = studyRowSchema
  .extend({
    /** The order of reading is dealt from it. */
    seed: z.int(),
    readings: z.array(studyReadingSchema),
  })
  .meta({ id: 'GaugeStudy' });
export type Study = z.infer<typeof studySchema>;

export const closeStudySchema = z.strictObject({ closed: z.boolean() }).meta({ id: 'CloseStudy' });

/** The spread of a reading that new visits use, and the study that found it. */
export const usedSpreadSchema = z.strictObject({
  mm: readingSpreadSchema,
  studyId: z.uuid(),
  at: momentSchema,
});
export type UsedSpread = z.infer<typeof usedSpreadSchema>;

/** One place of a check: what it is known to be, and what the instrument says; mm or degrees. */
export const checkPointSchema = z.strictObject({
  known: z.number().min(-90).max(90),
  read: z.number().min(-90).max(90),
});
export const newCheckSchema = z
  .strictObject({
    id: z.uuid(),
    at: momentSchema,
    points: z.array(checkPointSchema).min(1).max(10),
    note: z.string().trim().max(200),
  })
  .meta({ id: 'NewCheck' });
export type NewCheck = z.infer<typeof newCheckSchema>;
export const instrumentCheckSchema = newCheckSchema.extend({ by: z.string() });
export type InstrumentCheck = z.infer<typeof instrumentCheckSchema>;

export const saveInstrumentSchema = z
  .strictObject({
    name: nameSchema,
    kind: z.enum(INSTRUMENT_KINDS),
    /** Its standard uncertainty by its certificate, mm or degrees; null where it has none. */
    certified: z.number().gt(0).max(10).nullable(),
    /** What it is checked against from day to day: depths of a block, mm, or known angles, degrees. */
    block: z.array(z.number().min(-90).max(90)).max(10),
    retired: z.boolean(),
  })
  .meta({ id: 'SaveInstrument' });
export type SaveInstrument = z.infer<typeof saveInstrumentSchema>;
export const instrumentSchema = saveInstrumentSchema.extend({
  id: z.uuid(),
  createdAt: momentSchema,
  /** Latest first, the latest hundred. */
  checks: z.array(instrumentCheckSchema),
});
export type Instrument = z.infer<typeof instrumentSchema>;
export const instrumentListSchema = z.array(instrumentSchema).meta({ id: 'InstrumentList' });
