import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import type { BentKind } from '../../words/screens/en/measure.ts';
import { limitsOf } from './limits.ts';
import { angleSd } from './readings.ts';
import { staleAngles } from './stale.ts';

/** A part that the steering axis says is bent. */
export interface BentPart {
  wheel: Wheel;
  kind: BentKind;
  /** What its angles were held against. */
  against: 'sheet' | 'otherSide';
  /** How far they are from there, degrees. */
  camber: number;
  sai: number;
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
      ? { camber: front.target, sai: limits.sai.target, against: 'sheet' as const }
      : other?.camber !== undefined && other.sai !== undefined
        ? { camber: other.camber, sai: other.sai, against: 'otherSide' as const }
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
    const kind = kindOf(camber, sai, enough);
    if (kind) found.push({ wheel, kind, against: should.against, camber, sai });
  }
  return found;
}

function kindOf(camber: number, sai: number, enough: number): BentKind | null {
  const isOff = (value: number) => Math.abs(value) > enough;
  const [camberOff, saiOff, includedOff] = [camber, sai, camber + sai].map(isOff);
  if (!camberOff && !saiOff) return null;
  if (!includedOff) return camber > 0 ? 'axisOut' : 'axisIn';
  return saiOff ? 'both' : 'upright';
}
