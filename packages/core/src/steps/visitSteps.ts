import type { VisitDraft } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import { alignmentState } from './setRight/alignmentState.ts';
import { closingList } from './setRight/closingList.ts';
import { axleOf } from '../engine/case/wheels.ts';
import { playAt } from '../visit/wornParts.ts';
import { measuredToday } from './measure/setupList.ts';
import type { VisitTexts } from '../words/screens/index.ts';
import { countRead } from '../visit/draftToCase.ts';

/** The steps of a visit that stand on its rail, in the order people do them. */
export const VISIT_STEPS = [
  'arrive',
  'read',
  'inspect',
  'explain',
  'decide',
  'measure',
  'set',
  'hand-over',
] as const;
export type VisitStep = (typeof VISIT_STEPS)[number];

export type StepState = 'done' | 'partly' | 'open';

/** What stands under a step that is not done. */
export type StepNote =
  | {
      kind:
        | 'noDrive'
        | 'noDistance'
        | 'noNewDepth'
        | 'stopped'
        | 'cannotTell'
        | 'nothingDue'
        | 'noSheet';
    }
  | { kind: 'of'; done: number; all: number }
  | { kind: 'notFelt' | 'toSet' | 'toClose'; count: number };

export interface StepProgress {
  state: StepState;
  note: StepNote | null;
}

export const ALL_RIBS = 12;

/**
 * How far each step is, from what has been entered; any step can be left and come back to.
 * @example stepStates({}, false).arrive // { state: 'open', note: { kind: 'noDrive' } }
 */
export function stepStates(draft: VisitDraft, isDecided: boolean): Record<VisitStep, StepProgress> {
  const read = countRead(draft);
  const tires = WHEELS.map((wheel) => draft.tires?.[wheel]);
  const touched = tires.filter((tire) => tire?.feather !== undefined).length;
  const played = WHEELS.filter((wheel) => playAt(draft, wheel) !== undefined).length;
  const missing = missingArrival(draft);
  const begun = Object.keys(draft).length > 0;
  return {
    arrive: {
      state: missing.length === 0 ? 'done' : begun ? 'partly' : 'open',
      note: missing[0] ? { kind: missing[0] } : null,
    },
    read: {
      state: read === ALL_RIBS ? 'done' : read > 0 ? 'partly' : 'open',
      note: read > 0 && read < ALL_RIBS ? { kind: 'of', done: read, all: ALL_RIBS } : null,
    },
    inspect: {
      state: touched === 4 && played === 4 ? 'done' : touched + played > 0 ? 'partly' : 'open',
      note: touched + played > 0 && touched < 4 ? { kind: 'notFelt', count: 4 - touched } : null,
    },
    explain: { state: read === ALL_RIBS ? 'done' : 'open', note: null },
    decide: { state: isDecided ? 'done' : 'open', note: null },
    measure: measureState(draft),
    set: setState(draft),
    'hand-over': handOverState(draft),
  };
}

/** Done when the toes and cambers that are measured today are there; stopped when the lock-to-lock repeat moves. */
function measureState(draft: VisitDraft): StepProgress {
  const { kinds, axles } = measuredToday(draft);
  const asked = WHEELS.filter((wheel) => axles.includes(axleOf(wheel))).flatMap((wheel) =>
    (['camber', 'toe'] as const)
      .filter((kind) => kinds.includes(kind))
      .map((kind) => draft.angles?.[wheel]?.[kind] !== undefined),
  );
  const measured = asked.filter(Boolean).length;
  if (draft.visit?.measure?.repeat === 'moves')
    return { state: 'partly', note: { kind: 'stopped' } };
  const begun = measured > 0 || draft.visit?.measure !== undefined;
  const whole = asked.length;
  return {
    state: whole > 0 && measured === whole ? 'done' : begun ? 'partly' : 'open',
    note: measured > 0 && measured < whole ? { kind: 'of', done: measured, all: whole } : null,
  };
}

/** Begun when the angles before were put down, done when all is set and the closing list is answered. */
function setState(draft: VisitDraft): StepProgress {
  const { before } = draft.visit?.setRight ?? {};
  if (!before) return { state: 'open', note: null };
  const { plan, kind } = alignmentState(draft);
  if (plan.length > 0) return { state: 'partly', note: { kind: 'toSet', count: plan.length } };
  if (kind !== 'done') return { state: 'partly', note: { kind: 'cannotTell' } };
  const open = closingList(draft).filter(
    ({ point }) => !draft.visit?.setRight?.closing?.[point],
  ).length;
  return open > 0
    ? { state: 'partly', note: { kind: 'toClose', count: open } }
    : { state: 'done', note: null };
}

/** Done when the customer has the sheet, or wants none, and what is due later is on the list. */
function handOverState(draft: VisitDraft): StepProgress {
  const { given, next } = draft.visit?.handOver ?? {};
  if (given && next) return { state: 'done', note: null };
  return given || next
    ? { state: 'partly', note: { kind: given ? 'nothingDue' : 'noSheet' } }
    : { state: 'open', note: null };
}

/**
 * What the arrival still lacks, most telling first.
 * @example missingArrival({ vehicle: { drive: 'fwd' } }) // ['noDistance', 'noNewDepth']
 */
export function missingArrival(draft: VisitDraft): ('noDrive' | 'noDistance' | 'noNewDepth')[] {
  const all = (has: (wheel: (typeof WHEELS)[number]) => boolean) => WHEELS.every(has);
  return [
    draft.vehicle?.drive ? [] : ('noDrive' as const),
    all((wheel) => draft.tires?.[wheel]?.distance !== undefined) ? [] : ('noDistance' as const),
    all((wheel) => draft.tires?.[wheel]?.newDepth !== undefined) ? [] : ('noNewDepth' as const),
  ].flat();
}

/** What stands under a step, in words. */
export function noteWords(note: StepNote, { notes }: Pick<VisitTexts, 'notes'>): string {
  switch (note.kind) {
    case 'of':
      return notes.of(note.done, note.all);
    case 'notFelt':
    case 'toSet':
    case 'toClose':
      return notes[note.kind](note.count);
    default:
      return notes[note.kind];
  }
}

/**
 * The step that stands next: the first that is not done.
 * @example nextStep({}, false) // 'arrive'
 */
export function nextStep(draft: VisitDraft, isDecided: boolean): VisitStep | null {
  const states = stepStates(draft, isDecided);
  const order: VisitStep[] = ['arrive', 'read', 'inspect', 'decide', 'hand-over'];
  return order.find((step) => states[step].state !== 'done') ?? null;
}
