import type { Action } from '@keen/contract';
import { t } from '../../words/insights.ts';
import { actionWords } from '../../words/pageTexts.ts';

/** What was advised, over many visits: some of those without work had new tires fitted, some had not. */
export function adviceWords(action: Action): string {
  return action === 'fitOnly' ? t('adviceWords.noWorkBesideTires') : actionWords(action, false);
}
