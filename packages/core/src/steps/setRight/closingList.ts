import type { SpecSheet, VisitDraft } from '@keen/contract';
import { ANGLE_KINDS, WHEELS } from '@keen/contract/words';
import type { ClosingPoint, Method } from '@keen/contract/words';
import type { SetRightTexts } from '../../words/screens/index.ts';
import { methodsToday } from '../measure/setupList.ts';
import { readingInUse } from '../measure/readings.ts';

/** One thing that is done before the car is given back. */
export interface ClosingItem {
  point: ClosingPoint;
  /** For a cart, which has no run-out to compensate. */
  isCart?: boolean;
  /** Torques on the car's sheet. */
  torque?: NonNullable<SpecSheet['torque']>;
}

/** A point in words: figures or conditions under it, and what can hurt; empty where nothing. */
export interface ClosingWords {
  words: string;
  details: readonly string[];
  caution: string;
}

/** Ways that need clamps at the rims, and plates under the wheels. */
const ON_CLAMPS: readonly Method[] = ['readout', 'gauges', 'swing'];
const ON_PLATES: readonly Method[] = ['readout', 'gauges', 'level', 'square', 'swing', 'strings'];

/**
 * What comes when all angles are in (common practice, no source), in the order it is done: only what this
 * vehicle has and what today's methods put on it. Where nothing was set, no torque and no final reading.
 */
export function closingList(draft: VisitDraft): ClosingItem[] {
  const torque = draft.visit?.sheet?.sheet.torque ?? [];
  const isSet = draft.visit?.setRight?.before !== undefined;
  const isCart = draft.vehicle?.use === 'cart';
  const methods = methodsUsed(draft);
  const uses = (which: readonly Method[]) => methods.some((method) => which.includes(method));
  const items: (ClosingItem | false)[] = [
    isSet && { point: 'finalReading', isCart },
    isSet && { point: 'torque', torque },
    isSet && { point: 'lockToLock' },
    uses(ON_CLAMPS) && { point: 'clampsOff' },
    uses(['swing', 'readout']) && !isCart && { point: 'brakeFree' },
    uses(ON_PLATES) && { point: 'turnPlates' },
    !isCart && { point: 'sensorReset' },
    { point: 'roadTest' },
  ];
  return items.filter((item) => item !== false);
}

/** What a point says. */
export function closingWords(
  { point, isCart = false, torque = [] }: ClosingItem,
  { closing }: Pick<SetRightTexts, 'closing'>,
): ClosingWords {
  const said = { words: closing.points[point], details: [], caution: '' };
  switch (point) {
    case 'finalReading':
      return {
        ...said,
        words: isCart ? closing.cartReading : said.words,
        details: [closing.readLast],
      };
    case 'torque':
      return {
        ...said,
        details:
          torque.length > 0
            ? torque.map(({ fastener, newtonMetres }) => `${fastener}: ${newtonMetres} N·m`)
            : [closing.noTorque],
      };
    case 'lockToLock':
      return { ...said, caution: closing.handsClear };
    case 'sensorReset':
      return { ...said, details: [closing.cameras] };
    case 'roadTest':
      return { ...said, caution: closing.roadCaution };
    default:
      return said;
  }
}

/** Every method that a reading was taken with, and those that are in use today. */
function methodsUsed(draft: VisitDraft): Method[] {
  const taken = WHEELS.flatMap((wheel) =>
    ANGLE_KINDS.flatMap((kind) => readingInUse(draft, wheel, kind)?.method ?? []),
  );
  return [...new Set([...taken, ...(taken.length === 0 ? methodsToday(draft) : [])])];
}

/** Methods of a home garage: good for a first setting, not for the last word (common practice, no source). */
const HOME_METHODS: readonly Method[] = ['tape', 'helperTape', 'strings', 'square', 'level'];

/** Whether toe was set by a home method, so that the sheet says to have it aligned on a rig. */
export function isSetAtHome(draft: VisitDraft): boolean {
  if (!draft.visit?.setRight?.before || draft.vehicle?.use === 'cart') return false;
  return WHEELS.some((wheel) => {
    const method = readingInUse(draft, wheel, 'toe')?.method;
    return method !== undefined && HOME_METHODS.includes(method);
  });
}
