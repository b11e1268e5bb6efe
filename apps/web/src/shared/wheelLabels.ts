import type { Wheel } from '@keen/contract';
import { t } from '../words/shared.ts';

/** A wheel as a label or the start of a sentence. */
export const WHEEL_LABELS: Record<Wheel, string> = {
  lf: t('wheelLabels.leftFront'),
  rf: t('wheelLabels.rightFront'),
  lr: t('wheelLabels.leftRear'),
  rr: t('wheelLabels.rightRear'),
};

/** The same where there is little room. */
export const WHEEL_SHORT: Record<Wheel, string> = {
  lf: t('wheelLabels.leftFrontShort'),
  rf: t('wheelLabels.rightFrontShort'),
  lr: t('wheelLabels.leftRearShort'),
  rr: t('wheelLabels.rightRearShort'),
};
