import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showStep } from '../../../tests/visitBench.tsx';
import { InspectStep } from './InspectStep.tsx';

const tire = (name: string) => within(screen.getByRole('region', { name }));

describe('InspectStep', () => {
  it('carries its caution where hands go under a car', () => {
    showStep(<InspectStep />);
    expect(screen.getByRole('alert')).toHaveTextContent(/Lift at the maker’s points/);
  });

  it('enters what the hand felt, and takes it back on a second press', async () => {
    const { enter } = showStep(<InspectStep />, { draft: { tires: { rf: { feather: 'none' } } } });
    await userEvent.click(tire('left front').getByRole('button', { name: 'Catches in' }));
    await userEvent.click(tire('right front').getByRole('button', { name: 'Smooth' }));
    expect(enter.mock.calls).toEqual([
      ['tires.lf.feather', 'catchesInward'],
      ['tires.rf.feather', null],
    ]);
  });

  it('adds and removes damage, and warns of what is unsafe', async () => {
    const { enter } = showStep(<InspectStep />, {
      draft: { tires: { lr: { damage: ['cords'] } } },
    });
    expect(tire('left rear').getByRole('alert')).toHaveTextContent('Not safe to drive on');
    await userEvent.click(tire('left rear').getByRole('button', { name: 'Bulge' }));
    await userEvent.click(tire('left rear').getByRole('button', { name: 'Cords' }));
    expect(enter.mock.calls).toEqual([
      ['tires.lr.damage', ['cords', 'bulge']],
      ['tires.lr.damage', null],
    ]);
  });

  it('enters play wheel by wheel', async () => {
    const { enter } = showStep(<InspectStep />);
    await userEvent.click(tire('right rear').getByRole('button', { name: 'Too much' }));
    expect(enter).toHaveBeenCalledWith('play.rr', 'excessive');
  });
});
