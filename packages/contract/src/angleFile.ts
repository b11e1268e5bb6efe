import { z } from 'zod';
import { angleSchema, wheelAnglesSchema, wheelSchema } from './caseFile.ts';
import { momentSchema } from './storable.ts';

/** Angles as a rig hands them over: the open format, version 1. Degrees, in the signs of the case file. */

export const ANGLES_FORMAT = 'keen-groove/angles';
export const ANGLES_VERSION = 1;

/** Headings of the front wheels when the inner one of a turn is steered, degrees, both not negative. */
export const turnSchema = z.strictObject({
  inside: angleSchema.min(0),
  outside: angleSchema.min(0),
});
export const setbackSchema = z.number().min(-300).max(300);

export const angleFileSchema = z
  .strictObject({
    format: z.literal(ANGLES_FORMAT),
    version: z.literal(ANGLES_VERSION),
    takenAt: momentSchema.optional(),
    /** What measured them, in words. */
    source: z.string().max(120).optional(),
    wheels: z.partialRecord(wheelSchema, wheelAnglesSchema),
    /** Right front wheel further back than the left, mm. */
    setback: setbackSchema.optional(),
    turning: z
      .strictObject({ left: turnSchema.optional(), right: turnSchema.optional() })
      .optional(),
  })
  .meta({ id: 'AngleFile', title: 'Keen Groove angles, version 1' });
export type AngleFile = z.infer<typeof angleFileSchema>;
