import type { AngleKind } from '@keen/contract';

export const KIND_WORDS: Record<AngleKind, string> = {
  camber: 'Camber',
  toe: 'Toe',
  caster: 'Caster',
};
