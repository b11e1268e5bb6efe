import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { diagnosisSchema } from './diagnosis.ts';
import { visitDraftSchema } from './visit/draft.ts';
import { entrySchema } from './visit/entries.ts';
import { FIELD_LIMITS } from './fieldLimits.ts';
import { minorSchema } from './prices.ts';
import { momentSchema } from './storable.ts';
import {
  ACTIONS,
  AXLE_CAUSES,
  AXLES,
  DRILL_KINDS,
  PRACTICE_CHECKS,
  PRACTICE_LESSONS,
  PRACTICE_SKILLS,
  RIBS,
  WHEEL_CAUSES,
  WHEELS,
} from './words.ts';

/** Made-up cars to practise on. What is true of one stays on the server until it is answered. */

const whereSchema = z.enum([...WHEELS, ...AXLES]);
const causeSchema = z.enum([...WHEEL_CAUSES, ...AXLE_CAUSES]);
const chanceSchema = z.number().min(0).max(1);

/** A word by which two people of a shop get the same car. */
export const practiceCodeSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9-]{1,39}$/, 'practiceCode' satisfies ExpectedReason);

/** Asks for a car: of a lesson, by a code, or the one of the day. */
export const newPracticeSchema = z
  .strictObject({
    id: z.uuid(),
    /** Left out with a code: the lesson of the car that the shop knows by that code, or any car. */
    lesson: z.enum(PRACTICE_LESSONS).optional(),
    /** Whoever gives the same code for the same lesson gets the same car. */
    code: practiceCodeSchema.optional(),
  })
  .refine(({ lesson, code }) => lesson !== undefined || code !== undefined, {
    path: ['lesson'],
    error: 'lessonOrCode' satisfies ExpectedReason,
  })
  .meta({ id: 'NewPractice' });
export type NewPractice = z.infer<typeof newPracticeSchema>;

export const practiceReadingSchema = z
  .strictObject({ wheel: z.enum(WHEELS), rib: z.enum(RIBS) })
  .meta({ id: 'PracticeReading' });
/** What the gauge shows. */
export const practiceGaugeSchema = z
  .strictObject({
    wheel: z.enum(WHEELS),
    rib: z.enum(RIBS),
    mm: z
      .number()
      .min(0)
      .max(FIELD_LIMITS.newDepthMm + 1),
    isAskew: z.boolean(),
    minutes: z.number().min(0),
  })
  .meta({ id: 'PracticeGauge' });
export type PracticeGauge = z.infer<typeof practiceGaugeSchema>;

export const practiceEntriesSchema = z
  .strictObject({ entries: z.array(entrySchema).min(1).max(50) })
  .meta({ id: 'PracticeEntries' });
export const practiceCheckSchema = z
  .strictObject({ check: z.enum(PRACTICE_CHECKS) })
  .meta({ id: 'PracticeCheck' });

const namedCauseSchema = z.strictObject({
  cause: causeSchema,
  where: whereSchema,
  chance: chanceSchema,
});
/** What a learner says: causes with how sure, and what they would do. */
export const practiceAnswerSchema = z
  .strictObject({
    causes: z.array(namedCauseSchema).max(40),
    course: z.enum(ACTIONS),
  })
  .meta({ id: 'PracticeAnswer' });
export type PracticeAnswer = z.infer<typeof practiceAnswerSchema>;

