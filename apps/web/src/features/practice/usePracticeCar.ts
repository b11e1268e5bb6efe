import type { PracticeCar, PracticeCheck, PracticeGauge, VisitDraft } from '@keen/contract';
import { foldEntries } from '@keen/core';
import type { FieldChange, Slot } from '@keen/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  useMakePracticeCheckMutation,
  useNotePracticeMutation,
  useSetGaugeDownMutation,
} from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';

interface Practising {
  /** What the server knows, with what is on its way there. */
  draft: VisitDraft;
  /** What the gauge shows at the rib at hand; null until it stands. */
  gauge: PracticeGauge | null;
  minutes: number;
  failure: string | null;
  setDown: (slot: Slot) => void;
  note: (changes: readonly FieldChange[]) => void;
  check: (check: PracticeCheck) => void;
  isChecking: boolean;
  /** Sends what is still on its way; says whether all of it got through. */
  flush: () => Promise<boolean>;
}

/** A practice car being looked at: notes are shown at once and sent one after the other. */
export function usePracticeCar(car: PracticeCar): Practising {
  const [setGaugeDown] = useSetGaugeDownMutation();
  const [sendNotes] = useNotePracticeMutation();
  const [makeCheck, { isLoading: isChecking }] = useMakePracticeCheckMutation();
  const [draft, setDraft] = useState(car.draft);
  const [gauge, setGauge] = useState<PracticeGauge | null>(null);
  const [minutes, setMinutes] = useState(car.minutes);
  const [failure, setFailure] = useState<string | null>(null);
  const waiting = useRef<FieldChange[]>([]);
  const sending = useRef<Promise<void>>(Promise.resolve());
  const { id } = car;

  const send = useCallback(() => {
    sending.current = sending.current.then(async () => {
      const notes = waiting.current;
      if (notes.length === 0) return;
      const at = new Date().toISOString();
      const entries = notes.map(({ path, value }) => ({ id: newId(), path, value, at }));
      const { error } = await sendNotes({ id, entries });
      if (error) setFailure(failureOf(error).text);
      else {
        waiting.current = waiting.current.slice(notes.length);
        setFailure(null);
      }
    });
    return sending.current.then(() => waiting.current.length === 0);
  }, [id, sendNotes]);

  const note = useCallback(
    (changes: readonly FieldChange[]) => {
      setDraft((was) => foldEntries(was, changes));
      waiting.current = [...waiting.current, ...changes];
      void send();
    },
    [send],
  );

  const setDown = useCallback(
    (slot: Slot) => {
      setGauge(null);
      void setGaugeDown({ id, ...slot }).then(({ data, error }) => {
        if (error) setFailure(failureOf(error).text);
        if (!data) return;
        setGauge(data);
        setMinutes(data.minutes);
      });
    },
    [id, setGaugeDown],
  );

  const check = useCallback(
    (wanted: PracticeCheck) => {
      // Behind the notes: the answer to a check is the whole car as the server has it.
      void send()
        .then(() => makeCheck({ id, check: wanted }))
        .then(({ data, error }) => {
          if (error) setFailure(failureOf(error).text);
          if (!data) return;
          setDraft(foldEntries(data.draft, waiting.current));
          setMinutes(data.minutes);
        });
    },
    [id, makeCheck, send],
  );

  // What is on its way when the page is left still gets there.
  useEffect(() => () => void send(), [send]);

  return {
    draft,
    gauge,
    minutes,
    failure,
    setDown,
    note,
    check,
    isChecking,
    flush: send,
  };
}
