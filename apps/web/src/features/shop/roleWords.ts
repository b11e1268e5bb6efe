import { t } from '../../words/shop.ts';

export const ROLE_WORDS = {
  advisor: t('roleWords.advisor'),
  technician: t('roleWords.technician'),
  lead: t('roleWords.lead'),
} as const;
