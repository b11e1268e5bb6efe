import type { PracticeAnswer, PracticeResult, VisitDraft } from '@keen/contract';
import { PRACTICE_LESSONS } from '@keen/contract';
import type { PracticeCheck, PracticeLesson } from '@keen/contract';
import {
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { noLonger, oneOf, ownRows } from './shopRows.ts';

/** Which car stands behind a code: drawn once, and never told. */
export const practiceDeals = pgTable(
  'practice_deals',
  {
    shopId: uuid('shop_id').notNull(),
    lesson: text().$type<PracticeLesson>().notNull(),
    code: text().notNull(),
    seed: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.shopId, table.lesson, table.code] }),
    oneOf('practice_deals_lesson', table.lesson, PRACTICE_LESSONS),
    noLonger('practice_deals_code', table.code, 40),
    ownRows('practice_deals', table.shopId),
  ],
);

/** A person at a bench drill; its questions come from its seed. */
export const practiceDrills = pgTable(
  'practice_drills',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    personId: uuid('person_id').notNull(),
    seed: integer().notNull(),
    startedAt: timestamp('started_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    /** What was answered, by the question's place. */
    given: jsonb().$type<Record<string, string>>().notNull(),
    right: integer().notNull().default(0),
  },
  (table) => [
    index('practice_drills_latest').on(table.shopId, table.personId, table.startedAt),
    foreignKey({
      name: 'practice_drills_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    ownRows('practice_drills', table.shopId),
  ],
);

/** A person at a practice car. */
export const practiceTries = pgTable(
  'practice_tries',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    personId: uuid('person_id').notNull(),
    lesson: text().$type<PracticeLesson>().notNull(),
    code: text().notNull(),
    startedAt: timestamp('started_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    finishedAt: timestamp('finished_at', { withTimezone: true, precision: 3 }),
    /** What was read and found, as of a visit. */
    draft: jsonb().$type<VisitDraft>().notNull(),
    done: jsonb().$type<PracticeCheck[]>().notNull(),
    /** How often the gauge was set down at a rib: "lf.inner". */
    readings: jsonb().$type<Record<string, number>>().notNull(),
    minutes: doublePrecision().notNull().default(0),
    /** Minor units. */
    minor: integer().notNull().default(0),
    answer: jsonb().$type<PracticeAnswer>(),
    result: jsonb().$type<PracticeResult>(),
  },
  (table) => [
    // Nobody answers one car twice.
    uniqueIndex('practice_tries_one').on(table.shopId, table.personId, table.lesson, table.code),
    index('practice_tries_latest').on(table.shopId, table.personId, table.startedAt),
    foreignKey({
      name: 'practice_tries_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    oneOf('practice_tries_lesson', table.lesson, PRACTICE_LESSONS),
    noLonger('practice_tries_code', table.code, 40),
    ownRows('practice_tries', table.shopId),
  ],
);
