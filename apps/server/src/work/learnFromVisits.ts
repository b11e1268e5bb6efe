import type { CaseFile, LearningResult, LearningStage, ShopConstants } from '@keen/contract';
import { WHEELS } from '@keen/contract';
import { carEvidence, createDiagnosisRun, fitConstants, InputError, lineKey } from '@keen/core';
import type { CarEvidence, FittedConstants, ShopCar } from '@keen/core';
import { and, eq } from 'drizzle-orm';
import { inShop } from '../db/client.ts';
import type { Database, Handle } from '../db/client.ts';
import { learningEvidence, learningRuns } from '../db/schema/index.ts';
import { notifyLive } from '../db/notifyLive.ts';
import { findCase } from '../db/visitCase.ts';

/** Errors of single cars cancel, so each rests on few sweeps. */
const SWEEPS = 500;
/** An advice that is compared needs a steadier answer. */
const TRYING_SWEEPS = 1_000;
/** Cars seen lately, advised with and without what was learned. */
export const CARS_TRIED = 40;
const TELL_EVERY_MS = 1_000;

/** How many steps a run of so many cars has. */
export function stepsOf(cars: number): number {
  return 2 * cars + Math.min(cars, CARS_TRIED);
}

/**
 * Learns a shop's constants from its visits: reads each car twice, fits, and tries the outcome on the latest.
 * What each car said is saved at once, so a run that broke off goes on where it was; one that was stopped
 * leaves after the car at hand.
 * @param isOver - asked after each car that is read: whether the rest is for another time
 * @returns whether there is a rest
 */
export async function learnFromVisits(
  db: Database,
  shopId: string,
  runId: string,
  isOver: () => boolean,
): Promise<'more' | 'ended'> {
  const run = await findRun(db, shopId, runId);
  if (run?.state !== 'running') return 'ended';
  const work = { db, shopId, runId, visitIds: run.visitIds, told: 0, isOver };
  const first = await readAll(work, 1, undefined);
  if (typeof first === 'string') return first;
  const taught = fitConstants(first);
  if (!(await moveOn(work, 'readingAgain', run.visitIds.length))) return 'ended';
  // By the usual constants they have been read already.
  const second = taught.used === 0 ? first : await readAll(work, 2, taught.constants);
  if (typeof second === 'string') return second;
  const fitted = taught.used === 0 ? taught : fitConstants(second, taught.constants);
  if (!(await moveOn(work, 'trying', 2 * run.visitIds.length))) return 'ended';
  const tried = await tryOut(work, fitted);
  if (!tried) return 'ended';
  const { constants, traits, faultRates, lines, cars, used, gain } = fitted;
  const result = { constants, traits, faultRates, lines, cars, used, gain, tried };
  await inShop(db, shopId, async (tx) => {
    const [ended] = await tx
      .update(learningRuns)
      .set({ state: 'done', result, done: run.total })
      .where(running(work))
      .returning({ id: learningRuns.id });
    if (!ended) return;
    await tx
      .delete(learningEvidence)
      .where(and(eq(learningEvidence.shopId, shopId), eq(learningEvidence.runId, runId)));
    await notifyLive(tx, { shopId, kind: 'learning' });
  });
  return 'ended';
}

interface Work {
  db: Database;
  shopId: string;
  runId: string;
  visitIds: readonly string[];
  /** When the shop's pages were told last, ms. */
  told: number;
  isOver: () => boolean;
}

function running({ shopId, runId }: Work) {
  return and(
    eq(learningRuns.shopId, shopId),
    eq(learningRuns.id, runId),
    eq(learningRuns.state, 'running'),
  );
}

function findRun(db: Database, shopId: string, runId: string) {
  return inShop(db, shopId, async (tx) => {
    const own = and(eq(learningRuns.shopId, shopId), eq(learningRuns.id, runId));
    return (await tx.select().from(learningRuns).where(own))[0];
  });
}

