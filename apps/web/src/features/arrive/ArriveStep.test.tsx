import type { VisitDraft } from '@keen/contract';
import { ROTATION_MOVES } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SESSION, showStep, visitDetail } from '../../../tests/visitBench.tsx';
import { ArriveStep } from './ArriveStep.tsx';

describe('ArriveStep', () => {
  it('enters the distance for all four tires at once, in km whatever is typed', async () => {
    const { enter } = showStep(<ArriveStep />, {
      units: { ...SESSION.preferences.units, distance: 'mi' },
    });
    await userEvent.type(screen.getByLabelText('Distance on these tires'), '10 000');
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

describe('what is folded away on arrival', () => {
  const unfold = (title: RegExp) => userEvent.click(screen.getByRole('button', { name: title }));
  const type = (label: RegExp, text: string) => {
    const field = screen.getByLabelText(label);
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: text } });
    fireEvent.blur(field);
  };

  it('reads a date code, says the age, and refuses a week that was not', async () => {
    const { enter } = showStep(<ArriveStep />, {
      draft: { visit: { tires: { lf: { dateCode: '0112' } } } },
    });
    await unfold(/Sidewalls/);
    const lf = within(screen.getByRole('group', { name: 'Left front, sidewall' }));
    expect(lf.getByText(/10 years and more: replace/)).toBeVisible();
    const rf = within(screen.getByRole('group', { name: 'Right front, sidewall' }));
    const field = rf.getByLabelText('Week and year');
    fireEvent.change(field, { target: { value: '5419' } });
    fireEvent.blur(field);
    expect(rf.getByText(/Expected a week that 2019 has/)).toBeVisible();
    expect(enter).not.toHaveBeenCalled();
  });

  it('says what falls below the placard', async () => {
    showStep(<ArriveStep />, {
      draft: {
        tires: { lf: { size: '205/55R16 88T' } },
        visit: { car: { placard: { front: '205/55R16 91V' } } },
      },
    });
    await unfold(/Sidewalls/);
    expect(screen.getByRole('alert')).toHaveTextContent(/front: load index 88 carries 560 kg/);
  });

  it('offers rotations by drive and fitment, and keeps them in order of distance', async () => {
    const draft: VisitDraft = {
      vehicle: { drive: 'rwd' },
      tires: { lf: { distance: 30_000 } },
      rotations: [{ atDistance: 20_000, moves: ROTATION_MOVES.frontToRear }],
    };
    const { enter } = showStep(<ArriveStep />, { draft });
    await unfold(/Rotations/);
    const patterns = within(screen.getByRole('group', { name: 'They changed places' }));
    const [first] = patterns.getAllByRole('button');
    expect(first).toHaveTextContent('Fronts cross to the rear');
    await userEvent.click(first!);
    type(/^After/, '10 000');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(enter).toHaveBeenCalledWith('rotations', [
      { atDistance: 10_000, moves: ROTATION_MOVES.rearwardCross },
      draft.rotations![0],
    ]);
  });

  it('corrects a warm pressure and says by how much', async () => {
    const draft: VisitDraft = { tires: { lf: { pressure: { measured: 250 } } } };
    const { enter } = showStep(<ArriveStep />, { draft });
    await userEvent.click(screen.getByRole('button', { name: 'Warm' }));
    expect(enter).toHaveBeenCalledWith('visit.warmBy', 20);
  });

  it('refuses a VIN that is a letter off, at its field', async () => {
    showStep(<ArriveStep />);
    await unfold(/VIN/);
    type(/^VIN/, '1M8GDM9AXKP042789');
    expect(screen.getByText(/in the ninth place, by its check digit/)).toBeVisible();
  });

  it('rates a battery once both figures are there', async () => {
    const { enter } = showStep(<ArriveStep />);
    await unfold(/Walk-round/);
    type(/rated/, '600');
    expect(enter).not.toHaveBeenCalled();
    type(/Battery, measured/, '430');
    expect(enter).toHaveBeenCalledWith('visit.quick.battery', { rated: 600, measured: 430 });
  });
});
