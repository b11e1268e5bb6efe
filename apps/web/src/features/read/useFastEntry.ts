import type { DepthUnit, Reading, VisitDraft } from '@keen/contract';
import { ASSUMED, createTypedLine, depthFromMm, depthToMm, readDigits } from '@keen/core';
import type { Slot } from '@keen/core';
import { useCallback, useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import { showDepth } from '../../shared/format.ts';
import type { PadKey } from './Keypad.tsx';

interface FastEntryOptions {
  slots: readonly Slot[];
  /** Place round the tire, from 0. */
  station?: number;
  unit: DepthUnit;
  draft: VisitDraft;
  activeSlot: Slot | null;
  setActiveSlot: (slot: Slot | null) => void;
  /** In mm, or a mark; null takes a reading back. */
  read: (slot: Slot, reading: Reading | null) => void;
  finish: () => void;
  /** A number written out, as a gauge that types sends it; what is not a depth is reported there. */
  readLine: (text: string) => void;
}

/** A reading may stand this much above the new depth, mm, before more digits are waited for. */
const SLACK_MM = 0.5;

/**
 * The fast entry: digits go in without a decimal point and it moves on by itself; Backspace steps
 * back, the arrows move by rib, `/` marks a rib that cannot be read.
 */
export function useFastEntry(options: FastEntryOptions) {
  const { slots, station = 0, unit, draft, activeSlot, setActiveSlot, read, finish } = options;
  const [line] = useState(createTypedLine);
  const [written, setWritten] = useState('');
  /** Ribs that the digits since the last new one were taken for, with what stood there before. */
  const taken = useRef<{ slot: Slot; before: Reading | undefined }[]>([]);
  const [typed, setTyped] = useState({ at: '', digits: '' });
  const [last, setLast] = useState<{ slot: Slot; reading: Reading } | null>(null);
  const readingAt = (slot: Slot) => draft.tires?.[slot.wheel]?.stations?.[station]?.[slot.rib];

  const firstOpen = slots.findIndex((slot) => readingAt(slot) === undefined);
  const chosen = slots.findIndex(
    (slot) => slot.wheel === activeSlot?.wheel && slot.rib === activeSlot.rib,
  );
  const index = chosen >= 0 ? chosen : firstOpen;
  const current = index >= 0 ? slots[index]! : null;
  const present = current ? readingAt(current) : undefined;
  const shownPresent =
    present === undefined ? null : present === 'unreadable' ? '×' : showDepth(present, unit);

  // The drawing marks the same rib, also when the step is opened with some ribs read already. Before
  // the page is painted: done later, it would take back what a quick first key has moved on to.
  const wanted = current ? `${current.wheel}.${current.rib}` : null;
  const marked = activeSlot ? `${activeSlot.wheel}.${activeSlot.rib}` : null;
  const mark = useEffectEvent(() => setActiveSlot(current));
  useLayoutEffect(() => {
    if (wanted !== marked) mark();
  }, [wanted, marked]);
  // Digits belong to the rib they were typed for; another rib starts with none.
  const digits = typed.at === wanted ? typed.digits : '';
  const setDigits = (next: string) => setTyped({ at: wanted ?? '', digits: next });

  /** Where to go after a rib: the next one, or the end when it was the last. */
  function moveTo(position: number): void {
    setDigits('');
    if (position >= slots.length) {
      const open = slots.findIndex((slot, i) => i !== index && readingAt(slot) === undefined);
      setActiveSlot(open >= 0 ? slots[open]! : null);
    } else setActiveSlot(slots[Math.max(0, position)]!);
  }

  /** @param reading - in mm, or a mark */
  function keep(reading: Reading): void {
    if (!current) return;
    read(current, reading);
    setLast({ slot: current, reading });
    moveTo(index + 1);
  }

  /** @param value - in the unit typed */
  function saveTyped(value: number): void {
    keep(Number(depthToMm(value, unit).toFixed(5)));
  }

  function digit(key: string): void {
    if (!current) return;
    taken.current.push({ slot: current, before: present });
    const newMm = draft.tires?.[current.wheel]?.newDepth ?? ASSUMED.newDepthMm;
    const entered = readDigits(digits + key, unit, depthFromMm(newMm + SLACK_MM, unit));
    if (entered.state === 'done') saveTyped(entered.value);
    else setDigits(digits + key);
  }

  /** A single digit that waits for another counts as it stands when one moves on. */
  function commit(): boolean {
    if (digits === '') return false;
    const entered = readDigits(digits, unit, Number.POSITIVE_INFINITY);
    if (entered.value === null) return false;
    saveTyped(entered.value);
    return true;
  }

  function press(key: PadKey): void {
    if (/^\d$/.test(key)) digit(key);
    else if (key === 'unreadable') keep('unreadable');
    else if (key === 'next') {
      if (!commit() && current) moveTo(index + 1);
    } else if (key === 'previous') moveTo(current ? index - 1 : slots.length - 1);
    else if (key === 'commit') {
      if (!commit() && (!current || firstOpen < 0)) finish();
    } else back();
  }

  /** Takes back a digit, else goes one rib back and clears it. */
  function back(): void {
    if (digits !== '') {
      setDigits(digits.slice(0, -1));
      return;
    }
    const before = slots[(current ? index : slots.length) - 1];
    if (!before) return;
    read(before, null);
    setLast(null);
    setActiveSlot(before);
  }

  /** The digits were the beginning of a number written out: what they were taken for goes back. */
  function undoDigits(): void {
    const first = taken.current[0]?.slot ?? current;
    const changed = taken.current.filter(
      ({ slot }, i) => taken.current.findIndex((other) => other.slot === slot) === i,
    );
    for (const { slot, before } of changed) {
      if (readingAt(slot) !== before) read(slot, before ?? null);
    }
    taken.current = [];
    setDigits('');
    setLast(null);
    setActiveSlot(first);
  }

  /** @returns whether the key belongs to a number written out */
  function typeOut(key: string, now: number): boolean {
    const meant = line.feed(key, now, digits !== '');
    switch (meant.kind) {
      case 'other':
        return false;
      case 'digit':
        if (meant.isNew) taken.current = [];
        return false;
      case 'opened':
        undoDigits();
        setWritten(meant.text);
        return true;
      case 'held':
        setWritten(meant.text);
        return true;
      case 'line':
        setWritten('');
        options.readLine(meant.text);
        return true;
      case 'dropped':
        setWritten('');
        return true;
    }
  }

  // Pad and field have one handler for good, so that they need not be drawn anew with every digit.
  const latest = useRef({ press, keep });
  useLayoutEffect(() => {
    latest.current = { press, keep };
  });
  const pressLatest = useCallback((key: PadKey) => latest.current.press(key), []);
  const keepLatest = useCallback((reading: Reading) => latest.current.keep(reading), []);

  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (isElsewhere(event)) return;
    if (typeOut(event.key, event.timeStamp)) {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    const key = keyOf(event);
    if (!key) return;
    event.preventDefault();
    press(key);
  });
  // Before the page is painted: whoever sees the question can answer it. Ahead of the page's own keys,
  // so that the unit behind a number is not taken for one of them.
  useLayoutEffect(() => {
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, []);

  return {
    current,
    index: current ? index : slots.length,
    digits,
    /** A number that is being written out, with its point; empty otherwise. */
    written,
    last,
    present: shownPresent,
    press: pressLatest,
    /** Takes a reading that came otherwise than by digits, mm. */
    keep: keepLatest,
  };
}

/** Keys of the fast entry; everything else keeps its meaning. */
function keyOf(event: KeyboardEvent): PadKey | null {
  if (/^\d$/.test(event.key)) return event.key as PadKey;
  switch (event.key) {
    case 'Backspace':
      return 'back';
    case '/':
      return 'unreadable';
    case 'ArrowLeft':
    case 'ArrowUp':
      return 'previous';
    case 'ArrowRight':
    case 'ArrowDown':
      return 'next';
    case 'Enter':
      // On a focused button or link Enter presses it.
      return event.target instanceof HTMLElement && event.target.closest('button, a')
        ? null
        : 'commit';
    default:
      return null;
  }
}

/** Keys of the browser, and those typed into a field or a dialog. */
function isElsewhere({ ctrlKey, metaKey, altKey, target }: KeyboardEvent): boolean {
  return ctrlKey || metaKey || altKey || isTyping(target);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, [role="menu"], [role="dialog"]') !== null
  );
}
