import { z } from 'zod';

/** Where a trait of a shop's cars lies: mean, and how far one car is from it (standard deviation). */
export const traitSchema = z.strictObject({
  mean: z.number().min(-1.5).max(1.5),
  sd: z.number().min(0.005).max(1.5),
});

const faultRateSchema = z.number().min(0.002).max(0.64);

/**
 * What the diagnosis takes for granted of the cars of one shop, where that was learned from the shop's own
 * visits. Left out where the usual holds.
 */
export const shopConstantsSchema = z
  .strictObject({
    traits: z.strictObject({
      /** ln of wear against the usual. */
      wearRate: traitSchema,
      /** Half of ln(front axle's wear / rear's), beyond what the drive gives. */
      frontToRear: traitSchema,
      /** Part of the pressure that all four tires put on both shoulders by their make. */
      crown: traitSchema,
      /** Part of it that bends and the road's crown move outward on the left, inward on the right. */
      hand: traitSchema,
    }),
    /** Part of the cars on which each kind of fault is there, before anything is known of a car. */
    faultRates: z.strictObject({
      frontToe: faultRateSchema,
      rearToe: faultRateSchema,
      camber: faultRateSchema,
      pressure: faultRateSchema,
      bounce: faultRateSchema,
      looseness: faultRateSchema,
      hardCornering: faultRateSchema,
    }),
  })
  .meta({ id: 'ShopConstants' });
export type ShopConstants = z.infer<typeof shopConstantsSchema>;

const lineRateSchema = z.strictObject({
  line: z.string().trim().min(1).max(60),
  /** ln of the wear of these tires against the shop's usual. */
  rate: z.number().min(-1.5).max(1.5),
});

/** The same as a visit keeps it: tires are named during the visit, so the rates of tire lines go along. */
export const learnedConstantsSchema = shopConstantsSchema
  .extend({
    /** Which of the shop's versions this is; null when they came with a case file. */
    version: z.int().min(1).nullable(),
    lines: z.array(lineRateSchema).max(200),
  })
  .meta({ id: 'LearnedConstants' });
export type LearnedConstants = z.infer<typeof learnedConstantsSchema>;
