import type { ReminderKind } from '@keen/contract';
import { t } from '../words/shared.ts';

/** What is looked at again, as the shop says it. */
export const DUE_WORDS: Record<ReminderKind, string> = {
  nuts: t('dueWords.wheelNutsTightenedAgain'),
  recheck: t('dueWords.technicianLooksAgain'),
  tread: t('dueWords.treadLookedAt'),
  rotation: t('dueWords.tiresChangePlaces'),
  alignment: t('dueWords.anglesChecked'),
};
