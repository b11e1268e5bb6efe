/** Where a law on tread depth holds. */
export type LawPlace =
  | 'us'
  | 'eu'
  | 'uk'
  | 'austria'
  | 'czechia'
  | 'latvia'
  | 'finland'
  | 'norway'
  | 'slovenia'
  | 'sweden';

/** A depth that a law or its custom asks for, mm. */
export interface DepthLaw {
  place: LawPlace;
  mm: number;
  /** The law's own title; null for the traffic law of a country. */
  source: string | null;
}

/** Least depth of a car's tires by place (all recalled from memory). */
export const LEGAL_LIMITS: readonly DepthLaw[] = [
  { place: 'us', mm: 1.5875, source: '49 CFR 570.9: 2/32 in' },
  { place: 'eu', mm: 1.6, source: 'Directive 89/459/EEC' },
  {
    place: 'uk',
    mm: 1.6,
    source: 'Road Vehicles (Construction and Use) Regulations 1986, reg. 27',
  },
];

/** Least depth of winter tires by place, where and when they are required (all recalled from memory). */
export const WINTER_LIMITS: readonly DepthLaw[] = [
  ...(['austria', 'czechia', 'latvia'] as const).map((place) => law(place, 4)),
  ...(['finland', 'norway', 'slovenia', 'sweden'] as const).map((place) => law(place, 3)),
];

function law(place: LawPlace, mm: number): DepthLaw {
  return { place, mm, source: null };
}
