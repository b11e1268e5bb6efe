import { asc, eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { gaugeStudies, instrumentChecks, instruments, studyReadings } from '../db/schema/index.ts';

/** The shop's gauges with all their checks, and its gauge studies, as the archive has them. */
export async function gaugesOf(tx: Handle, shopId: string) {
  const gauges = await tx.select().from(instruments).where(eq(instruments.shopId, shopId));
  const checks = await tx
    .select()
    .from(instrumentChecks)
    .where(eq(instrumentChecks.shopId, shopId))
    .orderBy(asc(instrumentChecks.at));
  const studies = await tx.select().from(gaugeStudies).where(eq(gaugeStudies.shopId, shopId));
  const readings = await tx
    .select()
    .from(studyReadings)
    .where(eq(studyReadings.shopId, shopId))
    .orderBy(asc(studyReadings.at));
  return {
    instruments: gauges.map(({ id, name, kind, certified, block, retired, createdAt }) => ({
      id,
      name,
      kind,
      certified,
      block,
      retired,
      since: createdAt.toISOString(),
      checks: checks
        .filter(({ instrumentId }) => instrumentId === id)
        .map((check) => ({
          id: check.id,
          at: check.at.toISOString(),
          points: check.points,
          note: check.note,
          personId: check.personId,
        })),
    })),
    studies: studies.map((study) => ({
      id: study.id,
      name: study.name,
      readIn: study.readIn,
      people: study.readers,
      marks: study.marks,
      trials: study.trials,
      seed: study.seed,
      personId: study.personId,
      at: study.createdAt.toISOString(),
      closedAt: study.closedAt?.toISOString() ?? null,
      readings: readings
        .filter(({ studyId }) => studyId === study.id)
        .map(({ reader, trial, mark, mm, personId, at }) => ({
          person: reader,
          trial,
          mark,
          mm,
          personId,
          at: at.toISOString(),
        })),
    })),
  };
}
