import { z } from 'zod';
import { CUPPINGS, DEPTH_UNITS, FEATHERS, LANGUAGES, RIBS, WHEELS } from './words.ts';

/**
 * What is handed over on paper or by a link: composed once, in one language and its units, then laid
 * out as a PDF or as a page.
 */

/** A line: a strong beginning, the sentence, and what is said softly after it; each may be empty. */
const lineSchema = z.strictObject({ strong: z.string(), text: z.string(), soft: z.string() });
export type PaperLine = z.infer<typeof lineSchema>;

const linesSchema = z.strictObject({
  kind: z.literal('lines'),
  title: z.string(),
  lines: z.array(lineSchema),
});
const tableSchema = z.strictObject({
  kind: z.literal('table'),
  title: z.string(),
  columns: z.array(z.strictObject({ title: z.string(), isNumber: z.boolean() })),
  rows: z.array(z.strictObject({ cells: z.array(z.string()), isStrong: z.boolean() })),
  note: z.string(),
});
/** Two side by side. */
const pairSchema = z.strictObject({
  kind: z.literal('pair'),
  left: linesSchema,
  right: linesSchema,
});
const blockSchema = z.discriminatedUnion('kind', [linesSchema, tableSchema, pairSchema]);
export type PaperLines = z.infer<typeof linesSchema>;
export type PaperTable = z.infer<typeof tableSchema>;
export type PaperBlock = z.infer<typeof blockSchema>;

const partySchema = z.strictObject({ name: z.string(), lines: z.array(z.string()) });

const sectionTireSchema = z.strictObject({
  depthMm: z.record(z.enum(RIBS), z.number().nullable()),
  unreadable: z.array(z.enum(RIBS)).readonly(),
  expected: z.record(z.enum(RIBS), z.strictObject({ mean: z.number(), sd: z.number() })).nullable(),
  newDepthMm: z.number(),
  feather: z.enum(FEATHERS),
  /** Left out on sheets from before waves were said beside the drawing. */
  cupping: z.enum(CUPPINGS).optional(),
});

/** Both axle sections, with what is written at them. */
const drawingSchema = z.strictObject({
  tires: z.record(z.enum(WHEELS), sectionTireSchema),
  legalMm: z.number(),
  unit: z.enum(DEPTH_UNITS),
  wheels: z.record(z.enum(WHEELS), z.string()),
  ribs: z.record(z.enum(RIBS), z.string()),
  /** Between whole and part. */
  decimal: z.string(),
  legend: z.string(),
});
export type PaperDrawing = z.infer<typeof drawingSchema>;

export const paperSchema = z
  .strictObject({
    language: z.enum(LANGUAGES),
    title: z.string(),
    shop: partySchema,
    /** Where the logo is, or the logo itself as a data address; null without one. */
    logo: z.string().nullable(),
    car: partySchema,
    /** What must not be driven, before anything else. */
    unsafe: lineSchema.nullable(),
    headline: z.string(),
    intro: lineSchema,
    drawing: drawingSchema.nullable(),
    blocks: z.array(blockSchema),
    footer: z.string(),
  })
  .meta({ id: 'Paper' });
export type Paper = z.infer<typeof paperSchema>;

/** A sheet read by its link. */
export const sharedSheetSchema = z
  .strictObject({ paper: paperSchema, endsAt: z.iso.datetime() })
  .meta({ id: 'SharedSheet' });
export type SharedSheet = z.infer<typeof sharedSheetSchema>;

/** A link to a customer's sheet, as the shop sees it. */
export const sheetLinkSchema = z
  .strictObject({
    id: z.uuid(),
    /** The address's last part; who has it reads the sheet. */
    token: z.string(),
    endsAt: z.iso.datetime(),
    opened: z.int(),
  })
  .meta({ id: 'SheetLink' });
export type SheetLink = z.infer<typeof sheetLinkSchema>;
export const sheetLinkListSchema = z.array(sheetLinkSchema).meta({ id: 'SheetLinkList' });

/** Days a link may live. */
export const LINK_DAYS = [7, 30, 90] as const;
export const newSheetLinkSchema = z
  .strictObject({ id: z.uuid(), days: z.union([z.literal(7), z.literal(30), z.literal(90)]) })
  .meta({ id: 'NewSheetLink' });
export type NewSheetLink = z.infer<typeof newSheetLinkSchema>;
