import type {
  Axle,
  Preferences,
  Session,
  Units,
  VisitDetail,
  VisitDraft,
  Wheel,
} from '@keen/contract';
import type { ExpectedDepths, FieldChange, Slot } from '@keen/core';
import { useOutletContext } from 'react-router';
import type { Diagnosing } from '../workers/useDiagnosis.ts';

/** An angle at a wheel, or at both of an axle, and which way it has to go. */
export interface AtHand {
  kind: 'camber' | 'toe' | 'caster';
  where: Wheel | Axle;
  /** From where it stands to its target, degrees; null where it is only read. */
  change: number | null;
}

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
  /** Sets several at once, taken back together. */
  enterAll: (changes: readonly FieldChange[]) => void;
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
  /** The angle that is measured or turned, marked at its wheel in the drawing. */
  setAtHand: (angle: AtHand | null) => void;
  /** Large, and one thing at a time, for the bay. */
  isBay: boolean;
  /** A made-up car to practise on: no devices, nothing to decide with a customer. */
  isPractice?: boolean;
  goTo: (step: string) => void;
}

/** The visit that the step is part of. */
export function useVisit(): VisitContext {
  return useOutletContext<VisitContext>();
}
