import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

interface ManyChoiceProps<T extends string> {
  label: string;
  hideLabel?: boolean;
  options: readonly { value: T; label: string }[];
  values: readonly T[];
  /** Null when none is left. */
  onChange: (values: T[] | null) => void;
}

/** Any of a few answers, each one press. */
export function ManyChoice<T extends string>(props: ManyChoiceProps<T>) {
  const { label, hideLabel = false, options, values, onChange } = props;
  const id = useId();

  function toggle(value: T): void {
    const next = values.includes(value)
      ? values.filter((one) => one !== value)
      : [...values, value];
    onChange(next.length > 0 ? next : null);
  }

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
        {options.map(({ value, label: words }) => (
          <ToggleButton
            key={value}
            value={value}
            selected={values.includes(value)}
            onChange={() => toggle(value)}
          >
            {words}
          </ToggleButton>
        ))}
      </Box>
    </Box>
  );
}
