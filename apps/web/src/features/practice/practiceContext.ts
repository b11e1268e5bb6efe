import type { PracticeCar } from '@keen/contract';
import { useOutletContext } from 'react-router';
import type { VisitContext } from '../../shared/visitContext.ts';
import type { usePracticeCar } from './usePracticeCar.ts';

/** What the steps of a practice car work with beside what a visit has. */
export interface PracticeContext {
  car: PracticeCar;
  practising: ReturnType<typeof usePracticeCar>;
}

/** The practice car that the step is part of. */
export function usePractice(): VisitContext & PracticeContext {
  return useOutletContext<VisitContext & PracticeContext>();
}
