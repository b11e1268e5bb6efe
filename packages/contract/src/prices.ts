import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { momentSchema } from './storable.ts';

/** Money is whole minor units of the shop's currency (cents, pence, øre). */
export const minorSchema = z.int().min(0).max(100_000_000);

/** How prices and tax stand to each other. */
export const TAX_MODES = ['added', 'included'] as const;
export type TaxMode = (typeof TAX_MODES)[number];

/** Work and goods that the shop asks money for; the rest of an estimate is typed line by line. */
export const PRICE_ITEMS = [
  'check',
  'align',
  'inspect',
  'parts',
  'adjustableArm',
  'balance',
  'inflate',
  'pressureSensor',
  'tireFront',
  'tireRear',
  'fitTire',
  'disposal',
] as const;
export type PriceItem = (typeof PRICE_ITEMS)[number];

/** Items that came later: a list from before them asks nothing for them, so they are not offered. */
export const LATER_ITEMS = { adjustableArm: 0, pressureSensor: 0 } as const;

/** Typed as the whole list: whoever writes one now gives every item. */
const itemsSchema = z
  .preprocess(
    (value) =>
      typeof value === 'object' && value !== null && !Array.isArray(value)
        ? { ...LATER_ITEMS, ...value }
        : value,
    z.record(z.enum(PRICE_ITEMS), minorSchema),
  )
  .meta({ required: PRICE_ITEMS.filter((item) => !(item in LATER_ITEMS)) }) as unknown as z.ZodType<
  Record<PriceItem, number>,
  Record<PriceItem, number>
>;

export const priceListSchema = z
  .strictObject({
    /** ISO 4217, which also says how many decimals its minor unit has. */
    currency: z.string().regex(/^[A-Z]{3}$/, 'currency' satisfies ExpectedReason),
    /** Percent. */
    taxPercent: z.number().min(0).max(60),
    taxMode: z.enum(TAX_MODES),
    /** Each in minor units; tires, fitting, disposal, arms and sensors for one wheel; 0 is not offered. */
    items: itemsSchema,
    /** What an hour of work costs, by kind of work. */
    labour: z
      .array(z.strictObject({ name: z.string().trim().min(1).max(60), hourMinor: minorSchema }))
      .max(12),
    /** Several items that cost less when they are taken together. */
    packages: z
      .array(
        z.strictObject({
          name: z.string().trim().min(1).max(60),
          items: z.array(z.enum(PRICE_ITEMS)).min(2).max(PRICE_ITEMS.length),
          /** Taken off the sum of its items, percent. */
          offPercent: z.number().gt(0).max(90),
        }),
      )
      .max(12),
  })
  .meta({ id: 'PriceList' });
export type PricePackage = PriceList['packages'][number];
export type PriceList = z.infer<typeof priceListSchema>;

/** Made up, so that a new shop sees something to change. */
export const DEFAULT_PRICES: PriceList = {
  currency: 'EUR',
  taxPercent: 20,
  taxMode: 'included',
  items: {
    check: 2_900,
    align: 8_900,
    inspect: 2_500,
    parts: 16_000,
    adjustableArm: 19_500,
    balance: 6_000,
    inflate: 500,
    pressureSensor: 5_900,
    tireFront: 9_800,
    tireRear: 9_800,
    fitTire: 1_800,
    disposal: 400,
  },
  labour: [{ name: 'Work by the hour', hourMinor: 7_200 }],
  packages: [],
};

export const LINE_ANSWERS = ['accepted', 'declined', 'later'] as const;
export type LineAnswer = (typeof LINE_ANSWERS)[number];

/** One line of an estimate. */
export const estimateLineSchema = z.strictObject({
  id: z.uuid(),
  /** Of the price list; a line that was worded again has none. */
  item: z.enum(PRICE_ITEMS).optional(),
  /** What it is, as the customer reads it. */
  what: z.string().trim().min(1).max(120),
  quantity: z.number().gt(0).max(99),
  /** Minor units for one, as the price list's tax mode has it. */
  unitMinor: minorSchema,
  /** The package that made it cheaper. */
  pack: z.string().max(60).optional(),
  answer: z.enum(LINE_ANSWERS).optional(),
  /** Why it was declined, in the customer's words. */
  reason: z.string().trim().max(200).optional(),
});
export type EstimateLine = z.infer<typeof estimateLineSchema>;

/** An estimate; a change after it was signed is a new version. */
export const estimateSchema = z
  .strictObject({
    version: z.int().min(1),
    currency: priceListSchema.shape.currency,
    taxPercent: priceListSchema.shape.taxPercent,
    taxMode: priceListSchema.shape.taxMode,
    lines: z.array(estimateLineSchema).max(40),
    signed: z
      .strictObject({
        name: z.string().trim().min(1).max(80),
        at: momentSchema,
        /** Drawn by finger: strokes of x, y pairs between 0 and 1000. */
        strokes: z
          .array(z.array(z.int().min(0).max(1000)).max(400))
          .max(60)
          .optional(),
      })
      .optional(),
  })
  .meta({ id: 'Estimate' });
export type WorkEstimate = z.infer<typeof estimateSchema>;
