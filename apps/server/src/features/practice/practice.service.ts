import { randomBytes } from 'node:crypto';
import type {
  Entry,
  NewPractice,
  PracticeCar,
  PracticeCheck,
  PracticeGauge,
  PracticeLesson,
  PracticeResult,
  PriceList,
} from '@keen/contract';
import { PRACTICE_CHECKS, validationIssue } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { checkCost, READING_MINUTES } from '@keen/core/practice';
import type { Rib, Wheel } from '@keen/contract';
import { and, eq, isNull } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { practiceDeals, practiceTries } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { dealtCar, feltOn, firstDraft, foundBy } from './dealtCar.ts';
import { newSeed } from './newSeed.ts';

/** A try with the seed of its car, which never leaves the server. */
export type Tried = typeof practiceTries.$inferSelect & { seed: number };

const CODE_BYTES = 4;
/** A learner notes depths, and what the hand felt; the rest is found by checks. */
const NOTED = /^(units\.depth|tires\.(lf|rf|lr|rr)\.stations\.[0-5]\.(inner|centre|outer))$/;
const FELT = /^tires\.(lf|rf|lr|rr)\.feather$/;

/** Deals a car: the same one to whoever gives the same code. A car one has is given again as it stands. */
export async function dealTo(tx: Handle, actor: Actor, wish: NewPractice): Promise<PracticeCar> {
  const { shopId, personId } = actor;
  const lesson = wish.lesson ?? (await lessonOf(tx, shopId, wish.code!));
  const code = wish.code ?? randomBytes(CODE_BYTES).toString('hex');
  await tx
    .insert(practiceDeals)
    .values({ shopId, lesson, code, seed: newSeed() })
    .onConflictDoNothing();
  const [deal] = await tx
    .select()
    .from(practiceDeals)
    .where(
      and(
        eq(practiceDeals.shopId, shopId),
        eq(practiceDeals.lesson, lesson),
        eq(practiceDeals.code, code),
      ),
    );
  const draft = firstDraft(dealtCar(lesson, deal!.seed));
  const id = wish.id.toLowerCase();
  await tx
    .insert(practiceTries)
    .values({ id, shopId, personId, lesson, code, draft, done: [], readings: {} })
    .onConflictDoNothing();
  const [own] = await tx
    .select({ id: practiceTries.id })
    .from(practiceTries)
    .where(
      and(
        eq(practiceTries.shopId, shopId),
        eq(practiceTries.personId, personId),
        // Asked twice with one id but no code, the first code stands.
        wish.code === undefined ? eq(practiceTries.id, id) : eq(practiceTries.code, code),
        eq(practiceTries.lesson, lesson),
      ),
    );
  if (!own) throw notFound('noPracticeCar');
  return oneCar(tx, actor, own.id);
}

/** The lesson of the car that has a code in this shop; any car where none does. */
async function lessonOf(tx: Handle, shopId: string, code: string): Promise<PracticeLesson> {
  const [known] = await tx
    .select({ lesson: practiceDeals.lesson })
    .from(practiceDeals)
    .where(and(eq(practiceDeals.shopId, shopId), eq(practiceDeals.code, code)))
    .orderBy(practiceDeals.lesson)
    .limit(1);
  return known?.lesson ?? 'free';
}

/** A car of one's own. @throws {AppError} 404 */
export async function oneCar(tx: Handle, actor: Actor, id: string): Promise<PracticeCar> {
  const tried = await triedOf(tx, actor, id, false);
  return carOf(tried, (await shopSettings(tx, actor.shopId)).prices);
}

/** Sets the gauge down. @throws {AppError} 404; 409 once answered */
export async function setGaugeDown(
  tx: Handle,
  actor: Actor,
  id: string,
  { wheel, rib }: { wheel: Wheel; rib: Rib },
): Promise<PracticeGauge> {
  const tried = await open(tx, actor, id);
  const at = `${wheel}.${rib}`;
  const times = tried.readings[at] ?? 0;
  const shown = dealtCar(tried.lesson, tried.seed).gauge(wheel, rib, times);
  const minutes = tried.minutes + READING_MINUTES;
  await change(tx, actor, id, { readings: { ...tried.readings, [at]: times + 1 }, minutes });
  return { wheel, rib, ...shown, minutes };
}

