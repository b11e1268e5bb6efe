import type {
  GaugeState,
  ReaderState,
  RigState,
  ShopChain,
  ShopSettings,
  TreadPass,
} from '@keen/contract';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { boolean, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { chains } from './chains.ts';
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
    /** The chain it belongs to; set by functions of the owner only. */
    chainId: uuid('chain_id').references((): AnyPgColumn => chains.id),
    /** What it keeps to itself of what the chain has settled, by path of the setting; null for nothing. */
    ownSettings: jsonb('own_settings').$type<ShopChain['own']>(),
    /** The simulated rig; null until somebody plays with it. */
    rig: jsonb().$type<RigState>(),
    /** The simulated depth gauge; null until somebody plays with it. */
    gauge: jsonb().$type<GaugeState>(),
    /** The simulated drive-over reader, with the last pass it delivered; null until somebody plays with it. */
    reader: jsonb().$type<{ state: ReaderState; n: number; pass: TreadPass | null }>(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('shops_chain').on(table.chainId),
    noLonger('shops_name', table.name, 80),
    noLonger('shops_town', table.town, 80),
    ownRows('shops', table.id),
  ],
);
