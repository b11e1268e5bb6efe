import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

export interface ChoiceOption<T extends string> {
  value: T;
  label: string;
}

interface ChoiceProps<T extends string> {
  label: string;
  hideLabel?: boolean;
  options: readonly ChoiceOption<T>[];
  value: T | null;
  /** Pressing the chosen one again takes it back: null. */
  onChange: (value: T | null) => void;
  dense?: boolean;
}

/** One of a few answers, each one press. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { label, hideLabel = false, options, value, onChange, dense = false } = props;
  const id = useId();
  return (
    <Box role="group" aria-labelledby={id}>
      <Typography
        id={id}
        variant="h3"
        component="div"
        className={hideLabel ? 'visually-hidden' : ''}
        sx={{ color: 'text.secondary', mb: 0.5 }}
      >
        {label}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {options.map((option) => (
          <ToggleButton
            key={option.value}
            value={option.value}
            selected={option.value === value}
            onChange={() => onChange(option.value === value ? null : option.value)}
            sx={dense ? { px: 1.1 } : {}}
          >
            {option.label}
          </ToggleButton>
        ))}
      </Box>
    </Box>
  );
}
