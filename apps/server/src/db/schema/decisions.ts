import type { Diagnosis, Forecast, Wheel } from '@keen/contract';
import { ACTIONS, ANSWERS } from '@keen/contract';
import { foreignKey, index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { atLeast, noLonger, oneOf, ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

/** What was decided, beside what was advised at that moment: appended, never changed. */
export const decisions = pgTable(
  'decisions',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    visitId: uuid('visit_id').notNull(),
    action: text({ enum: ACTIONS }).notNull(),
    /** What was advised at the shop's prices; decisions before there were prices have the diagnosis' word. */
    advised: text({ enum: ACTIONS }),
    replace: jsonb().$type<Wheel[]>().notNull(),
    answer: text({ enum: ANSWERS }).notNull(),
    reason: text().notNull(),
    diagnosis: jsonb().$type<Diagnosis>().notNull(),
    /** Null for a decision from before forecasts were kept, and where no rib was read. */
    forecast: jsonb().$type<Forecast>(),
    entrySeq: integer('entry_seq').notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('decisions_visit').on(table.visitId, table.createdAt),
    index('decisions_shop_latest').on(table.shopId, table.createdAt),
    index('decisions_shop_visit').on(table.shopId, table.visitId),
    index('decisions_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'decisions_own_visit',
      columns: [table.shopId, table.visitId],
      foreignColumns: [visits.shopId, visits.id],
    }),
    foreignKey({
      name: 'decisions_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    oneOf('decisions_action', table.action, ACTIONS),
    oneOf('decisions_advised', table.advised, ACTIONS),
    oneOf('decisions_answer', table.answer, ANSWERS),
    noLonger('decisions_reason', table.reason, 500),
    atLeast('decisions_entry_seq', table.entrySeq, 0),
    ownRows('decisions', table.shopId),
  ],
);
