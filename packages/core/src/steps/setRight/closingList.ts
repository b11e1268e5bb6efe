import type { VisitDraft } from '@keen/contract';
import { ANGLE_KINDS, WHEELS } from '@keen/contract/words';
import type { ClosingPoint, Method } from '@keen/contract/words';
import { methodsToday } from '../measure/setupList.ts';
import { readingInUse } from '../measure/readings.ts';

/** One thing that is done before the car is given back. */
export interface ClosingItem {
  point: ClosingPoint;
  words: string;
  /** Figures or conditions under it. */
  details: readonly string[];
  caution?: string;
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
    isSet && {
      point: 'finalReading',
      words: isCart
        ? 'All of it read once more, rolled and settled'
        : 'All angles read once more after everything is tight, run-out compensated again',
      details: ['Tightening moves angles: what counts is what it reads at the end.'],
    },
    isSet && {
      point: 'torque',
      words: 'Every fastener that was loosened, to torque at ride height',
      details:
        torque.length > 0
          ? torque.map(({ fastener, newtonMetres }) => `${fastener}: ${newtonMetres} N·m`)
          : ['The maker’s figures are not on the sheet: look them up.'],
    },
    isSet && {
      point: 'lockToLock',
      words: 'Turned lock to lock: nothing touches, no boot is twisted, jam nuts tight',
      details: [],
      caution: 'Hands and feet clear of the wheels.',
    },
    uses(ON_CLAMPS) && { point: 'clampsOff', words: 'Clamps off all four wheels', details: [] },
    uses(['swing', 'readout']) &&
      !isCart && {
        point: 'brakeFree',
        words: 'Pedal depressor and steering lock out of the car',
        details: [],
      },
    uses(ON_PLATES) && {
      point: 'turnPlates',
      words: 'Plates pinned before it rolls',
      details: [],
    },
    !isCart && {
      point: 'sensorReset',
      words: 'Steering angle sensor reset where it has one, driver assistance checked',
      details: ['Cameras and radar that look along the thrust line may need calibration.'],
    },
    {
      point: 'roadTest',
      words: 'Road test: straight, steering wheel level',
      details: [],
      caution:
        'Only a vehicle that is safe to drive, where it is legal, by a licensed driver; wheel nuts torqued before.',
    },
  ];
  return items.filter((item) => item !== false);
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
