import type { DraftMeasure, VisitDraft } from '@keen/contract';
import type { AngleKind, Axle, LedgerState, Wheel } from '@keen/contract/words';
import type { Range } from '../../engine/case/resolveCase.ts';
import { WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { StaleReason } from '../../words/screens/en/measure.ts';
import type { PaperTexts } from '../../words/paperTexts.ts';
import type { MeasureTexts } from '../../words/screens/index.ts';
import { halfOf, isSideAgainstSide, limitsOf } from './limits.ts';
import type { Limit, Limits, LimitSource } from './limits.ts';
import { angleSd, readsEachWheel } from './readings.ts';
import { staleAngles } from './stale.ts';
import type { StaleAngles } from './stale.ts';

/** A value nearer to a limit than this many standard uncertainties cannot be told in from out. */
export const CLOSE_SD = 2;

/** Standard uncertainties of a turn plate's reading and of setback (common practice, no source). */
const TURN_PLATE_SD = 0.3;
const SETBACK_SD_MM = 2;

/** One angle with its limits and its doubt. */
export interface LedgerRow {
  key: string;
  /** Which of several: left front, front axle; null for the whole car. */
  where: Wheel | Axle | null;
  value: number;
  unit: '°' | 'mm';
  /** Standard uncertainty. */
  sd: number;
  limits: Range | null;
  target: number | null;
  state: LedgerState;
  /** Why it must be measured again; null where it stands. */
  staleBecause: StaleReason | null;
  limitsFrom: LimitSource | null;
}

export type Angles = NonNullable<VisitDraft['angles']>;

/**
 * Everything the angles measured so far say, each with its doubt: in, out, or too close to tell with
 * this method. Derived angles carry the root of the sum of squares of what they are made of.
 * @param draft - the visit: its method, readings and sheet
 * @param angles - the angles to judge; those before, or the visit's own. Only its own can be stale.
 */
export function angleLedger(draft: VisitDraft, angles?: Angles): LedgerRow[] {
  const measure = draft.visit?.measure ?? {};
  const limits = limitsOf(draft);
  const stale = angles ? {} : staleAngles(draft);
  const judged = angles ?? draft.angles ?? {};
  return [
    ...(['front', 'rear'] as const).flatMap((axle) =>
      axleRows(axle, judged, draft, limits).map((row) => withStale(row, axle, stale)),
    ),
    ...carRows(measure, limits),
  ];
}

/** What rows of the ledger are called. */
export type RowNames = Pick<PaperTexts, 'angles'> & Pick<MeasureTexts, 'toeOutIn'>;

/** What a row of the ledger is called, by its key. */
export function rowTitle(key: string, { angles, toeOutIn }: RowNames): string {
  const [kind, side] = key.split('.') as [keyof PaperTexts['angles'], string?];
  return kind === 'toeOut' && (side === 'left' || side === 'right') ? toeOutIn[side] : angles[kind];
}

/** A figure made of a stale reading is not judged. */
function withStale(row: LedgerRow, axle: Axle, stale: StaleAngles): LedgerRow {
  const kinds = KINDS_IN[row.key.split('.')[0]!] ?? [];
  const isAxle = row.where === axle || row.where === null;
  const wheels = isAxle ? WHEELS_OF_AXLE[axle] : [row.where as Wheel];
  for (const wheel of wheels) {
    for (const kind of kinds) {
      const because = stale[wheel]?.[kind];
      if (because) return { ...row, state: 'stale', staleBecause: because };
    }
  }
  return row;
}

/** The readings that a row is made of. */
const KINDS_IN: Partial<Record<string, readonly AngleKind[]>> = {
  camber: ['camber'],
  crossCamber: ['camber'],
  caster: ['caster'],
  crossCaster: ['caster'],
  sai: ['caster'],
  included: ['caster', 'camber'],
  toe: ['toe'],
  totalToe: ['toe'],
  thrust: ['toe'],
};

function axleRows(axle: Axle, angles: Angles, draft: VisitDraft, limits: Limits): LedgerRow[] {
  const rows: LedgerRow[] = [];
  const wheels = WHEELS_OF_AXLE[axle];
  const sd = (wheel: Wheel, kind: AngleKind) => angleSd(draft, wheel, kind);
  const pairSd = (kind: AngleKind) => Math.hypot(...wheels.map((wheel) => sd(wheel, kind)));
  const each = (kind: AngleKind | 'sai', take: (wheel: Wheel, value: number) => void) => {
    for (const wheel of wheels) {
      const value = angles[wheel]?.[kind];
      if (value !== undefined) take(wheel, value);
    }
  };
  const both = (kind: AngleKind): [number, number] | null => {
    const [left, right] = wheels.map((wheel) => angles[wheel]?.[kind]);
    return left === undefined || right === undefined ? null : [left, right];
  };

  each('camber', (wheel, value) => {
    rows.push(row(`camber.${wheel}`, wheel, value, sd(wheel, 'camber'), limits.camber[axle]));
  });
  const cambers = both('camber');
  if (cambers) {
    const key = axle === 'front' ? 'crossCamber' : 'crossCamber.rear';
    const value = cambers[0] - cambers[1];
    rows.push(row(key, axle, value, pairSd('camber'), limits.crossCamber));
  }
  each('caster', (wheel, value) => {
    rows.push(row(`caster.${wheel}`, wheel, value, sd(wheel, 'caster'), limits.caster));
  });
  const casters = both('caster');
  if (casters) {
    const value = casters[0] - casters[1];
    rows.push(row('crossCaster', axle, value, pairSd('caster'), limits.crossCaster));
  }
  each('sai', (wheel, value) => {
    // Read in the same swing as caster, and as well.
    const saiSd = sd(wheel, 'caster');
    rows.push(row(`sai.${wheel}`, wheel, value, saiSd, limits.sai));
    const camber = angles[wheel]?.camber;
    if (camber !== undefined) {
      const doubt = Math.hypot(saiSd, sd(wheel, 'camber'));
      rows.push(row(`included.${wheel}`, wheel, value + camber, doubt, null));
    }
  });
  const isByWheel = readsEachWheel(draft, wheels);
  if (isByWheel) {
    const limit = isSideAgainstSide(draft) ? null : halfOf(limits.totalToe[axle]);
    each('toe', (wheel, value) => {
      rows.push(row(`toe.${wheel}`, wheel, value, sd(wheel, 'toe'), limit));
    });
  }
  const toes = both('toe');
  if (toes) {
    const total = toes[0] + toes[1];
    rows.push(row(`totalToe.${axle}`, axle, total, pairSd('toe'), limits.totalToe[axle]));
    if (axle === 'rear' && isByWheel) {
      const value = (toes[0] - toes[1]) / 2;
      rows.push(row('thrust', null, value, pairSd('toe') / 2, limits.thrust));
    }
  }
  return rows;
}

/** What belongs to the whole car: setback, and how the front wheels turn. */
function carRows({ setback, turning }: DraftMeasure, limits: Limits): LedgerRow[] {
  const rows: LedgerRow[] = [];
  if (setback !== undefined) {
    rows.push({
      ...row('setback', null, setback, SETBACK_SD_MM, limits.setback),
      unit: 'mm',
    });
  }
  for (const side of ['left', 'right'] as const) {
    const turn = turning?.[side];
    if (!turn) continue;
    const less = turn.inside - turn.outside;
    const doubt = TURN_PLATE_SD * Math.SQRT2;
    rows.push(row(`toeOut.${side}`, null, less, doubt, limits.toeOutOnTurns));
  }
  return rows;
}

function row(
  key: string,
  where: Wheel | Axle | null,
  value: number,
  sd: number,
  limit: Limit | null,
): LedgerRow {
  return {
    key,
    where,
    value,
    unit: '°',
    sd,
    limits: limit?.range ?? null,
    target: limit?.target ?? null,
    limitsFrom: limit?.from ?? null,
    state: stateOf(value, sd, limit),
    staleBecause: null,
  };
}

function stateOf(value: number, sd: number, limit: Limit | null): LedgerState {
  if (!limit) return 'noLimit';
  const [low, high] = limit.range;
  const nearest = Math.min(Math.abs(value - low), Math.abs(value - high));
  if (nearest < CLOSE_SD * sd) return 'tooClose';
  return value >= low && value <= high ? 'in' : 'out';
}
