import { expectation } from '@keen/contract';
import type { Handle } from '../db/client.ts';
import { gaugeStudies, instrumentChecks, instruments, studyReadings } from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';
import type { OpenArchive } from './openArchive.ts';
import type { PersonOf } from './importShop.ts';

/** Gauges with their checks, and gauge studies, that are not here yet. */
export async function importGauges(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  personOf: PersonOf,
): Promise<void> {
  for (const one of archive.gauges.instruments) {
    const { id, name, kind, certified, block, retired, since, checks } = one;
    const [added] = await tx
      .insert(instruments)
      .values({ id, shopId, name, kind, certified, block, retired, createdAt: new Date(since) })
      .onConflictDoNothing()
      .returning({ id: instruments.id });
    if (!added) continue;
    for (const { at, points, note, personId, id: checkId } of checks) {
      await tx
        .insert(instrumentChecks)
        .values({
          id: checkId,
          shopId,
          instrumentId: added.id,
          points,
          note,
          personId: personOf(personId),
          at: new Date(at),
        })
        .onConflictDoNothing();
    }
  }
  for (const study of archive.gauges.studies) {
    const { id, name, readIn, people, marks, trials, seed, closedAt } = study;
    const [added] = await tx
      .insert(gaugeStudies)
      .values({
        id,
        shopId,
        name,
        readIn,
        readers: people.map(personOf),
        marks,
        trials,
        seed,
        personId: personOf(study.personId),
        createdAt: new Date(study.at),
        closedAt: closedAt === null ? null : new Date(closedAt),
      })
      .onConflictDoNothing()
      .returning({ id: gaugeStudies.id });
    if (!added) continue;
    const inside = study.readings.filter(
      ({ person, trial, mark }) => person < people.length && trial < trials && mark < marks.length,
    );
    if (inside.length < study.readings.length) {
      archive.faults.push({
        file: 'gauges.json',
        ...expectation('ownStudyReadings', { id }),
      });
    }
    if (inside.length === 0) continue;
    await tx
      .insert(studyReadings)
      .values(
        inside.map(({ person, trial, mark, mm, personId, at }) => ({
          shopId,
          studyId: added.id,
          reader: person,
          trial,
          mark,
          mm,
          personId: personOf(personId),
          at: new Date(at),
        })),
      )
      .onConflictDoNothing();
  }
}