/** Reads every car that was not read yet. @returns what they say, unless the run was stopped or time is up */
async function readAll(
  work: Work,
  pass: 1 | 2,
  by: ShopConstants | undefined,
): Promise<ShopCar[] | 'more' | 'ended'> {
  const { db, shopId, runId, visitIds } = work;
  const saved = () =>
    inShop(db, shopId, (tx) =>
      tx
        .select()
        .from(learningEvidence)
        .where(
          and(
            eq(learningEvidence.shopId, shopId),
            eq(learningEvidence.runId, runId),
            eq(learningEvidence.pass, pass),
          ),
        ),
    );
  const known = new Set((await saved()).map(({ visitId }) => visitId));
  let done = (pass - 1) * visitIds.length + known.size;
  for (const visitId of visitIds) {
    if (known.has(visitId)) continue;
    if (work.isOver()) return 'more';
    const found = await inShop(db, shopId, (tx) => findCase(tx, shopId, visitId));
    const evidence = found && evidenceOf(found.file, by);
    const line = found && lineOf(found.visit.draft.visit?.tires);
    done++;
    const goesOn = await inShop(db, shopId, async (tx) => {
      if (!(await setDone(tx, work, done))) return false;
      await tx
        .insert(learningEvidence)
        .values({ shopId, runId, pass, visitId, evidence, line })
        .onConflictDoNothing();
      return true;
    });
    if (!goesOn) return 'ended';
  }
  const byVisit = new Map((await saved()).map((row) => [row.visitId, row]));
  // In the run's own order, whatever the order in which they were saved: the folds depend on it.
  return visitIds.flatMap((visitId) => {
    const row = byVisit.get(visitId);
    return row?.evidence ? [{ evidence: row.evidence, line: row.line }] : [];
  });
}

/** A car that cannot be diagnosed says nothing. */
function evidenceOf(file: CaseFile, by: ShopConstants | undefined): CarEvidence | null {
  try {
    return carEvidence(file, SWEEPS, by);
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** The line that all four tires are of, as it was typed, or null. */
function lineOf(tires: Partial<Record<string, { line?: string | undefined }>> = {}): string | null {
  const lines = WHEELS.map((wheel) => tires[wheel]?.line ?? '');
  const [first = ''] = lines;
  return first !== '' && lines.every((line) => lineKey(line) === lineKey(first)) ? first : null;
}

/** Says how far the run is. @returns false when it was stopped meanwhile */
async function setDone(tx: Handle, work: Work, done: number): Promise<boolean> {
  const [row] = await tx
    .update(learningRuns)
    .set({ done })
    .where(running(work))
    .returning({ id: learningRuns.id });
  if (!row) return false;
  const now = Date.now();
  if (now - work.told >= TELL_EVERY_MS) {
    work.told = now;
    await notifyLive(tx, { shopId: work.shopId, kind: 'learning' });
  }
  return true;
}

async function moveOn(work: Work, stage: LearningStage, done: number): Promise<boolean> {
  return inShop(work.db, work.shopId, async (tx) => {
    const rows = await tx
      .update(learningRuns)
      .set({ stage, done })
      .where(running(work))
      .returning({ id: learningRuns.id });
    return rows.length > 0;
  });
}

/** Advises the latest cars with and without what was learned. @returns null when the run was stopped */
async function tryOut(
  work: Work,
  { constants }: FittedConstants,
): Promise<LearningResult['tried'] | null> {
  const { db, shopId, visitIds } = work;
  const changed: LearningResult['tried']['changed'] = [];
  const latest = visitIds.slice(0, CARS_TRIED);
  for (const [at, visitId] of latest.entries()) {
    const found = await inShop(db, shopId, (tx) => findCase(tx, shopId, visitId));
    if (found) {
      const file = { ...found.file };
      delete file.constants;
      const before = adviceOf(file);
      const after = adviceOf({ ...file, constants });
      if (before !== after) changed.push({ visitId, before, after });
    }
    const goesOn = await inShop(db, shopId, (tx) =>
      setDone(tx, work, 2 * visitIds.length + at + 1),
    );
    if (!goesOn) return null;
  }
  return { cars: latest.length, changed };
}

function adviceOf(file: CaseFile) {
  const run = createDiagnosisRun(file);
  run.step(TRYING_SWEEPS);
  return run.answer().diagnosis.recommendation.action;
}
