import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { NumberField } from './NumberField.tsx';

function field(value: number | null = null) {
  const onChange = vi.fn();
  render(<NumberField label="Depth" unit="mm" value={value} onChange={onChange} max={60} />);
  return { onChange, input: screen.getByLabelText('Depth') };
}

describe('NumberField', () => {
  it('reads a decimal comma and spaces between thousands', async () => {
    const { onChange, input } = field();
    await userEvent.type(input, '5,3');
    await userEvent.tab();
    expect(onChange).toHaveBeenCalledWith(5.3);
  });

  it('keeps what it cannot read, with a message, and changes nothing', async () => {
    const { onChange, input } = field();
    await userEvent.type(input, 'deep');
    await userEvent.tab();
    expect(input).toHaveValue('deep');
    expect(screen.getByText('A number, such as 8.5')).toBeVisible();
    expect(onChange).not.toHaveBeenCalled();
  });

  it('says the limit at the field', async () => {
    const { onChange, input } = field();
    await userEvent.type(input, '99');
    await userEvent.tab();
    expect(screen.getByText('At most 60')).toBeVisible();
    expect(onChange).not.toHaveBeenCalled();
  });

  it('takes empty as not entered, never as 0', async () => {
    const { onChange, input } = field(8);
    await userEvent.clear(input);
    await userEvent.tab();
    expect(onChange).toHaveBeenCalledWith(null);
  });

  it('does not save again what has not changed', async () => {
    const { onChange, input } = field(8);
    await userEvent.click(input);
    await userEvent.tab();
    expect(onChange).not.toHaveBeenCalled();
  });
});
