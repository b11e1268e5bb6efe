import TextField from '@mui/material/TextField';
import { t } from '../words/shared.ts';

interface ColumnSelectProps {
  label: string;
  header: readonly string[];
  value: number | null;
  onChange: (column: number | null) => void;
}

/** Which column of a foreign table holds something, if any does. */
export function ColumnSelect({ label, header, value, onChange }: ColumnSelectProps) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value === null ? '' : String(value)}
      onChange={({ target }) => onChange(target.value === '' ? null : Number(target.value))}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
    >
      <option value="">{t('columnSelect.notInIt')}</option>
      {header.map((name, place) => (
        <option key={`${place} ${name}`} value={place}>
          {name || t('columnSelect.column', { place: place + 1 })}
        </option>
      ))}
    </TextField>
  );
}
