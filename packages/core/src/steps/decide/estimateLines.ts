import type { EstimateLine, PriceItem, PriceList } from '@keen/contract';
import type { Action, Axle, Wheel } from '@keen/contract/words';
import { axleOf } from '../../engine/case/wheels.ts';
import { ALIGNING } from '../../engine/outlook/courses.ts';

/** What the price list's items are called on an estimate. */
const WORK_OF: Record<Action, readonly PriceItem[]> = {
  fitOnly: [],
  inflateAndWatch: ['inflate'],
  checkAlignment: ['check'],
  align: ['align'],
  partsThenAlign: ['inspect', 'parts', 'align'],
  balanceOrDampers: ['balance'],
};

/** Courses at whose end the angles are set. */
const ALIGNS: readonly Action[] = ['align', 'partsThenAlign'];

/**
 * The lines that a course of work and the tires to replace come to by the price list. What costs nothing
 * is left out.
 * @param extras - wheels that need an adjustable arm for the angles to come in, and that get a pressure sensor;
 * whether dampers and balance come before the alignment
 * @param words - what each item is called in the language of whoever writes the estimate
 * @param newId - gives each line an id
 */
export function estimateLines(
  course: Action,
  replace: readonly Wheel[],
  { arms, sensors, dampersFirst }: { arms: number; sensors: number; dampersFirst: boolean },
  { items }: PriceList,
  words: Readonly<Record<PriceItem, string>>,
  newId: () => string,
): EstimateLine[] {
  const count = (axle: Axle) => replace.filter((wheel) => axleOf(wheel) === axle).length;
  const wanted: [PriceItem, number][] = [
    ['balance', dampersFirst && ALIGNING.includes(course) ? 1 : 0],
    ...WORK_OF[course].map((item): [PriceItem, number] => [item, 1]),
    ['adjustableArm', ALIGNS.includes(course) ? arms : 0],
    ['pressureSensor', sensors],
    ['tireFront', count('front')],
    ['tireRear', count('rear')],
    ['fitTire', replace.length],
    ['disposal', replace.length],
  ];
  return wanted
    .filter(([item, quantity]) => quantity > 0 && items[item] > 0)
    .map(([item, quantity]) => ({
      id: newId(),
      item,
      what: words[item],
      quantity,
      unitMinor: items[item],
    }));
}
