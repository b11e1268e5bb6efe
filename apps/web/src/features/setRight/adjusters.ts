import type { Adjuster, CalculatorName, ShopSettings, VisitDraft } from '@keen/contract';
import type { PlanStep } from '@keen/core';
import { ADJUSTER_FACTS, wrongWheel } from '@keen/core';
import type { Texts } from '../../tools/toolInput.ts';
import { t } from '../../words/setRight.ts';
import { setRightTexts } from '../../words/core/setRight.ts';

/** The calculator of an adjuster at a step, where there is arithmetic to it. */
export function calculatorFor(step: PlanStep, adjuster: Adjuster): CalculatorName | null {
  if (step.key === 'steeringWheel') return 'steeringWheelCentre';
  return ADJUSTER_FACTS[adjuster].calculator;
}

/** How rods are turned; alike on both sides only where both sides want the same. */
function rodAdvice(
  step: PlanStep,
  plan: readonly PlanStep[],
  draft: VisitDraft,
  adjuster: 'tieRod' | 'turnbuckle',
): string {
  const other = plan.find(
    ({ kind, axle, where }) => kind === 'toe' && axle === step.axle && where !== step.where,
  );
  const isAlike =
    (step.where === null && step.axle !== null && wrongWheel(draft, step.axle) === null) ||
    (step.change !== null &&
      other?.change !== null &&
      other?.change !== undefined &&
      Math.abs(other.change - step.change) < ALIKE_DEG);
  if (adjuster === 'turnbuckle') {
    return t(isAlike ? 'adjusters.sleevesAlike' : 'adjusters.sleeves');
  }
  return t(isAlike ? 'adjusters.rodsAlike' : 'adjusters.rods');
}

/** Two sides that want changes closer than this are turned alike, degrees. */
const ALIKE_DEG = 0.03;

/** How the hand goes about it (common practice, no source). */
export function adviceFor(
  step: PlanStep,
  adjuster: Adjuster,
  draft: VisitDraft,
  plan: readonly PlanStep[],
): string | null {
  const { vehicle, visit } = draft;
  if (step.key === 'steeringWheel') {
    const thread = visit?.inspect?.thread;
    if (thread === 'leftMore' || thread === 'rightMore') {
      return t(thread === 'leftMore' ? 'adjusters.moreThreadLeft' : 'adjusters.moreThreadRight');
    }
    return vehicle?.use === 'cart'
      ? t('adjusters.toeRightAndThe')
      : t('adjusters.aboutEqualThreadShowing');
  }
  switch (adjuster) {
    case 'tieRod':
    case 'turnbuckle':
      return rodAdvice(step, plan, draft, adjuster);
    case 'slots':
      return step.kind === 'caster'
        ? t('adjusters.loosenTheTowerNuts')
        : t('adjusters.loosenTheStrutBolts', { abs: Math.abs(step.change ?? 0).toFixed(2) });
    default:
      return setRightTexts.adjusters[adjuster].how;
  }
}

/** What a calculator is opened with: the change that is wanted, the side, the stock; nothing invented. */
export function startFor(
  step: PlanStep,
  adjuster: Adjuster,
  known: { plan: readonly PlanStep[]; settings: ShopSettings; draft: VisitDraft },
): Texts {
  const { plan, settings, draft } = known;
  // A total is set at two rods, half at each, but for a cart's one wrong wheel.
  const isShared = step.kind === 'toe' && step.where === null;
  const isOneSided = isShared && step.axle !== null && wrongWheel(draft, step.axle) !== null;
  const change = plain(
    step.change !== null && isShared && !isOneSided ? step.change / 2 : step.change,
  );
  // Where the rack lies was said on arrival.
  const rack = draft.visit?.car?.rack ? { rack: draft.visit.car.rack } : {};
  if (step.key === 'steeringWheel') {
    const ratio = draft.visit?.sheet?.sheet.steeringRatio;
    return {
      adjuster: adjuster === 'turnbuckle' ? 'turnbuckle' : 'single',
      ...(ratio === undefined ? {} : { steeringRatio: String(ratio) }),
      ...rack,
    };
  }
  switch (adjuster) {
    case 'tieRod':
      return { toeChange: change, adjuster: 'single', ...rack };
    case 'turnbuckle':
      return { toeChange: change, adjuster: 'turnbuckle', ...rack };
    case 'cam':
      return { change };
    case 'hubShim': {
      // One shim gives camber and toe together: what the other step of this wheel wants counts too.
      const wanted = (kind: 'camber' | 'toe') =>
        plain(plan.find((one) => one.where === step.where && one.kind === kind)?.change ?? 0);
      return {
        camberChange: wanted('camber'),
        toeChange: wanted('toe'),
        side: step.where?.startsWith('l') ? 'left' : 'right',
        stock: settings.hubShims.join('; '),
      };
    }
    case 'twoCams':
    case 'armShims': {
      const wanted = (kind: 'camber' | 'caster') =>
        plain(plan.find((one) => one.where === step.where && one.kind === kind)?.change ?? 0);
      return { camberChange: wanted('camber'), casterChange: wanted('caster') };
    }
    default:
      return {};
  }
}

function plain(change: number | null): string {
  return change === null ? '' : String(Number(change.toFixed(4)));
}
