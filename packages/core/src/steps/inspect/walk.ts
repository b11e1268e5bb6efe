import type { VisitDraft } from '@keen/contract';
import { PARTS } from '@keen/contract/words';
import type { Part, Wheel } from '@keen/contract/words';
import type { FieldChange } from '../../visit/foldEntries.ts';
import { wheelsOf } from '../../visit/wornParts.ts';
import type { PaperTexts } from '../../words/paperTexts.ts';
import type { InspectTexts } from '../../words/screens/index.ts';
import { readingOrder } from '../read/readingOrder.ts';

/**
 * One stop of the walk round the car: a tire, the joints behind it, one side against the other, the
 * heights of the four corners.
 */
export type Stop =
  | { kind: 'tire' | 'corner'; wheel: Wheel }
  | { kind: 'sides'; wheel: null }
  | { kind: 'heights'; wheel: null };

const ROUND = [...new Set(readingOrder('walkAround').map(({ wheel }) => wheel))];

/** On the ground first, then lifted, in the order one walks. */
export const WALK: readonly Stop[] = [
  ...ROUND.map((wheel) => ({ kind: 'tire' as const, wheel })),
  ...ROUND.map((wheel) => ({ kind: 'corner' as const, wheel })),
  { kind: 'sides', wheel: null },
  { kind: 'heights', wheel: null },
];

/** What the findings at a stop are called. */
export type FoundTexts = Pick<InspectTexts, 'walk'> &
  Pick<PaperTexts, 'feathers' | 'cuppings' | 'damages' | 'damageZones' | 'plays' | 'parts'>;

export interface StopState {
  state: 'done' | 'partly' | 'open';
  /** What was found, in a few words; empty while nothing is answered. */
  words: string;
  /** Something that is not as it should be. */
  isOdd: boolean;
}

/**
 * Joints, bearings and arms looked at behind a wheel, in the order one goes.
 * @example partsAt('lr').includes('wheelBearing') // true
 */
export function partsAt(wheel: Wheel): Part[] {
  return PARTS.filter((part) => wheelsOf(part).includes(wheel));
}

/**
 * How far a stop is, and what was found there.
 * @param say - texts in the language of the page
 */
export function stopState(draft: VisitDraft, stop: Stop, say: FoundTexts): StopState {
  switch (stop.kind) {
    case 'tire':
      return tireState(draft, stop.wheel, say);
    case 'corner':
      return cornerState(draft, stop.wheel, say);
    case 'sides':
      return sidesState(draft, say);
    case 'heights': {
      const heights = Object.values(draft.visit?.heights ?? {});
      const words = heights.length > 0 ? say.walk.heights(heights.length) : '';
      return { state: stateOf(heights.length, 4), words, isOdd: false };
    }
  }
}

/** What "nothing found here" enters: everything at the stop that nobody has answered yet. */
export function nothingFound(draft: VisitDraft, stop: Stop): FieldChange[] {
  const { wheel } = stop;
  const changes: FieldChange[] = [];
  const rest = (path: string, value: unknown, nothing: unknown) => {
    if (value === undefined || value === 'unknown') changes.push({ path, value: nothing });
  };
  const inspect = draft.visit?.inspect ?? {};
  if (stop.kind === 'tire') {
    const tire = draft.tires?.[stop.wheel];
    rest(`tires.${wheel}.feather`, tire?.feather, 'none');
    rest(`tires.${wheel}.cupping`, tire?.cupping, 'none');
    rest(`tires.${wheel}.damage`, tire?.damage, []);
  } else if (stop.kind === 'corner') {
    rest(`play.${wheel}`, draft.play?.[stop.wheel], 'none');
    for (const part of partsAt(stop.wheel)) {
      rest(`visit.inspect.parts.${wheel}.${part}`, inspect.parts?.[stop.wheel]?.[part], 'none');
    }
  } else if (stop.kind === 'sides') {
    rest('visit.inspect.crookedWheel', inspect.crookedWheel, 'neither');
    rest('visit.inspect.thread', inspect.thread, 'equal');
    rest('visit.inspect.overTight', inspect.overTight, false);
  }
  return changes;
}

function tireState(draft: VisitDraft, wheel: Wheel, say: FoundTexts): StopState {
  const tire = draft.tires?.[wheel] ?? {};
  const { heelToe, damageAt = {} } = draft.visit?.tires?.[wheel] ?? {};
  const { feather = 'unknown', cupping = 'unknown', damage } = tire;
  const words = [
    feather === 'unknown' ? [] : say.feathers[feather],
    cupping === 'unknown' ? [] : say.cuppings[cupping],
    heelToe ? say.walk.heelToe : [],
    (damage ?? []).map((one) => {
      const zone = damageAt[one];
      return zone ? `${say.damages[one]} (${say.damageZones[zone]})` : say.damages[one];
    }),
    damage?.length === 0 ? say.walk.noDamage : [],
  ].flat();
  const answered = [feather !== 'unknown', cupping !== 'unknown', damage !== undefined];
  const isOdd =
    (damage?.length ?? 0) > 0 ||
    heelToe === true ||
    [feather, cupping].some((felt) => felt !== 'unknown' && felt !== 'none');
  return { state: stateOf(answered.filter(Boolean).length, 3), words: words.join(', '), isOdd };
}

function cornerState(draft: VisitDraft, wheel: Wheel, say: FoundTexts): StopState {
  const found = draft.visit?.inspect?.parts?.[wheel] ?? {};
  const play = draft.play?.[wheel];
  const parts = partsAt(wheel);
  const answers = [play, ...parts.map((part) => found[part])].filter(
    (finding) => finding !== undefined && finding !== 'unknown',
  );
  const worn = parts.flatMap((part) => {
    const finding = found[part];
    return finding === 'some' || finding === 'excessive'
      ? `${say.parts[part].toLowerCase()}: ${say.plays[finding]}`
      : [];
  });
  if (play === 'some' || play === 'excessive')
    worn.unshift(say.walk.playWhenShaken(say.plays[play]));
  const state = stateOf(answers.length, parts.length + 1);
  const looked =
    answers.length === 0 ? '' : state === 'done' ? say.walk.allOk : say.walk.someOk(answers.length);
  return { state, words: worn.length > 0 ? worn.join(', ') : looked, isOdd: worn.length > 0 };
}

function sidesState(draft: VisitDraft, say: FoundTexts): StopState {
  const { crookedWheel, thread, overTight } = draft.visit?.inspect ?? {};
  const answered = [crookedWheel, thread, overTight].filter((one) => one !== undefined).length;
  const odd = [
    crookedWheel && crookedWheel !== 'neither' ? say.walk.crookedWheel(crookedWheel) : [],
    thread && thread !== 'equal'
      ? say.walk.moreThread(thread === 'leftMore' ? 'left' : 'right')
      : [],
    overTight ? say.walk.steeringBinds : [],
  ].flat();
  const alike = answered === 3 ? say.walk.alike : answered > 0 ? say.walk.answered(answered) : '';
  return {
    state: stateOf(answered, 3),
    words: odd.length > 0 ? odd.join(', ') : alike,
    isOdd: odd.length > 0,
  };
}

function stateOf(answered: number, of: number): StopState['state'] {
  return answered === 0 ? 'open' : answered === of ? 'done' : 'partly';
}
