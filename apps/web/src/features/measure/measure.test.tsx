import { angleLedger, foldEntries } from '@keen/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { evenDraft, SESSION, showStep } from '../../../tests/visitBench.tsx';
import { AngleEntry } from './AngleEntry.tsx';
import { withAngle } from '../../shared/AngleField.tsx';
import { AngleLedger } from '../../angles/AngleLedger.tsx';
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
    await userEvent.click(screen.getByRole('button', { name: 'Mark the rest done' }));
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
      screen.getByText(/Camber of \+1\.40° at the left front: it wears the outer/),
    ).toBeVisible();
    expect(screen.getByText(/^Skipped: rolled back and forth/)).toBeVisible();
  });

  it('gives the level’s form a floor only once its rise and its high side are known', async () => {
    const level = { 'visit.measure.method.camber': 'level' };
    const path = 'visit.measure.gauge.camberFromLevel';
    const { enter } = showStep(<MeasureStep />, { draft: draftWith(level) });
    await userEvent.type(screen.getByLabelText('Floor rises by'), '6');
    await userEvent.tab();
    expect(enter).toHaveBeenCalledWith(path, { 'floor rise': '6', 'floor over': '1500' });
    cleanup();
    const known = { [path]: { 'floor rise': '6', 'floor over': '1500', zeroIs: 'vertical' } };
    const { enter: next } = showStep(<MeasureStep />, { draft: draftWith({ ...level, ...known }) });
    const side = within(screen.getByRole('group', { name: 'High on the' }));
    await userEvent.click(side.getByRole('button', { name: 'Right' }));
    expect(next).toHaveBeenCalledWith(path, {
      zeroIs: 'vertical',
      'floor rise': '6',
      'floor over': '1500',
      'floor high': 'right',
      'floorSlope.high': 'right',
      'floorSlope.degrees': '0.229',
    });
  });

  it('keeps with a toe what it was read in, and says it for the visit', () => {
    const { enter } = showStep(<MeasureStep />, {
      draft: draftWith({ 'visit.measure.repeat': 'returns' }),
      preferences: { ...SESSION.preferences, toe: 'min' },
    });
    const toe = within(screen.getByRole('group', { name: 'Toe' }));
    const field = toe.getByLabelText('Left front');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '12' } });
    fireEvent.blur(field);
    expect(enter).toHaveBeenCalledWith(
      'visit.measure.taken.lf.toe.readout',
      expect.objectContaining({ value: 0.2, readIn: { unit: 'min' } }),
    );
    expect(enter).toHaveBeenCalledWith('visit.measure.toeIn', { unit: 'min' });
  });

  it('judges two readings of the repeat by what the method may differ by', () => {
    const { enter } = showStep(<MeasureStep />, { draft: draftWith({}) });
    const type = (label: string, value: string) => {
      const field = screen.getByLabelText(label);
      fireEvent.focus(field);
      fireEvent.change(field, { target: { value } });
      fireEvent.blur(field);
    };
    type('Toe before', '0.10');
    expect(enter).not.toHaveBeenCalled();
    type('Toe after', '0.30');
    expect(enter).toHaveBeenCalledWith('visit.measure.repeatReadings', [0.1, 0.3]);
    expect(enter).toHaveBeenCalledWith('visit.measure.repeat', 'moves');
  });

  it('goes by a starting point that is pressed, labelled as one', async () => {
    const { enter } = showStep(<MeasureStep />, { draft: draftWith({}) });
    await userEvent.click(screen.getByRole('button', { name: 'Choose the sheet' }));
    fireEvent.change(screen.getByLabelText('Find by name'), { target: { value: 'drag' } });
    await userEvent.click(screen.getByRole('button', { name: /^Drag/ }));
    expect(enter).toHaveBeenCalledWith(
      'visit.sheet',
      expect.objectContaining({
        sheetId: null,
        sheet: expect.objectContaining({ kind: 'startingPoint' }) as object,
      }),
    );
    expect(enter).toHaveBeenCalledWith(
      'tolerances',
      expect.objectContaining({ totalToe: { front: [-0.02, 0.12], rear: [-0.05, 0.15] } }),
    );
  });
});

