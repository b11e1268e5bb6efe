import { foldEntries } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { evenDraft, showStep } from '../../../tests/visitBench.tsx';
import { SetRightStep } from './SetRightStep.tsx';

const ANGLES = {
  lf: { camber: -0.4, toe: 0.3 },
  rf: { camber: -0.4, toe: 0.3 },
  lr: { camber: -0.8, toe: 0.08 },
  rr: { camber: -0.8, toe: 0.08 },
};
const draftWith = (changes: Record<string, unknown>) =>
  foldEntries(
    evenDraft(6),
    Object.entries({ ...perWheel(ANGLES), ...changes }).map(([path, value]) => ({ path, value })),
  );

function perWheel(angles: object): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(angles).map(([wheel, value]) => [`angles.${wheel}`, value]),
  );
}

describe('SetRightStep', () => {
  it('sends to Measure while nothing is measured', async () => {
    const { goTo } = showStep(<SetRightStep />, { draft: evenDraft(6) });
    await userEvent.click(screen.getByRole('button', { name: 'Measure the angles' }));
    expect(goTo).toHaveBeenCalledWith('measure');
  });

  it('keeps the angles before when one begins', async () => {
    const { enter } = showStep(<SetRightStep />, { draft: draftWith({}) });
    expect(screen.queryByLabelText('Now reads')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    expect(enter).toHaveBeenCalledWith('visit.setRight.before', ANGLES);
  });

  it('works a tie rod out from the change that is wanted', async () => {
    showStep(<SetRightStep />, { draft: draftWith({ 'visit.setRight.before': ANGLES }) });
    const [first] = screen.getAllByRole('listitem');
    expect(first).toHaveTextContent('Toe left front −0.25°');
    await userEvent.click(within(first!).getByRole('button', { name: 'Work out the tie rod' }));
    expect(screen.getByLabelText(/Change of this wheel/)).toHaveValue('-0.25');
    const type = (label: RegExp, value: string) =>
      fireEvent.change(screen.getByLabelText(label), { target: { value } });
    type(/Steering arm/, '140');
    type(/Thread pitch/, '1.5');
    await userEvent.click(screen.getByRole('button', { name: 'Behind the axle' }));
    await userEvent.click(screen.getByRole('button', { name: 'One thread' }));
    expect(screen.getByRole('status')).toHaveTextContent('Turn: 0.41 turns, shorten');
  });

  it('says what out of reach means, and what would bring it', () => {
    showStep(<SetRightStep />, {
      draft: draftWith({
        'angles.lr': { camber: -3, toe: 0.08 },
        'visit.setRight.adjuster.camber-lr': 'none',
      }),
    });
    expect(screen.getByText(/Out of reach as built: an adjustable arm/)).toBeVisible();
  });

  it('closes with what comes after, once all is in', () => {
    const good = { ...ANGLES, lf: { camber: -0.4, toe: 0.05 }, rf: { camber: -0.4, toe: 0.05 } };
    showStep(<SetRightStep />, {
      draft: draftWith({ ...perWheel(good), 'visit.setRight.before': ANGLES }),
    });
    expect(screen.getByRole('heading', { name: 'All angles are in.' })).toBeVisible();
    expect(screen.getByText(/Clamps off all four wheels/)).toBeVisible();
    expect(screen.getByText(/Hollow: before/)).toBeVisible();
  });
});
