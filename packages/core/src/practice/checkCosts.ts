import type { CaseFile, PriceList, Wheel } from '@keen/contract';
import type { Check, PracticeCheck } from '@keen/contract/words';
import { byWheel } from '../engine/case/resolveCase.ts';

/** What a check takes: time of the shop, and what the customer pays for it. */
export interface CheckCost {
  minutes: number;
  /** Minor units. */
  minor: number;
}

/** Minutes of each check, and of setting the gauge down once (common practice, no source). */
const MINUTES: Record<PracticeCheck, number> = {
  stroke: 1,
  waves: 2,
  pressure: 3,
  complaints: 2,
  play: 8,
  angles: 25,
};
export const READING_MINUTES = 0.2;

/** Measuring is paid by the customer, and so is a look under the car; the rest is part of the visit. */
export function checkCost(check: PracticeCheck, { items }: PriceList): CheckCost {
  const minor = check === 'angles' ? items.check : check === 'play' ? items.inspect : 0;
  return { minutes: MINUTES[check], minor };
}

/** The checks of the diagnosis that a check of the practice answers. */
export const ANSWERS: Record<PracticeCheck, readonly Check[]> = {
  stroke: ['feelFeather'],
  waves: ['feelWaves'],
  pressure: ['checkPressure'],
  complaints: [],
  play: ['checkPlay'],
  angles: ['measureAngles'],
};

/** What of a whole case has been looked at. @param whole - everything that could be found */
export function seenOf(whole: CaseFile, done: readonly PracticeCheck[]): CaseFile {
  const has = (check: PracticeCheck) => done.includes(check);
  const { angles, play, complaints, ...rest } = whole;
  return {
    ...rest,
    tires: byWheel((wheel: Wheel) => {
      const { feather, cupping, pressure, ...tire } = whole.tires[wheel];
      return {
        ...tire,
        ...(has('stroke') && feather !== undefined && { feather }),
        ...(has('waves') && cupping !== undefined && { cupping }),
        ...(has('pressure') && pressure !== undefined && { pressure }),
      };
    }),
    ...(has('angles') && angles && { angles }),
    ...(has('play') && play && { play }),
    ...(has('complaints') && complaints && { complaints }),
  };
}
