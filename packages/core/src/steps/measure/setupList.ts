import type { VisitDraft } from '@keen/contract';
import { ANGLE_KINDS, METHODS } from '@keen/contract/words';
import type { AngleKind, Axle, Method, SetupPoint } from '@keen/contract/words';
import type { MeasureTexts } from '../../words/screens/index.ts';
import { methodOf } from './methods.ts';

/** One thing that comes before the first reading. */
export interface SetupItem {
  point: SetupPoint;
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
    methods: METHODS,
    when: ({ isCart }) => isCart,
  },
  {
    point: 'pressures',
    methods: METHODS,
  },
  {
    point: 'load',
    methods: METHODS,
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'height',
    methods: METHODS,
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'floor',
    methods: [...TAPES, 'strings', 'level', 'square', 'swing'],
  },
  {
    point: 'chocks',
    methods: METHODS,
  },
  {
    point: 'turnPlates',
    carries: ['settled'],
    methods: ON_PLATES,
  },
  {
    point: 'clamps',
    carries: ['runOut'],
    methods: ON_CLAMPS,
  },
  {
    point: 'runOut',
    methods: ['readout', 'gauges', ...TAPES, 'strings', 'level', 'square'],
  },
  {
    point: 'pinsOut',
    carries: ['settled'],
    methods: ON_PLATES,
    when: ({ isCart }) => !isCart,
  },
  {
    point: 'settled',
    methods: METHODS,
  },
  {
    point: 'oldShims',
    methods: METHODS,
    when: ({ axles, isCart }) => axles.includes('rear') && !isCart,
  },
  {
    point: 'brakeHeld',
    methods: ['swing', 'readout'],
    when: ({ kinds, isCart }) => kinds.includes('caster') && !isCart,
  },
  {
    point: 'wheelStraight',
    methods: ['readout', 'gauges', ...TAPES, 'strings'],
    when: ({ kinds }) => kinds.includes('toe'),
  },
  {
    point: 'levelZero',
    methods: ['level', 'swing'],
  },
  {
    point: 'stringHeight',
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
export function setupDoubts(draft: VisitDraft, say: MeasureTexts): string[] {
  const { setup = {}, skipped = {} } = draft.visit?.measure ?? {};
  const items = setupList(draft);
  return items
    .filter(({ point }) => setup[point] === 'skipped')
    .map(({ point, carries = [] }) => {
      const { words, otherwise } = say.setup[point];
      const hanging = items
        .filter((item) => carries.includes(item.point) && setup[item.point] === 'done')
        .map((item) => say.setup[item.point].words);
      return say.skipped(words, skipped[point] ?? '', otherwise, hanging);
    });
}

/** Points done that are worth nothing, because one they depend on was skipped. */
export function invalidated(draft: VisitDraft): SetupPoint[] {
  const { setup = {} } = draft.visit?.measure ?? {};
  return setupList(draft)
    .filter(({ point }) => setup[point] === 'skipped')
    .flatMap(({ carries = [] }) => carries);
}
