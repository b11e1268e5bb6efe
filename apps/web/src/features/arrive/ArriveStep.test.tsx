import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SESSION, showStep, visitDetail } from '../../../tests/visitBench.tsx';
import { ArriveStep } from './ArriveStep.tsx';

describe('ArriveStep', () => {
  it('enters the distance for all four tires at once, in km whatever is typed', async () => {
    const { enter } = showStep(<ArriveStep />, {
      units: { ...SESSION.preferences.units, distance: 'mi' },
    });
    await userEvent.type(screen.getByLabelText('Run on these tires'), '10 000');
    await userEvent.tab();
    expect(enter.mock.calls.map(([path]) => path as string)).toEqual(
      ['lf', 'rf', 'lr', 'rr'].map((wheel) => `tires.${wheel}.distance`),
    );
    expect(enter.mock.calls[0]?.[1]).toBeCloseTo(16_093.44, 6);
  });

  it('keeps a size it cannot read at its field and enters nothing', async () => {
    const { enter } = showStep(<ArriveStep />);
    await userEvent.type(screen.getByLabelText('Front size'), 'round');
    await userEvent.tab();
    expect(screen.getByText('Such as 205/55R16 91V')).toBeVisible();
    expect(screen.getByLabelText('Front size')).toHaveValue('round');
    expect(enter).not.toHaveBeenCalled();
    await userEvent.clear(screen.getByLabelText('Front size'));
    await userEvent.type(screen.getByLabelText('Front size'), '205/55R16');
    await userEvent.tab();
    expect(enter.mock.calls).toEqual([
      ['tires.lf.size', '205/55R16'],
      ['tires.rf.size', '205/55R16'],
    ]);
  });

  it('adds and removes complaints, one press each', async () => {
    const { enter } = showStep(<ArriveStep />, { draft: { complaints: ['wander'] } });
    await userEvent.click(screen.getByRole('button', { name: 'Noise' }));
    await userEvent.click(screen.getByRole('button', { name: 'Wanders' }));
    expect(enter.mock.calls).toEqual([
      ['complaints', ['wander', 'noise']],
      ['complaints', []],
    ]);
  });

  it('shows pressures in the person’s unit and keeps them in kPa', async () => {
    const { enter } = showStep(<ArriveStep />, {
      draft: { tires: { lf: { pressure: { target: 241.316495 } } } },
      units: { ...SESSION.preferences.units, pressure: 'psi' },
    });
    const [placard] = screen.getAllByLabelText('Placard');
    expect(placard).toHaveValue('35');
    const [found] = screen.getAllByLabelText('Found left');
    await userEvent.type(found!, '28');
    await userEvent.tab();
    expect(enter.mock.calls[0]?.[0]).toBe('tires.lf.pressure.measured');
    expect(enter.mock.calls[0]?.[1]).toBeCloseTo(28 * 6.894757, 9);
  });

  it('shows the car’s earlier visits', () => {
    const earlier = visitDetail({ tires: { lf: { distance: 12_000 } } }).visit;
    showStep(<ArriveStep />, { detail: { ...visitDetail(), history: [earlier] } });
    expect(screen.getByRole('region', { name: 'Earlier visits' })).toHaveTextContent('12 000 km');
  });
});
