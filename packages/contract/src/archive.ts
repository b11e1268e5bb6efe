import { z } from 'zod';
import { decisionSchema, MOST_PHOTOS } from './api.ts';
import {
  DEFAULT_PREFERENCES,
  DEFAULT_SHOP_SETTINGS,
  preferencesSchema,
  shopSettingsSchema,
} from './shopSettings.ts';
import { forecastSchema } from './diagnosis.ts';
import { expectationFields } from './expectationFields.ts';
import type { ExpectedReason } from './expectedTexts.ts';
import { issue } from './validationIssue.ts';
import { storedEntrySchema } from './visit/entries.ts';
import { ROLES } from './words.ts';
import {
  saveInstrumentSchema,
  newCheckSchema,
  newStudySchema,
  studyReadingSchema,
} from './gauges.ts';
import { paperSchema } from './papers.ts';
import { storedSheetSchema } from './specSheet.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';

/**
 * A whole shop as open files in a zip: `shop.json`, `people.json`, `cars.json`, `merges.json`, `customers.json`, `sheets.json`, `gauges.json`,
 * `learning.json`, the logo,
 * and a folder for each visit with `visit.json`, its case file, tables and pictures. The JSON files bring
 * the shop in again; the tables are for other programs.
 */
export const ARCHIVE_FORMAT = 'keen-groove/shop';
export const ARCHIVE_VERSION = 1;
const MOST_ENTRIES = 50_000;

/** Archives from before 2026-12 call the order of reading round the car `walkRound`. */
function withOrderOfToday(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { readingOrder } = value as { readingOrder?: unknown };
  return readingOrder === 'walkRound' ? { ...value, readingOrder: 'walkAround' } : value;
}

/** Settings of an archive; one that is older than a setting has its default. */
const archiveSettingsSchema = z.preprocess((value) => {
  if (typeof value !== 'object' || value === null) return value;
  const { prices } = value as { prices?: unknown };
  return {
    ...DEFAULT_SHOP_SETTINGS,
    ...(withOrderOfToday(value) as object),
    ...(typeof prices === 'object' && { prices: { ...DEFAULT_SHOP_SETTINGS.prices, ...prices } }),
  };
}, shopSettingsSchema);

export const archiveShopSchema = z
  .strictObject({
    format: z.literal(ARCHIVE_FORMAT),
    version: z.literal(ARCHIVE_VERSION),
    exportedAt: momentSchema,
    name: z.string().max(80),
    town: z.string().max(80),
    settings: archiveSettingsSchema,
    since: momentSchema.optional(),
  })
  .meta({ id: 'ArchiveShop' });

/** Passwords are never written out: who comes in this way gets a new one from the lead. */
export const archivePeopleSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    name: z.string().trim().min(1).max(80),
    email: z.email().max(200),
    role: z.enum(ROLES),
    preferences: z.preprocess(withOrderOfToday, preferencesSchema).catch(DEFAULT_PREFERENCES),
    suspendedAt: momentSchema.nullable().optional(),
    since: momentSchema.optional(),
  }),
);

export const archiveCarsSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    plate: z.string().trim().min(1).max(40),
    label: z.string().max(120),
    customer: z.string().max(120),
    phone: z.string().max(30),
    vin: z.string().max(17),
    /** The car that this entry was joined to. */
    mergedInto: z.uuid().optional(),
    erasedAt: momentSchema.nullable().optional(),
    since: momentSchema.optional(),
  }),
);

/** Entries of one car that were joined, with the visits that went along. */
export const archiveMergesSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    carId: z.uuid(),
    mergedId: z.uuid(),
    visitIds: z.array(z.uuid()).max(10_000),
    personId: z.uuid(),
    at: momentSchema,
  }),
);

/** Names of one customer that were joined, with what the cars that went along said before. */
export const archiveCustomersSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    name: z.string().max(120),
    mergedName: z.string().max(120),
    cars: z.array(z.strictObject({ id: z.uuid(), customer: z.string().max(120) })).max(100_000),
    personId: z.uuid(),
    at: momentSchema,
  }),
);

