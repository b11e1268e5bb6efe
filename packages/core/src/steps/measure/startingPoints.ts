import type { AngleLimits, SpecSheet } from '@keen/contract';
import type { StartingPointId } from '../../words/screens/en/measure.ts';
import type { MeasureTexts } from '../../words/screens/index.ts';

/** A sheet to begin with where the maker's is not known: by use, and labelled as such. */
export interface StartingPoint {
  id: StartingPointId;
  /** Its limits; name and note are texts. */
  limits: Pick<SpecSheet, 'camber' | 'caster' | 'totalToe' | 'crossCamber'>;
}

const from = (low: number, target: number, high: number): AngleLimits => ({ low, target, high });

const STREET_CAMBER = { front: from(-1.25, -0.4, 0.5), rear: from(-1.75, -0.75, 0.25) };
const STREET_REAR_TOE = from(-0.1, 0.15, 0.4);
function point(id: StartingPointId, limits: StartingPoint['limits']): StartingPoint {
  return { id, limits };
}

/**
 * A starting point as a sheet for a visit.
 * @param say - texts in the language of the page: the sheet takes them along
 */
export function startingSheet({ id, limits }: StartingPoint, say: StartingTexts): SpecSheet {
  const { name, note } = say.sheets[id];
  return {
    format: 'keen-groove/specification',
    version: 1,
    name,
    kind: 'startingPoint',
    source: say.source,
    ...limits,
    note,
  };
}

type StartingTexts = MeasureTexts['startingPoints'];

/**
 * Starting points by use, degrees (common practice, no source). Toe that the trade names as a length
 * is turned into an angle at a 25 in (635 mm) road tire, an 18 in (457 mm) cart tire.
 */
export const STARTING_POINTS: readonly StartingPoint[] = [
  point('street-fwd-in', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.05, 0.1, 0.25), rear: STREET_REAR_TOE },
  }),
  point('street-fwd-out', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.2, -0.08, 0.05), rear: STREET_REAR_TOE },
  }),
  point('street-rwd', {
    camber: STREET_CAMBER,
    totalToe: { front: from(0, 0.12, 0.25), rear: STREET_REAR_TOE },
  }),
  point('street-awd', {
    camber: STREET_CAMBER,
    totalToe: { front: from(-0.05, 0.08, 0.2), rear: from(-0.05, 0.12, 0.3) },
  }),
  point('towing', {
    camber: { front: from(-0.75, -0.2, 0.5), rear: from(-1.25, -0.5, 0.25) },
    totalToe: { front: from(0, 0.12, 0.25), rear: from(0, 0.2, 0.4) },
  }),
  point('lifted', {
    camber: { front: from(-0.5, 0, 0.5), rear: from(-0.75, 0, 0.5) },
    caster: { front: from(2.5, 3, 3.5) },
    totalToe: { front: from(-0.05, 0.05, 0.15), rear: from(-0.1, 0.1, 0.3) },
  }),
  point('track', {
    camber: { front: from(-3.5, -3, -2.5), rear: from(-2, -1.8, -1.5) },
    caster: { front: from(6, 6.5, 7) },
    totalToe: { front: from(-0.25, -0.14, -0.05), rear: from(0.15, 0.29, 0.4) },
  }),
  point('autocross', {
    camber: { front: from(-3, -2.5, -2), rear: from(-2, -1.5, -1) },
    totalToe: { front: from(-0.4, -0.2, 0), rear: from(-0.05, 0.05, 0.2) },
  }),
  point('drag', {
    camber: { front: from(-0.4, 0, 0.3), rear: from(-0.4, 0, 0.3) },
    totalToe: { front: from(-0.02, 0.05, 0.12), rear: from(-0.05, 0.05, 0.15) },
  }),
  point('drift', {
    camber: { front: from(-5, -4, -3), rear: from(-1.5, -0.5, 0.25) },
    totalToe: { front: from(-0.5, -0.3, 0), rear: from(0, 0.1, 0.3) },
  }),
  point('cart', {
    camber: { front: from(-1, 0, 1), rear: from(-1, 0, 1) },
    crossCamber: 0.5,
    totalToe: { front: from(0.1, 0.3, 0.5), rear: from(-0.5, 0, 0.5) },
  }),
  point('cart-more', {
    camber: { front: from(-1, 0, 1), rear: from(-1, 0, 1) },
    crossCamber: 0.5,
    totalToe: { front: from(0.8, 1.2, 1.5), rear: from(-0.5, 0, 0.5) },
  }),
];
