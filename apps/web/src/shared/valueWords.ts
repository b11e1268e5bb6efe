import { t } from '../words/shared.ts';

/** A typed value as it may be shown beside its field. */
export function valueWords(value: unknown): string {
  if (value === null) return t('valueWords.cleared');
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}