/** Notes what was read. @throws {AppError} 404; 400 for what is found by checks; 409 once answered */
export async function saveEntries(
  tx: Handle,
  actor: Actor,
  id: string,
  entries: readonly Pick<Entry, 'path' | 'value'>[],
): Promise<PracticeCar> {
  const tried = await open(tx, actor, id);
  const isStroked = tried.done.includes('stroke');
  const wrong = entries.findIndex(
    ({ path }) => !NOTED.test(path) && !(isStroked && FELT.test(path)),
  );
  if (wrong >= 0) {
    const reason = isStroked ? 'depthOrFeel' : 'depthBeforeStroke';
    throw invalid([validationIssue(`entries.${wrong}.path`, reason)]);
  }
  await change(tx, actor, id, { draft: foldEntries(tried.draft, entries) });
  return oneCar(tx, actor, id);
}

/** Makes a check once; a second time changes nothing. @throws {AppError} 404; 409 once answered */
export async function makeCheck(
  tx: Handle,
  actor: Actor,
  id: string,
  check: PracticeCheck,
): Promise<PracticeCar> {
  const tried = await open(tx, actor, id);
  if (!tried.done.includes(check)) {
    const { minutes, minor } = checkCost(check, (await shopSettings(tx, actor.shopId)).prices);
    await change(tx, actor, id, {
      draft: foldEntries(tried.draft, foundBy(dealtCar(tried.lesson, tried.seed), check)),
      done: [...tried.done, check],
      minutes: tried.minutes + minutes,
      minor: tried.minor + minor,
    });
  }
  return oneCar(tx, actor, id);
}

/** A try that can be answered, with the shop's prices. @throws {AppError} 404; 409 once answered */
export async function answerable(
  tx: Handle,
  actor: Actor,
  id: string,
): Promise<{ tried: Tried; prices: PriceList }> {
  const tried = await triedOf(tx, actor, id, false);
  if (tried.finishedAt) throw conflict('answeredAlready');
  return { tried, prices: (await shopSettings(tx, actor.shopId)).prices };
}

/** Keeps what came of an answer: the first one counts. @throws {AppError} 404; 409 once answered */
export async function saveResult(
  tx: Handle,
  actor: Actor,
  id: string,
  result: PracticeResult,
): Promise<PracticeCar> {
  await open(tx, actor, id);
  await change(tx, actor, id, { answer: result.answer, result, finishedAt: new Date() });
  return oneCar(tx, actor, id);
}

async function change(
  tx: Handle,
  { shopId }: Actor,
  id: string,
  to: Partial<typeof practiceTries.$inferInsert>,
): Promise<void> {
  await tx
    .update(practiceTries)
    .set(to)
    .where(
      and(
        eq(practiceTries.shopId, shopId),
        eq(practiceTries.id, id),
        isNull(practiceTries.finishedAt),
      ),
    );
}

async function open(tx: Handle, actor: Actor, id: string): Promise<Tried> {
  const tried = await triedOf(tx, actor, id, true);
  if (tried.finishedAt) throw conflict('answeredAlready');
  return tried;
}

async function triedOf(
  tx: Handle,
  { shopId, personId }: Actor,
  id: string,
  isLocked: boolean,
): Promise<Tried> {
  const query = tx
    .select()
    .from(practiceTries)
    .where(
      and(
        eq(practiceTries.shopId, shopId),
        eq(practiceTries.personId, personId),
        eq(practiceTries.id, id),
      ),
    );
  const [tried] = await (isLocked ? query.for('update') : query);
  if (!tried) throw notFound('noPracticeCar');
  const [deal] = await tx
    .select({ seed: practiceDeals.seed })
    .from(practiceDeals)
    .where(
      and(
        eq(practiceDeals.shopId, shopId),
        eq(practiceDeals.lesson, tried.lesson),
        eq(practiceDeals.code, tried.code),
      ),
    );
  return { ...tried, seed: deal!.seed };
}

function carOf(tried: Tried, prices: PriceList): PracticeCar {
  const { id, personId, lesson, code, startedAt, finishedAt, draft, done, minutes, minor } = tried;
  return {
    id,
    personId,
    lesson,
    code,
    startedAt: startedAt.toISOString(),
    finishedAt: finishedAt?.toISOString() ?? null,
    draft,
    done,
    felt: done.includes('stroke') ? feltOn(dealtCar(lesson, tried.seed)) : null,
    costs: Object.fromEntries(
      PRACTICE_CHECKS.map((check) => [check, checkCost(check, prices)]),
    ) as PracticeCar['costs'],
    readings: Object.values(tried.readings).reduce((sum, times) => sum + times, 0),
    minutes,
    minor,
    result: tried.result ?? null,
  };
}
