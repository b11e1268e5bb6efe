import type { AngleLimits, SpecSheet } from '@keen/contract';

/** A sheet to begin with where the maker's is not known: by use, and labelled as such. */
export interface StartingPoint {
  id: string;
  sheet: SpecSheet;
}

const from = (low: number, target: number, high: number): AngleLimits => ({ low, target, high });

const STREET_CAMBER = { front: from(-1.25, -0.4, 0.5), rear: from(-1.75, -0.75, 0.25) };
const STREET_REAR_TOE = from(-0.1, 0.15, 0.4);
const CLOSED =
  'For closed courses only: on the road such settings wear tires and may break the law.';

function point(
  id: string,
  name: string,
  sheet: Pick<SpecSheet, 'camber' | 'caster' | 'totalToe' | 'crossCamber' | 'note'>,
): StartingPoint {
  return {
    id,
    sheet: {
      format: 'keen-groove/specification',
      version: 1,
      name,
      kind: 'startingPoint',
      source: 'Custom of the trade, no published source; the vehicle maker’s sheet comes first',
      ...sheet,
    },
  };
}

/**
 * Starting points by use, degrees (common practice, no source). Toe that the trade names as a length
 * is turned into an angle at a 25 in (635 mm) road tire, an 18 in (457 mm) cart tire.
 */
export const STARTING_POINTS: readonly StartingPoint[] = [
  point('street-fwd-in', 'Street, front-wheel drive, a little toe-in', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.05, 0.1, 0.25), rear: STREET_REAR_TOE },
    note: 'For stability. Another school sets a little toe-out, since drive pulls the wheels in.',
  }),
  point('street-fwd-out', 'Street, front-wheel drive, a little toe-out', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.2, -0.08, 0.05), rear: STREET_REAR_TOE },
    note: 'Drive pulls the wheels in. Another school sets a little toe-in for stability.',
  }),
  point('street-rwd', 'Street, rear-wheel drive', {
    camber: STREET_CAMBER,
    totalToe: { front: from(0, 0.12, 0.25), rear: STREET_REAR_TOE },
    note: 'The road pushes the front wheels out; a little toe-in takes it up.',
  }),
  point('street-awd', 'Street, all-wheel drive', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.05, 0.08, 0.2), rear: from(-0.05, 0.12, 0.3) },
    note: 'Set like the axle that drives most.',
  }),
  point('towing', 'Towing and load', {
    camber: { front: from(-0.75, -0.2, 0.5), rear: from(-1.25, -0.5, 0.25) },
    totalToe: { front: from(0, 0.12, 0.25), rear: from(0, 0.2, 0.4) },
    note: 'Set with the load that it is driven with, where that is most of the time.',
  }),
  point('lifted', 'Lifted, larger tires', {
    camber: { front: from(-0.5, 0, 0.5), rear: from(-0.75, 0, 0.5) },
    caster: { front: from(2.5, 3, 3.5) },
    totalToe: { front: from(-0.05, 0.05, 0.15), rear: from(-0.1, 0.1, 0.3) },
    note: 'Toe as near zero as it goes; align at once after the lift.',
  }),
  point('track', 'Track', {
    camber: { front: from(-3.5, -3, -2.5), rear: from(-2, -1.8, -1.5) },
    caster: { front: from(6, 6.5, 7) },
    totalToe: { front: from(-0.25, -0.14, -0.05), rear: from(0.15, 0.29, 0.4) },
    note: `Front 1/16 in out, rear 1/8 in in. ${CLOSED}`,
  }),
  point('autocross', 'Autocross', {
    camber: { front: from(-3, -2.5, -2), rear: from(-2, -1.5, -1) },
    totalToe: { front: from(-0.4, -0.2, 0), rear: from(-0.05, 0.05, 0.2) },
    note: `Rear toe-out makes a car turn in, and spin. ${CLOSED}`,
  }),
  point('drag', 'Drag', {
    camber: { front: from(-0.4, 0, 0.3), rear: from(-0.4, 0, 0.3) },
    totalToe: { front: from(-0.02, 0.05, 0.12), rear: from(-0.05, 0.05, 0.15) },
    note: `All near zero. ${CLOSED}`,
  }),
  point('drift', 'Drift', {
    camber: { front: from(-5, -4, -3), rear: from(-1.5, -0.5, 0.25) },
    totalToe: { front: from(-0.5, -0.3, 0), rear: from(0, 0.1, 0.3) },
    note: `More negative camber in front still. ${CLOSED}`,
  }),
  point('cart', 'Cart', {
    camber: { front: from(-1, 0, 1), rear: from(-1, 0, 1) },
    crossCamber: 0.5,
    totalToe: { front: from(0.1, 0.3, 0.5), rear: from(-0.5, 0, 0.5) },
    note: '1/16 to 1/8 in toe-in; camber equal side to side is what counts. Some makers ask for more.',
  }),
  point('cart-more', 'Cart, a maker’s larger toe', {
    camber: { front: from(-1, 0, 1), rear: from(-1, 0, 1) },
    crossCamber: 0.5,
    totalToe: { front: from(0.8, 1.2, 1.5), rear: from(-0.5, 0, 0.5) },
    note: '3/8 in toe-in, as one maker’s book has it. Too much makes a cart skate over the ground.',
  }),
];
