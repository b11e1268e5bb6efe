import type {
  Action,
  PracticeBoard,
  PracticeProgress,
  PracticeResult,
  PracticeSkills,
  PracticeTry,
} from '@keen/contract';
import { DRILL_KINDS } from '@keen/contract';
import { reliability } from '@keen/core';
import { FAULTS } from '@keen/core/engine';
import {
  answerChances,
  dealDrill,
  depthErrorMm,
  isRightAnswer,
  skillScores,
} from '@keen/core/practice';
import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { people, practiceDrills, practiceTries } from '../../db/schema/index.ts';
import type { Actor } from '../../http/signedIn.ts';

/** One's own list goes back so far. */
const MOST_TRIES = 200;
/** Progress is of the last cars. */
const LAST_CARS = 50;
const LAST_DRILLS = 10;

type Row = typeof practiceTries.$inferSelect;

/** One's own cars and progress; for the lead that of everybody who shows it. */
export async function practiceBoard(tx: Handle, actor: Actor): Promise<PracticeBoard> {
  const { shopId, personId, role } = actor;
  const own = await triesOf(tx, actor, personId, MOST_TRIES);
  const [person] = await tx
    .select({ showsPractice: people.showsPractice })
    .from(people)
    .where(and(eq(people.shopId, shopId), eq(people.id, personId)));
  const shown =
    role === 'lead'
      ? await tx
          .select({ id: people.id })
          .from(people)
          .where(
            and(
              eq(people.shopId, shopId),
              eq(people.showsPractice, true),
              isNull(people.suspendedAt),
            ),
          )
      : [];
  return {
    today: `day-${new Date().toISOString().slice(0, 10)}`,
    tries: own.map(tryOf),
    isShown: person?.showsPractice ?? false,
    own: progressOf(personId, own, await drillsOf(tx, actor, personId)),
    shown: await Promise.all(
      shown
        .filter(({ id }) => id !== personId)
        .map(async ({ id }) =>
          progressOf(id, await triesOf(tx, actor, id, LAST_CARS), await drillsOf(tx, actor, id)),
        ),
    ),
  };
}

/** Shows one's progress to the lead, or no longer. */
export async function showPractice(
  tx: Handle,
  actor: Actor,
  isShown: boolean,
): Promise<PracticeBoard> {
  const { shopId, personId } = actor;
  await tx
    .update(people)
    .set({ showsPractice: isShown })
    .where(and(eq(people.shopId, shopId), eq(people.id, personId)));
  return practiceBoard(tx, actor);
}

function triesOf(
  tx: Handle,
  { shopId, personId }: Actor,
  of: string,
  most: number,
): Promise<Row[]> {
  return tx
    .select()
    .from(practiceTries)
    .where(
      and(
        eq(practiceTries.shopId, shopId),
        eq(practiceTries.personId, of),
        // What somebody else is at is their own affair.
        of === personId ? undefined : isNotNull(practiceTries.finishedAt),
      ),
    )
    .orderBy(desc(practiceTries.startedAt))
    .limit(most);
}

/** How the last drills went, by kind of question. */
async function drillsOf(
  tx: Handle,
  { shopId }: Actor,
  personId: string,
): Promise<PracticeSkills['drills']> {
  const rows = await tx
    .select({ seed: practiceDrills.seed, given: practiceDrills.given })
    .from(practiceDrills)
    .where(and(eq(practiceDrills.shopId, shopId), eq(practiceDrills.personId, personId)))
    .orderBy(desc(practiceDrills.startedAt))
    .limit(LAST_DRILLS);
  const answers = rows.flatMap(({ seed, given }) =>
    dealDrill(seed).flatMap((item, at) => {
      const said = given[at];
      return said === undefined
        ? []
        : [{ kind: item.question.kind, isRight: isRightAnswer(item, said) }];
    }),
  );
  return DRILL_KINDS.flatMap((kind) => {
    const own = answers.filter((one) => one.kind === kind);
    const right = own.filter(({ isRight }) => isRight).length;
    return own.length > 0 ? [{ kind, asked: own.length, right }] : [];
  });
}

function tryOf(row: Row): PracticeTry {
  const { id, personId, lesson, code, startedAt, finishedAt, minutes, minor, result } = row;
  return {
    id,
    personId,
    lesson,
    code,
    startedAt: startedAt.toISOString(),
    finishedAt: finishedAt?.toISOString() ?? null,
    minutes,
    points: result?.score.points ?? null,
    bestPoints: result?.score.bestPoints ?? null,
    lost: result ? lostBy(result, result.answer.course) + minor : null,
  };
}

/** What a course costs the customer beyond the cheapest, minor units. */
function lostBy({ courses }: PracticeResult, chosen: Action): number {
  return courses.find(({ course }) => course === chosen)?.lost ?? 0;
}

/** How the last cars went, and how chances that were said held. */
function progressOf(
  personId: string,
  rows: readonly Row[],
  drills: PracticeSkills['drills'],
): PracticeProgress {
  const answered = rows
    .flatMap(({ draft, result }) => (result ? [{ draft, result }] : []))
    .slice(0, LAST_CARS);
  const results = answered.map(({ result }) => result);
  const mean = (values: readonly number[]) =>
    values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : null;
  const { bands } = reliability(
    results.map(({ answer, truth }) => {
      const chances = answerChances(answer.causes);
      return FAULTS.flatMap(({ cause, where }, i) => {
        const isNamed = answer.causes.some(
          (one) => one.cause === cause && (cause === 'hardCornering' || one.where === where),
        );
        // What was not named says nothing about who did not name it.
        if (!isNamed || (cause === 'hardCornering' && where === 'rear')) return [];
        const isSo = truth.faults.some((one) => one.cause === cause && one.where === where);
        return [{ chance: chances[i]!, isSo }];
      });
    }),
  );
  return {
    personId,
    cars: results.length,
    points: mean(results.map(({ score }) => score.points)),
    bestPoints: mean(results.map(({ score }) => score.bestPoints)),
    brier: mean(results.map(({ score }) => score.brier)),
    skills: {
      causes: skillScores(results),
      depthErrorMm: mean(
        answered.flatMap(({ draft, result }) => depthErrorMm(draft, result.truth.depthsMm) ?? []),
      ),
      lost: mean(results.map((result) => lostBy(result, result.answer.course))),
      bestLost: mean(results.map((result) => lostBy(result, result.best.course))),
      drills,
    },
    bands: bands.map(({ from, to, said, found }) => ({
      from,
      to,
      said,
      found: found.part,
      low: found.low,
      high: found.high,
      count: found.of,
    })),
  };
}
