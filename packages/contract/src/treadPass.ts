import { z } from 'zod';
import { wheelSchema } from './caseFile.ts';
import {
  LEAST_POINTS_ACROSS,
  MOST_POINTS_ACROSS,
  MOST_PROFILES,
  TREAD_PASS_FORMAT,
  TREAD_PASS_VERSION,
} from './words.ts';
import { momentSchema } from './storable.ts';

/** One cut across the tread. */
export const treadProfileSchema = z.strictObject({
  /** Where round the tire it was taken, mm along the tread from the first cut. */
  along: z.number().min(0).max(4000),
  /**
   * Height of the surface at evenly spaced points from the inner to the outer edge of the tread, mm;
   * higher is further out from the wheel. Its zero and its tilt are the reader's own.
   */
  heights: z.array(z.number().min(-100).max(100)).min(LEAST_POINTS_ACROSS).max(MOST_POINTS_ACROSS),
});
export type TreadProfile = z.infer<typeof treadProfileSchema>;

export const profiledTireSchema = z.strictObject({
  profiles: z.array(treadProfileSchema).min(1).max(MOST_PROFILES),
});

export const treadPassSchema = z
  .strictObject({
    format: z.literal(TREAD_PASS_FORMAT),
    version: z.literal(TREAD_PASS_VERSION),
    takenAt: momentSchema,
    source: z.string().max(80),
    /** How the car came over the plate; left out where nobody saw it. */
    passing: z
      .strictObject({
        /** km/h. */
        speed: z.number().min(0).max(100),
        /** Degrees between the car's way and the plate's, either side. */
        skew: z.number().min(-90).max(90),
        /** Degrees that the front wheels were turned, either side. */
        steer: z.number().min(-60).max(60),
      })
      .optional(),
    tires: z.partialRecord(wheelSchema, profiledTireSchema),
  })
  .meta({ id: 'TreadPass', title: 'Keen Groove tread pass, version 1' });
export type TreadPass = z.infer<typeof treadPassSchema>;

/** The played car and reader. */
const ribs = z.strictObject({
  inner: z.number().min(0).max(30),
  centre: z.number().min(0).max(30),
  outer: z.number().min(0).max(30),
});
export const READER_FAULTS = ['none', 'dirtyWindow', 'dropsOut'] as const;
export type ReaderFault = (typeof READER_FAULTS)[number];
export const readerStateSchema = z
  .strictObject({
    isOn: z.boolean(),
    fault: z.enum(READER_FAULTS),
    faultAt: wheelSchema,
    speed: z.number().min(0).max(100),
    skew: z.number().min(-90).max(90),
    steer: z.number().min(-60).max(60),
    /** Depths that the tires of the made-up car really have, mm. */
    tires: z.record(wheelSchema, ribs),
  })
  .meta({ id: 'ReaderState' });
export type ReaderState = z.infer<typeof readerStateSchema>;

export const DEFAULT_READER: ReaderState = {
  isOn: true,
  fault: 'none',
  faultAt: 'lf',
  speed: 7,
  skew: 0,
  steer: 0,
  tires: {
    lf: { inner: 3.1, centre: 5, outer: 5.8 },
    rf: { inner: 3.3, centre: 5.1, outer: 5.9 },
    lr: { inner: 5.9, centre: 6.2, outer: 6.1 },
    rr: { inner: 5.8, centre: 6.2, outer: 6.2 },
  },
};

/** What a drive-over reader says over its WebSocket. */
export const readerMessageSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hello'), device: z.string().max(80) }),
  z.strictObject({ kind: z.literal('pass'), n: z.int().min(1), pass: treadPassSchema }),
]);
export type ReaderMessage = z.infer<typeof readerMessageSchema>;
