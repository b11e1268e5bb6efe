import type { Drill, DrillAnswer } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { dealDrill, isRightAnswer } from '@keen/core/practice';
import { and, eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { practiceDrills } from '../../db/schema/index.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { newSeed } from './newSeed.ts';

type Row = typeof practiceDrills.$inferSelect;

/** Deals a drill of one's own. */
export async function newDrill(tx: Handle, actor: Actor, wanted: string): Promise<Drill> {
  const { shopId, personId } = actor;
  const id = wanted.toLowerCase();
  await tx
    .insert(practiceDrills)
    .values({ id, shopId, personId, seed: newSeed(), given: {} })
    .onConflictDoNothing();
  return oneDrill(tx, actor, id);
}

/** A drill of one's own. @throws {AppError} 404 */
export async function oneDrill(tx: Handle, actor: Actor, id: string): Promise<Drill> {
  return drillOf(await rowOf(tx, actor, id, false));
}

/**
 * Answers a question; the right answer comes with it.
 * @throws {AppError} 404; 400 for a question that the drill does not have; 409 once it is answered
 */
export async function answerDrill(
  tx: Handle,
  actor: Actor,
  id: string,
  { question, given }: DrillAnswer,
): Promise<Drill> {
  const row = await rowOf(tx, actor, id, true);
  const items = dealDrill(row.seed);
  const item = items[question];
  if (!item) throw invalid([validationIssue('question', 'atMost', { limit: items.length - 1 })]);
  if (row.given[question] !== undefined) throw conflict('questionAnswered');
  const next = {
    given: { ...row.given, [question]: given },
    right: row.right + (isRightAnswer(item, given) ? 1 : 0),
  };
  await tx
    .update(practiceDrills)
    .set(next)
    .where(and(eq(practiceDrills.shopId, actor.shopId), eq(practiceDrills.id, id)));
  return drillOf({ ...row, ...next });
}

async function rowOf(
  tx: Handle,
  { shopId, personId }: Actor,
  id: string,
  isLocked: boolean,
): Promise<Row> {
  const query = tx
    .select()
    .from(practiceDrills)
    .where(
      and(
        eq(practiceDrills.shopId, shopId),
        eq(practiceDrills.personId, personId),
        eq(practiceDrills.id, id),
      ),
    );
  const [row] = await (isLocked ? query.for('update') : query);
  if (!row) throw notFound('noDrill');
  return row;
}

function drillOf({ id, seed, startedAt, given }: Row): Drill {
  return {
    id,
    startedAt: startedAt.toISOString(),
    questions: dealDrill(seed).map((item, at) => {
      const answer = given[at];
      const { question, right } = item;
      return {
        question,
        told:
          answer === undefined
            ? null
            : { given: answer, isRight: isRightAnswer(item, answer), right },
      };
    }),
  };
}
