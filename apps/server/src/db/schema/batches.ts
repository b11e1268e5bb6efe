import type {
  BatchState,
  CallbackState,
  CaseFile,
  Diagnosis,
  ValidationIssue,
} from '@keen/contract';
import { BATCH_STATES, CALLBACK_STATES } from '@keen/contract';
import { sql } from 'drizzle-orm';
import {
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
import { apiKeys } from './apiKeys.ts';
import { jsonb } from './jsonb.ts';
import { noLonger, oneOf, ownRows } from './shopRows.ts';

/** Many cases that another program asked to have diagnosed. */
export const batches = pgTable(
  'batches',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    keyId: uuid('key_id').notNull(),
    name: text().notNull(),
    state: text().$type<BatchState>().notNull(),
    cases: integer().notNull(),
    done: integer().notNull(),
    refused: integer().notNull(),
    callbackUrl: text('callback_url'),
    callbackState: text('callback_state').$type<CallbackState>(),
    callbackStatus: integer('callback_status'),
    createdAt: timestamp('created_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    endedAt: timestamp('ended_at', { withTimezone: true, precision: 3 }),
  },
  (table) => [
    uniqueIndex('batches_own').on(table.shopId, table.id),
    index('batches_shop_created').on(table.shopId, table.createdAt),
    index('batches_shop_key').on(table.shopId, table.keyId),
    foreignKey({
      name: 'batches_own_key',
      columns: [table.shopId, table.keyId],
      foreignColumns: [apiKeys.shopId, apiKeys.id],
    }),
    noLonger('batches_name', table.name, 80),
    oneOf('batches_state', table.state, BATCH_STATES),
    oneOf('batches_callback_state', table.callbackState, CALLBACK_STATES),
    ownRows('batches', table.shopId),
  ],
);

/** The lines of a batch: each is a case until it has its answer, or what is wrong with it. */
export const batchCases = pgTable(
  'batch_cases',
  {
    shopId: uuid('shop_id').notNull(),
    batchId: uuid('batch_id').notNull(),
    line: integer().notNull(),
    /** Null once it is answered. */
    file: jsonb().$type<CaseFile>(),
    answer: jsonb().$type<Diagnosis>(),
    refusal: jsonb().$type<ValidationIssue>(),
  },
  (table) => [
    primaryKey({ columns: [table.batchId, table.line] }),
    index('batch_cases_waiting')
      .on(table.batchId, table.line)
      .where(sql`${table.file} is not null`),
    index('batch_cases_shop_batch').on(table.shopId, table.batchId),
    foreignKey({
      name: 'batch_cases_own_batch',
      columns: [table.shopId, table.batchId],
      foreignColumns: [batches.shopId, batches.id],
    }).onDelete('cascade'),
    ownRows('batch_cases', table.shopId),
  ],
);
