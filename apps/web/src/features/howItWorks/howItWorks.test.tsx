import { priors } from '@keen/core/screens/en/lab';
import { constantFacts, priorFacts } from '@keen/core/engine';
import { render, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ConstantTable, FactTable } from './FactTables.tsx';
import { Formula } from './Formula.tsx';

describe('How it works', () => {
  it('writes the formula for the eye and for the ear', () => {
    render(<Formula />);
    expect(screen.getByRole('math', { name: /K times P of y times f of p/ })).toBeVisible();
  });

  it('shows the constants that the engine runs on', () => {
    render(<ConstantTable facts={constantFacts('mm')} />);
    const row = screen.getByRole('row', {
      name: /part of the pressure that a degree of one wheel’s toe/,
    });
    expect(within(row).getByText('0.47')).toBeVisible();
    expect(within(row).getByText('25 %')).toBeVisible();
    expect(screen.getByText('1.22 / 0.94')).toBeVisible();
  });

  it('shows the cars that come in', () => {
    render(<FactTable title="Cars" facts={priorFacts()} words={priors} />);
    expect(screen.getByRole('row', { name: /front toe out of tolerance/ })).toHaveTextContent(
      '30 %',
    );
  });
});
