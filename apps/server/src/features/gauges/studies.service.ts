import type { SaveStudyReading, NewStudy, Study, StudyPage, UsedSpread } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { hashSeed, readingSpread, ROUNDING_MM, studySoFar } from '@keen/core';
import { and, asc, desc, eq, inArray, lt, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { gaugeStudies, people, studyReadings } from '../../db/schema/index.ts';
import { changeSettings } from '../../db/shopSettings.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const PAGE = 20;

/** Studies, latest first. @param before - only those that began before this moment */
export async function studyPage(
  tx: Handle,
  { shopId }: Actor,
  before: string | null,
): Promise<StudyPage> {
  const rows = await tx
    .select({
      study: gaugeStudies,
      taken: sql<number>`(select count(*)::int from ${studyReadings}
        where ${studyReadings.studyId} = ${gaugeStudies.id} and ${studyReadings.shopId} = ${shopId})`,
    })
    .from(gaugeStudies)
    .where(
      and(
        eq(gaugeStudies.shopId, shopId),
        before === null ? undefined : lt(gaugeStudies.createdAt, new Date(before)),
      ),
    )
    .orderBy(desc(gaugeStudies.createdAt))
    .limit(PAGE + 1);
  const studies = rows.slice(0, PAGE).map(({ study, taken }) => ({ ...rowOf(study), taken }));
  return {
    studies,
    before: rows.length > PAGE ? studies.at(-1)!.createdAt : null,
  };
}

/** A study with its readings. @throws {AppError} 404 */
export async function oneStudy(tx: Handle, { shopId }: Actor, id: string): Promise<Study> {
  const [study] = await tx
    .select()
    .from(gaugeStudies)
    .where(and(eq(gaugeStudies.shopId, shopId), eq(gaugeStudies.id, id)));
  if (!study) throw notFound('noStudy');
  const { reader, trial, mark, mm } = studyReadings;
  const readings = await tx
    .select({ person: reader, trial, mark, mm })
    .from(studyReadings)
    .where(and(eq(studyReadings.shopId, shopId), eq(studyReadings.studyId, id)))
    .orderBy(asc(reader), asc(trial), asc(mark));
  return { ...rowOf(study), seed: study.seed, taken: readings.length, readings };
}

/** Lays out a study. @throws {AppError} 400 where a person is not of the shop */
export async function newStudy(tx: Handle, actor: Actor, plan: NewStudy): Promise<Study> {
  const { shopId, personId } = actor;
  const id = plan.id.toLowerCase();
  const readers = plan.people.map((one) => one.toLowerCase());
  const known = await tx
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.shopId, shopId), inArray(people.id, readers)));
  const wrong = readers.findIndex((reader) => !known.some((person) => person.id === reader));
  if (wrong >= 0) throw invalid([validationIssue(`people.${wrong}`, 'personOfShop')]);
  const { name, readIn, marks, trials } = plan;
  const seed = hashSeed(id) | 0;
  await tx
    .insert(gaugeStudies)
    .values({ id, shopId, name, readIn, readers, marks, trials, seed, personId })
    .onConflictDoNothing();
  await notifyLive(tx, { shopId, kind: 'gauges' });
  return oneStudy(tx, actor, id);
}

/**
 * Keeps a reading, in the place of one that is there.
 * @throws {AppError} 404; 400 for a person, trial or mark that the study does not have; 409 once closed
 */
export async function saveReading(
  tx: Handle,
  actor: Actor,
  id: string,
  reading: SaveStudyReading,
): Promise<Study> {
  const { shopId, personId } = actor;
  const { person, trial, mark, mm } = reading;
  const study = await locked(tx, actor, id);
  if (study.closedAt !== null) throw conflict('studyClosed');
  for (const [path, at, count] of [
    ['person', person, study.readers.length],
    ['trial', trial, study.trials],
    ['mark', mark, study.marks.length],
  ] as const) {
    if (at >= count) throw invalid([validationIssue(path, 'atMost', { limit: count - 1 })]);
  }
  if (mm === null) {
    await tx
      .delete(studyReadings)
      .where(
        and(
          eq(studyReadings.shopId, shopId),
          eq(studyReadings.studyId, id),
          eq(studyReadings.reader, person),
          eq(studyReadings.trial, trial),
          eq(studyReadings.mark, mark),
        ),
      );
  } else {
    const { studyId, reader, trial: ofTrial, mark: ofMark } = studyReadings;
    await tx
      .insert(studyReadings)
      .values({ shopId, studyId: id, reader: person, trial, mark, mm, personId })
      .onConflictDoUpdate({
        target: [studyId, reader, ofTrial, ofMark],
        set: { mm, personId, at: new Date() },
      });
  }
  await notifyLive(tx, { shopId, kind: 'gauges' });
  return oneStudy(tx, actor, id);
}

/** No more readings, or some again. @throws {AppError} 404 */
export async function closeStudy(
  tx: Handle,
  actor: Actor,
  id: string,
  closed: boolean,
): Promise<Study> {
  const { shopId } = actor;
  const study = await locked(tx, actor, id);
  if ((study.closedAt !== null) !== closed) {
    await tx
      .update(gaugeStudies)
      .set({ closedAt: closed ? new Date() : null })
      .where(and(eq(gaugeStudies.shopId, shopId), eq(gaugeStudies.id, id)));
    await notifyLive(tx, { shopId, kind: 'gauges' });
  }
  return oneStudy(tx, actor, id);
}

/**
 * New visits use the spread that this study found; those that are there keep theirs.
 * @throws {AppError} 404; 409 while it is not whole
 */
export async function useSpread(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string,
): Promise<UsedSpread> {
  const { shopId } = actor;
  await locked(tx, actor, id);
  const { people: readers, trials, marks, readIn, readings } = await oneStudy(tx, actor, id);
  const size = { people: readers.length, trials, marks: marks.length };
  const { result, isWhole } = studySoFar(size, readings);
  if (!result || !isWhole) throw conflict('studyUnfinished');
  const mm = Number(readingSpread(result, ROUNDING_MM[readIn]).toFixed(4));
  const used = { mm, studyId: id, at: new Date().toISOString() };
  await changeSettings(tx, shopId, { readingSpread: used }, '');
  await addAudit(tx, actor, 'settings', { changed: 'readingSpread' }, address);
  await notifyLive(tx, { shopId, kind: 'settings' });
  return used;
}

async function locked(tx: Handle, { shopId }: Actor, id: string) {
  const [study] = await tx
    .select()
    .from(gaugeStudies)
    .where(and(eq(gaugeStudies.shopId, shopId), eq(gaugeStudies.id, id)))
    .for('update');
  if (!study) throw notFound('noStudy');
  return study;
}

function rowOf(study: typeof gaugeStudies.$inferSelect) {
  const { id, name, readIn, readers, marks, trials, createdAt, closedAt } = study;
  return {
    id,
    name,
    readIn,
    people: readers,
    marks,
    trials,
    createdAt: createdAt.toISOString(),
    closedAt: closedAt?.toISOString() ?? null,
  };
}
