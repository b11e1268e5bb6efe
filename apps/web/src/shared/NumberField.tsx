import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useSavingText } from './useSavingText.ts';
import { t } from '../words/shared.ts';

interface NumberFieldProps {
  label: string;
  unit: string;
  /** In the unit shown; null when nothing was entered. */
  value: number | null;
  onChange: (value: number | null) => void;
  min?: number;
  max?: number;
  decimals?: number;
}

const SAVE_AFTER_MS = 350;

/**
 * A number with its unit. The typed text and the number are kept apart: what cannot be read stays in
 * the field with a message, empty means not entered, and nothing turns into 0.
 */
export function NumberField(props: NumberFieldProps) {
  const {
    label,
    unit,
    value,
    onChange,
    min = 0,
    max = Number.POSITIVE_INFINITY,
    decimals = 1,
  } = props;
  const shown = value === null ? '' : String(Number(value.toFixed(decimals)));
  const { text, onType, onFocus, onBlur } = useSavingText({ shown, save, pauseMs: SAVE_AFTER_MS });
  const fault = faultOf(text, min, max);

  function save(typed: string): void {
    if (faultOf(typed, min, max) !== null) return;
    const next = parse(typed);
    if (next === value || (next !== null && shown === String(next))) return;
    onChange(next);
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
      slotProps={{
        // In a narrow field label and unit would stand on one another.
        inputLabel: { shrink: true },
        htmlInput: { inputMode: 'decimal', autoComplete: 'off' },
        input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
      }}
    />
  );
}

/** Spaces between thousands and a decimal comma are read as people write them. */
function parse(text: string): number | null {
  const plain = text.replace(/\s/g, '').replace(',', '.');
  return plain === '' ? null : Number(plain);
}

function faultOf(text: string, min: number, max: number): string | null {
  const number = parse(text);
  if (number === null) return null;
  if (!Number.isFinite(number)) return t('numberField.aNumberSuchAs');
  if (number < min) return t('numberField.atLeast', { min });
  if (number > max) return t('numberField.atMost', { max });
  return null;
}
