import type { FittingFault } from '../visit/fitment/fittingRules.ts';
import type { BelowPlacard } from '../engine/tires/serviceDescription.ts';
import type { VisitTexts } from './screens/index.ts';

type FittingTexts = Pick<VisitTexts, 'broken' | 'keeps'>;

/** What is wrong with a choice of new tires, and what would keep the rule, in words. */
export function fittingWords(
  fault: FittingFault,
  { broken, keeps }: FittingTexts,
): { words: string; keeps: string } {
  switch (fault.kind) {
    case 'age':
      return { words: broken.age(fault.years), keeps: keeps.newTire };
    case 'matching':
      return { words: broken.matching(fault.apartMm.toFixed(1)), keeps: keeps.matching };
    case 'placard':
      return {
        words: placardWords(fault.below, { broken }),
        keeps: keeps.placard(fault.placard),
      };
    case 'mixedAxle':
      return { words: broken.mixedAxle(...fault.constructions), keeps: keeps.mixedAxle };
    case 'mixedCar':
      return { words: broken.mixedCar(fault.rear), keeps: keeps.mixedCar };
    case 'pair':
    case 'newAtRear':
    case 'winter':
      return { words: broken[fault.kind], keeps: keeps[fault.kind] };
    default:
      return { words: broken[fault.kind], keeps: keeps.newTire };
  }
}

/** What of a fitted tire falls below the placard, in words. */
export function placardWords(
  below: BelowPlacard,
  { broken }: Pick<FittingTexts, 'broken'>,
): string {
  return below.kind === 'load'
    ? broken.placardLoad(below.loadIndex, below.loadKg, below.askedKg)
    : broken.placardSpeed(below.symbol, below.asked);
}
