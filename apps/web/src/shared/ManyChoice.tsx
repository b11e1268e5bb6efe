import { ChoiceGroup } from './ChoiceGroup.tsx';
import { ToggleRow } from './ToggleRow.tsx';

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

  function toggle(value: T): void {
    const next = values.includes(value)
      ? values.filter((one) => one !== value)
      : [...values, value];
    onChange(next.length > 0 ? next : null);
  }

  return (
    <ChoiceGroup label={label} hideLabel={hideLabel}>
      <ToggleRow options={options} isChosen={(one) => values.includes(one)} onPress={toggle} />
    </ChoiceGroup>
  );
}
