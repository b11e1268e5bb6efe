import InputAdornment from '@mui/material/InputAdornment';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { Choice } from '../shared/Choice.tsx';
import type { Field } from './tool.ts';
import { t } from '../words/tools.ts';

interface ToolFieldProps {
  field: Field;
  text: string;
  fault: string | null;
  onChange: (text: string) => void;
}

/** One number, list, text or choice, with what is wrong said under it. */
export function ToolField({ field, text, fault, onChange }: ToolFieldProps) {
  if (field.kind === 'choice') {
    return (
      <Box>
        <Choice
          label={field.label}
          options={field.options}
          value={text === '' ? null : text}
          onChange={(value) => {
            if (value !== null) onChange(value);
            else if (field.optional) onChange('');
          }}
        />
        {fault !== null && (
          <Box role="alert" sx={{ color: 'var(--marker)', fontSize: '0.8rem', mt: 0.5 }}>
            {fault}
          </Box>
        )}
      </Box>
    );
  }
  const unit = 'unit' in field ? field.unit : '';
  const hint = 'hint' in field ? field.hint : undefined;
  const points = field.kind === 'point' ? t('toolField.outwardUp') : undefined;
  return (
    <TextField
      label={field.label}
      value={text}
      error={fault !== null}
      helperText={fault ?? hint ?? points}
      onChange={({ target }) => onChange(target.value)}
      slotProps={{
        htmlInput: {
          inputMode: field.kind === 'text' || field.kind === 'list' ? 'text' : 'decimal',
          autoComplete: 'off',
        },
        input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
      }}
    />
  );
}
