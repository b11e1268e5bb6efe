import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { sideOf } from '../../engine/case/wheels.ts';
import { limitsOf } from './limits.ts';
import { angleSd } from './readings.ts';
import { staleAngles } from './stale.ts';

/** A part that the steering axis says is bent. */
export interface BentPart {
  wheel: Wheel;
  part: string;
  because: string;
}

/** Less than this is within what two sides of a sound car differ by (common practice, no source). */
const LEAST_DEG = 0.75;

/**
 * What inclination, camber and included angle say together: camber off with the included angle right is
 * an arm or tower that leans the whole axis; camber off with the inclination right is the upright, its
 * spindle or the strut; both off is both. (Common practice, no source; the table is from memory.)
 *
 * The sheet's inclination and camber are the measure where it has them, else the other side is.
 */
export function bentParts(draft: VisitDraft): BentPart[] {
  const limits = limitsOf(draft);
  const { lf, rf } = draft.angles ?? {};
  const stale = staleAngles(draft);
  const found: BentPart[] = [];
  for (const [wheel, own, other] of [
    ['lf', lf, rf],
    ['rf', rf, lf],
  ] as const) {
    if (own?.camber === undefined || own.sai === undefined || stale[wheel]?.camber) continue;
    const { front } = limits.camber;
    if (!front) continue;
    const should = limits.sai
      ? { camber: front.target, sai: limits.sai.target, against: 'the sheet' }
      : other?.camber !== undefined && other.sai !== undefined
        ? { camber: other.camber, sai: other.sai, against: 'the other side' }
        : null;
    if (!should) continue;
    // Against one another both sides deviate: the one whose camber is out of its limits is the bent one.
    const [low, high] = front.range;
    if (!limits.sai && own.camber >= low && own.camber <= high) continue;
    const enough = Math.max(
      LEAST_DEG,
      2 * Math.hypot(angleSd(draft, wheel, 'camber'), angleSd(draft, wheel, 'caster')),
    );
    const camber = own.camber - should.camber;
    const sai = own.sai - should.sai;
    const part = partFor(camber, sai, enough);
    if (!part) continue;
    const signed = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(2)}°`;
    found.push({
      wheel,
      part,
      because: `${sideOf(wheel)} front against ${should.against}: camber ${signed(camber)}, inclination ${signed(sai)}, included angle ${signed(camber + sai)}`,
    });
  }
  return found;
}

function partFor(camber: number, sai: number, enough: number): string | null {
  const isOff = (value: number) => Math.abs(value) > enough;
  const [camberOff, saiOff, includedOff] = [camber, sai, camber + sai].map(isOff);
  if (!camberOff && !saiOff) return null;
  if (!includedOff) {
    return camber > 0
      ? 'lower arm bent, or strut tower pushed out: the whole axis leans out'
      : 'upper arm bent, or strut tower pushed in: the whole axis leans in';
  }
  if (!saiOff)
    return 'spindle, upright or strut bent: the axis stands right, the wheel on it does not';
  return 'two parts: the axis leans and the wheel sits wrong on it, so an arm or tower and the upright or strut';
}
