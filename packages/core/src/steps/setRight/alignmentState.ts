import type { VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { axleOf, sideOf } from '../../engine/case/wheels.ts';
import { angleLedger } from '../measure/angleLedger.ts';
import type { LedgerRow } from '../measure/angleLedger.ts';
import { METHOD_FACTS } from '../measure/methods.ts';
import { readingInUse } from '../measure/readings.ts';
import { leftRows } from './leftRows.ts';
import { isAtTarget, setRightPlan } from './setRightPlan.ts';
import type { PlanStep } from './setRightPlan.ts';
import { steeringOpen } from './steeringWheel.ts';

/** How far an alignment is, in one sentence, from every row of the ledger and every step of the plan. */
export interface AlignmentState {
  kind: 'parts' | 'out' | 'stale' | 'undecided' | 'steering' | 'done';
  headline: string;
  /** What else is open, or what was left; empty where there is nothing to add. */
  detail: string;
  /** The ledger and the plan that it was computed from. */
  rows: readonly LedgerRow[];
  plan: readonly PlanStep[];
  /** Rows that are out or cannot be told and that no step of the plan answers. */
  unanswered: readonly LedgerRow[];
  /** Rows that were left as they are. */
  left: readonly LedgerRow[];
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
  const shared = {
    rows,
    plan,
    left,
    unanswered: [...out, ...undecided].filter(({ key }) => !answered.has(key)),
  };
  if (plan[0]?.key === 'parts') {
    return { ...shared, kind: 'parts', headline: 'Worn parts come first.', detail: plan[0].why };
  }
  if (out.length > 0) {
    const also = [
      stale.length > 0 ? `To be measured again: ${namesOf(stale)}.` : '',
      undecided.length > 0 ? `Too close to tell: ${namesOf(undecided)}.` : '',
    ];
    const headline = `${sentence(namesOf(out))} ${isMany(out) ? 'are' : 'is'} out.`;
    return { ...shared, kind: 'out', headline, detail: also.filter(Boolean).join(' ') };
  }
  if (stale.length > 0) {
    return {
      ...shared,
      kind: 'stale',
      headline: `Measure again: ${namesOf(stale)}.`,
      detail: sentence(`${stale[0]!.staleBecause}.`),
    };
  }
  if (undecided.length > 0) {
    return {
      ...shared,
      kind: 'undecided',
      headline: `Cannot tell yet: ${namesOf(undecided)}.`,
      detail: 'Too close to a limit for this method. Measure again or finer, or leave it as it is.',
    };
  }
  const steering = steeringOpen(draft);
  if (steering !== null) {
    return {
      ...shared,
      kind: 'steering',
      headline: 'Angles are in. Now the steering wheel.',
      detail: steering,
    };
  }
  const said = [
    close.length > 0
      ? `${sentence(namesOf(close))} ${isMany(close) ? 'stand' : 'stands'} at the target, as far as ${finestWords(draft, close)} can tell.`
      : '',
    left.length > 0 ? `Left as ${isMany(left) ? 'they are' : 'it is'}: ${namesOf(left)}.` : '',
    notMeasured(draft),
  ];
  return {
    ...shared,
    kind: 'done',
    headline: left.some(({ state }) => state === 'out')
      ? 'All else is in.'
      : notMeasured(draft)
        ? 'What was measured is in.'
        : 'All angles are in.',
    detail: said.filter(Boolean).join(' '),
  };
}

const NAMES: Record<string, string> = {
  camber: 'camber',
  caster: 'caster',
  crossCamber: 'cross camber',
  crossCaster: 'cross caster',
  sai: 'SAI',
  included: 'included angle',
  toe: 'toe',
  totalToe: 'total toe',
  thrust: 'thrust',
  setback: 'setback',
  toeOut: 'toe-out on turns',
};

/** Rows in words, both wheels of an axle as one: "front toe and left rear camber". */
export function namesOf(rows: readonly LedgerRow[]): string {
  const keys = new Set(rows.map(({ key }) => key));
  const has = (kind: string, side: string) => keys.has(`${kind}.${side}`);
  const names = rows.flatMap((row) => {
    const kind = row.key.split('.')[0]!;
    const name = NAMES[kind] ?? row.title.toLowerCase();
    if (row.where === null) return name;
    if (row.where === 'front' || row.where === 'rear') {
      // The sum or the difference says nothing that the wheels do not.
      const one = { totalToe: 'toe', crossCamber: 'camber', crossCaster: 'caster' }[kind] ?? null;
      const wheels = row.where === 'front' ? (['lf', 'rf'] as const) : (['lr', 'rr'] as const);
      if (one && wheels.some((wheel) => has(one, wheel))) return [];
      return `${row.where} ${name}`;
    }
    const wheel: Wheel = row.where;
    const axle: Axle = axleOf(wheel);
    const both = axle === 'front' ? (['lf', 'rf'] as const) : (['lr', 'rr'] as const);
    if (both.every((one) => has(kind, one))) {
      return wheel === both[0] ? `${axle} ${name}` : [];
    }
    return `${sideOf(wheel)} ${axle} ${name}`;
  });
  return joined(names);
}

function joined(names: readonly string[]): string {
  if (names.length < 2) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** Whether the words for rows are a plural. */
function isMany(rows: readonly LedgerRow[]): boolean {
  return / and |, /.test(namesOf(rows));
}

/** The ways by which the rows in question were read, in words. */
function finestWords(draft: VisitDraft, rows: readonly LedgerRow[]): string {
  const titles = new Set(
    rows.map(({ key, where }) => {
      const kind = /toe|thrust/i.test(key) ? 'toe' : /camber/i.test(key) ? 'camber' : 'caster';
      const wheel: Wheel = where === 'rear' ? 'lr' : where === 'front' || !where ? 'lf' : where;
      const method = readingInUse(draft, wheel, kind)?.method;
      return method ? METHOD_FACTS[method].title.toLowerCase() : 'the reading';
    }),
  );
  return joined([...titles]);
}

/** The axles of which camber or toe was not measured, as a sentence; empty where all were. */
function notMeasured(draft: VisitDraft): string {
  const missing = (['front', 'rear'] as const).flatMap((axle) =>
    (['camber', 'toe'] as const).flatMap((kind) => {
      const wheels = axle === 'front' ? (['lf', 'rf'] as const) : (['lr', 'rr'] as const);
      return wheels.every((wheel) => draft.angles?.[wheel]?.[kind] !== undefined)
        ? []
        : `${axle} ${kind}`;
    }),
  );
  return missing.length === 0 ? '' : `Not measured: ${joined(missing)}.`;
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
