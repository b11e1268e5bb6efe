import { ChoiceGroup } from './ChoiceGroup.tsx';
import { ToggleRow } from './ToggleRow.tsx';

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
  /** The key that goes through the answers. */
  letter?: string;
}

/** One of a few answers, each one press. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { label, hideLabel = false, options, value, onChange, dense = false, letter } = props;
  return (
    <ChoiceGroup label={label} hideLabel={hideLabel} letter={letter}>
      <ToggleRow
        options={options}
        isChosen={(one) => one === value}
        onPress={(one) => onChange(one === value ? null : one)}
        dense={dense}
      />
    </ChoiceGroup>
  );
}
