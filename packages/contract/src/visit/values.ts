import { z } from 'zod';
import { TOE_UNITS } from '../calculators.ts';
import { angleSchema } from '../caseFile.ts';
import { FIELD_LIMITS } from '../fieldLimits.ts';
import { momentSchema } from '../storable.ts';
import { ADJUSTERS, ANGLE_KINDS, AXLES, METHODS, STEERING_WHEEL } from '../words.ts';

/** Values of a visit's fields that are more than a word, a text or a number. */

/** No wheel is smaller or larger than this, mm. */
const TOE_DIAMETER_MM = { least: 100, most: 1_500 };

export const text = (max: number) => z.string().trim().min(1).max(max);

/** A reading in mm, or that the rib cannot be read. */
export const readingSchema = z.union([z.number().min(0).max(60), z.literal('unreadable')]);
export type Reading = z.infer<typeof readingSchema>;

/** Standard deviation of one reading, mm. */
export const readingSpreadSchema = z.number().gt(0).max(FIELD_LIMITS.readingSpreadMm);

/** Two readings of one angle, before and after turning lock to lock, degrees. */
export const repeatReadingsSchema = z.tuple([angleSchema, angleSchema]);
/** Readings of one angle taken again and again, degrees; the angle itself is their mean. */
export const readingsSchema = z.array(angleSchema).min(2).max(12);
/** The smallest step that the gauge shows, degrees. */
export const resolutionSchema = z.number().gt(0).max(5);
/** How far the adjuster moves the angle from where it stands, degrees: most down, most up. */
export const reachSchema = z.tuple([angleSchema, angleSchema]);
export const lastAlignmentSchema = z.strictObject({
  /** Distance run since, km. */
  agoKm: z.number().min(0).max(FIELD_LIMITS.distanceKm).optional(),
  date: z.iso.date().optional(),
  reason: text(200).optional(),
});
/** Cold cranking amps, as rated on the case and as the tester says. */
export const batterySchema = z.strictObject({
  rated: z.number().gt(0).max(3_000),
  measured: z.number().min(0).max(3_000),
});
/** What toe is typed and shown in, with the diameter that a length is taken at, mm. */
export const toeInSchema = z.strictObject({
  unit: z.enum(TOE_UNITS),
  diameter: z.number().min(TOE_DIAMETER_MM.least).max(TOE_DIAMETER_MM.most).optional(),
});
export type ToeIn = z.infer<typeof toeInSchema>;

/** One reading of an angle by one method, degrees, with how it was taken. */
export const angleReadingSchema = z
  .strictObject({
    value: angleSchema,
    at: momentSchema,
    resolution: resolutionSchema.optional(),
    repeats: readingsSchema.optional(),
    /** What a toe was read in, where that was not degrees. */
    readIn: toeInSchema.optional(),
  })
  .meta({ id: 'AngleReading' });
export type AngleReading = z.infer<typeof angleReadingSchema>;

/** An angle that is left as it is, with the value that was left: another value is judged again. */
export const leftSchema = z
  .array(z.strictObject({ key: z.string().max(40), value: z.number() }))
  .max(40);

/** What stands in the fields of a gauge's form, so that it is asked once: sign, unit, distances, readings. */
export const gaugeTextsSchema = z.record(z.string().max(60), z.string().max(200));
/** The inside wheel at full lock, turned left and turned right, degrees. */
export const lockSchema = z.strictObject({
  left: z.number().min(0).max(60),
  right: z.number().min(0).max(60),
});

/** A turn of the hand: what was turned by how much, and what it did; `to` once it was read again. */
export const turnMadeSchema = z
  .strictObject({
    at: momentSchema,
    /** What was turned: notches of a cam say nothing of turns of a rod. */
    adjuster: z.enum(ADJUSTERS),
    /** Turns, notches or holes; positive the way the step's own words say. */
    amount: z.number().min(-100).max(100),
    from: z.number(),
    to: z.number().optional(),
  })
  .meta({ id: 'TurnMade' });
export type TurnMade = z.infer<typeof turnMadeSchema>;
export const turnsSchema = z.array(turnMadeSchema).max(20);

export const steeringWheelSchema = z.strictObject({
  state: z.enum(STEERING_WHEEL),
  at: momentSchema,
});

/** What is measured today: which angles, on which axles. */
export const measuredTodaySchema = z.strictObject({
  axles: z.array(z.enum(AXLES)).min(1).max(2),
  kinds: z.array(z.enum(ANGLE_KINDS)).min(1).max(ANGLE_KINDS.length),
});

/** The shop's own instruments as they stood when the car came in, by what is measured with them. */
export const usedInstrumentsSchema = z.partialRecord(
  z.enum(METHODS),
  z.strictObject({
    name: text(60),
    /** When it was last checked; null where it never was. */
    checkedAt: momentSchema.nullable(),
    /** What its error adds, degrees. */
    errorSd: z.number().min(0).max(90),
    /** Standard uncertainty by its certificate, degrees. */
    certified: z.number().gt(0).max(10).optional(),
  }),
);
export type UsedInstruments = z.infer<typeof usedInstrumentsSchema>;

/** What one turn (notch, millimetre) of an adjuster did, learned by hand; not which way. */
export const learnedSchema = z.strictObject({
  adjuster: z.enum(ADJUSTERS),
  kind: z.enum(ANGLE_KINDS),
  axle: z.enum(AXLES),
  /** Degrees, without a sign. */
  perUnit: z.number().gt(0).max(90),
  /** Standard uncertainty, degrees. */
  sd: z.number().min(0).max(90),
  at: momentSchema,
});
export type Learned = z.infer<typeof learnedSchema>;
export const learnedListSchema = z.array(learnedSchema).max(60);

/** Wheels other than the maker's: rims in inches, offsets and a spacer in mm. */
export const otherWheelsSchema = z.strictObject({
  makerWidth: z.number().min(3).max(20).optional(),
  makerOffset: z.number().min(-150).max(150).optional(),
  width: z.number().min(3).max(20).optional(),
  offset: z.number().min(-150).max(150).optional(),
  spacer: z.number().min(0).max(100).optional(),
});
