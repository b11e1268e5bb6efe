import { useCallback, useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useDebouncedCallback } from 'use-debounce';
import { linkOf, readLink } from './labLink.ts';
import type { LabSetup } from './labSetup.ts';

/** The link follows when nothing has moved for so long, ms; that is one step of undo too. */
const SETTLED_MS = 350;
const MOST_STEPS = 50;

interface HeldSetup {
  setup: LabSetup;
  set: (setup: LabSetup) => void;
  /** Begins from here: nothing before it can be gone back to. */
  begin: (setup: LabSetup) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Parts of the link that could not be read. */
  faults: readonly string[];
  /** Whether the link said how the car stands. */
  hasCar: boolean;
}

/** The setup as the page shows it, with its link and the way back. */
export function useSetup(): HeldSetup {
  const [query, setQuery] = useSearchParams();
  const [read] = useState(() => readLink(query));
  const [setup, show] = useState(read.setup);
  const [past, setPast] = useState<LabSetup[]>([]);
  const [future, setFuture] = useState<LabSetup[]>([]);
  /** The setup that the link says. */
  const [settled, setSettled] = useState(read.setup);
  // Where one looks is not a change to undo. One that still moves is a step like those that have settled.
  const isChanged = setup.car !== settled.car || setup.events !== settled.events;
  const back = isChanged ? [...past, settled].slice(-MOST_STEPS) : past;
  const ahead = isChanged ? [] : future;

  const settle = useDebouncedCallback((next: LabSetup) => {
    setPast(back);
    setFuture(ahead);
    setSettled(next);
    setQuery(linkOf(next), { replace: true });
  }, SETTLED_MS);
  // Left with something still moving: the link of another page is not for this one to set.
  useEffect(() => () => settle.cancel(), [settle]);

  const set = useCallback(
    (next: LabSetup) => {
      show(next);
      settle(next);
    },
    [settle],
  );

  const begin = useCallback(
    (next: LabSetup) => {
      settle.cancel();
      setSettled(next);
      setPast([]);
      setFuture([]);
      show(next);
      setQuery(linkOf(next), { replace: true });
    },
    [settle, setQuery],
  );

  function go(
    from: LabSetup[],
    to: LabSetup[],
    put: (left: LabSetup[], gained: LabSetup[]) => void,
  ) {
    settle.cancel();
    const next = { ...from.at(-1)!, km: setup.km, wheel: setup.wheel };
    put(from.slice(0, -1), [...to, setup]);
    setSettled(next);
    show(next);
    setQuery(linkOf(next), { replace: true });
  }

  return {
    setup,
    set,
    begin,
    undo:
      back.length > 0
        ? () =>
            go(back, ahead, (left, gained) => {
              setPast(left);
              setFuture(gained);
            })
        : null,
    redo:
      ahead.length > 0
        ? () =>
            go(ahead, back, (left, gained) => {
              setFuture(left);
              setPast(gained);
            })
        : null,
    faults: read.faults,
    hasCar: read.hasCar,
  };
}