const pointsSchema = z.number().max(100);
/** What came of it. */
export const practiceResultSchema = z.strictObject({
  answer: practiceAnswerSchema,
  /** What was wrong with the car. */
  truth: z.strictObject({
    faults: z.array(z.strictObject({ cause: causeSchema, where: whereSchema })),
    /** Degrees, ratios to the target, degrees of wander; lf, rf, lr, rr and front, rear. */
    camber: z.array(z.number()).length(4),
    totalToe: z.array(z.number()).length(2),
    pressure: z.array(z.number()).length(4),
    play: z.array(z.number()).length(2),
    cornering: z.number(),
    depthsMm: z.record(z.enum(WHEELS), z.record(z.enum(RIBS), z.number())),
  }),
  /** Sums of squares over all faults, 0 is perfect; points from 0, as anybody could say, to 100. */
  score: z.strictObject({
    brier: z.number(),
    usualBrier: z.number(),
    bestBrier: z.number(),
    points: pointsSchema,
    bestPoints: pointsSchema,
  }),
  /** The best answer to the same evidence. */
  best: z.strictObject({
    causes: z.array(namedCauseSchema),
    course: z.enum(ACTIONS),
    diagnosis: diagnosisSchema,
  }),
  /** What each course costs this customer over the life of a set, cheapest first. */
  courses: z.array(
    z.strictObject({ course: z.enum(ACTIONS), minor: z.number(), lost: z.number() }),
  ),
  /** What each check that was made cost, and what deciding after it saved on average. */
  checks: z.array(
    z.strictObject({
      check: z.enum(PRACTICE_CHECKS),
      minor: minorSchema,
      worthMinor: z.number().nullable(),
      /** Points that the best answer gains by it. */
      points: z.number(),
    }),
  ),
});
export type PracticeResult = z.infer<typeof practiceResultSchema>;

/** What a hand feels that moves across the ribs, away from the car and back. */
const feltSchema = z.strictObject({
  out: z.enum(['sharp', 'smooth']),
  in: z.enum(['sharp', 'smooth']),
});
export type Felt = z.infer<typeof feltSchema>;

const practiceRow = {
  id: z.uuid(),
  lesson: z.enum(PRACTICE_LESSONS),
  code: practiceCodeSchema,
  startedAt: momentSchema,
  finishedAt: momentSchema.nullable(),
};

/** A car that a learner is at, or was at. */
export const practiceCarSchema = z
  .strictObject({
    ...practiceRow,
    personId: z.uuid(),
    /** What was read and found so far, as of a visit. */
    draft: visitDraftSchema,
    done: z.array(z.enum(PRACTICE_CHECKS)),
    /** What the stroke of each tread feels like, once it is stroked; what that means is the learner's to say. */
    felt: z.record(z.enum(WHEELS), feltSchema).nullable(),
    /** What each check takes. */
    costs: z.record(
      z.enum(PRACTICE_CHECKS),
      z.strictObject({ minutes: z.number().min(0), minor: minorSchema }),
    ),
    readings: z.int().min(0),
    minutes: z.number().min(0),
    minor: minorSchema,
    result: practiceResultSchema.nullable(),
  })
  .meta({ id: 'PracticeCar' });
export type PracticeCar = z.infer<typeof practiceCarSchema>;

/** A car that was answered, in a list. */
export const practiceTrySchema = z.strictObject({
  ...practiceRow,
  personId: z.uuid(),
  minutes: z.number().min(0),
  points: pointsSchema.nullable(),
  bestPoints: pointsSchema.nullable(),
  /** What the course that was chosen cost the customer beyond the cheapest, checks and all, minor units. */
  lost: z.number().nullable(),
});
export type PracticeTry = z.infer<typeof practiceTrySchema>;

/** How chances that were said held, over the last cars. */
const bandSchema = z.strictObject({
  from: chanceSchema,
  to: chanceSchema,
  said: chanceSchema,
  /** The part that came true, with its 95 % interval. */
  found: chanceSchema,
  low: chanceSchema,
  high: chanceSchema,
  count: z.int().min(0),
});

