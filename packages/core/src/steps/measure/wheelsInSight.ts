import type { VisitDraft } from '@keen/contract';
import type { Axle, LedgerState, Wheel } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { LedgerRow } from './angleLedger.ts';
import { angleLedger } from './angleLedger.ts';

/** One angle of a wheel as it is drawn; turns are degrees on the page, clockwise positive. */
export interface DrawnAngle {
  value: number;
  sd: number;
  state: LedgerState;
  /** Why it must be measured again; null where it stands. */
  staleBecause: string | null;
  turn: number;
  /** Twice the standard uncertainty to either side, as turns. */
  doubt: readonly [number, number];
  /** What is allowed, as turns; null where nobody knows. */
  allowed: readonly [number, number] | null;
  /** What was found before setting, as a turn and as a value; null where it is the same or unknown. */
  was: { value: number; turn: number } | null;
}

export interface DrawnWheel {
  wheel: Wheel;
  side: 'left' | 'right';
  toe: DrawnAngle | null;
  camber: DrawnAngle | null;
}

/** One axle from above and from behind. */
export interface DrawnAxle {
  axle: Axle;
  wheels: readonly [DrawnWheel, DrawnWheel];
  /** The total where the wheels were not told apart, with each wheel drawn at half of it. */
  total: LedgerRow | null;
  /** Where the rear axle points, as a turn; positive to the right. */
  thrust: { row: LedgerRow; turn: number } | null;
}

export interface WheelsInSight {
  /** How much larger toe and camber are drawn than they are. */
  times: { toe: number; camber: number };
  axles: Record<Axle, DrawnAxle>;
}

/** Times larger that an angle may be drawn, the largest first that keeps every wheel within {@link MOST_TURN}. */
const TIMES = { toe: [30, 20, 15, 10, 5, 2, 1], camber: [8, 6, 4, 3, 2, 1] } as const;
/** A wheel is drawn turned by no more than this, degrees. */
const MOST_TURN = 24;

/**
 * The wheels of a visit with what was measured, what is allowed, how sure it is and what was found before,
 * each as a turn on the page.
 *
 * From above with the front up, toe-in turns the left wheel clockwise; from behind, a top that leans out
 * turns the left wheel anticlockwise. The right side mirrors both.
 */
export function wheelsInSight(draft: VisitDraft): WheelsInSight {
  const rows = byKey(angleLedger(draft));
  const before = draft.visit?.setRight?.before;
  const were = byKey(before ? angleLedger(draft, before) : []);
  const angles = draft.angles ?? {};
  const all = [...rows.values(), ...were.values()];
  const times = {
    toe: timesFor('toe', [
      ...all.filter(({ key }) => key.startsWith('toe.') || key === 'thrust').map(spanOf),
      ...all.filter(({ key }) => key.startsWith('totalToe.')).map((row) => spanOf(row) / 2),
    ]),
    camber: timesFor('camber', all.filter(({ key }) => key.startsWith('camber.')).map(spanOf)),
  };
  const axleOf = (axle: Axle): DrawnAxle => {
    const wheels = WHEELS_OF_AXLE[axle];
    const totalRow = rows.get(`totalToe.${axle}`) ?? null;
    const isTotal = totalRow !== null && !wheels.some((wheel) => rows.has(`toe.${wheel}`));
    const drawn = (wheel: Wheel, i: number): DrawnWheel => {
      const side = i === 0 ? 'left' : 'right';
      const sign = i === 0 ? 1 : -1;
      const toe = isTotal
        ? halved(totalRow, angles[wheel]?.toe ?? totalRow.value / 2)
        : rows.get(`toe.${wheel}`);
      const camber = rows.get(`camber.${wheel}`);
      const toeWas = before?.[wheel]?.toe;
      const camberWas = before?.[wheel]?.camber;
      return {
        wheel,
        side,
        toe: toe ? angleOf(toe, sign * times.toe, toeWas) : null,
        camber: camber ? angleOf(camber, -sign * times.camber, camberWas) : null,
      };
    };
    const thrust = rows.get('thrust');
    return {
      axle,
      wheels: [drawn(wheels[0], 0), drawn(wheels[1], 1)],
      total: isTotal ? totalRow : null,
      thrust:
        axle === 'rear' && thrust ? { row: thrust, turn: held(thrust.value * times.toe) } : null,
    };
  };
  return { times, axles: { front: axleOf('front'), rear: axleOf('rear') } };
}

function angleOf(row: LedgerRow, factor: number, was: number | undefined): DrawnAngle {
  const { value, sd, state, staleBecause, limits } = row;
  const turn = (degrees: number) => held(degrees * factor);
  return {
    value,
    sd,
    state,
    staleBecause,
    turn: turn(value),
    doubt: [turn(value - 2 * sd), turn(value + 2 * sd)],
    allowed: limits && [turn(limits[0]), turn(limits[1])],
    was: was === undefined || was === value ? null : { value: was, turn: turn(was) },
  };
}

function halved(row: LedgerRow, value: number): LedgerRow {
  const { limits, target, sd } = row;
  return {
    ...row,
    value,
    sd: sd / 2,
    limits: limits && [limits[0] / 2, limits[1] / 2],
    target: target === null ? null : target / 2,
  };
}

function spanOf({ value, limits }: LedgerRow): number {
  return Math.max(Math.abs(value), ...(limits ?? []).map(Math.abs));
}

function timesFor(kind: keyof typeof TIMES, spans: readonly number[]): number {
  const most = Math.max(0, ...spans);
  return TIMES[kind].find((times) => most * times <= MOST_TURN) ?? 1;
}

function held(turn: number): number {
  return Math.max(-MOST_TURN, Math.min(MOST_TURN, turn));
}

function byKey(rows: readonly LedgerRow[]): Map<string, LedgerRow> {
  return new Map(rows.map((row) => [row.key, row]));
}
