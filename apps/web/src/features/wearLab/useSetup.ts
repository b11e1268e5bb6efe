import { useCallback, useEffect, useRef, useState } from 'react';
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
  const settled = useRef(read.setup);

  const settle = useDebouncedCallback((next: LabSetup) => {
    // Where one looks is no change to take back.
    if (next.car !== settled.current.car || next.events !== settled.current.events) {
      const before = settled.current;
      setPast((steps) => [...steps, before].slice(-MOST_STEPS));
      setFuture([]);
    }
    settled.current = next;
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
      settled.current = next;
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
    settled.current = next;
    show(next);
    setQuery(linkOf(next), { replace: true });
  }

  return {
    setup,
    set,
    begin,
    undo:
      past.length > 0
        ? () =>
            go(past, future, (left, gained) => {
              setPast(left);
              setFuture(gained);
            })
        : null,
    redo:
      future.length > 0
        ? () =>
            go(future, past, (left, gained) => {
              setFuture(left);
              setPast(gained);
            })
        : null,
    faults: read.faults,
    hasCar: read.hasCar,
  };
}
