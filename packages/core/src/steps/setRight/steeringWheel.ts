import type { VisitDraft } from '@keen/contract';
import type { AngleKind, Wheel } from '@keen/contract/words';
import type { StepReason } from '../../words/screens/en/setRight.ts';
import { movedAt } from '../measure/stale.ts';

/** What setting it makes the steering wheel stand elsewhere. */
const MOVES_IT: readonly (readonly [Wheel, AngleKind])[] = [
  ['lf', 'toe'],
  ['rf', 'toe'],
  ['lr', 'toe'],
  ['rr', 'toe'],
  ['lf', 'camber'],
  ['rf', 'camber'],
  ['lf', 'caster'],
  ['rf', 'caster'],
];

/**
 * Whether the steering wheel still has to be looked at, and why: something that moves it was set since it
 * was last seen straight, or the customer said that it stands off and nobody has looked.
 */
export function steeringOpen(draft: VisitDraft): StepReason | null {
  const seen = draft.visit?.setRight?.steeringWheel;
  if (seen && seen.state !== 'straight') {
    return seen.state === 'left' ? 'standsLeft' : 'standsRight';
  }
  const moved = MOVES_IT.map(([wheel, kind]) => movedAt(draft, wheel, kind)).filter(
    (at) => at !== null,
  );
  if (moved.length > 0 && (!seen || moved.some((at) => at > seen.at))) {
    return 'wasMoved';
  }
  const complains = draft.complaints?.some(
    (one) => one === 'wheelOffLeft' || one === 'wheelOffRight',
  );
  return complains && !seen ? 'customerSays' : null;
}
