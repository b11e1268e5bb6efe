import { z } from 'zod';
import { issue } from './validationIssue.ts';
import { SPEC_KINDS } from './words.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';

/**
 * A specification sheet: what the angles of one kind of car should be, whose figures these are, and
 * under which conditions they hold. Degrees, in the signs of the case file; heights in mm.
 */

export const SPEC_FORMAT = 'keen-groove/specification';
export const SPEC_VERSION = 1;

const bounded = (least: number, most: number) =>
  z
    .strictObject({
      low: z.number().min(least).max(most),
      target: z.number().optional(),
      high: z.number().min(least).max(most),
    })
    .superRefine(({ low, target, high }, ctx) => {
      if (low >= high) {
        ctx.addIssue(issue(['high'], 'moreThanLow', { low }));
      } else if (target !== undefined && (target < low || target > high)) {
        ctx.addIssue(issue(['target'], 'between', { low, high }));
      }
    });

/** Limits of an angle, degrees; the target is the middle when left out. */
export const angleLimitsSchema = bounded(-30, 30);
export type AngleLimits = z.infer<typeof angleLimitsSchema>;
const heightLimitsSchema = bounded(0, 1_500);

const perAxle = <T extends z.ZodType>(schema: T) =>
  z.strictObject({ front: schema.optional(), rear: schema.optional() });
const frontOnly = <T extends z.ZodType>(schema: T) => z.strictObject({ front: schema.optional() });

/** The most that left and right, or the two ends of the car, may differ, degrees. */
const most = z.number().gt(0).max(30);
/** How far the factory adjuster moves an angle either way, degrees; 0 where it is fixed. */
const reach = z.number().min(0).max(30);

export const specSheetSchema = z
  .strictObject({
    format: z.literal(SPEC_FORMAT),
    version: z.literal(SPEC_VERSION),
    name: z.string().trim().min(1).max(120),
    kind: z.enum(SPEC_KINDS),
    /** Where the figures were found. */
    source: z.string().trim().min(1).max(200),
    sourceDate: z.iso.date().optional(),
    /** What the car must be like for these figures: curb weight, full tank, height. */
    conditions: z.string().trim().max(300).optional(),
    camber: perAxle(angleLimitsSchema).optional(),
    caster: frontOnly(angleLimitsSchema).optional(),
    sai: frontOnly(angleLimitsSchema).optional(),
    totalToe: perAxle(angleLimitsSchema).optional(),
    crossCamber: most.optional(),
    crossCaster: most.optional(),
    thrust: most.optional(),
    /** How much less the outer wheel turns when the inner one stands at 20 degrees. */
    toeOutOnTurns: angleLimitsSchema.optional(),
    /** Hub centre to arch, mm. */
    height: perAxle(heightLimitsSchema).optional(),
    /** Turns of the steering wheel for one of the front wheels. */
    steeringRatio: z.number().gt(0).max(60).optional(),
    reach: z
      .strictObject({
        camber: perAxle(reach).optional(),
        caster: frontOnly(reach).optional(),
        toe: perAxle(reach).optional(),
      })
      .optional(),
    torque: z
      .array(
        z.strictObject({
          fastener: z.string().trim().min(1).max(80),
          newtonMetres: z.number().gt(0).max(2_000),
        }),
      )
      .max(30)
      .optional(),
    note: z.string().trim().max(500).optional(),
  })
  .superRefine((sheet, ctx) => {
    const groups = [sheet.camber, sheet.caster, sheet.totalToe];
    if (groups.every((group) => !group || Object.keys(group).length === 0)) {
      ctx.addIssue(issue(['camber'], 'someLimits'));
    }
  })
  .meta({ id: 'SpecSheet', title: 'Keen Groove specification sheet, version 1' });
export type SpecSheet = z.infer<typeof specSheetSchema>;

/**
 * The sheet that a visit uses: a copy, so that a later version of the sheet never changes what an
 * old visit was judged by.
 */
export const usedSheetSchema = z.strictObject({
  /** The shop's sheet it was copied from; null for a starting point that ships with the product. */
  sheetId: z.uuid().nullable(),
  revision: rowNumberSchema.min(1).nullable(),
  enteredBy: z.string().max(80).nullable(),
  enteredAt: momentSchema.nullable(),
  sheet: specSheetSchema,
});
export type UsedSheet = z.infer<typeof usedSheetSchema>;

/** A sheet as the shop keeps it: every change is a revision of its own. */
export const storedSheetSchema = z
  .strictObject({
    id: z.uuid(),
    revision: rowNumberSchema.min(1),
    sheet: specSheetSchema,
    retired: z.boolean(),
    enteredBy: z.string(),
    enteredAt: momentSchema,
    /** Of this shop, as its chain has it, or the shop's own instead of the chain's. */
    origin: z.enum(['shop', 'chain', 'instead']),
  })
  .meta({ id: 'StoredSheet' });
export type StoredSheet = z.infer<typeof storedSheetSchema>;
export const storedSheetListSchema = z.array(storedSheetSchema).meta({ id: 'StoredSheetList' });

/** New revisions to keep, all or none. */
export const newSheetsSchema = z
  .strictObject({
    sheets: z
      .array(
        z.strictObject({
          id: z.uuid(),
          /** Made by the client, so that a revision sent twice counts once. */
          revisionId: z.uuid(),
          /** The revision it was made from, 0 for a new sheet; refused when another came between. */
          basedOn: rowNumberSchema,
          sheet: specSheetSchema,
          retired: z.boolean(),
        }),
      )
      .min(1)
      .max(500),
  })
  .meta({ id: 'NewSheets' });
export type NewSheets = z.infer<typeof newSheetsSchema>;
