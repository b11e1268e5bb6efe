import type { VisitDraft } from '@keen/contract';
import { sql } from 'drizzle-orm';
import {
  boolean,
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { atLeast, ownRows } from './shopRows.ts';
import { vehicles } from './vehicles.ts';

export const visits = pgTable(
  'visits',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    vehicleId: uuid('vehicle_id').notNull(),
    /** Counts up within the shop; what people say to one another. */
    number: integer().notNull(),
    arrivedAt: timestamp('arrived_at', { withTimezone: true }).notNull().defaultNow(),
    closedAt: timestamp('closed_at', { withTimezone: true }),
    /** The entries folded together: derived, kept so that lists need not fold. */
    draft: jsonb().$type<VisitDraft>().notNull(),
    /** Number of the last entry in the draft. */
    seq: integer().notNull(),
    /** The visit that this one is a copy of, where the car came from another shop; the first of all copies. */
    originId: uuid('origin_id'),
    // Columns for the index of turns. An index on the draft itself would be written with every reading.
    sheetId: text('sheet_id').generatedAlwaysAs(sql`draft #>> '{visit,sheet,sheetId}'`),
    hasTurns: boolean('has_turns').generatedAlwaysAs(
      sql`draft #> '{visit,setRight,turns}' is not null`,
    ),
  },
  (table) => [
    uniqueIndex('visits_shop_number').on(table.shopId, table.number),
    unique('visits_shop_id').on(table.shopId, table.id),
    index('visits_shop_arrived').on(table.shopId, table.arrivedAt, table.number),
    // The board: what has not been closed, in a shop of any age.
    index('visits_shop_open')
      .on(table.shopId, table.arrivedAt, table.number)
      .where(sql`closed_at is null`),
    // What turns did on the cars of a sheet.
    index('visits_turned')
      .on(table.shopId, table.sheetId, table.arrivedAt)
      .where(sql`has_turns`),
    index('visits_shop_vehicle').on(table.shopId, table.vehicleId, table.arrivedAt),
    index('visits_shop_origin')
      .on(table.shopId, table.originId)
      .where(sql`origin_id is not null`),
    foreignKey({
      name: 'visits_own_vehicle',
      columns: [table.shopId, table.vehicleId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    atLeast('visits_number', table.number, 1),
    atLeast('visits_seq', table.seq, 0),
    ownRows('visits', table.shopId),
  ],
);
