import type { Wheel } from '@keen/contract';

/** A wheel as a label or the start of a sentence. */
export const WHEEL_LABELS: Record<Wheel, string> = {
  lf: 'Left front',
  rf: 'Right front',
  lr: 'Left rear',
  rr: 'Right rear',
};
