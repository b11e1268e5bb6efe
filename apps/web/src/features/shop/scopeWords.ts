import type { ApiScope } from '@keen/contract';
import { t } from '../../words/shop.ts';

export const SCOPE_WORDS: Record<ApiScope, string> = {
  diagnose: t('scopeWords.diagnose'),
  readVisits: t('scopeWords.readVisits'),
};
