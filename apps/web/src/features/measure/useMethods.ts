import type { AngleKind, Method } from '@keen/contract';
import { ANGLE_KINDS } from '@keen/contract';
import { methodOf } from '@keen/core';
import { useVisit } from '../../shared/visitContext.ts';

/** How each angle is measured on this car, and the methods that are in use. */
export function useMethods(): {
  method: Record<AngleKind, Method>;
  inUse: Method[];
  choose: (kind: AngleKind, method: Method) => void;
} {
  const { draft, enter } = useVisit();
  const method = {
    camber: methodOf(draft, 'camber'),
    toe: methodOf(draft, 'toe'),
    caster: methodOf(draft, 'caster'),
  };
  // Nobody swings a cart for caster; elsewhere each angle is read sooner or later.
  const isCart = draft.vehicle?.use === 'cart';
  const kinds = isCart ? ANGLE_KINDS.filter((kind) => kind !== 'caster') : ANGLE_KINDS;
  return {
    method,
    inUse: [...new Set(kinds.map((kind) => method[kind]))],
    choose: (kind, next) => enter(`visit.measure.method.${kind}`, next),
  };
}
