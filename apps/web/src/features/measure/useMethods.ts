import type { AngleKind, Method } from '@keen/contract';
import { methodOf } from '@keen/core';
import { useVisit } from '../../shared/visitContext.ts';

/** How each angle is measured on this car. */
export function useMethods(): {
  method: Record<AngleKind, Method>;
  choose: (kind: AngleKind, method: Method) => void;
} {
  const { draft, enter } = useVisit();
  return {
    method: {
      camber: methodOf(draft, 'camber'),
      toe: methodOf(draft, 'toe'),
      caster: methodOf(draft, 'caster'),
    },
    choose: (kind, next) => enter(`visit.measure.method.${kind}`, next),
  };
}
