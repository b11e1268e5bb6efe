import type { AngleLimits, SpecSheet, VisitDraft } from '@keen/contract';
import type { Axle } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '../../engine/case/resolveCase.ts';
import type { Range } from '../../engine/case/resolveCase.ts';
import { CROSS } from '../../engine/diagnosis/rigReadings.ts';
import { STARTING_POINTS } from './startingPoints.ts';

/** Where limits come from: the visit's sheet, its case file, usual values, or custom of the trade. */
export type LimitSource = 'sheet' | 'file' | 'usual' | 'custom';

/** What an angle should be. */
export interface Limit {
  range: Range;
  target: number;
  from: LimitSource;
}

/** What every angle of a car should be; null where nobody knows. */
export interface Limits {
  /** None on a cart without a sheet of its own: there the sides are held against one another. */
  camber: Record<Axle, Limit | null>;
  caster: Limit | null;
  sai: Limit | null;
  totalToe: Record<Axle, Limit>;
  crossCamber: Limit;
  crossCaster: Limit;
  thrust: Limit;
  setback: Limit;
  toeOutOnTurns: Limit | null;
}

/** The most that two sides may differ where no sheet says (common practice, no source): degrees, mm. */
const CUSTOM = {
  crossCamber: CROSS.camber,
  crossCaster: CROSS.caster,
  thrust: 0.15,
  setback: 6,
} as const;

/** Road limits mean nothing on a cart. */
const CART = STARTING_POINTS.find(({ id }) => id === 'cart')!.limits;

/**
 * Whether the wheels of a visit are held against one another, without limits of their own: a cart that no
 * sheet speaks of (common practice, no source).
 */
export function isSideAgainstSide(draft: VisitDraft): boolean {
  const { sheet } = draft.visit?.sheet ?? {};
  return draft.vehicle?.use === 'cart' && (!sheet || sheet.kind === 'startingPoint');
}

/**
 * The limits that a visit is judged by: its specification sheet first, then what its case file carries,
 * then usual values.
 * @example limitsOf({}).camber.front.range // [-1.25, 0.5]
 */
export function limitsOf(draft: VisitDraft): Limits {
  const { sheet } = draft.visit?.sheet ?? {};
  const { tolerances } = draft;
  const isCart = draft.vehicle?.use === 'cart';
  const usual = (kind: 'camber' | 'totalToe', axle: Axle): Limit => {
    const given = sheet?.[kind]?.[axle];
    if (given) return ofSheet(given);
    const inFile = sheet ? undefined : tolerances?.[kind]?.[axle];
    if (inFile) return around(inFile, 'file');
    const forCart = isCart && CART[kind]?.[axle];
    if (forCart) return { ...ofSheet(forCart), from: 'usual' };
    return around(DEFAULT_TOLERANCES[kind][axle], 'usual');
  };
  const camber = (axle: Axle) => (isSideAgainstSide(draft) ? null : usual('camber', axle));
  const custom = (kind: keyof typeof CUSTOM): Limit => {
    const given = kind === 'setback' ? undefined : sheet?.[kind];
    const most = given ?? CUSTOM[kind];
    return around([-most, most], given === undefined ? 'custom' : 'sheet');
  };
  const optional = (given: AngleLimits | undefined) => (given ? ofSheet(given) : null);
  return {
    camber: { front: camber('front'), rear: camber('rear') },
    caster: optional(sheet?.caster?.front),
    sai: optional(sheet?.sai?.front),
    totalToe: { front: usual('totalToe', 'front'), rear: usual('totalToe', 'rear') },
    crossCamber: custom('crossCamber'),
    crossCaster: custom('crossCaster'),
    thrust: custom('thrust'),
    setback: custom('setback'),
    toeOutOnTurns: optional(sheet?.toeOutOnTurns),
  };
}

function ofSheet({ low, target, high }: AngleLimits): Limit {
  return { range: [low, high], target: target ?? (low + high) / 2, from: 'sheet' };
}

function around([low, high]: Range, from: LimitSource): Limit {
  return { range: [low, high], target: (low + high) / 2, from };
}

/** Half of an axle's limit: what each of its wheels should have. */
export function halfOf({ range: [low, high], target, from }: Limit): Limit {
  return { range: [low / 2, high / 2], target: target / 2, from };
}

/** The limits of a sheet that the diagnosis uses. */
export function tolerancesOf(sheet: SpecSheet): NonNullable<VisitDraft['tolerances']> {
  const range = (limits: AngleLimits | undefined): [number, number] | undefined =>
    limits && [limits.low, limits.high];
  const axles = (kind: 'camber' | 'totalToe') => {
    const [front, rear] = [range(sheet[kind]?.front), range(sheet[kind]?.rear)];
    if (!front && !rear) return {};
    return { [kind]: { ...(front ? { front } : {}), ...(rear ? { rear } : {}) } };
  };
  return { ...axles('camber'), ...axles('totalToe') };
}
