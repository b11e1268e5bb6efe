import type { Recommendation } from '@keen/contract';
import type { Action, Wheel, WheelStatus } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { chooseAction, NAME_CAUSE_FROM } from '../../engine/diagnosis/chooseAction.ts';
import type { CauseChance, GroupChances, PlainFacts } from '../../engine/diagnosis/chooseAction.ts';
import { ENGLISH } from '../../words/english.ts';
import { causeWords, whereWords } from '../../words/causeWords.ts';

/** A part is named when it is this likely to be worn. */
const NAME_PART_FROM = 0.4;

const MOVED = {
  height: [
    'The car stands higher or lower than it was built, so its angles have moved: align it.',
    'Look first at what else has moved: ball joints and drive shafts at a steeper angle, bump stops, brake hoses, and room for the wheels at full lock and full travel.',
  ],
  parts: ['New suspension parts since the last alignment: the angles have moved, so align it.'],
} as const;

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
  return {
    action,
    beforeFitting: isBeforeFitting(action),
    replace,
    unsafe,
    parts: causes.flatMap(partOf),
    prices: 'usual',
    reasons: reasonsFor(chances, facts, causes, replace, unsafe),
  };
}

/** Whether the work comes before new tires go on. */
export function isBeforeFitting(action: Action): boolean {
  return action !== 'fitOnly' && action !== 'inflateAndWatch';
}

function partOf({ cause, where, probability }: CauseChance): Recommendation['parts'] {
  if (probability < NAME_PART_FROM) return [];
  const why = `${percent(probability)} likely, from the tread`;
  if (cause === 'looseness') {
    return [{ part: 'Rod ends, bushings and bearings', where, why }];
  }
  if (cause === 'bounce') return [{ part: 'Damper or wheel balance', where, why }];
  return [];
}

function reasonsFor(
  chances: GroupChances,
  facts: PlainFacts,
  causes: readonly CauseChance[],
  replace: readonly Wheel[],
  unsafe: readonly Wheel[],
): string[] {
  const reasons = causes
    .filter(({ probability }) => probability >= NAME_CAUSE_FROM)
    .map(
      ({ cause, where, probability }) =>
        `${causeWords(cause)} at the ${whereWords(where)}: ${percent(probability)} likely.`,
    );
  if (chances.looseness >= NAME_CAUSE_FROM) {
    reasons.push('Parts first: an alignment on loose joints does not hold.');
  }
  if (unsafe.length > 0) {
    reasons.push(`Not safe to drive on: ${unsafe.map(whereWords).join(', ')}.`);
  }
  const worn = replace.filter((wheel) => !unsafe.includes(wheel));
  if (worn.length > 0) {
    reasons.push(`At or below the legal limit: ${worn.map(whereWords).join(', ')}.`);
  }
  const named = causes.some(({ probability }) => probability >= NAME_CAUSE_FROM);
  if (!named && chances.alignment >= NAME_CAUSE_FROM) {
    reasons.unshift(
      `No single angle stands out, but that one of them is out is ${percent(chances.alignment)} likely.`,
    );
  }
  if (facts.moved !== null) reasons.push(...MOVED[facts.moved]);
  if (!named && facts.seen.length > 0)
    reasons.push(ENGLISH.verdict.seen(facts.seen[0]!, facts.measured === 'inOrder'));
  if (reasons.length === 0) {
    reasons.push('The tread looks like that of a car with nothing out.');
  }
  return reasons;
}

function percent(probability: number): string {
  const rounded = Math.round(probability * 100);
  if (rounded >= 100) return 'over 99 %';
  if (rounded <= 0) return 'under 1 %';
  return `${rounded} %`;
}
