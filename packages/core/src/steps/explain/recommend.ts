import type { ReasonCode, Recommendation } from '@keen/contract';
import type { Action, Cause, Wheel, WheelStatus } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import {
  chooseAction,
  GUESSED_FROM,
  isDampersFirst,
  isFindingDoubted,
  isOneSided,
} from '../../engine/diagnosis/chooseAction.ts';
import type { CauseChance, GroupChances } from '../../engine/diagnosis/chooseAction.ts';
import type { PlainFacts } from '../../engine/diagnosis/plainFacts.ts';
import type { SeenWear } from '../../engine/diagnosis/treadSeen.ts';
import { ALIGNING } from '../../engine/outlook/courses.ts';
import { NAME_CAUSE_FROM } from '../../engine/outlook/outlook.ts';
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
  const recommendation: Recommendation = {
    action,
    beforeFitting: isBeforeFitting(action),
    replace,
    unsafe,
    parts: causes.flatMap(partOf),
    prices: 'usual',
    reasons: [],
    codes: reasonsFor(action, chances, facts, causes, replace, unsafe),
  };
  return withAction(recommendation, action, facts.measured === 'inOrder');
}

/** Why what the reasons name is left as it is. */
const CLOSINGS: readonly string[] = ['leftAlone', 'nothingToSet'] satisfies AdviceCode[];

/** Reasons that need no such word after them. */
const ANSWERS: readonly string[] = ['readAgain', 'unread', 'alignedLately'] satisfies AdviceCode[];

/**
 * The recommendation with another action, as other prices ask for: the same reasons, and where it leaves alone what
 * they name, why it does.
 * @param isInOrder - whether a rig has found every angle in order today
 */
export function withAction(
  recommendation: Recommendation,
  action: Action,
  isInOrder: boolean,
): Recommendation {
  const changed = { ...recommendation, action, beforeFitting: isBeforeFitting(action) };
  // Answers that were saved before reasons had codes.
  if (!recommendation.codes) return changed;
  const codes = recommendation.codes.filter(({ code }) => !CLOSINGS.includes(code));
  // What hangs on a reading is decided once it has been taken; an alignment since is reason enough by itself.
  const isAnswered = codes.some(({ code }) => ANSWERS.includes(code));
  const left = isAnswered ? [] : codes.filter((code) => isLeft(code, action));
  const lastLeft = left.at(-1);
  if (lastLeft) {
    const code = isInOrder && left.some(isOfAngles) ? 'nothingToSet' : 'leftAlone';
    codes.splice(codes.indexOf(lastLeft) + 1, 0, { code, figures: [] });
  }
  return { ...changed, codes, reasons: codes.map((code) => adviceReason(code, ENGLISH)) };
}

/** Whether a reason names something that work would put right, and the action does not. */
function isLeft({ code, figures }: ReasonCode, action: Action): boolean {
  if (isBeforeFitting(action)) return false;
  if (code !== 'causeAt') return code === 'oneIsOut' || code === 'oneIsLoose';
  const cause = figures[0] as Cause;
  return action === 'fitOnly' ? cause !== 'hardCornering' : !CROWNED.includes(cause);
}

function isOfAngles({ code, figures }: ReasonCode): boolean {
  return code === 'oneIsOut' || ANGLES.includes(figures[0] as Cause);
}

/** Whether the work comes before new tires go on. */
function isBeforeFitting(action: Action): boolean {
  return action !== 'fitOnly' && action !== 'inflateAndWatch';
}

function partOf({ cause, where, probability }: CauseChance): Recommendation['parts'] {
  if (probability < NAME_PART_FROM || (cause !== 'looseness' && cause !== 'bounce')) return [];
  const words = advicePart(cause, probability, ENGLISH);
  return [{ ...words, where, cause, probability }];
}

/** Causes by what shows them, so that a tread is not left without a word for a cause that leaves other marks. */
const ANGLES: readonly Cause[] = [
  'camberTooNegative',
  'camberTooPositive',
  'toeTooFarIn',
  'toeTooFarOut',
];
const ONE_SIDED: readonly Cause[] = [...ANGLES, 'looseness', 'hardCornering'];
const CROWNED: readonly Cause[] = ['pressureLow', 'pressureHigh', 'hardCornering'];
const MARKS: Record<SeenWear['kind'], readonly Cause[]> = {
  edge: ONE_SIDED,
  across: ONE_SIDED,
  saw: ['toeTooFarIn', 'toeTooFarOut', 'looseness'],
  shoulders: CROWNED,
  centre: CROWNED,
  waves: ['bounce'],
};

