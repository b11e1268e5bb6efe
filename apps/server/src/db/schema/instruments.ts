import type { InstrumentKind, NewCheck } from '@keen/contract';
import { INSTRUMENT_KINDS } from '@keen/contract';
import {
  boolean,
  doublePrecision,
  foreignKey,
  index,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { noLonger, oneOf, ownRows } from './shopRows.ts';

/** The shop's own gauges, rigs, levels and string sets. */
export const instruments = pgTable(
  'instruments',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    name: text().notNull(),
    kind: text().$type<InstrumentKind>().notNull(),
    /** Standard uncertainty by its certificate, mm or degrees. */
    certified: doublePrecision(),
    /** What it is checked against, mm or degrees. */
    block: jsonb().$type<number[]>().notNull(),
    retired: boolean().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('instruments_own').on(table.shopId, table.id),
    oneOf('instruments_kind', table.kind, INSTRUMENT_KINDS),
    noLonger('instruments_name', table.name, 60),
    ownRows('instruments', table.shopId),
  ],
);

/** Checks of an instrument: appended, never changed. */
export const instrumentChecks = pgTable(
  'instrument_checks',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    instrumentId: uuid('instrument_id').notNull(),
    points: jsonb().$type<NewCheck['points']>().notNull(),
    note: text().notNull(),
    personId: uuid('person_id').notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [
    index('instrument_checks_latest').on(table.shopId, table.instrumentId, table.at),
    index('instrument_checks_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'instrument_checks_own_instrument',
      columns: [table.shopId, table.instrumentId],
      foreignColumns: [instruments.shopId, instruments.id],
    }),
    foreignKey({
      name: 'instrument_checks_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    noLonger('instrument_checks_note', table.note, 200),
    ownRows('instrument_checks', table.shopId),
  ],
);
