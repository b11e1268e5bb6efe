import type { VisitDraft } from '@keen/contract';
import type { ClosingPoint } from '@keen/contract/words';

/** One thing that is done before the car is given back. */
export interface ClosingItem {
  point: ClosingPoint;
  words: string;
  /** Figures or conditions under it. */
  details: readonly string[];
  caution?: string;
}

/** What comes when all angles are in (common practice, no source), in the order it is done. */
export function closingList(draft: VisitDraft): ClosingItem[] {
  const torque = draft.visit?.sheet?.sheet.torque ?? [];
  return [
    {
      point: 'torque',
      words: 'Every fastener that was loosened, to torque at ride height',
      details:
        torque.length > 0
          ? torque.map(({ fastener, newtonMetres }) => `${fastener}: ${newtonMetres} N·m`)
          : ['The maker’s figures are not on the sheet: look them up.'],
    },
    { point: 'clampsOff', words: 'Clamps off all four wheels', details: [] },
    { point: 'turnPlates', words: 'Turn plates pinned before the car rolls', details: [] },
    {
      point: 'sensorReset',
      words: 'Steering angle sensor reset, driver assistance checked where fitted',
      details: ['Cameras and radar that look along the thrust line may need calibration.'],
    },
    {
      point: 'roadTest',
      words: 'Road test: straight, steering wheel level, the complaint gone',
      details: [],
      caution:
        'Only a car that is safe to drive, on a road where it is legal, by a licensed driver; wheel nuts torqued before.',
    },
  ];
}