function reasonsFor(
  action: Action,
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
  const isNamed = (among: readonly Cause[]) => named.some(({ cause }) => among.includes(cause));
  const isAngleNamed = isNamed(ANGLES);
  const seen = facts.seen.find(({ kind }) => !isNamed(MARKS[kind]));
  const isAsked = seen !== undefined || facts.isHandlingOff || facts.measured === 'out';
  const isOneOut =
    action === 'checkAlignment'
      ? chances.alignment >= NAME_CAUSE_FROM || !isAsked
      : chances.alignment >= NAME_CAUSE_FROM && !facts.isHardlyWorn;
  if (isOneOut && !isAngleNamed) add('oneIsOut', chances.alignment);
  const addCauses = (list: readonly CauseChance[]) => {
    for (const places of alikeByChance(list)) {
      const each = places.map(({ probability }) => probability);
      const where = places.map((place) => place.where);
      add('causeAt', places[0]!.cause, Math.min(...each), Math.max(...each), ...where);
    }
  };
  addCauses(named);
  if (facts.playFound.length > 0 || isNamed(['looseness'])) add('partsFirst');
  else if (chances.looseness >= NAME_CAUSE_FROM) add('oneIsLoose', chances.looseness);
  else if (seen === undefined && isMovedUnderWay(facts)) add('lookUnder');
  if (isDampersFirst(chances, facts)) add('dampersFirst');
  if (facts.isAlignedLately && codes.some(isOfAngles)) add('alignedLately');
  if (facts.isKnocked && ALIGNING.includes(action)) add('bentFirst');
  if (facts.pressureFound.length > 0) add('pressureFound', ...facts.pressureFound);
  if (facts.isHandlingOff && !isAngleNamed && !isNamed(['looseness'])) add('handling');
  if (facts.isShaking && !isNamed(['bounce'])) add('shaking');
  if (facts.pull) add('pull', facts.pull.angle, facts.pull.by, facts.pull.to);
  else if (isFindingDoubted(chances, facts)) add('foundOut');
  else if (facts.measured === 'out' && !isAngleNamed) add('foundOutLately');
  if (facts.unexplained && !isNamed(['looseness'])) add('unexplained', facts.unexplained);
  const worn = replace.filter((wheel) => !unsafe.includes(wheel));
  if (worn.length > 0) add('atLimit', ...worn);
  if (facts.moved === 'height') {
    add('heightChanged');
    add('heightLookFirst');
  }
  if (facts.moved === 'parts') add('newParts');
  if (seen) {
    const where = seen.kind === 'across' ? seen.lower : seen.where;
    const isMeasured = facts.measured === 'inOrder';
    add('seen', seen.kind, where, seen.kind === 'edge' ? seen.rib : '', isMeasured);
  }
  // Where the headline makes a guess, nothing else says that nothing is out.
  if (codes.length === 0) {
    addCauses(causes.filter(({ probability }) => probability >= GUESSED_FROM));
  }
  if (codes.length === 0) add(facts.isHardlyWorn ? 'hardlyWorn' : 'nothingOut');
  // What a hand has found is answered, though no cause is likely behind it.
  const isSaid = (sought: AdviceCode) => codes.some(({ code }) => code === sought);
  const isLooseNamed = isNamed(['looseness']) || isSaid('oneIsLoose') || isSaid('playFound');
  if (facts.somePlay.length > 0 && !isLooseNamed) add('somePlay', ...facts.somePlay);
  const bouncing = causes.filter(
    ({ cause, probability }) => cause === 'bounce' && probability >= GUESSED_FROM,
  );
  const waves = facts.lightWaves.filter((wheel) => !bouncing.some(({ where }) => where === wheel));
  if (waves.length > 0 && !isSaid('shaking')) add('wavesFelt', ...waves);
  return codes;
}

/** Whether angles that are in order at rest wear the tread one-sidedly all the same. */
function isMovedUnderWay({ measured, isSetSince, seen }: PlainFacts): boolean {
  return measured === 'inOrder' && !isSetSince && isOneSided(seen);
}