/** How well a person does at each part of the job, over the last cars and drills. */
const skillsSchema = z.strictObject({
  /** Points for the chances given to each kind of cause: 0 is what anybody could say, 100 is perfect. */
  causes: z.array(
    z.strictObject({
      skill: z.enum(PRACTICE_SKILLS),
      points: pointsSchema,
      bestPoints: pointsSchema,
      /** Cars that had such a cause. */
      cars: z.int().min(0),
    }),
  ),
  /** Mean distance of the depths noted from the true ones, mm; null where none was noted. */
  depthErrorMm: z.number().min(0).nullable(),
  /** Mean cost of the course chosen beyond the cheapest, minor units; and of the best answer's. */
  lost: z.number().min(0).nullable(),
  bestLost: z.number().min(0).nullable(),
  drills: z.array(
    z.strictObject({
      kind: z.enum(DRILL_KINDS),
      asked: z.int().min(0),
      right: z.int().min(0),
    }),
  ),
});
export type PracticeSkills = z.infer<typeof skillsSchema>;

/** One's own progress, or that of somebody who shows it. */
export const practiceProgressSchema = z.strictObject({
  personId: z.uuid(),
  cars: z.int().min(0),
  points: z.number().nullable(),
  bestPoints: z.number().nullable(),
  /** Mean Brier score of a car. */
  brier: z.number().nullable(),
  skills: skillsSchema,
  bands: z.array(bandSchema),
});
export type PracticeProgress = z.infer<typeof practiceProgressSchema>;

export const practiceBoardSchema = z
  .strictObject({
    /** The code of today's car, the same for all in the shop. */
    today: practiceCodeSchema,
    /** One's own cars, latest first. */
    tries: z.array(practiceTrySchema),
    /** Whether the lead may see how one does. */
    isShown: z.boolean(),
    own: practiceProgressSchema,
    /** Those who show it; for the lead. */
    shown: z.array(practiceProgressSchema),
  })
  .meta({ id: 'PracticeBoard' });
export type PracticeBoard = z.infer<typeof practiceBoardSchema>;

export const showPracticeSchema = z
  .strictObject({ isShown: z.boolean() })
  .meta({ id: 'ShowPractice' });

/** A question of the bench drill, as it is drawn and asked. */
export const drillQuestionSchema = z.discriminatedUnion('kind', [
  /** Where the tape ends. */
  z.strictObject({ kind: z.literal('tape'), inches: z.number().min(0).max(120) }),
  /** An angle as it is drawn: plus or minus? */
  z.strictObject({
    kind: z.literal('sign'),
    angle: z.enum(['toe', 'camber']),
    wheel: z.enum(['lf', 'rf']),
    degrees: z.number(),
  }),
  /** Toe of both front wheels and what each should have, degrees: which rod is turned, and which way? */
  z.strictObject({
    kind: z.literal('rod'),
    rack: z.enum(['ahead', 'behind']),
    toe: z.strictObject({ lf: z.number(), rf: z.number() }),
    target: z.number(),
  }),
  /** Camber and what it should be, degrees, with the height between the joints, mm: which shims? */
  z.strictObject({
    kind: z.literal('shim'),
    camber: z.number(),
    target: z.number(),
    armHeight: z.number().positive(),
    options: z.array(z.string().max(40)).length(4),
  }),
]);
export type DrillQuestion = z.infer<typeof drillQuestionSchema>;

export const newDrillSchema = z.strictObject({ id: z.uuid() }).meta({ id: 'NewDrill' });

/** A drill as far as it has been answered: the right answer is shown question by question. */
export const drillSchema = z
  .strictObject({
    id: z.uuid(),
    startedAt: momentSchema,
    questions: z.array(
      z.strictObject({
        question: drillQuestionSchema,
        told: z
          .strictObject({
            given: z.string(),
            isRight: z.boolean(),
            right: z.string(),
          })
          .nullable(),
      }),
    ),
  })
  .meta({ id: 'Drill' });
export type Drill = z.infer<typeof drillSchema>;

export const drillAnswerSchema = z
  .strictObject({
    /** From 0. */
    question: z.int().min(0).max(50),
    given: z.string().trim().min(1).max(40),
  })
  .meta({ id: 'DrillAnswer' });
export type DrillAnswer = z.infer<typeof drillAnswerSchema>;
