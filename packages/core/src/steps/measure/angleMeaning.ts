import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { axleOf, sideOf } from '../../engine/case/wheels.ts';
import type { LedgerRow } from './angleLedger.ts';
import { bentParts } from './bentPart.ts';

/** Steering ratio where no sheet says (common practice, no source). */
const USUAL_RATIO = 16;
/** Steering wheel off by less is not seen (common practice, no source). */
const LEAST_WHEEL_OFF_DEG = 3;
/** With less caster the steering does not come back well (common practice, no source). */
const LITTLE_CASTER_DEG = 2;

/**
 * What the angles mean for driving and wear: plain sentences, from the rows and the complaint. What must be
 * measured again means nothing yet.
 */
export function whatAnglesMean(all: readonly LedgerRow[], draft: VisitDraft): string[] {
  const rows = all.filter(({ state }) => state !== 'stale');
  return [
    ...pull(rows, draft),
    ...steeringWheel(rows, draft),
    ...comingBack(rows, draft),
    ...fullLock(draft),
    ...scrub(rows),
    ...leaning(rows),
    ...bentParts(draft).map(({ part, because }) => `${because}: ${part}.`),
    ...height(draft),
    ...tooClose(rows),
  ].map((sentence) => sentence.charAt(0).toUpperCase() + sentence.slice(1));
}

function find(rows: readonly LedgerRow[], key: string): LedgerRow | undefined {
  return rows.find((row) => row.key === key);
}

function out(rows: readonly LedgerRow[], key: string): LedgerRow | null {
  const row = find(rows, key);
  return row?.state === 'out' ? row : null;
}

function pull(rows: readonly LedgerRow[], draft: VisitDraft): string[] {
  const said: string[] = [];
  const camber = out(rows, 'crossCamber');
  if (camber) {
    said.push(
      `Cross camber of ${size(camber.value)}: the car drifts to the ${camber.value > 0 ? 'left' : 'right'}, toward the more positive wheel.`,
    );
  }
  const caster = out(rows, 'crossCaster');
  if (caster) {
    said.push(
      `Cross caster of ${size(caster.value)}: the car drifts to the ${caster.value > 0 ? 'right' : 'left'}, toward the side with less.`,
    );
  }
  const complains = draft.complaints?.some((one) => one === 'pullsLeft' || one === 'pullsRight');
  const knowsCross = find(rows, 'crossCamber') ?? find(rows, 'crossCaster');
  if (complains && knowsCross && !camber && !caster) {
    said.push(
      'It pulls, and camber and caster do not say why: swap the two front tires; when the pull changes side, it is a tire. A crowned road drifts every car to its low side.',
    );
  }
  return said;
}

/**
 * How far off the steering wheel stands: going straight, the front pair's mean heading lies along the
 * thrust line, so what the pair was set to while the wheel was locked straight shows at the wheel.
 */
function steeringWheel(rows: readonly LedgerRow[], draft: VisitDraft): string[] {
  const said: string[] = [];
  const thrust = out(rows, 'thrust');
  if (thrust) {
    said.push(
      `Thrust of ${size(thrust.value)} to the ${sideWord(thrust.value)}: the car crabs. The rear axle comes first.`,
    );
  }
  const [left, right, rear] = ['toe.lf', 'toe.rf', 'thrust'].map((key) => find(rows, key));
  if (!left || !right || !rear) return said;
  const known = draft.visit?.sheet?.sheet.steeringRatio;
  const ratio = known ?? USUAL_RATIO;
  const off = (rear.value - (left.value - right.value) / 2) * ratio;
  const doubt = 2 * ratio * Math.hypot(rear.sd, left.sd / 2, right.sd / 2);
  if (Math.abs(off) > LEAST_WHEEL_OFF_DEG && Math.abs(off) > doubt) {
    said.push(
      `The steering wheel stands about ${Math.abs(off).toFixed(0)}° to the ${sideWord(off)} while it drives straight (ratio ${ratio} : 1${known ? '' : ', a usual one'}).`,
    );
  }
  return said;
}

