import type { VisitDraft } from '@keen/contract';
import { ANGLE_KINDS, METHODS } from '@keen/contract/words';
import type { AngleKind, Axle, Method, SetupPoint } from '@keen/contract/words';
import { methodOf } from './methods.ts';

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

/** What is measured today, and on what vehicle. */
interface Today {
  kinds: readonly AngleKind[];
  axles: readonly Axle[];
  isCart: boolean;
}

interface ListedItem extends SetupItem {
  /** Methods that need it. */
  methods: readonly Method[];
  /** Where it is asked for besides; everywhere when absent. */
  when?: (today: Today) => boolean;
}

const TAPES: readonly Method[] = ['tape', 'helperTape'];
const ON_CLAMPS: readonly Method[] = ['readout', 'gauges', 'swing'];
const ON_PLATES: readonly Method[] = ['readout', 'gauges', 'level', 'square', 'swing', 'strings'];

/** In the order it is done (common practice, no source). */
const ITEMS: readonly ListedItem[] = [
  {
    point: 'grease',
    words: 'Kingpins and rod ends greased first, then their play felt',
    otherwise: 'a dry joint hides its play',
    methods: METHODS,
    when: ({ isCart }) => isCart,
  },
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
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'height',
    words: 'Air springs or a ride mode: at the height and mode the specification names',
    otherwise: 'camber and toe are those of another height',
    methods: METHODS,
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'floor',
    words: 'Floor level, or its slope known',
    otherwise: 'a floor that slopes reads as camber, left against right',
    methods: [...TAPES, 'strings', 'level', 'square', 'swing'],
  },
  {
    point: 'chocks',
    words: 'Wheels that are not measured chocked on both sides, nobody inside',
    otherwise: 'the vehicle may roll while somebody kneels at it',
    caution: 'Before anybody kneels at a wheel or goes under.',
    methods: METHODS,
  },
  {
    point: 'turnPlates',
    words: 'Wheels on plates that are still pinned, or on greased sheets or card pairs',
    otherwise: 'a wheel that grips shows false toe',
    caution:
      'Lifted onto them at the maker’s points, never held by a jack alone; plates pinned until it stands.',
    carries: ['settled'],
    methods: ON_PLATES,
  },
  {
    point: 'clamps',
    words: 'Clamps at the rim, safety hooks at three and nine o’clock, tight',
    otherwise: 'a loose clamp moves while the wheel turns',
    caution: 'A clamp that falls can hurt: safety straps on before the car rolls.',
    carries: ['runOut'],
    methods: ON_CLAMPS,
  },
  {
    point: 'runOut',
    words: 'Run-out of the rims compensated; rolled by the wheel, never by the body',
    otherwise: 'a bent rim reads as toe and camber',
    methods: ['readout', 'gauges', ...TAPES, 'strings', 'level', 'square'],
  },
  {
    point: 'pinsOut',
    words: 'Pins out of the plates',
    otherwise: 'a pinned plate holds the wheel where it was lifted',
    carries: ['settled'],
    methods: ON_PLATES,
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'settled',
    words: 'Rolled back and forth and pressed down at both ends',
    otherwise: 'what was lifted or jacked stands high and narrow',
    methods: METHODS,
  },
  {
    point: 'oldShims',
    words: 'Old hub shims out before the first reading of the rear',
    otherwise: 'the new shim is chosen against the old one',
    methods: METHODS,
    when: ({ axles, isCart }) => axles.includes('rear') && !isCart,
  },
  {
    point: 'brakeHeld',
    words: 'Brake held by a pedal depressor for the caster swing',
    otherwise: 'a wheel that rolls on the plate changes the swing',
    methods: ['swing', 'readout'],
    when: ({ kinds, isCart }) => kinds.includes('caster') && !isCart,
  },
  {
    point: 'wheelStraight',
    words: 'Steering wheel straight and locked',
    otherwise: 'toe cannot be told left from right',
    methods: ['readout', 'gauges', ...TAPES, 'strings'],
    when: ({ kinds }) => kinds.includes('toe'),
  },
  {
    point: 'levelZero',
    words: 'Level or phone zeroed on this floor, turned end for end to check',
    otherwise: 'its own error is in every camber',
    methods: ['level', 'swing'],
  },
  {
    point: 'stringHeight',
    words: 'Strings at hub height, tight, touching nothing',
    otherwise: 'a string that touches a tire bends there',
    methods: ['strings'],
  },
];

/** What is measured today: as was said, else everything (on a cart no caster). */
export function measuredToday(draft: VisitDraft): Today {
  const isCart = draft.vehicle?.use === 'cart';
  const { kinds, axles } = draft.visit?.measure?.what ?? {};
  return {
    kinds: kinds ?? (isCart ? ANGLE_KINDS.filter((kind) => kind !== 'caster') : ANGLE_KINDS),
    axles: axles ?? ['front', 'rear'],
    isCart,
  };
}

/** Methods that are in use for what is measured today. */
export function methodsToday(draft: VisitDraft): Method[] {
  return [...new Set(measuredToday(draft).kinds.map((kind) => methodOf(draft, kind)))];
}

/** The preparation that today's readings need, in the order it is done. */
export function setupList(draft: VisitDraft): SetupItem[] {
  const today = measuredToday(draft);
  const inUse = methodsToday(draft);
  return ITEMS.filter(
    ({ methods, when }) =>
      methods.some((method) => inUse.includes(method)) && (when?.(today) ?? true),
  );
}

/** What each skipped point makes of the readings, with the reason and what else hangs on it. */
export function setupDoubts(draft: VisitDraft): string[] {
  const { setup = {}, skipped = {} } = draft.visit?.measure ?? {};
  const items = setupList(draft);
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
export function undermined(draft: VisitDraft): SetupPoint[] {
  const { setup = {} } = draft.visit?.measure ?? {};
  return setupList(draft)
    .filter(({ point }) => setup[point] === 'skipped')
    .flatMap(({ carries = [] }) => carries);
}
