import type { Diagnosis } from '@keen/contract';
import { ACTIONS, ANSWERS } from '@keen/contract';
import type { Wheel } from '@keen/contract';
import { index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { shops } from './shops.ts';
import { visits } from './visits.ts';

/** What was decided, beside what was advised at that moment: appended, never changed. */
export const decisions = pgTable(
  'decisions',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id),
    action: text({ enum: ACTIONS }).notNull(),
    /** What was advised at the shop's prices; decisions before there were prices have the diagnosis' word. */
    advised: text({ enum: ACTIONS }),
    replace: jsonb().$type<Wheel[]>().notNull(),
    answer: text({ enum: ANSWERS }).notNull(),
    reason: text().notNull(),
    diagnosis: jsonb().$type<Diagnosis>().notNull(),
    entrySeq: integer('entry_seq').notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('decisions_visit').on(table.visitId, table.createdAt)],
);
