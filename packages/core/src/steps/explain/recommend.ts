import type { ReasonCode, Recommendation } from '@keen/contract';
import type { Action, Wheel, WheelStatus } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import {
  chooseAction,
  isFindingDoubted,
  isOneSided,
  NAME_CAUSE_FROM,
} from '../../engine/diagnosis/chooseAction.ts';
import type { CauseChance, GroupChances, PlainFacts } from '../../engine/diagnosis/chooseAction.ts';
import { ENGLISH } from '../../words/english.ts';
import { alikeByChance } from './alikeByChance.ts';
import { adviceReason, advicePart } from './adviceReasons.ts';
import type { AdviceCode } from './adviceReasons.ts';

/** A part is named when it is this likely to be worn. */
const NAME_PART_FROM = 0.4;

/** The whole recommendation, with the tires to replace and the parts to look at. */
export function recommend(
  chances: GroupChances,
  facts: PlainFacts,
  causes: readonly CauseChance[],
  statuses: Record<Wheel, WheelStatus>,
): Recommendation {
  const action = chooseAction(chances, facts);
  const unsafe = WHEEL_ORDER.filter((wheel) => statuses[wheel] === 'unsafe');
  const replace = WHEEL_ORDER.filter((wheel) => ['unsafe', 'replace'].includes(statuses[wheel]));
  const codes = reasonsFor(chances, facts, causes, replace, unsafe);
  return {
    action,
    beforeFitting: isBeforeFitting(action),
    replace,
    unsafe,
    parts: causes.flatMap(partOf),
    prices: 'usual',
    reasons: codes.map((code) => adviceReason(code, ENGLISH)),
    codes,
  };
}

/** Whether the work comes before new tires go on. */
export function isBeforeFitting(action: Action): boolean {
  return action !== 'fitOnly' && action !== 'inflateAndWatch';
}

function partOf({ cause, where, probability }: CauseChance): Recommendation['parts'] {
  if (probability < NAME_PART_FROM || (cause !== 'looseness' && cause !== 'bounce')) return [];
  const words = advicePart(cause, probability, ENGLISH);
  return [{ ...words, where, cause, probability }];
}

function reasonsFor(
  chances: GroupChances,
  facts: PlainFacts,
  causes: readonly CauseChance[],
  replace: readonly Wheel[],
  unsafe: readonly Wheel[],
): ReasonCode[] {
  const codes: ReasonCode[] = [];
  const add = (code: AdviceCode, ...figures: ReasonCode['figures']) => {
    codes.push({ code, figures });
  };
  // What must not be driven as it is comes before any cause.
  if (unsafe.length > 0) add('unsafe', ...unsafe);
  if (facts.playFound.length > 0) add('playFound', ...facts.playFound);
  for (const { wheel, rib } of facts.doubted) add('readAgain', wheel, rib);
  for (const { wheel, rib } of facts.unread) add('unread', wheel, rib);
  const named = causes.filter(({ probability }) => probability >= NAME_CAUSE_FROM);
  if (named.length === 0 && chances.alignment >= NAME_CAUSE_FROM) {
    add('oneIsOut', chances.alignment);
  }
  for (const places of alikeByChance(named)) {
    const each = places.map(({ probability }) => probability);
    const where = places.map((place) => place.where);
    add('causeAt', places[0]!.cause, Math.min(...each), Math.max(...each), ...where);
  }
  const isLooseNamed = named.some(({ cause }) => cause === 'looseness');
  if (facts.playFound.length > 0 || isLooseNamed) add('partsFirst');
  else if (chances.looseness >= NAME_CAUSE_FROM) add('oneIsLoose', chances.looseness);
  else if (named.length > 0 && isMovedUnderWay(facts)) add('lookUnder');
  if (chances.said.includes('bounce') && isAlignmentAsked(chances, facts)) add('dampersFirst');
  if (facts.pressureFound.length > 0) add('pressureFound', ...facts.pressureFound);
  if (facts.isHandlingOff && named.length === 0) add('handling');
  if (facts.isShaking && chances.bounce < NAME_CAUSE_FROM) add('shaking');
  if (isFindingDoubted(chances, facts)) add('foundOut');
  else if (facts.measured === 'out' && named.length === 0) add('foundOutLately');
  const worn = replace.filter((wheel) => !unsafe.includes(wheel));
  if (worn.length > 0) add('atLimit', ...worn);
  if (facts.moved === 'height') {
    add('heightChanged');
    add('heightLookFirst');
  }
  if (facts.moved === 'parts') add('newParts');
  const [seen] = facts.seen;
  if (named.length === 0 && seen) {
    const where = seen.kind === 'across' ? seen.lower : seen.where;
    const isMeasured = facts.measured === 'inOrder';
    add('seen', seen.kind, where, seen.kind === 'edge' ? seen.rib : '', isMeasured);
  }
  if (codes.length === 0) add('nothingOut');
  return codes;
}

/** Whether angles that are in order at rest wear the tread one-sidedly all the same. */
function isMovedUnderWay({ measured, isSetSince, seen }: PlainFacts): boolean {
  return measured === 'inOrder' && !isSetSince && isOneSided(seen);
}

/** Whether the angles are to be set or measured, whatever else is. */
function isAlignmentAsked({ alignment }: GroupChances, facts: PlainFacts): boolean {
  return alignment >= NAME_CAUSE_FROM || facts.moved !== null || isOneSided(facts.seen);
}
