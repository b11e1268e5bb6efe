import { t } from '../../words/shop.ts';

/** Languages of the papers. */
export const LANGUAGE_WORDS = {
  en: t('papersForm.english'),
  es: t('papersForm.spanish'),
} as const;
