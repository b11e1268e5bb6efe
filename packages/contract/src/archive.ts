import { z } from 'zod';
import {
  DEFAULT_PREFERENCES,
  DEFAULT_SHOP_SETTINGS,
  decisionSchema,
  preferencesSchema,
  ROLES,
  shopSettingsSchema,
} from './api.ts';
import { storedEntrySchema } from './entries.ts';
import { keptSheetSchema } from './specSheet.ts';

/**
 * A whole shop as open files in a zip: `shop.json`, `people.json`, `cars.json`, `sheets.json`, the logo,
 * and a folder for each visit with `visit.json`, its case file, tables and pictures. The JSON files bring
 * the shop in again; the tables are for other programs.
 */
export const ARCHIVE_FORMAT = 'keen-groove/shop';
export const ARCHIVE_VERSION = 1;

/** Settings of an archive; one that is older than a setting has its default. */
const archiveSettingsSchema = z.preprocess((value) => {
  if (typeof value !== 'object' || value === null) return value;
  const { prices } = value as { prices?: unknown };
  return {
    ...DEFAULT_SHOP_SETTINGS,
    ...value,
    ...(typeof prices === 'object' && { prices: { ...DEFAULT_SHOP_SETTINGS.prices, ...prices } }),
  };
}, shopSettingsSchema);

export const archiveShopSchema = z
  .strictObject({
    format: z.literal(ARCHIVE_FORMAT),
    version: z.literal(ARCHIVE_VERSION),
    exportedAt: z.iso.datetime(),
    name: z.string().max(80),
    town: z.string().max(80),
    settings: archiveSettingsSchema,
  })
  .meta({ id: 'ArchiveShop' });

/** Passwords are never written out: who comes in this way gets a new one from the lead. */
export const archivePeopleSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    name: z.string().trim().min(1).max(80),
    email: z.email().max(200),
    role: z.enum(ROLES),
    preferences: preferencesSchema.catch(DEFAULT_PREFERENCES),
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
  }),
);

export const archiveSheetsSchema = z.array(
  keptSheetSchema.omit({ enteredBy: true }).extend({ revisionId: z.uuid(), personId: z.uuid() }),
);

export const archivePhotoSchema = z.strictObject({
  id: z.uuid(),
  file: z.string().max(120),
  subject: z.string().max(80),
  personId: z.uuid(),
  at: z.iso.datetime(),
});

export const archiveVisitSchema = z
  .strictObject({
    id: z.uuid(),
    number: z.int().min(1),
    carId: z.uuid(),
    arrivedAt: z.iso.datetime(),
    closedAt: z.iso.datetime().nullable(),
    entries: z.array(storedEntrySchema),
    decisions: z.array(decisionSchema),
    photos: z.array(archivePhotoSchema),
  })
  .meta({ id: 'ArchiveVisit' });
export type ArchiveVisit = z.infer<typeof archiveVisitSchema>;

/** What was taken in of an archive, and what was not. */
export const archiveTakenSchema = z
  .strictObject({
    visits: z.int(),
    /** Visits that were here already. */
    known: z.int(),
    cars: z.int(),
    people: z.int(),
    sheets: z.int(),
    /** Whether the settings were taken: only a shop without visits takes them. */
    settings: z.boolean(),
    faults: z.array(z.strictObject({ file: z.string(), expected: z.string() })),
  })
  .meta({ id: 'ArchiveTaken' });
export type ArchiveTaken = z.infer<typeof archiveTakenSchema>;
export const MOST_ARCHIVE_BYTES = 300_000_000;
