import { useEffect, useRef, useState } from 'react';

interface SavingTextOptions {
  /** The saved value as text. */
  shown: string;
  /** Takes the typed text if it can be kept; a wrong one is left to the field to show. */
  save: (text: string) => void;
  /** How long typing must pause before it is saved. */
  pauseMs: number;
}

/**
 * Typed text beside a saved value: it is saved when typing pauses and when the field is left. A
 * change from elsewhere shows unless one is typing here; a text that cannot be kept stays.
 */
export function useSavingText({ shown, save, pauseMs }: SavingTextOptions) {
  const [text, setText] = useState(shown);
  const [known, setKnown] = useState(shown);
  const [isEditing, setEditing] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const unsaved = useRef<string | null>(null);
  const saver = useRef(save);
  useEffect(() => {
    saver.current = save;
  });
  // A step that is left by a key takes its field away before the field is left.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (unsaved.current !== null) saver.current(unsaved.current);
    },
    [],
  );

  // Adjusted while rendering, so that the old value is never painted.
  if (shown !== known && !isEditing) {
    setKnown(shown);
    setText(shown);
  }

  return {
    text,
    onFocus: () => setEditing(true),
    onType: (typed: string) => {
      setText(typed);
      clearTimeout(timer.current);
      unsaved.current = typed;
      timer.current = setTimeout(() => {
        unsaved.current = null;
        saver.current(typed);
      }, pauseMs);
    },
    onBlur: () => {
      clearTimeout(timer.current);
      unsaved.current = null;
      save(text);
      setEditing(false);
    },
  };
}
