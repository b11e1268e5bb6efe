import type { VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { axleOf, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { RowKind, StepReason } from '../../words/screens/en/setRight.ts';
import type { MeasureTexts, SetRightTexts } from '../../words/screens/index.ts';
import { angleLedger } from '../measure/angleLedger.ts';
import type { LedgerRow } from '../measure/angleLedger.ts';
import { readingInUse } from '../measure/readings.ts';
import { leftRows } from './leftRows.ts';
import { isAtTarget, setRightPlan } from './setRightPlan.ts';
import type { PlanReason, PlanStep } from './setRightPlan.ts';
import { steeringOpen } from './steeringWheel.ts';

/** What an alignment is reported in. */
export interface AlignmentTexts {
  measure: Pick<MeasureTexts, 'methods' | 'stale'>;
  setRight: Pick<SetRightTexts, 'state' | 'stepWhy' | 'measureAgain'>;
}

/** How far an alignment is, from every row of the ledger and every step of the plan. */
export interface AlignmentState {
  kind: 'parts' | 'out' | 'stale' | 'undecided' | 'steering' | 'done';
  /** The ledger and the plan that it was computed from. */
  rows: readonly LedgerRow[];
  plan: readonly PlanStep[];
  /** Rows that are out or cannot be told and that no step of the plan answers. */
  unanswered: readonly LedgerRow[];
  /** Rows that were left as they are. */
  left: readonly LedgerRow[];
  out: readonly LedgerRow[];
  stale: readonly LedgerRow[];
  /** Rows too close to a limit to tell; undecided are those that are not at their target. */
  close: readonly LedgerRow[];
  undecided: readonly LedgerRow[];
  /** What is open of the steering wheel. */
  steering: StepReason | null;
}

/**
 * Whether the alignment is done, and what is open where it is not. Done is: no worn part that holds it
 * back, no row out, none stale, none that cannot be told from out (but for those at their target as far as
 * the method can tell, and those left as they are), and the steering wheel seen straight where it matters.
 * It speaks of what was measured; what was not is named.
 */
export function alignmentState(draft: VisitDraft): AlignmentState {
  const rows = angleLedger(draft);
  const plan = setRightPlan(draft);
  const leftKeys = leftRows(draft, rows);
  const open = rows.filter(({ key }) => !leftKeys.includes(key));
  const out = open.filter(({ state }) => state === 'out');
  const stale = open.filter(({ state }) => state === 'stale');
  const close = open.filter((row) => row.state === 'tooClose');
  const undecided = close.filter((row) => !isAtTarget(row));
  const left = rows.filter(({ key }) => leftKeys.includes(key));
  const answered = new Set(plan.flatMap((step) => step.rows));
  const steering = steeringOpen(draft);
  const kind =
    plan[0]?.key === 'parts'
      ? 'parts'
      : out.length > 0
        ? 'out'
        : stale.length > 0
          ? 'stale'
          : undecided.length > 0
            ? 'undecided'
            : steering !== null
              ? 'steering'
              : 'done';
  return {
    kind,
    rows,
    plan,
    left,
    unanswered: [...out, ...undecided].filter(({ key }) => !answered.has(key)),
    out,
    stale,
    close,
    undecided,
    steering,
  };
}

/** How far an alignment is, in one sentence, and what else is open or was left; empty where nothing is. */
export interface AlignmentWords {
  headline: string;
  detail: string;
}

/**
 * How far an alignment is, in words.
 * @param say - texts in the language of the page
 */
export function alignmentWords(
  draft: VisitDraft,
  alignment: AlignmentState,
  say: AlignmentTexts,
): AlignmentWords {
  const { out, stale, undecided, plan, steering } = alignment;
  const { state } = say.setRight;
  const names = (rows: readonly LedgerRow[]) => state.list(namesOf(rows, say));
  switch (alignment.kind) {
    case 'parts':
      return { headline: state.partsFirst, detail: planReason(plan[0]!.why, say) };
    case 'out': {
      const also = [
        stale.length > 0 ? state.alsoStale(names(stale)) : '',
        undecided.length > 0 ? state.alsoClose(names(undecided)) : '',
      ];
      const headline = state.out(sentence(names(out)), namesOf(out, say).length);
      return { headline, detail: also.filter(Boolean).join(' ') };
    }
    case 'stale':
      return {
        headline: state.measureAgain(names(stale)),
        detail: state.because(say.measure.stale[stale[0]!.staleBecause!]),
      };
    case 'undecided':
      return { headline: state.cannotTell(names(undecided)), detail: state.closeAdvice };
    case 'steering':
      return { headline: state.steering, detail: say.setRight.stepWhy[steering!] };
    case 'done':
      return doneWords(draft, alignment, say);
  }
}

function doneWords(
  draft: VisitDraft,
  { close, left }: AlignmentState,
  say: AlignmentTexts,
): AlignmentWords {
  const { state } = say.setRight;
  const missing = notMeasured(draft, say);
  const [closeNames, leftNames] = [namesOf(close, say), namesOf(left, say)];
  const by = finestWords(draft, close, say);
  const said = [
    close.length > 0 ? state.atTarget(sentence(state.list(closeNames)), closeNames.length, by) : '',
    left.length > 0 ? state.left(state.list(leftNames), leftNames.length) : '',
    missing.length > 0 ? state.notMeasured(state.list(missing)) : '',
  ];
  return {
    headline: left.some((row) => row.state === 'out')
      ? state.restIn
      : missing.length > 0
        ? state.measuredIn
        : state.allIn,
    detail: said.filter(Boolean).join(' '),
  };
}

/** Why a step of the plan is done, in words. */
export function planReason(why: PlanReason, say: AlignmentTexts): string {
  return why.kind === 'set'
    ? say.setRight.stepWhy[why.reason]
    : say.setRight.measureAgain(say.measure.stale[why.because]);
}

/** Rows in words, both wheels of an axle as one: "front toe", "left rear camber". */
export function namesOf(rows: readonly LedgerRow[], say: AlignmentTexts): string[] {
  const keys = new Set(rows.map(({ key }) => key));
  const has = (kind: string, side: string) => keys.has(`${kind}.${side}`);
  return rows.flatMap((row) => {
    const kind = row.key.split('.')[0] as RowKind;
    const name = (at: Wheel | Axle | null) => say.setRight.state.row(kind, at);
    if (row.where === null) return name(null);
    if (row.where === 'front' || row.where === 'rear') {
      // The sum or the difference says nothing that the wheels do not.
      const one =
        kind === 'totalToe'
          ? 'toe'
          : kind === 'crossCamber'
            ? 'camber'
            : kind === 'crossCaster'
              ? 'caster'
              : null;
      if (one && WHEELS_OF_AXLE[row.where].some((wheel) => has(one, wheel))) return [];
      return name(row.where);
    }
    const axle = axleOf(row.where);
    const both = WHEELS_OF_AXLE[axle];
    if (both.every((wheel) => has(kind, wheel))) return row.where === both[0] ? name(axle) : [];
    return name(row.where);
  });
}

/** The ways by which the rows in question were read, in words. */
function finestWords(draft: VisitDraft, rows: readonly LedgerRow[], say: AlignmentTexts): string {
  const { state } = say.setRight;
  const titles = new Set(
    rows.map(({ key, where }) => {
      const kind = /toe|thrust/i.test(key) ? 'toe' : /camber/i.test(key) ? 'camber' : 'caster';
      const wheel: Wheel = where === 'rear' ? 'lr' : where === 'front' || !where ? 'lf' : where;
      const method = readingInUse(draft, wheel, kind)?.method;
      return method ? say.measure.methods[method].title.toLowerCase() : state.theReading;
    }),
  );
  return state.list([...titles]);
}

/** The axles of which camber or toe was not measured, in words; empty where all were. */
function notMeasured(draft: VisitDraft, say: AlignmentTexts): string[] {
  return (['front', 'rear'] as const).flatMap((axle) =>
    (['camber', 'toe'] as const).flatMap((kind) =>
      WHEELS_OF_AXLE[axle].every((wheel) => draft.angles?.[wheel]?.[kind] !== undefined)
        ? []
        : say.setRight.state.row(kind, axle),
    ),
  );
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
