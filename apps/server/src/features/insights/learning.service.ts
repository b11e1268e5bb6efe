import type { Learning, LearningResult, LearningRun } from '@keen/contract';
import { LEAST_CARS_TO_LEARN } from '@keen/core';
import { and, desc, eq, inArray, isNotNull, max, sql } from 'drizzle-orm';
import type { InferSelectModel } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { learningEvidence, learningRuns, vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { stepsOf } from '../../work/learnFromVisits.ts';

/** The latest visits that are looked through, and the cars of them that a run learns from. */
const MOST_VISITS = 3_000;
const MOST_CARS = 400;
const MOST_RUNS = 20;

/** Runs of the shop, latest first, and how many cars there are to learn from. */
export async function learningOf(tx: Handle, shopId: string): Promise<Learning> {
  const own = eq(learningRuns.shopId, shopId);
  const latest = await tx
    .select()
    .from(learningRuns)
    .where(own)
    .orderBy(desc(learningRuns.version))
    .limit(MOST_RUNS);
  const used = latest.some(({ usedSince }) => usedSince !== null)
    ? []
    : await tx
        .select()
        .from(learningRuns)
        .where(and(own, isNotNull(learningRuns.usedSince)));
  const rows = [...latest, ...used];
  const running = latest.find(({ state }) => state === 'running');
  const names = await namesOf(
    tx,
    shopId,
    rows.flatMap(({ result }) => result?.tried.changed.map(({ visitId }) => visitId) ?? []),
  );
  return {
    runs: rows.map((row) => runRecord(row, names)),
    // While a run is at work this is asked every second, and a second run would have to wait anyway.
    cars: (running?.visitIds ?? (await visitsToLearnFrom(tx, shopId))).length,
    leastCars: LEAST_CARS_TO_LEARN,
  };
}

/**
 * Begins a run over the latest cars. Asking twice with the same id begins once.
 * @returns whether there is something to work on
 * @throws {AppError} 409 when one is at work, or when there are too few cars
 */
export async function startRun(
  tx: Handle,
  { shopId, personId }: Actor,
  id: string,
): Promise<boolean> {
  await oneAtATime(tx, shopId);
  const own = eq(learningRuns.shopId, shopId);
  const [known] = await tx
    .select({ state: learningRuns.state })
    .from(learningRuns)
    .where(and(own, eq(learningRuns.id, id)));
  if (known) return known.state === 'running';
  await refuseSecond(tx, shopId);
  const visitIds = await visitsToLearnFrom(tx, shopId);
  if (visitIds.length < LEAST_CARS_TO_LEARN) {
    throw conflict('tooFewCars', { least: LEAST_CARS_TO_LEARN });
  }
  // What a run that was given up had read is of no use any more.
  await tx.delete(learningEvidence).where(eq(learningEvidence.shopId, shopId));
  const [last] = await tx
    .select({ version: max(learningRuns.version) })
    .from(learningRuns)
    .where(own);
  await tx.insert(learningRuns).values({
    id,
    shopId,
    personId,
    version: (last?.version ?? 0) + 1,
    state: 'running',
    stage: 'reading',
    total: stepsOf(visitIds.length),
    visitIds,
  });
  await notifyLive(tx, { shopId, kind: 'learning' });
  return true;
}

/**
 * Stops a run, or goes on with one that was stopped or broke off.
 * @throws {AppError} 404 when there is none, 409 when it has ended or another is at work
 */
export async function setRunState(
  tx: Handle,
  { shopId }: Actor,
  id: string,
  state: 'running' | 'canceled',
): Promise<void> {
  const own = and(eq(learningRuns.shopId, shopId), eq(learningRuns.id, id));
  const [run] = await tx
    .select({ state: learningRuns.state })
    .from(learningRuns)
    .where(own)
    .for('update');
  if (!run) throw notFound('noRun');
  if (run.state === state) return;
  if (run.state === 'done') throw conflict('runEnded');
  if (state === 'running') await refuseSecond(tx, shopId);
  await tx.update(learningRuns).set({ state }).where(own);
  await notifyLive(tx, { shopId, kind: 'learning' });
}

/** Two people of a shop who start or choose at once wait for each other. */
async function oneAtATime(tx: Handle, shopId: string): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`learning ${shopId}`}))`);
}

async function refuseSecond(tx: Handle, shopId: string): Promise<void> {
  const [other] = await tx
    .select({ id: learningRuns.id })
    .from(learningRuns)
    .where(and(eq(learningRuns.shopId, shopId), eq(learningRuns.state, 'running')));
  if (other) throw conflict('runAtWork');
}

/**
 * New visits use what a run learned, or the usual constants. Visits that have begun keep theirs.
 * @param runId - null for the usual ones
 * @throws {AppError} 404 when there is none that ended well
 */
export async function useRun(
  tx: Handle,
  actor: Actor,
  runId: string | null,
  address: string | undefined,
): Promise<void> {
  const { shopId } = actor;
  await oneAtATime(tx, shopId);
  const own = eq(learningRuns.shopId, shopId);
  await tx
    .update(learningRuns)
    .set({ usedSince: null })
    .where(and(own, isNotNull(learningRuns.usedSince)));
  let version = 0;
  if (runId !== null) {
    const [used] = await tx
      .update(learningRuns)
      .set({ usedSince: new Date() })
      .where(and(own, eq(learningRuns.id, runId), eq(learningRuns.state, 'done')))
      .returning({ version: learningRuns.version });
    if (!used) throw notFound('noRun');
    version = used.version;
  }
  await addAudit(tx, actor, 'constants', { version }, address);
  await notifyLive(tx, { shopId, kind: 'learning' });
}

/** A visit of each car whose tread was read, with new depths and distances; cars that were seen last first. */
async function visitsToLearnFrom(tx: Handle, shopId: string): Promise<string[]> {
  const latest = tx
    .select({ id: visits.id, vehicleId: visits.vehicleId, draft: visits.draft })
    .from(visits)
    .where(eq(visits.shopId, shopId))
    .orderBy(desc(visits.arrivedAt), desc(visits.number))
    .limit(MOST_VISITS)
    .as('latest');
  const found = (path: string) =>
    sql`jsonb_array_length(jsonb_path_query_array(${latest.draft}, ${path}::jsonpath))`;
  const rows = await tx
    .select({ id: latest.id, vehicleId: latest.vehicleId })
    .from(latest)
    .where(
      sql`${found('$.tires.*.stations[0].* ? (@.type() == "number")')} >= 10
        and ${found('$.tires.*.newDepth')} = 4 and ${found('$.tires.*.distance')} = 4`,
    );
  // Of several visits of a car one at random, which the smallest of random ids is: the latest ones alone would
  // be of cars that have been put right here, and those that come for the first time are not.
  const byCar = new Map<string, string>();
  for (const { id, vehicleId } of rows) {
    const known = byCar.get(vehicleId);
    byCar.set(vehicleId, known === undefined || id < known ? id : known);
  }
  return [...byCar.values()].slice(0, MOST_CARS);
}

type Names = ReadonlyMap<string, { number: number; plate: string }>;

async function namesOf(tx: Handle, shopId: string, ids: readonly string[]): Promise<Names> {
  if (ids.length === 0) return new Map();
  const rows = await tx
    .select({ id: visits.id, number: visits.number, plate: vehicles.plate })
    .from(visits)
    .innerJoin(vehicles, and(eq(vehicles.shopId, shopId), eq(vehicles.id, visits.vehicleId)))
    .where(and(eq(visits.shopId, shopId), inArray(visits.id, [...new Set(ids)])));
  return new Map(rows.map(({ id, number, plate }) => [id, { number, plate }]));
}

function runRecord(row: InferSelectModel<typeof learningRuns>, names: Names): LearningRun {
  const { id, version, personId, state, stage, done, total } = row;
  return {
    id,
    version,
    personId,
    at: row.createdAt.toISOString(),
    state,
    stage,
    done,
    total,
    usedSince: row.usedSince?.toISOString() ?? null,
    result: row.result && named(row.result, names),
  };
}

function named(result: LearningResult, names: Names): LearningRun['result'] {
  return {
    ...result,
    tried: {
      ...result.tried,
      changed: result.tried.changed.flatMap((one) => {
        const name = names.get(one.visitId);
        return name ? [{ ...one, ...name }] : [];
      }),
    },
  };
}
