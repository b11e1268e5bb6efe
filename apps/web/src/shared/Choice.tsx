import ToggleButton from '@mui/material/ToggleButton';
import { ChoiceGroup } from './ChoiceGroup.tsx';

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
  return (
    <ChoiceGroup label={label} hideLabel={hideLabel}>
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
    </ChoiceGroup>
  );
}
