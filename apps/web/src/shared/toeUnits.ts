import type { ToeIn } from '@keen/contract';
import { t } from '../words/shared.ts';

/** Units that toe is typed and shown in, as they are chosen. */
export const TOE_UNIT_CHOICES = [
  { value: 'deg', label: t('toeUnits.degrees') },
  { value: 'min', label: t('toeUnits.minutes') },
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'in' },
] as const satisfies readonly { value: ToeIn['unit']; label: string }[];
