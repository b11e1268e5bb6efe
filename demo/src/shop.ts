import type { Person } from '@keen/contract';

/** The made-up shop: an invented harbour town at the foot of an invented mountain road. */
export const SHOP = { name: 'Quay Street Tires', town: 'Sallowhaven' } as const;

export const STAFF: readonly Pick<Person, 'name' | 'role'>[] = [
  { name: 'Mira Oland', role: 'advisor' },
  { name: 'Joss Marren', role: 'advisor' },
  { name: 'Tobin Reyl', role: 'technician' },
  { name: 'Ansa Quell', role: 'lead' },
];