describe('ReadingsField', () => {
  it('takes the mean of several readings, and keeps them for their scatter', () => {
    const { enter } = showStep(<AngleEntry />, { draft: draftWith({}) });
    const camber = screen.getByRole('group', { name: 'Camber' });
    const field = within(camber).getByLabelText('Left front');
    fireEvent.change(field, { target: { value: '-0.4  −0,6 -0.5' } });
    expect(within(camber).getByText('mean −0.50° of 3 readings')).toBeVisible();
    fireEvent.blur(field);
    expect(enter).toHaveBeenCalledWith('angles.lf', { camber: -0.5 });
    expect(enter).toHaveBeenCalledWith(
      'visit.measure.taken.lf.camber.readout',
      expect.objectContaining({ value: -0.5, repeats: [-0.4, -0.6, -0.5] }),
    );
  });

  it('keeps what cannot be read in the field, and enters nothing', () => {
    const { enter } = showStep(<AngleEntry />, { draft: draftWith({}) });
    const camber = screen.getByRole('group', { name: 'Camber' });
    const field = within(camber).getByLabelText('Left front');
    fireEvent.change(field, { target: { value: '-0.4 x' } });
    fireEvent.blur(field);
    expect(field).toHaveValue('-0.4 x');
    expect(within(camber).getByText(/Numbers, such as/)).toBeVisible();
    expect(enter).not.toHaveBeenCalled();
  });
});

describe('a file of angles', () => {
  const open = (text: string, name = 'rig.csv') => {
    const file = new File([text], name);
    // The test's browser has files without text().
    Object.assign(file, { text: () => Promise.resolve(text) });
    fireEvent.change(screen.getByLabelText('File of angles'), { target: { files: [file] } });
  };

  it('is taken from a foreign table once its columns and signs are said', async () => {
    const { enter } = showStep(<AngleEntry />, { draft: draftWith({}) });
    open('Position;Camber;Toe mm\nLF;-0,6;-2\nRF;-0,4;-2');
    const dialog = await screen.findByRole('dialog', { name: 'Angles from rig.csv' });
    expect(within(dialog).getByRole('alert')).toHaveTextContent(/Line 2, Toe mm: expected the dia/);
    fireEvent.change(within(dialog).getByLabelText(/Taken at a diameter/), {
      target: { value: '400' },
    });
    fireEvent.blur(within(dialog).getByLabelText(/Taken at a diameter/));
    await userEvent.click(within(dialog).getByLabelText('Toe: change the sign'));
    expect(within(dialog).getByRole('row', { name: /Left front/ })).toHaveTextContent('+0.29°');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Use' }));
    expect(enter).toHaveBeenCalledWith('angles.lf', { camber: -0.6, toe: 0.2865 });
    // The same rig's next file is read the same way.
    open('Position;Camber;Toe mm\nLR;-1;-2');
    await screen.findByRole('row', { name: /Left rear −1\.00° \+0\.29°/ });
  });

  it('is refused with what is wrong when it is neither table nor ours', async () => {
    showStep(<AngleEntry />, { draft: draftWith({}) });
    open('{"format":"keen-groove/angles","version":1,"wheels":{"lf":{"toe":400}}}', 'x.json');
    expect(await screen.findByText('wheels.lf.toe: expected less than 90')).toBeVisible();
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
    const dialog = within(screen.getByRole('dialog'));
    const take = dialog.getByRole('button', { name: 'Use' });
    expect(take).toBeDisabled();
    const type = (label: RegExp, text: string) =>
      fireEvent.change(dialog.getByLabelText(label), { target: { value: text } });
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
    expect(dialog.getByRole('status')).toHaveTextContent('left front +0.20°');
    await userEvent.click(take);
    // What was measured of that wheel before stays.
    expect(enter).toHaveBeenCalledWith('angles.lf', { camber: -0.5, toe: 0.1956 });
    expect(enter).toHaveBeenCalledWith('angles.rr', { toe: -0.0649 });
  });

  it('asks which side a sloping floor is high on, and takes no slope for none', async () => {
    showStep(<AngleEntry />, { draft: draftWith({ 'visit.measure.method.camber': 'level' }) });
    await userEvent.click(
      within(screen.getByRole('group', { name: 'Camber' })).getByRole('button', {
        name: /Work it out/,
      }),
    );
    const dialog = within(screen.getByRole('dialog'));
    fireEvent.change(dialog.getByLabelText('Reading'), { target: { value: '1.5' } });
    expect(dialog.getByRole('status')).toHaveTextContent('left front −1.50°');
    fireEvent.change(dialog.getByLabelText('Floor slope'), { target: { value: '0.4' } });
    expect(dialog.getByRole('button', { name: 'Use' })).toBeDisabled();
    const side = dialog.getByRole('group', { name: 'The floor is high on the' });
    expect(side.nextElementSibling).toHaveTextContent(/left.*right/i);
    await userEvent.click(within(side).getByRole('button', { name: 'Left' }));
    expect(dialog.getByRole('status')).toHaveTextContent('left front −1.10°');
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
    showStep(<AngleLedger rows={angleLedger({ angles })} />);
    const row = screen.getByRole('row', { name: /Total toe front axle/ });
    expect(row).toHaveTextContent('+0.80°');
    expect(row).toHaveTextContent('± 0.08');
    expect(row).toHaveTextContent('−0.10° to +0.30°');
    expect(row).toHaveTextContent('out');
  });
});
