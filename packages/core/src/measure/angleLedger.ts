import type { DraftMeasure, VisitDraft } from '@keen/contract';
import type { AngleKind, Axle, Wheel } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '../case/resolveCase.ts';
import type { Range } from '../case/resolveCase.ts';
import { axleOf, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { METHOD_FACTS } from './methods.ts';

/** Limits that no case file carries (common practice, no source): cross angles and thrust, degrees. */
const CUSTOM_LIMITS = {
  crossCamber: 0.5,
  crossCaster: 0.5,
  thrust: 0.15,
} as const;

/** A value nearer to a limit than this many standard uncertainties cannot be told in from out. */
export const CLOSE_SD = 2;

export type LedgerState = 'in' | 'out' | 'tooClose' | 'noLimit';

/** One angle with its limits and its doubt, degrees. */
export interface LedgerRow {
  key: string;
  title: string;
  /** Which of several: left front, front axle; empty for the whole car. */
  where: Wheel | Axle | null;
  value: number;
  /** Standard uncertainty. */
  sd: number;
  limits: Range | null;
  state: LedgerState;
  /** Where the limits come from. */
  limitsFrom: 'sheet' | 'usual' | 'custom' | null;
}

export type Angles = NonNullable<VisitDraft['angles']>;

/**
 * Everything the angles measured so far say, each with its doubt: in, out, or too close to tell with
 * this method. Derived angles carry the root of the sum of squares of what they are made of.
 */
export function angleLedger(
  angles: Angles,
  tolerances: VisitDraft['tolerances'],
  method: NonNullable<DraftMeasure['method']> = {},
): LedgerRow[] {
  const sd = (kind: AngleKind) => METHOD_FACTS[method[kind] ?? 'readout'].sd[kind] ?? 0;
  const rows: LedgerRow[] = [];
  const add = (row: Omit<LedgerRow, 'state'>) => rows.push({ ...row, state: stateOf(row) });
  const both = (axle: Axle, kind: AngleKind): [number, number] | null => {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => angles[wheel]?.[kind]);
    return left === undefined || right === undefined ? null : [left, right];
  };
  const camberLimits = (axle: Axle) => tolerances?.camber?.[axle];
  const toeLimits = (axle: Axle) => tolerances?.totalToe?.[axle];
  const fromSheet = (given: Range | undefined) => (given ? 'sheet' : 'usual');

  for (const axle of ['front', 'rear'] as const) {
    for (const wheel of WHEELS_OF_AXLE[axle]) {
      const camber = angles[wheel]?.camber;
      if (camber === undefined) continue;
      const given = camberLimits(axle);
      add({
        key: `camber.${wheel}`,
        title: 'Camber',
        where: wheel,
        value: camber,
        sd: sd('camber'),
        limits: given ?? DEFAULT_TOLERANCES.camber[axle],
        limitsFrom: fromSheet(given),
      });
    }
    const cambers = both(axle, 'camber');
    if (cambers && axle === 'front') {
      add(cross('crossCamber', 'Cross camber', cambers, sd('camber')));
    }
    for (const wheel of WHEELS_OF_AXLE[axle]) {
      const caster = angles[wheel]?.caster;
      if (caster !== undefined) {
        add(free(`caster.${wheel}`, 'Caster', wheel, caster, sd('caster')));
      }
    }
    const casters = both(axle, 'caster');
    if (casters) add(cross('crossCaster', 'Cross caster', casters, sd('caster')));
    for (const wheel of WHEELS_OF_AXLE[axle]) {
      const { camber, sai } = angles[wheel] ?? {};
      if (sai === undefined) continue;
      add(free(`sai.${wheel}`, 'Inclination', wheel, sai, sd('caster')));
      if (camber !== undefined) {
        const doubt = Math.hypot(sd('caster'), sd('camber'));
        add(free(`included.${wheel}`, 'Included angle', wheel, sai + camber, doubt));
      }
    }
    for (const wheel of WHEELS_OF_AXLE[axle]) {
      const toe = angles[wheel]?.toe;
      // A tape knows the total only.
      if (toe === undefined || method.toe === 'tape') continue;
      const [low, high] = toeLimits(axle) ?? DEFAULT_TOLERANCES.totalToe[axle];
      add({
        key: `toe.${wheel}`,
        title: 'Toe',
        where: wheel,
        value: toe,
        sd: sd('toe'),
        limits: [low / 2, high / 2],
        limitsFrom: fromSheet(toeLimits(axle)),
      });
    }
    const toes = both(axle, 'toe');
    if (toes) {
      const given = toeLimits(axle);
      add({
        key: `totalToe.${axle}`,
        title: 'Total toe',
        where: axle,
        value: toes[0] + toes[1],
        sd: sd('toe') * Math.SQRT2,
        limits: given ?? DEFAULT_TOLERANCES.totalToe[axle],
        limitsFrom: fromSheet(given),
      });
    }
    if (toes && axle === 'rear' && method.toe !== 'tape') {
      add({
        key: 'thrust',
        title: 'Thrust',
        where: null,
        value: (toes[0] - toes[1]) / 2,
        sd: sd('toe') / Math.SQRT2,
        limits: [-CUSTOM_LIMITS.thrust, CUSTOM_LIMITS.thrust],
        limitsFrom: 'custom',
      });
    }
  }
  return rows;
}