/** The shop's gauges with their checks, and its gauge studies. */
export const archiveGaugesSchema = z.strictObject({
  instruments: z.array(
    saveInstrumentSchema.extend({
      id: z.uuid(),
      since: momentSchema,
      checks: z.array(newCheckSchema.extend({ personId: z.uuid() })).max(100_000),
    }),
  ),
  studies: z.array(
    newStudySchema.extend({
      seed: z
        .int()
        .min(-(2 ** 31))
        .max(2 ** 31 - 1),
      personId: z.uuid(),
      at: momentSchema,
      closedAt: momentSchema.nullable(),
      readings: z
        .array(studyReadingSchema.extend({ personId: z.uuid(), at: momentSchema }))
        .max(1_000),
    }),
  ),
});

export const archiveSheetsSchema = z.array(
  storedSheetSchema.omit({ enteredBy: true, origin: true }).extend({
    revisionId: z.uuid(),
    personId: z.uuid(),
    /** As the shop's chain had it, and not the shop's own. */
    followsChain: z.literal(true).optional(),
  }),
);

export const archivePhotoSchema = z.strictObject({
  id: z.uuid(),
  file: z.string().max(120),
  subject: z.string().max(80),
  personId: z.uuid(),
  at: momentSchema,
});

/** A link to the customer's sheet as it was; it goes on working where the shop is brought in. */
export const archiveLinkSchema = z.strictObject({
  id: z.uuid(),
  token: z.string().regex(/^[\w-]{16,64}$/, 'linkToken' satisfies ExpectedReason),
  paper: paperSchema,
  endsAt: momentSchema,
  opened: rowNumberSchema,
  personId: z.uuid(),
  at: momentSchema,
});

/** An entry with when the server got it; archives from before that was written have the entry's own time. */
const archiveEntrySchema = storedEntrySchema.extend({ savedAt: momentSchema.optional() });

export const archiveVisitSchema = z
  .strictObject({
    id: z.uuid(),
    number: rowNumberSchema.min(1),
    carId: z.uuid(),
    arrivedAt: momentSchema,
    closedAt: momentSchema.nullable(),
    entries: z.array(archiveEntrySchema).max(MOST_ENTRIES),
    decisions: z
      .array(decisionSchema.extend({ forecast: forecastSchema.nullable().optional() }))
      .max(1_000),
    photos: z.array(archivePhotoSchema).max(MOST_PHOTOS),
    links: z.array(archiveLinkSchema).max(1_000).optional(),
  })
  .superRefine(({ entries }, ctx) => {
    const seen = { id: new Set<string>(), seq: new Set<number>() };
    entries.forEach(({ id, seq }, index) => {
      const isDouble = seen.id.has(id.toLowerCase()) || seen.seq.has(seq);
      seen.id.add(id.toLowerCase());
      seen.seq.add(seq);
      if (isDouble) {
        ctx.addIssue(issue(['entries', index], 'ownEntry'));
      }
    });
  })
  .meta({ id: 'ArchiveVisit' });
export type ArchiveVisit = z.infer<typeof archiveVisitSchema>;

/** What was taken in of an archive, and what was not. */
export const archiveImportedSchema = z
  .strictObject({
    visits: z.int(),
    /** Visits that were here already. */
    known: z.int(),
    cars: z.int(),
    people: z.int(),
    sheets: z.int(),
    /** Whether the settings were taken: only a shop without visits takes them. */
    settings: z.boolean(),
    faults: z.array(
      z.strictObject({
        file: z.string(),
        /** Where in the file, when it could be read. */
        path: z.string().optional(),
        ...expectationFields,
      }),
    ),
  })
  .meta({ id: 'ArchiveImported' });
export type ArchiveImported = z.infer<typeof archiveImportedSchema>;
/** A large shop's pictures of some years. */
export const MOST_ARCHIVE_BYTES = 8_000_000_000;
