import type { GaugeState, ReaderState, RigState, ShopSettings, TreadPass } from '@keen/contract';
import { boolean, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { noLonger, ownRows } from './shopRows.ts';

export const shops = pgTable(
  'shops',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    town: text().notNull(),
    isDemo: boolean('is_demo').notNull(),
    /** Null until the shop changes something. */
    settings: jsonb().$type<ShopSettings>(),
    /** The simulated rig; null until somebody plays with it. */
    rig: jsonb().$type<RigState>(),
    /** The simulated depth gauge; null until somebody plays with it. */
    gauge: jsonb().$type<GaugeState>(),
    /** The simulated drive-over reader, with the last pass it delivered; null until somebody plays with it. */
    reader: jsonb().$type<{ state: ReaderState; n: number; pass: TreadPass | null }>(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    noLonger('shops_name', table.name, 80),
    noLonger('shops_town', table.town, 80),
    ownRows('shops', table.id),
  ],
);
