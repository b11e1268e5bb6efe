import type { Adjuster, CalculatorName } from '@keen/contract';
import type { PlanStep } from '@keen/core';
import type { Texts } from '../../tools/toolInput.ts';

/** The calculator of an adjuster at a step, where there is arithmetic to it. */
export function calculatorFor(step: PlanStep, adjuster: Adjuster): CalculatorName | null {
  if (step.key === 'steeringWheel') return 'steeringWheelCentre';
  switch (adjuster) {
    case 'tieRod':
      return 'tieRod';
    case 'cam':
      return 'eccentric';
    case 'hubShim':
      return 'rearShim';
    case 'armShims':
      return 'wishboneShims';
    default:
      return null;
  }
}

/** What to do where there is no arithmetic, or no adjuster at all. */
export function adviceFor(step: PlanStep, adjuster: Adjuster): string | null {
  const change = Math.abs(step.change ?? 0).toFixed(2);
  const isCamber = step.key.startsWith('camber');
  switch (adjuster) {
    case 'slots':
      return `Loosen the strut bolts, lean the upright by ${change}°, tighten to the maker’s torque.`;
    case 'adjustableArm':
      return 'Turn the arm until it reads right, then lock it; it sets no more than its thread.';
    case 'none':
      return isCamber
        ? 'Out of reach as built: an adjustable arm, offset bolts or, after a change of height, other upper arms would bring it. If it stays, that edge goes on wearing.'
        : 'Out of reach as built: a toe arm with a locked eccentric would bring it. If it stays, both tires go on scrubbing.';
    default:
      return null;
  }
}

/** What a calculator is opened with: the change that is wanted, the side, nothing invented. */
export function startFor(step: PlanStep, adjuster: Adjuster): Texts {
  const change = step.change === null ? '' : String(Number(step.change.toFixed(3)));
  const isToe = step.key.startsWith('toe');
  if (step.key === 'steeringWheel') return {};
  switch (adjuster) {
    case 'tieRod':
      return { toeChange: change };
    case 'cam':
      return { change };
    case 'hubShim':
      return {
        camberChange: isToe ? '0' : change,
        toeChange: isToe ? change : '0',
        side: step.where?.startsWith('l') ? 'left' : 'right',
      };
    case 'armShims':
      return { camberChange: change, casterChange: '0' };
    default:
      return {};
  }
}
