import { t } from '../words/tools.ts';
import { term } from '../words/terms.ts';

/** Answers that several tools share. */
export const LENGTH_UNITS = [
  { value: 'mm', label: 'mm' },
  { value: 'in', label: term('unit.inches') },
] as const;

export const TOE_UNITS = [
  { value: 'deg', label: term('unit.degrees') },
  { value: 'min', label: term('unit.minutes') },
  { value: 'mm', label: 'mm' },
  { value: 'in', label: term('unit.inches') },
] as const;

export const SIDES = [
  { value: 'left', label: t('choices.left') },
  { value: 'right', label: t('choices.right') },
] as const;

export const RACKS = [
  { value: 'ahead', label: t('choices.aheadOfTheAxle') },
  { value: 'behind', label: t('choices.behindTheAxle') },
] as const;

export const ADJUSTERS = [
  { value: 'single', label: t('choices.oneThread') },
  { value: 'turnbuckle', label: t('choices.turnbuckle') },
] as const;

export const LIFT_CAUTION = t('choices.liftAtTheMakers');
export const SWING_CAUTION = t('choices.wheelsOnFreeTurn');
