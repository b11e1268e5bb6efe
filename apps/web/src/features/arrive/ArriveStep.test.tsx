import type { VisitDraft } from '@keen/contract';
import { ROTATION_MOVES } from '@keen/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import dayjs from 'dayjs';
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

  it('takes a distance for each axle, or for each tire with its new depth', async () => {
    const { enter } = showStep(<ArriveStep />, {
      draft: { tires: { lf: { distance: 12_000 }, lr: { distance: 58_000 } } },
    });
    // What was entered is by axle already.
    const rears = screen.getByLabelText('Distance on the rears');
    expect(rears).toHaveValue('58000');
    // In one go: on a slow host the pause between two keys would save what is typed half.
    fireEvent.change(rears, { target: { value: '60000' } });
    fireEvent.blur(rears);
    expect(enter.mock.calls).toEqual([
      ['tires.lr.distance', 60_000],
      ['tires.rr.distance', 60_000],
    ]);
    enter.mockClear();
    await userEvent.click(screen.getByRole('button', { name: 'Each tire' }));
    expect(enter).not.toHaveBeenCalled();
    const tire = within(screen.getByRole('group', { name: 'Right rear' }));
    const depth = tire.getByLabelText('New depth');
    fireEvent.change(depth, { target: { value: '7.5' } });
    fireEvent.blur(depth);
    expect(enter.mock.calls).toEqual([['tires.rr.newDepth', 7.5]]);
  });

  it('gives all four the distance of the left front when they are said to be the same', async () => {
    const { enter } = showStep(<ArriveStep />, {
      draft: { tires: { lf: { distance: 12_000 }, rf: { distance: 12_000 }, lr: { distance: 9 } } },
    });
    await userEvent.click(screen.getByRole('button', { name: 'The same on all four' }));
    expect(enter.mock.calls).toEqual([
      ['tires.lr.distance', 12_000],
      ['tires.rr.distance', 12_000],
    ]);
  });

  it('works the distance out from the odometer then and now', async () => {
    const tires = { lf: 30_000, rf: 30_000, lr: 30_000, rr: 30_000 };
    const earlier = visitDetail({
      visit: { odometer: 83_000 },
      tires: Object.fromEntries(
        Object.entries(tires).map(([wheel, km]) => [wheel, { distance: km }]),
      ),
    }).visit;
    const now = visitDetail();
    const { enter } = showStep(<ArriveStep />, {
      draft: { visit: { odometer: 91_200 } },
      detail: { ...now, history: [{ ...earlier, arrivedAt: '2025-03-12T09:00:00.000Z' }] },
    });
    expect(screen.getByText(/8 200 km since 12 Mar 2025/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Same tires, 38\u00a0200 km' }));
    expect(enter.mock.calls.map(([, km]) => km as number)).toEqual([
      38_200, 38_200, 38_200, 38_200,
    ]);
    enter.mockClear();
    await userEvent.click(
      screen.getByRole('button', { name: /New ones went on then, 8\u00a0200 km/ }),
    );
    expect(enter.mock.calls.at(-1)).toEqual(['tires.rr.distance', 8_200]);
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
    // The last of each: whoever types slowly enters what there is so far too.
    expect(Object.fromEntries(enter.mock.calls)).toEqual({
      'tires.lf.size': '205/55R16',
      'tires.rf.size': '205/55R16',
      'tires.lr.size': '205/55R16',
      'tires.rr.size': '205/55R16',
    });
  });

  it('takes the rears along with the fronts only while they have nothing of their own', async () => {
    const { enter } = showStep(<ArriveStep />, {
      draft: { tires: { lr: { size: '225/50R17', newDepth: 9 }, rr: { size: '225/50R17' } } },
    });
    await userEvent.type(screen.getByLabelText('Front size'), '205/55R16');
    await userEvent.type(screen.getAllByLabelText('New depth')[0]!, '8');
    await userEvent.tab();
    expect(Object.fromEntries(enter.mock.calls)).toEqual({
      'tires.lf.size': '205/55R16',
      'tires.rf.size': '205/55R16',
      'tires.lf.newDepth': 8,
      'tires.rf.newDepth': 8,
      'tires.rr.newDepth': 8,
    });
  });

  it('says where the edges of other wheels stand', async () => {
    showStep(<ArriveStep />, {
      draft: {
        visit: { car: { wheels: { makerWidth: 6.5, makerOffset: 45, width: 8, offset: 35 } } },
      },
    });
    await userEvent.click(screen.getByRole('button', { name: /The car: suspension/ }));
    expect(
      within(screen.getByRole('group', { name: 'Other wheels' })).getByRole('status'),
    ).toHaveTextContent(
      /Outer edge 29 mm further out, inner edge 9 mm further in, track 20 mm wider/,
    );
  });

  it('takes a change of height in inches from who reads in 32nds', async () => {
    const { enter } = showStep(<ArriveStep />, {
      units: { ...SESSION.preferences.units, depth: 'in32' },
    });
    await userEvent.click(screen.getByRole('button', { name: /The car: suspension/ }));
    await userEvent.type(screen.getAllByLabelText(/Ride height change/)[0]!, '2.5');
    await userEvent.tab();
    expect(enter).toHaveBeenCalledWith('vehicle.rideHeightChange.front', 63.5);
  });

  it('saves what is in a field when Ctrl and Enter goes on from it', async () => {
    const { enter, goTo } = showStep(<ArriveStep />);
    await userEvent.type(screen.getByLabelText('Distance on these tires'), '30000');
    await userEvent.keyboard('{Control>}{Enter}{/Control}');
    expect(goTo).toHaveBeenCalledWith('read');
    cleanup();
    expect(enter).toHaveBeenCalledWith('tires.rr.distance', 30_000);
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

  it('guesses what was run since an alignment, until it is typed', async () => {
    const yearsAgo = (years: number) => dayjs().subtract(years, 'year').format('YYYY-MM-DD');
    const saved = async (lastAlignment: object | undefined, date: string) => {
      const { enter } = showStep(<ArriveStep />, {
        draft: lastAlignment ? { visit: { lastAlignment } } : {},
      });
      await unfold(/Rotations/);
      type(/Last aligned on/, date);
      cleanup();
      return enter.mock.calls.at(-1);
    };
    const guess = (years: number) => ({ date: yearsAgo(years), agoKm: years * 15_000 });
    expect(await saved(undefined, yearsAgo(4))).toEqual(['visit.lastAlignment', guess(4)]);
    // The day corrected, the guess follows; what somebody typed stays.
    expect(await saved(guess(4), yearsAgo(8))).toEqual(['visit.lastAlignment', guess(8)]);
    expect(await saved({ date: yearsAgo(4), agoKm: 22_000 }, yearsAgo(8))).toEqual([
      'visit.lastAlignment',
      { date: yearsAgo(8), agoKm: 22_000 },
    ]);
  });

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
    const patterns = within(screen.getByRole('group', { name: 'How they were rotated' }));
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
