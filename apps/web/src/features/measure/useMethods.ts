import type { AngleKind, DraftMeasure, Method } from '@keen/contract';
import { ANGLE_KINDS } from '@keen/contract';
import { useVisit } from '../../shared/visitContext.ts';

const USUAL: Record<AngleKind, Method> = { camber: 'readout', toe: 'readout', caster: 'readout' };

/** How each angle is measured on this car, and the methods that are in use. */
export function useMethods(): {
  method: Record<AngleKind, Method>;
  inUse: Method[];
  choose: (kind: AngleKind, method: Method) => void;
} {
  const { draft, enter } = useVisit();
  const chosen: NonNullable<DraftMeasure['method']> = draft.visit?.measure?.method ?? {};
  const method = { ...USUAL, ...chosen };
  return {
    method,
    inUse: [...new Set(ANGLE_KINDS.map((kind) => method[kind]))],
    choose: (kind, next) => enter(`visit.measure.method.${kind}`, next),
  };
}
