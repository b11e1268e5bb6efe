import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { axleOf, sideOf } from '../../engine/case/wheels.ts';
import type { MeasureTexts } from '../../words/screens/index.ts';
import type { LedgerRow } from './angleLedger.ts';
import { bentParts } from './bentPart.ts';
import type { BentPart } from './bentPart.ts';

/** Steering ratio where no sheet says (common practice, no source). */
const USUAL_RATIO = 16;
/** Steering wheel off by less is not seen (common practice, no source). */
const LEAST_WHEEL_OFF_DEG = 3;
/** With less caster the steering does not come back well (common practice, no source). */
const LITTLE_CASTER_DEG = 2;

/**
 * What the angles mean for driving and wear: plain sentences, from the rows and the complaint. What must be
 * measured again means nothing yet.
 * @param say - texts in the language of the page
 */
export function whatAnglesMean(
  all: readonly LedgerRow[],
  draft: VisitDraft,
  say: MeasureTexts,
): string[] {
  const { meaning } = say;
  const rows = all.filter(({ state }) => state !== 'stale');
  return [
    ...pull(rows, draft, meaning),
    ...steeringWheel(rows, draft, meaning),
    ...comingBack(rows, draft, meaning),
    ...fullLock(draft, meaning),
    ...scrub(rows, meaning),
    ...leaning(rows, meaning),
    ...bentParts(draft).map((part) => bentWords(part, say)),
    ...height(draft, meaning),
    ...tooClose(rows, meaning),
  ].map((sentence) => sentence.charAt(0).toUpperCase() + sentence.slice(1));
}

type Meaning = MeasureTexts['meaning'];

/** A bent part, and what of its angles says so. */
function bentWords({ wheel, kind, against, camber, sai }: BentPart, say: MeasureTexts): string {
  const because = say.bent.because({
    side: sideOf(wheel),
    against,
    camber: signed(camber),
    sai: signed(sai),
    included: signed(camber + sai),
  });
  return `${because}: ${say.bent.parts[kind]}.`;
}

function find(rows: readonly LedgerRow[], key: string): LedgerRow | undefined {
  return rows.find((row) => row.key === key);
}

function out(rows: readonly LedgerRow[], key: string): LedgerRow | null {
  const row = find(rows, key);
  return row?.state === 'out' ? row : null;
}

function pull(rows: readonly LedgerRow[], draft: VisitDraft, say: Meaning): string[] {
  const said: string[] = [];
  const camber = out(rows, 'crossCamber');
  if (camber) {
    said.push(say.crossCamber(size(camber.value), camber.value > 0 ? 'left' : 'right'));
  }
  const caster = out(rows, 'crossCaster');
  if (caster) {
    said.push(say.crossCaster(size(caster.value), caster.value > 0 ? 'right' : 'left'));
  }
  const complains = draft.complaints?.some((one) => one === 'pullsLeft' || one === 'pullsRight');
  const knowsCross = find(rows, 'crossCamber') ?? find(rows, 'crossCaster');
  if (complains && knowsCross && !camber && !caster) {
    said.push(say.pullUnexplained);
  }
  return said;
}

/**
 * How far off the steering wheel stands: going straight, the front pair's mean heading lies along the
 * thrust line, so what the pair was set to while the wheel was locked straight shows at the wheel.
 */
function steeringWheel(rows: readonly LedgerRow[], draft: VisitDraft, say: Meaning): string[] {
  const said: string[] = [];
  const thrust = out(rows, 'thrust');
  if (thrust) {
    said.push(say.thrust(size(thrust.value), sideWord(thrust.value)));
  }
  const [left, right, rear] = ['toe.lf', 'toe.rf', 'thrust'].map((key) => find(rows, key));
  if (!left || !right || !rear) return said;
  const known = draft.visit?.sheet?.sheet.steeringRatio;
  const ratio = known ?? USUAL_RATIO;
  const off = (rear.value - (left.value - right.value) / 2) * ratio;
  const doubt = 2 * ratio * Math.hypot(rear.sd, left.sd / 2, right.sd / 2);
  if (Math.abs(off) > LEAST_WHEEL_OFF_DEG && Math.abs(off) > doubt) {
    said.push(say.wheelOff(`${Math.abs(off).toFixed(0)}°`, sideWord(off), ratio, !known));
  }
  return said;
}

function comingBack(rows: readonly LedgerRow[], draft: VisitDraft, say: Meaning): string[] {
  const casters = rows.filter(({ key }) => key.startsWith('caster.'));
  const little = casters.filter(({ value, limits }) => value < (limits?.[0] ?? LITTLE_CASTER_DEG));
  const said: string[] = [];
  if (little.length > 0) {
    said.push(say.littleCaster);
  }
  if (draft.complaints?.includes('noReturn') && casters.length > 0 && little.length === 0) {
    said.push(say.casterEnough);
  }
  const toe = out(rows, 'totalToe.front');
  if (draft.complaints?.includes('wander') && toe && toe.value < 0) {
    said.push(say.frontToeOut);
  }
  for (const side of ['left', 'right'] as const) {
    const turn = out(rows, `toeOut.${side}`);
    if (turn) {
      said.push(say.turnScrub(side));
    }
  }
  const setback = out(rows, 'setback');
  if (setback) {
    said.push(say.setback(sideWord(setback.value), Math.abs(setback.value).toFixed(0)));
  }
  return said;
}

/** Full locks that differ by more say that the rack is off its middle (common practice, no source), degrees. */
const LOCKS_APART_DEG = 2;

function fullLock(draft: VisitDraft, say: Meaning): string[] {
  const { lock } = draft.visit?.measure ?? {};
  if (!lock || Math.abs(lock.left - lock.right) <= LOCKS_APART_DEG) return [];
  const more = lock.left > lock.right ? 'left' : 'right';
  return [say.lockUneven(`${Math.abs(lock.left - lock.right).toFixed(1)}°`, more)];
}

function scrub(rows: readonly LedgerRow[], say: Meaning): string[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const toe = out(rows, `totalToe.${axle}`);
    if (!toe) return [];
    return [say.totalToe(size(toe.value), toe.value > 0, axle)];
  });
}

function leaning(rows: readonly LedgerRow[], say: Meaning): string[] {
  return rows
    .filter(({ key, state }) => key.startsWith('camber.') && state === 'out')
    .map(({ where, value }) => {
      const wheel = where as Wheel;
      const edge = value < 0 ? 'inner' : 'outer';
      return say.camber(signed(value), axleOf(wheel), sideOf(wheel), edge);
    });
}

function height(draft: VisitDraft, say: Meaning): string[] {
  const { front = 0, rear = 0 } = draft.vehicle?.rideHeightChange ?? {};
  if (front === 0 && rear === 0) return [];
  return [say.height(front, rear)];
}

function tooClose(rows: readonly LedgerRow[], say: Meaning): string[] {
  const close = rows.filter(({ state }) => state === 'tooClose').length;
  if (close === 0) return [];
  return [say.tooClose(close)];
}

function sideWord(value: number): 'left' | 'right' {
  return value > 0 ? 'right' : 'left';
}

function size(degrees: number): string {
  return `${Math.abs(degrees).toFixed(2)}°`;
}

function signed(degrees: number): string {
  return `${degrees < 0 ? '−' : '+'}${size(degrees)}`;
}
