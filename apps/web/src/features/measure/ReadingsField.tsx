import type { AngleKind, Wheel } from '@keen/contract';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { withAngle } from '../../shared/AngleField.tsx';
import { showDegrees } from '../../shared/format.ts';
import { useSavingText } from '../../shared/useSavingText.ts';
import { useVisit } from '../../shared/visitContext.ts';

const MOST_DEG = 30;
const MOST_READINGS = 12;
const SAVE_AFTER_MS = 350;

/** One wheel's angle: one reading, or several with spaces between, of which the mean is taken. */
export function ReadingsField({
  wheel,
  kind,
  label,
}: {
  wheel: Wheel;
  kind: AngleKind;
  label: string;
}) {
  const { draft, enter } = useVisit();
  const value = draft.angles?.[wheel]?.[kind];
  const kept = draft.visit?.measure?.readings?.[wheel]?.[kind];
  // Readings whose mean is no longer the angle belong to an older measurement.
  const readings = kept && value !== undefined && isMean(kept, value) ? kept : undefined;
  const shown = readings?.map(plain).join('  ') ?? (value === undefined ? '' : plain(value));
  const { text, onType, onFocus, onBlur } = useSavingText({ shown, save, pauseMs: SAVE_AFTER_MS });
  const typed = readingsIn(text);
  const fault = faultOf(typed);

  function save(next: string): void {
    const numbers = readingsIn(next);
    if (faultOf(numbers) !== null || next.trim() === shown) return;
    const mean = numbers.length === 0 ? null : meanOf(numbers);
    enter(`angles.${wheel}`, withAngle(draft.angles?.[wheel] ?? {}, kind, mean));
    if (numbers.length > 1 || kept) {
      enter(`visit.measure.readings.${wheel}.${kind}`, numbers.length > 1 ? numbers : null);
    }
  }

  return (
    <TextField
      label={label}
      value={text}
      error={fault !== null}
      helperText={
        fault ??
        (typed.length > 1
          ? `mean ${showDegrees(meanOf(typed), 2)} of ${typed.length} readings`
          : null)
      }
      onFocus={onFocus}
      onChange={({ target }) => onType(target.value)}
      onBlur={onBlur}
      slotProps={{
        htmlInput: { inputMode: 'text', autoComplete: 'off' },
        input: { endAdornment: <InputAdornment position="end">°</InputAdornment> },
      }}
    />
  );
}

function readingsIn(text: string): number[] {
  return text
    .replace(/[−–]/g, '-')
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')));
}

function faultOf(readings: readonly number[]): string | null {
  if (readings.some((reading) => !Number.isFinite(reading))) return 'Numbers, such as -0.4';
  if (readings.some((reading) => Math.abs(reading) > MOST_DEG)) return `At most ${MOST_DEG}°`;
  if (readings.length > MOST_READINGS) return `At most ${MOST_READINGS} readings`;
  return null;
}

function meanOf(readings: readonly number[]): number {
  const mean = readings.reduce((sum, reading) => sum + reading, 0) / readings.length;
  return Number(mean.toFixed(4));
}

function isMean(readings: readonly number[], value: number): boolean {
  return Math.abs(meanOf(readings) - value) < 1e-6;
}

function plain(value: number): string {
  return String(Number(value.toFixed(3)));
}