function comingBack(rows: readonly LedgerRow[], draft: VisitDraft): string[] {
  const casters = rows.filter(({ key }) => key.startsWith('caster.'));
  const little = casters.filter(({ value, limits }) => value < (limits?.[0] ?? LITTLE_CASTER_DEG));
  const said: string[] = [];
  if (little.length > 0) {
    said.push(
      'Little caster: the steering comes back poorly and the car wanders more; heavier steering is the price of more.',
    );
  }
  if (draft.complaints?.includes('noReturn') && casters.length > 0 && little.length === 0) {
    said.push(
      'It does not come back, and there is caster enough: look for a joint tightened with an impact wrench, or a bound strut mount.',
    );
  }
  const toe = out(rows, 'totalToe.front');
  if (draft.complaints?.includes('wander') && toe && toe.value < 0) {
    said.push('Toe-out in front: it hunts after every bump.');
  }
  for (const side of ['left', 'right'] as const) {
    const turn = out(rows, `toeOut.${side}`);
    if (turn) {
      said.push(
        `In a ${side} turn the wheels do not follow their own circles: they scrub, and a steering arm may be bent.`,
      );
    }
  }
  const setback = out(rows, 'setback');
  if (setback) {
    said.push(
      `Setback: the ${setback.value > 0 ? 'right' : 'left'} front wheel stands ${Math.abs(setback.value).toFixed(0)} mm further back; look for a bent arm or cradle.`,
    );
  }
  return said;
}

/** Full locks that differ by more say that the rack is off its middle (common practice, no source), degrees. */
const LOCKS_APART_DEG = 2;

function fullLock(draft: VisitDraft): string[] {
  const { lock } = draft.visit?.measure ?? {};
  if (!lock || Math.abs(lock.left - lock.right) <= LOCKS_APART_DEG) return [];
  const more = lock.left > lock.right ? 'left' : 'right';
  return [
    `It turns ${Math.abs(lock.left - lock.right).toFixed(1)}° further to the ${more}: the rack is off its middle. Centre it before the rods are turned, and set the steering wheel after.`,
  ];
}

function scrub(rows: readonly LedgerRow[]): string[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const toe = out(rows, `totalToe.${axle}`);
    if (!toe) return [];
    const warning =
      axle === 'rear' && toe.value < 0 ? ' Toe-out at the rear can make the car spin.' : '';
    return [
      `Total toe-${toe.value > 0 ? 'in' : 'out'} of ${size(toe.value)} at the ${axle}: both tires scrub.${warning}`,
    ];
  });
}

function leaning(rows: readonly LedgerRow[]): string[] {
  return rows
    .filter(({ key, state }) => key.startsWith('camber.') && state === 'out')
    .map(({ where, value }) => {
      const wheel = where as Wheel;
      return `Camber of ${value < 0 ? '−' : '+'}${size(value)} at the ${axleOf(wheel)}, ${sideOf(wheel)}: it eats the ${value < 0 ? 'inner' : 'outer'} edge.`;
    });
}

function height(draft: VisitDraft): string[] {
  const { front = 0, rear = 0 } = draft.vehicle?.rideHeightChange ?? {};
  if (front === 0 && rear === 0) return [];
  const words = (mm: number, end: string) =>
    mm === 0 ? null : `${Math.abs(mm)} mm ${mm > 0 ? 'up' : 'down'} ${end}`;
  const changed = [words(front, 'in front'), words(rear, 'at the rear')].filter(Boolean);
  return [
    `The body was moved ${changed.join(' and ')}: camber and toe moved with it. It is set at the height it is driven at.`,
  ];
}

function tooClose(rows: readonly LedgerRow[]): string[] {
  const close = rows.filter(({ state }) => state === 'tooClose').length;
  if (close === 0) return [];
  return [
    `${close === 1 ? 'One angle stands' : `${close} angles stand`} too close to a limit to tell with this method: read again, or by a finer one.`,
  ];
}

function sideWord(value: number): string {
  return value > 0 ? 'right' : 'left';
}

function size(degrees: number): string {
  return `${Math.abs(degrees).toFixed(2)}°`;
}
