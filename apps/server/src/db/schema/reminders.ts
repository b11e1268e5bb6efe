import type { DueReminder } from '@keen/contract';
import { date, foreignKey, index, integer, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { ownRows } from './shopRows.ts';
import { vehicles } from './vehicles.ts';
import { visits } from './visits.ts';

/** What is still due of each car by its latest list. Derived from the visits by a trigger. */
export const reminders = pgTable(
  'reminders',
  {
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id, { onDelete: 'cascade' }),
    /** Its place in the visit's list. */
    place: integer().notNull(),
    shopId: uuid('shop_id').notNull(),
    vehicleId: uuid('vehicle_id').notNull(),
    number: integer().notNull(),
    dueOn: date('due_on', { mode: 'string' }).notNull(),
    reminder: jsonb().$type<DueReminder>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.visitId, table.place] }),
    index('reminders_soonest').on(table.shopId, table.dueOn, table.number, table.place),
    index('reminders_shop_vehicle').on(table.shopId, table.vehicleId),
    foreignKey({
      name: 'reminders_own_vehicle',
      columns: [table.shopId, table.vehicleId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    ownRows('reminders', table.shopId),
  ],
);
