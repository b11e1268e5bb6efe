import ToggleButton from '@mui/material/ToggleButton';
import { useRef, useState } from 'react';
import type { KeyboardEvent } from 'react';

interface ToggleRowProps<T extends string> {
  options: readonly { value: T; label: string }[];
  isChosen: (value: T) => boolean;
  onPress: (value: T) => void;
  dense?: boolean;
}

/**
 * Answers side by side as one stop of the Tab key: the arrows move between them, the first letter of an
 * answer presses it, and where several begin alike each press goes on to the next of them.
 */
export function ToggleRow<T extends string>(props: ToggleRowProps<T>) {
  const { options, isChosen, onPress, dense = false } = props;
  const buttons = useRef(new Map<T, HTMLButtonElement>());
  const [last, setLast] = useState<T | null>(null);
  // Tab comes to where one was, else to what is chosen, else to the first.
  const stop =
    options.find(({ value }) => value === last) ??
    options.find(({ value }) => isChosen(value)) ??
    options[0];

  function focusOn(value: T): void {
    buttons.current.get(value)?.focus();
  }

  function onKeyDown(event: KeyboardEvent, at: number): void {
    const { key, ctrlKey, metaKey, altKey } = event;
    if (ctrlKey || metaKey || altKey) return;
    const step = key === 'ArrowRight' || key === 'ArrowDown' ? 1 : isBack(key) ? -1 : 0;
    if (step !== 0) {
      const next = options[(at + step + options.length) % options.length];
      if (next) focusOn(next.value);
    } else if (/^\p{L}$/u.test(key)) {
      // From the one after this, round to this one.
      const round = [...options.slice(at + 1), ...options.slice(0, at + 1)];
      const begins = round.filter(({ label }) => label.toLowerCase().startsWith(key.toLowerCase()));
      const found = begins.find(({ value }) => !isChosen(value)) ?? begins[0];
      if (!found) return;
      focusOn(found.value);
      onPress(found.value);
    } else return;
    // The page's own keys stay out of it.
    event.preventDefault();
    event.stopPropagation();
  }

  return options.map(({ value, label }, at) => (
    <ToggleButton
      key={value}
      ref={(button: HTMLButtonElement | null) => {
        if (button) buttons.current.set(value, button);
        else buttons.current.delete(value);
      }}
      value={value}
      selected={isChosen(value)}
      tabIndex={value === stop?.value ? 0 : -1}
      onFocus={() => setLast(value)}
      onKeyDown={(event) => onKeyDown(event, at)}
      onChange={() => onPress(value)}
      sx={dense ? { px: 1.1 } : {}}
    >
      {label}
    </ToggleButton>
  ));
}

function isBack(key: string): boolean {
  return key === 'ArrowLeft' || key === 'ArrowUp';
}
