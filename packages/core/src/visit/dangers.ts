import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { UNSAFE_DAMAGES } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM } from '../engine/case/resolveCase.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import { leastDepth } from './depthsRead.ts';
import { playAt } from './wornParts.ts';

/**
 * Why a car must not be driven as it stands: a tire that can burst, a joint that can part, tread below the
 * law, pressure far below or above the placard.
 */
export type DangerKind = 'tire' | 'joint' | 'worn' | 'soft' | 'hard';

export interface Danger {
  kind: DangerKind;
  wheels: Wheel[];
}

/**
 * Pressure this far below the placard is a danger: what a warning light must report in the US (49 CFR
 * 571.138, recalled from memory). The same above it: common practice, no source.
 */
const FAR_OFF = 0.25;

/** Depths differ by floating point only below this, mm. */
const DEPTH_EPSILON_MM = 1e-9;

/**
 * What makes a car unfit for the road, worst first: cords, a bulge or a cut; excessive play; a rib below
 * the legal limit on a tire that is not named already; a pressure far off. The law decides in the end (49 CFR 570.9,
 * Directive 89/459/EEC for depth, recalled from memory; the others are common practice).
 * @example dangers({ tires: { lf: { stations: [{ inner: 1 }] } } }) // [{ kind: 'worn', wheels: ['lf'] }]
 */
export function dangers(draft: VisitDraft): Danger[] {
  const bursting = WHEEL_ORDER.filter((wheel) =>
    draft.tires?.[wheel]?.damage?.some((kind) => UNSAFE_DAMAGES.includes(kind)),
  );
  const parting = WHEEL_ORDER.filter((wheel) => playAt(draft, wheel) === 'excessive');
  const legal = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const worn = WHEEL_ORDER.filter((wheel) => {
    const least = leastDepth(draft, wheel);
    return !bursting.includes(wheel) && least !== null && least < legal - DEPTH_EPSILON_MM;
  });
  const off = (isFar: (ratio: number) => boolean) =>
    WHEEL_ORDER.filter((wheel) => {
      const { measured, target } = draft.tires?.[wheel]?.pressure ?? {};
      return !!measured && !!target && isFar(measured / target);
    });
  const found: Danger[] = [
    { kind: 'tire', wheels: bursting },
    { kind: 'joint', wheels: parting },
    { kind: 'worn', wheels: worn },
    { kind: 'soft', wheels: off((ratio) => ratio <= 1 - FAR_OFF) },
    { kind: 'hard', wheels: off((ratio) => ratio >= 1 + FAR_OFF) },
  ];
  return found.filter(({ wheels }) => wheels.length > 0);
}
