import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { SEASONS } from './words.ts';

/** What is looked at again later. */
export const REMINDERS = ['nuts', 'recheck', 'tread', 'rotation', 'alignment'] as const;
export type ReminderKind = (typeof REMINDERS)[number];

/** Something to see to by a day; what is done or dismissed stays on the record. */
export const dueReminderSchema = z.strictObject({
  what: z.enum(REMINDERS),
  on: z.iso.date(),
  /** km after the visit, where it is counted by distance. */
  afterKm: z.number().gt(0).max(200_000).nullable(),
  state: z.enum(['open', 'done', 'dropped']),
});
export type DueReminder = z.infer<typeof dueReminderSchema>;

/** How the customer got the sheet. */
export const GIVEN = ['printed', 'link', 'notWanted'] as const;
export type Given = (typeof GIVEN)[number];

/** Tires of the car that the shop stores: the other season's set, as a rule. */
export const storedTiresSchema = z.strictObject({
  /** Where they are: shelf, rack, number. */
  place: z.string().trim().min(1).max(40),
  count: z.int().min(1).max(8),
  season: z.enum(SEASONS).optional(),
  size: z.string().trim().min(1).max(40).optional(),
  onRims: z.boolean(),
  since: z.iso.date(),
});
export type StoredTires = z.infer<typeof storedTiresSchema>;

/** Something due, with the car and the visit it comes from. */
export const dueRowSchema = z.strictObject({
  visitId: z.uuid(),
  number: z.int(),
  /** Its place in the visit's list. */
  place: z.int(),
  reminder: dueReminderSchema,
  car: z.string(),
  plate: z.string(),
  customer: z.string(),
  phone: z.string(),
});
export type DueRow = z.infer<typeof dueRowSchema>;

/** Which part of the list is asked for. */
export const dueQuerySchema = z.object({
  /** Up to this day, it included. */
  until: z.iso.date().optional(),
  /** What the page before ended with. */
  after: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}\.\d{1,9}\.\d{1,2}$/, 'pageBefore' satisfies ExpectedReason)
    .optional(),
});

/** Some of what the shop's cars are due for, soonest first. */
export const duePageSchema = z
  .strictObject({
    rows: z.array(dueRowSchema),
    /** What the next page comes after; null on the last page. */
    after: z.string().nullable(),
  })
  .meta({ id: 'DuePage' });
export type DuePage = z.infer<typeof duePageSchema>;
