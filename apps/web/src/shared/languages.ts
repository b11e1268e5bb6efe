import type { Language } from '@keen/contract';
import { t } from '../words/shared.ts';

/** Languages of the customer's papers, each by its own name. */
export const LANGUAGE_OPTIONS: readonly { value: Language; label: string }[] = [
  { value: 'en', label: t('languages.english') },
  { value: 'es', label: t('languages.español') },
];
