import type { LearningResult, LearningStage, LearningState } from '@keen/contract';
import { LEARNING_STAGES, LEARNING_STATES } from '@keen/contract';
import type { CarEvidence } from '@keen/core';
import { sql } from 'drizzle-orm';
import {
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
import { oneOf, ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

/** Runs that learn the constants of the diagnosis from a shop's own cars, and the one in use. */
export const learningRuns = pgTable(
  'learning_runs',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    version: integer().notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    state: text().$type<LearningState>().notNull(),
    stage: text().$type<LearningStage>().notNull(),
    done: integer().notNull().default(0),
    total: integer().notNull().default(0),
    /** The visits that it learns from, one a car, those of cars seen last first. */
    visitIds: jsonb('visit_ids').$type<string[]>().notNull(),
    result: jsonb().$type<LearningResult>(),
    /** Since when new visits use it; null where they do not. */
    usedSince: timestamp('used_since', { withTimezone: true, precision: 3 }),
  },
  (table) => [
    uniqueIndex('learning_runs_own').on(table.shopId, table.id),
    uniqueIndex('learning_runs_version').on(table.shopId, table.version),
    uniqueIndex('learning_runs_running')
      .on(table.shopId)
      .where(sql`${table.state} = 'running'`),
    uniqueIndex('learning_runs_used')
      .on(table.shopId)
      .where(sql`${table.usedSince} is not null`),
    index('learning_runs_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'learning_runs_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    oneOf('learning_runs_state', table.state, LEARNING_STATES),
    oneOf('learning_runs_stage', table.stage, LEARNING_STAGES),
    ownRows('learning_runs', table.shopId),
  ],
);

/** What single cars said, while a run is at work: it goes on from here after a break. */
export const learningEvidence = pgTable(
  'learning_evidence',
  {
    shopId: uuid('shop_id').notNull(),
    runId: uuid('run_id').notNull(),
    /** 1 read by the usual constants, 2 by what the first reading taught. */
    pass: smallint().notNull(),
    visitId: uuid('visit_id').notNull(),
    /** Null for a car that says nothing. */
    evidence: jsonb().$type<CarEvidence>(),
    /** The line of its four tires; null where they are not of one. */
    line: text(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.pass, table.visitId] }),
    index('learning_evidence_shop_run').on(table.shopId, table.runId),
    index('learning_evidence_shop_visit').on(table.shopId, table.visitId),
    foreignKey({
      name: 'learning_evidence_own_run',
      columns: [table.shopId, table.runId],
      foreignColumns: [learningRuns.shopId, learningRuns.id],
    }),
    foreignKey({
      name: 'learning_evidence_own_visit',
      columns: [table.shopId, table.visitId],
      foreignColumns: [visits.shopId, visits.id],
    }),
    ownRows('learning_evidence', table.shopId),
  ],
);
