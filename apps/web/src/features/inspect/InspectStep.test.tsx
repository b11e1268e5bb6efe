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

  it('goes through the parts of a wheel, and says what a worn one does', async () => {
    const { enter } = showStep(<InspectStep />, {
      draft: { visit: { inspect: { parts: { lf: { ballJoint: 'excessive' } } } } },
    });
    const under = within(screen.getByRole('region', { name: 'Under the car' }));
    expect(under.getByText(/camber and toe do not hold/)).toBeVisible();
    await userEvent.click(under.getByRole('button', { name: 'Mark the rest OK' }));
    expect(enter).toHaveBeenCalledWith('visit.inspect.parts.lf.outerTieRod', 'none');
    expect(enter).not.toHaveBeenCalledWith('visit.inspect.parts.lf.ballJoint', 'none');
    expect(screen.getByText(/Parts come first/)).toBeVisible();
  });

  it('says what a puncture’s place allows', () => {
    const punctured = (puncturePlace: 'crown' | 'shoulder') => ({
      tires: { rr: { damage: ['puncture' as const] } },
      visit: { tires: { rr: { puncturePlace } } },
    });
    showStep(<InspectStep />, { draft: punctured('shoulder') });
    expect(tire('right rear').getByText(/not repairable/)).toBeVisible();
  });

  it('compares the sides: the crooked wheel, and a corner that hangs', () => {
    showStep(<InspectStep />, {
      draft: {
        visit: { inspect: { crookedWheel: 'right' }, heights: { lf: 600, rf: 620 } },
      },
    });
    expect(screen.getByText(/The right side needs the work/)).toBeVisible();
    expect(screen.getByText(/the left side hangs 20 mm lower/)).toBeVisible();
  });
});
