import type { ToeIn } from '@keen/contract';

/** Units that toe is typed and shown in, as they are chosen. */
export const TOE_UNIT_CHOICES = [
  { value: 'deg', label: 'Degrees' },
  { value: 'min', label: 'Minutes' },
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'in' },
] as const satisfies readonly { value: ToeIn['unit']; label: string }[];
