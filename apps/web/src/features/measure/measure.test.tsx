import { angleLedger, foldEntries } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { evenDraft, showStep } from '../../../tests/visitBench.tsx';
import { AngleEntry } from './AngleEntry.tsx';
import { withAngle } from '../../shared/AngleField.tsx';
import { AngleLedger } from '../../shared/AngleLedger.tsx';
import { MeasureStep } from './MeasureStep.tsx';

const draftWith = (changes: Record<string, unknown>) =>
  foldEntries(
    evenDraft(6),
    Object.entries(changes).map(([path, value]) => ({ path, value })),
  );

describe('MeasureStep', () => {
  it('asks for the setup of the method in use, with its cautions', async () => {
    const { enter } = showStep(<MeasureStep />, { draft: draftWith({}) });
    expect(screen.getByRole('group', { name: /Clamps at the rim/ })).toBeVisible();
    expect(screen.getByText(/safety straps on before the car rolls/)).toBeVisible();
    expect(screen.queryByRole('group', { name: /Floor level/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'All the rest is done' }));
    expect(enter).toHaveBeenCalledWith('visit.measure.setup.pressures', 'done');
    expect(enter).toHaveBeenCalledWith('visit.measure.setup.clamps', 'done');
  });

  it('stops when the reading does not come back, and leads to Inspect', async () => {
    const { goTo } = showStep(<MeasureStep />, {
      draft: draftWith({ 'visit.measure.repeat': 'moves', 'angles.lf': { toe: 0.3 } }),
    });
    expect(screen.getByRole('alert')).toHaveTextContent(/something is worn/);
    expect(screen.queryByText('Angle ledger')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Go to Inspect' }));
    expect(goTo).toHaveBeenCalledWith('inspect');
  });

  it('says what a skipped point makes of the angles', () => {
    showStep(<MeasureStep />, {
      draft: draftWith({
        'visit.measure.setup.settled': 'skipped',
        'angles.lf': { camber: 1.4 },
      }),
    });
    expect(
      screen.getByText(/Camber of \+1\.40° at the front, left: it eats the outer/),
    ).toBeVisible();
    expect(screen.getByText(/^Skipped: car rolled back and forth/)).toBeVisible();
  });
});

describe('AngleEntry', () => {
  it('takes strings over into four toes', async () => {
    const { enter } = showStep(<AngleEntry />, {
      draft: draftWith({
        'visit.measure.method.toe': 'strings',
        'angles.lf': { camber: -0.5 },
      }),
    });
    const toe = screen.getByRole('group', { name: 'Toe' });
    await userEvent.click(within(toe).getByRole('button', { name: /Work it out/ }));
    const take = screen.getByRole('button', { name: 'Take over' });
    expect(take).toBeDisabled();
    const type = (label: RegExp, text: string) =>
      fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
    type(/String to string, front/, '1906');
    type(/String to string, rear/, '1900');
    type(/Wheelbase/, '2650');
    type(/Rim edge to rim edge, front/, '440');
    type(/Rim edge to rim edge, rear/, '440');
    for (const wheel of ['Left front', 'Right front', 'Left rear', 'Right rear']) {
      const isFront = wheel.endsWith('front');
      type(new RegExp(`${wheel}, ahead`), isFront ? '152' : '180');
      type(new RegExp(`${wheel}, behind`), isFront ? '150' : '180');
    }
    expect(screen.getByRole('status')).toHaveTextContent('left front +0.20°');
    await userEvent.click(take);
    // What was measured of that wheel before stays.
    expect(enter).toHaveBeenCalledWith('angles.lf', { camber: -0.5, toe: 0.1956 });
    expect(enter).toHaveBeenCalledWith('angles.rr', { toe: -0.0649 });
  });

  it('changes one angle of a wheel and leaves the others', () => {
    expect(withAngle({ camber: -1, toe: 0.1 }, 'toe', 0.2)).toEqual({ camber: -1, toe: 0.2 });
    expect(withAngle({ camber: -1, toe: 0.1 }, 'toe', null)).toEqual({ camber: -1 });
    expect(withAngle({ toe: 0.1 }, 'toe', null)).toBeNull();
  });
});

describe('AngleLedger', () => {
  it('shows each angle with its doubt, its limits and what that makes of it', () => {
    const angles = { lf: { toe: 0.4 }, rf: { toe: 0.4 } };
    showStep(<AngleLedger rows={angleLedger(angles, undefined)} />);
    const row = screen.getByRole('row', { name: /Total toe front axle/ });
    expect(row).toHaveTextContent('+0.80°');
    expect(row).toHaveTextContent('± 0.08');
    expect(row).toHaveTextContent('−0.10° to +0.30°');
    expect(row).toHaveTextContent('out');
  });
});
