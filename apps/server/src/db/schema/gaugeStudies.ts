import type { DepthUnit } from '@keen/contract';
import { DEPTH_UNITS } from '@keen/contract';
import {
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { atLeast, noLonger, oneOf, ownRows } from './shopRows.ts';

/** Gauge studies as they were laid out. */
export const gaugeStudies = pgTable(
  'gauge_studies',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    name: text().notNull(),
    readIn: text('read_in').$type<DepthUnit>().notNull(),
    /** Who reads, in order: a reading names its person by the place here. */
    readers: jsonb().$type<string[]>().notNull(),
    marks: jsonb().$type<string[]>().notNull(),
    trials: smallint().notNull(),
    seed: integer().notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    closedAt: timestamp('closed_at', { withTimezone: true }),
  },
  (table) => [
    uniqueIndex('gauge_studies_own').on(table.shopId, table.id),
    index('gauge_studies_latest').on(table.shopId, table.createdAt),
    index('gauge_studies_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'gauge_studies_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    oneOf('gauge_studies_read_in', table.readIn, DEPTH_UNITS),
    noLonger('gauge_studies_name', table.name, 60),
    atLeast('gauge_studies_trials', table.trials, 2),
    ownRows('gauge_studies', table.shopId),
  ],
);

/** What was read in a study: one reading a person, trial and mark. */
export const studyReadings = pgTable(
  'study_readings',
  {
    shopId: uuid('shop_id').notNull(),
    studyId: uuid('study_id').notNull(),
    /** Place in the study's list of people. */
    reader: smallint().notNull(),
    trial: smallint().notNull(),
    mark: smallint().notNull(),
    mm: doublePrecision().notNull(),
    /** Who typed it. */
    personId: uuid('person_id').notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.studyId, table.reader, table.trial, table.mark] }),
    index('study_readings_shop_study').on(table.shopId, table.studyId),
    index('study_readings_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'study_readings_own_study',
      columns: [table.shopId, table.studyId],
      foreignColumns: [gaugeStudies.shopId, gaugeStudies.id],
    }),
    foreignKey({
      name: 'study_readings_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    ownRows('study_readings', table.shopId),
  ],
);