function free(
  key: string,
  title: string,
  where: Wheel,
  value: number,
  sd: number,
): Omit<LedgerRow, 'state'> {
  return { key, title, where, value, sd, limits: null, limitsFrom: null };
}

/** Left less right. */
function cross(
  key: 'crossCamber' | 'crossCaster',
  title: string,
  [left, right]: readonly [number, number],
  sd: number,
): Omit<LedgerRow, 'state'> {
  const limit = CUSTOM_LIMITS[key];
  return {
    key,
    title,
    where: 'front',
    value: left - right,
    sd: sd * Math.SQRT2,
    limits: [-limit, limit],
    limitsFrom: 'custom',
  };
}

function stateOf({ value, sd, limits }: Pick<LedgerRow, 'value' | 'sd' | 'limits'>): LedgerState {
  if (!limits) return 'noLimit';
  const [low, high] = limits;
  const nearest = Math.min(Math.abs(value - low), Math.abs(value - high));
  if (nearest < CLOSE_SD * sd) return 'tooClose';
  return value >= low && value <= high ? 'in' : 'out';
}

/** What the angles mean for driving: plain sentences, from the rows. */
export function whatAnglesMean(rows: readonly LedgerRow[]): string[] {
  const said: string[] = [];
  const row = (key: string) => rows.find((one) => one.key === key);
  const beyond = (key: string) => {
    const found = row(key);
    return found && found.state === 'out' ? found : null;
  };
  const camber = beyond('crossCamber');
  if (camber) {
    said.push(
      `Cross camber of ${size(camber.value)}: the car drifts to the ${camber.value > 0 ? 'left' : 'right'}, toward the more positive wheel.`,
    );
  }
  const caster = beyond('crossCaster');
  if (caster) {
    said.push(
      `Cross caster of ${size(caster.value)}: the car drifts to the ${caster.value > 0 ? 'right' : 'left'}, toward the side with less.`,
    );
  }
  const thrust = beyond('thrust');
  if (thrust) {
    said.push(
      `Thrust of ${size(thrust.value)} to the ${thrust.value > 0 ? 'right' : 'left'}: the steering wheel stands off to the ${thrust.value > 0 ? 'right' : 'left'}. The rear axle comes first.`,
    );
  }
  for (const axle of ['front', 'rear'] as const) {
    const toe = beyond(`totalToe.${axle}`);
    if (toe) {
      said.push(
        `Total toe-${toe.value > 0 ? 'in' : 'out'} of ${size(toe.value)} at the ${axle}: both tires scrub.`,
      );
    }
  }
  const leaning = rows.filter(({ key, state }) => key.startsWith('camber.') && state === 'out');
  for (const { where, value } of leaning) {
    const axle = axleOf(where as Wheel);
    said.push(
      `Camber of ${value < 0 ? '−' : '+'}${size(value)} at the ${axle}, ${(where as Wheel).startsWith('l') ? 'left' : 'right'}: it eats the ${value < 0 ? 'inner' : 'outer'} edge.`,
    );
  }
  const close = rows.filter(({ state }) => state === 'tooClose').length;
  if (close > 0) {
    said.push(
      `${close === 1 ? 'One angle stands' : `${close} angles stand`} too close to a limit to tell with this method: read again, or by a finer one.`,
    );
  }
  return said;
}

function size(degrees: number): string {
  return `${Math.abs(degrees).toFixed(2)}°`;
}
