import TextField from '@mui/material/TextField';
import { useSavingText } from './useSavingText.ts';

interface SavingFieldProps {
  label: string;
  value: string;
  onChange: (value: string | null) => void;
  /** Says what is wrong with a text, or null. */
  check?: (text: string) => string | null;
  multiline?: boolean;
  placeholder?: string;
  autoFocus?: boolean;
}

const SAVE_AFTER_MS = 500;

/** A text that is saved while it is typed; a wrong one stays in the field with its message. */
export function SavingField({ label, value, onChange, check, ...rest }: SavingFieldProps) {
  const { text, onType, onFocus, onBlur } = useSavingText({
    shown: value,
    save,
    pauseMs: SAVE_AFTER_MS,
  });
  const fault = text.trim() === '' ? null : (check?.(text.trim()) ?? null);

  function save(typed: string): void {
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
      onFocus={onFocus}
      onChange={({ target }) => onType(target.value)}
      onBlur={onBlur}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
      {...rest}
    />
  );
}
