/** A depth that a law or its custom asks for, mm. */
export interface DepthLaw {
  where: string;
  mm: number;
  source: string;
}

/** Least depth of a car's tires by place (all recalled from memory). */
export const LEGAL_LIMITS: readonly DepthLaw[] = [
  { where: 'United States', mm: 1.5875, source: '49 CFR 570.9: 2/32 in' },
  { where: 'European Union', mm: 1.6, source: 'Directive 89/459/EEC' },
  {
    where: 'United Kingdom',
    mm: 1.6,
    source: 'Road Vehicles (Construction and Use) Regulations 1986, reg. 27',
  },
];

/** Least depth of winter tires by place, where and when they are required (all recalled from memory). */
export const WINTER_LIMITS: readonly DepthLaw[] = [
  ...['Austria', 'Czechia', 'Latvia'].map((where) => law(where, 4)),
  ...['Finland', 'Norway', 'Slovenia', 'Sweden'].map((where) => law(where, 3)),
];

function law(where: string, mm: number): DepthLaw {
  return { where, mm, source: 'national traffic law' };
}
