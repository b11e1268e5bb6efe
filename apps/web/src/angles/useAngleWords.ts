import type { AngleKind, Axle, Wheel } from '@keen/contract';
import { axleOf, showToe, toeScaleOf } from '@keen/core';
import type { LedgerRow, PlanStep, ToeScale } from '@keen/core';
import { showDegrees } from '../shared/format.ts';
import { useVisit } from '../shared/visitContext.ts';

/** What toe is typed and shown in at an axle of the visit at hand. */
export function useToeScale(): (axle: Axle) => ToeScale {
  const { draft, preferences } = useVisit();
  return (axle) => toeScaleOf(draft, axle, preferences.toe);
}

/** An angle in words: toe in the unit of the visit, of an axle as a total; all else in degrees. */
export function useAngleWords(): (degrees: number, kind: AngleKind, where: Wheel | Axle) => string {
  const scaleOf = useToeScale();
  return (degrees, kind, where) => {
    if (kind !== 'toe') return showDegrees(degrees, 2);
    const isTotal = where === 'front' || where === 'rear';
    return showToe(degrees, scaleOf(isTotal ? where : axleOf(where)), isTotal);
  };
}

/** An angle of a step of the plan in words. */
export function useStepWords({ kind, where, axle }: PlanStep): (degrees: number) => string {
  const words = useAngleWords();
  return (degrees) => words(degrees, kind ?? 'camber', where ?? axle ?? 'front');
}

/** A figure of a row in words: toe in the unit of the visit, all else in the row's own. */
export type RowWords = (value: number, row: LedgerRow) => string;

export function useRowWords(): RowWords {
  const words = useAngleWords();
  return (value, { key, unit, where }) => {
    if (unit === 'mm') {
      return `${value < 0 ? '−' : value > 0 ? '+' : ''}${Math.abs(value).toFixed(0)} mm`;
    }
    const isToe = where !== null && (key.startsWith('toe.') || key.startsWith('totalToe.'));
    return isToe ? words(value, 'toe', where) : showDegrees(value, 2);
  };
}
