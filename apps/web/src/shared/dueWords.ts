import type { NextLookKind } from '@keen/contract';

/** What is looked at again, as the shop says it. */
export const DUE_WORDS: Record<NextLookKind, string> = {
  nuts: 'Wheel nuts tightened again',
  recheck: 'Technician looks again',
  tread: 'Tread looked at',
  rotation: 'Tires change places',
  alignment: 'Angles checked',
};
