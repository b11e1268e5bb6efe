import type { VisitDraft } from '@keen/contract';
import type { AngleKind, Axle, Wheel } from '@keen/contract/words';
import { ANGLE_KINDS, WHEELS } from '@keen/contract/words';
import { axleOf, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { StaleReason } from '../../words/screens/en/measure.ts';
import { readingInUse, ROUNDING, readsEachWheel } from './readings.ts';

interface Rule {
  /** The angle that was set, and at which axle; either where absent. */
  set: AngleKind;
  at?: Axle;
  /** The angle whose reading is worth nothing from then on, and of which wheels. */
  makes: AngleKind;
  of: 'wheel' | 'axle' | 'front';
  because: StaleReason;
}

/** Which readings setting an angle makes stale (common practice, no source). */
export const MAKES_STALE: readonly Rule[] = [
  {
    set: 'caster',
    makes: 'camber',
    of: 'wheel',
    because: 'casterMovedCamber',
  },
  { set: 'caster', makes: 'toe', of: 'axle', because: 'casterMovedToe' },
  { set: 'camber', makes: 'toe', of: 'axle', because: 'camberMovedToe' },
  {
    set: 'toe',
    at: 'rear',
    makes: 'toe',
    of: 'front',
    because: 'rearMovedFront',
  },
];

/** Why each angle must be measured again, by wheel and kind; absent where its reading stands. */
export type StaleAngles = Partial<Record<Wheel, Partial<Record<AngleKind, StaleReason>>>>;

/** A moment that nobody wrote down. */
const UNKNOWN = '';

/** The readings that are worth nothing any more, because something that moves them was set since. */
export function staleAngles(draft: VisitDraft): StaleAngles {
  const stale: StaleAngles = {};
  if (!draft.visit?.setRight?.before) return stale;
  const mark = (wheel: Wheel, kind: AngleKind, because: StaleReason) => {
    stale[wheel] = { [kind]: because, ...stale[wheel] };
  };
  for (const wheel of WHEELS) {
    for (const kind of ANGLE_KINDS) {
      const turned = turnedAt(draft, wheel, kind);
      if (turned !== null && isOlder(draft, wheel, kind, turned)) {
        mark(wheel, kind, 'turned');
      }
      const moved = laterOf(movedAt(draft, wheel, kind), turned);
      if (moved === null) continue;
      for (const rule of MAKES_STALE) {
        if (rule.set !== kind || (rule.at ?? axleOf(wheel)) !== axleOf(wheel)) continue;
        for (const other of wheelsOf(rule, wheel)) {
          // Of a total it does not matter where the axle behind it points.
          if (rule.of === 'front' && !readsEachWheel(draft, WHEELS_OF_AXLE.front)) continue;
          if (isOlder(draft, other, rule.makes, moved)) mark(other, rule.makes, rule.because);
        }
      }
    }
  }
  return stale;
}

/** When an angle was last moved by hand, UTC; null when it was not since setting began. */
export function movedAt(draft: VisitDraft, wheel: Wheel, kind: AngleKind): string | null {
  const { before, moved } = draft.visit?.setRight ?? {};
  const noted = moved?.[wheel]?.[kind];
  if (noted !== undefined) return noted;
  const [was, now] = [before?.[wheel]?.[kind], draft.angles?.[wheel]?.[kind]];
  if (was === undefined || now === undefined || Math.abs(now - was) <= ROUNDING) return null;
  return readingInUse(draft, wheel, kind)?.at ?? UNKNOWN;
}

/** When the last turn at an angle was made that was not read again since; null when there is none. */
function turnedAt(draft: VisitDraft, wheel: Wheel, kind: AngleKind): string | null {
  const { turns } = draft.visit?.setRight ?? {};
  const steps = [`${kind}-${wheel}`, `${kind}-${axleOf(wheel)}`] as (keyof NonNullable<
    typeof turns
  >)[];
  const open = steps.flatMap((step) => {
    const last = turns?.[step]?.at(-1);
    return last && last.to === undefined ? last.at : [];
  });
  return open.toSorted().at(-1) ?? null;
}

function isOlder(draft: VisitDraft, wheel: Wheel, kind: AngleKind, moment: string): boolean {
  const reading = readingInUse(draft, wheel, kind);
  if (!reading) return false;
  if (moment !== UNKNOWN && reading.at !== null) return reading.at < moment;
  // Without times, a value that is still the one found was not read again.
  const was = draft.visit?.setRight?.before?.[wheel]?.[kind];
  return was !== undefined && Math.abs(reading.value - was) <= ROUNDING;
}

function laterOf(a: string | null, b: string | null): string | null {
  if (a === null) return b;
  return b === null || a > b ? a : b;
}

function wheelsOf({ of }: Rule, wheel: Wheel): readonly Wheel[] {
  if (of === 'wheel') return [wheel];
  return WHEELS_OF_AXLE[of === 'front' ? 'front' : axleOf(wheel)];
}
