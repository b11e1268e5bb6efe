import type { Preferences, Session, Units, VisitDetail, VisitDraft } from '@keen/contract';
import type { ExpectedDepths, Slot } from '@keen/core';
import { useOutletContext } from 'react-router';
import type { Diagnosing } from '../workers/useDiagnosis.ts';

/** What every step of a visit works with. */
export interface VisitContext {
  session: Session;
  preferences: Preferences;
  units: Units;
  detail: VisitDetail;
  /** What the server has, with what is still on its way to it. */
  draft: VisitDraft;
  /** Sets a field of the visit; null clears it. */
  enter: (path: string, value: unknown) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  diagnosing: Diagnosing;
  /** Ribs read or marked unreadable, 0 to 12. */
  ribsRead: number;
  /** Fields that stand at a usual value since nobody entered them. */
  assumed: readonly string[];
  /** The rib that is asked for, marked in the drawing. */
  activeSlot: Slot | null;
  setActiveSlot: (slot: Slot | null) => void;
  /** Ribs to point at in the drawing, because the cause looked into speaks of them. */
  setSpokenOf: (slots: readonly Slot[]) => void;
  /** Depths that settings being tried would leave, drawn in place of what is expected. */
  setTried: (depths: ExpectedDepths | null) => void;
  goTo: (step: string) => void;
}

/** The visit that the step is part of. */
export function useVisit(): VisitContext {
  return useOutletContext<VisitContext>();
}
