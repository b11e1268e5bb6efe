import type { AngleKind } from '@keen/contract';
import { t } from '../../words/measure.ts';

export const KIND_WORDS: Record<AngleKind, string> = {
  camber: t('kindWords.camber'),
  toe: t('kindWords.toe'),
  caster: t('kindWords.caster'),
};
