import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';

interface SavingFieldProps {
  label: string;
  value: string;
  onChange: (value: string | null) => void;
  /** Says what is wrong with a text, or null. */
  check?: (text: string) => string | null;
  multiline?: boolean;
  placeholder?: string;
}

const SAVE_AFTER_MS = 500;

/** A text that is saved while it is typed; a wrong one stays in the field with its message. */
export function SavingField({ label, value, onChange, check, ...rest }: SavingFieldProps) {
  const [text, setText] = useState(value);
  const [isEditing, setEditing] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    if (!isEditing) setText(value);
  }, [value, isEditing]);
  useEffect(() => () => clearTimeout(timer.current), []);
  const fault = text.trim() === '' ? null : (check?.(text.trim()) ?? null);

  function save(typed: string): void {
    clearTimeout(timer.current);
    const trimmed = typed.trim();
    if (trimmed === value || (trimmed !== '' && check?.(trimmed))) return;
    onChange(trimmed === '' ? null : trimmed);
  }

  return (
    <TextField
      label={label}
      value={text}
      error={fault !== null}
      helperText={fault}
      onFocus={() => setEditing(true)}
      onChange={({ target }) => {
        setText(target.value);
        clearTimeout(timer.current);
        timer.current = setTimeout(() => save(target.value), SAVE_AFTER_MS);
      }}
      onBlur={() => {
        save(text);
        setEditing(false);
      }}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
      {...rest}
    />
  );
}
