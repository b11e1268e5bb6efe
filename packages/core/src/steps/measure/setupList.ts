import type { DraftMeasure } from '@keen/contract';
import { METHODS } from '@keen/contract/words';
import type { Method, SetupPoint } from '@keen/contract/words';

/** One thing that comes before the first reading. */
export interface SetupItem {
  point: SetupPoint;
  words: string;
  /** What is wrong with the reading when it is skipped. */
  otherwise: string;
  caution?: string;
  /** Points that are worth nothing without this one. */
  carries?: readonly SetupPoint[];
}

const TAPES: readonly Method[] = ['tape', 'helperTape'];

const ITEMS: readonly (SetupItem & { methods: readonly Method[] })[] = [
  {
    point: 'pressures',
    words: 'All four tires at the placard pressure',
    otherwise: 'a soft tire leans the car and reads as camber',
    methods: METHODS,
  },
  {
    point: 'load',
    words: 'Fuel and load as the specification asks',
    otherwise: 'a loaded trunk changes rear camber and toe',
    methods: METHODS,
  },
  {
    point: 'floor',
    words: 'Floor level, or its slope known',
    otherwise: 'a floor that slopes reads as camber, left against right',
    methods: [...TAPES, 'strings', 'level', 'square', 'swing'],
  },
  {
    point: 'clamps',
    words: 'Clamps at the rim, tight and safe on all four wheels',
    otherwise: 'a loose clamp moves while the wheel turns',
    caution: 'A clamp that falls can hurt: safety straps on before the car rolls.',
    carries: ['runOut'],
    methods: ['readout', 'gauges', 'swing'],
  },
  {
    point: 'turnPlates',
    words: 'Wheels free to turn: plates, greased sheets or card pairs',
    otherwise: 'a wheel that grips shows false toe',
    caution:
      'Rear wheels chocked, plates pinned until the car stands; a car is lifted onto them at the maker’s points, never held by a jack alone.',
    carries: ['settled'],
    methods: ['readout', 'gauges', 'level', 'square', 'swing', 'strings'],
  },
  {
    point: 'settled',
    words: 'Car rolled back and forth and pressed down at both ends',
    otherwise: 'a car that was lifted or jacked stands high and narrow',
    methods: METHODS,
  },
  {
    point: 'runOut',
    words: 'Run-out of the rims compensated; rolled by the wheel, never by the body',
    otherwise: 'a bent rim reads as toe and camber',
    methods: ['readout', 'gauges', ...TAPES, 'strings', 'level', 'square'],
  },
  {
    point: 'wheelStraight',
    words: 'Steering wheel straight and locked',
    otherwise: 'toe cannot be told left from right',
    methods: ['readout', 'gauges', ...TAPES, 'strings'],
  },
  {
    point: 'brakeHeld',
    words: 'Brake held by a pedal depressor for the caster swing',
    otherwise: 'a wheel that rolls on the plate changes the swing',
    methods: ['swing', 'readout'],
  },
];

/** The setup list for the methods in use, in the order it is done. */
export function setupList(methods: readonly Method[]): SetupItem[] {
  return ITEMS.filter((item) => item.methods.some((method) => methods.includes(method)));
}

/** What each skipped point makes of the readings, with the reason and what else hangs on it. */
export function setupDoubts(methods: readonly Method[], measure: DraftMeasure): string[] {
  const { setup = {}, skipped = {} } = measure;
  const items = setupList(methods);
  return items
    .filter(({ point }) => setup[point] === 'skipped')
    .map(({ point, words, otherwise, carries = [] }) => {
      const reason = skipped[point] ? ` (${skipped[point]})` : '';
      const hanging = items
        .filter((item) => carries.includes(item.point) && setup[item.point] === 'done')
        .map((item) => item.words.toLowerCase());
      const also = hanging.length > 0 ? ` It takes with it: ${hanging.join('; ')}.` : '';
      return `Skipped: ${words.toLowerCase()}${reason}; ${otherwise}.${also}`;
    });
}

/** Points done that are worth nothing, because one they depend on was skipped. */
export function undermined(methods: readonly Method[], measure: DraftMeasure): SetupPoint[] {
  const { setup = {} } = measure;
  return setupList(methods)
    .filter(({ point }) => setup[point] === 'skipped')
    .flatMap(({ carries = [] }) => carries);
}
