import { foldEntries } from '@keen/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { evenDraft, SESSION, showStep } from '../../../tests/visitBench.tsx';
import { SetRightStep } from './SetRightStep.tsx';

const ANGLES = {
  lf: { camber: -0.4, toe: 0.3 },
  rf: { camber: -0.4, toe: 0.3 },
  lr: { camber: -0.8, toe: 0.08 },
  rr: { camber: -0.8, toe: 0.08 },
};
const AT = '2026-03-01T10:00:00.000Z';
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

  it('begins with what a turn did at an earlier visit of the car', () => {
    const learned = [
      { adjuster: 'tieRod', kind: 'toe', axle: 'front', perUnit: 0.5, sd: 0.02, at: AT },
    ];
    showStep(<SetRightStep />, {
      draft: draftWith({ 'visit.setRight.before': ANGLES, 'visit.car.learned': learned }),
    });
    const [first] = screen.getAllByRole('listitem');
    // 0.25 to go at half a degree a turn.
    expect(first).toHaveTextContent(/On this car, 1 Mar 2026, one turn moved it by 0\.50°/);
    expect(first).toHaveTextContent('Start with about ½ turn, then measure.');
  });

  it('works a tie rod out from the change that is wanted', async () => {
    showStep(<SetRightStep />, { draft: draftWith({ 'visit.setRight.before': ANGLES }) });
    const [first] = screen.getAllByRole('listitem');
    expect(first).toHaveTextContent('Toe left front+0.30° → +0.05°by −0.25°');
    await userEvent.click(within(first!).getByRole('button', { name: 'Work out the tie rod' }));
    expect(screen.getByLabelText(/Change of this wheel/)).toHaveValue('-0.25');
    const type = (label: RegExp, value: string) =>
      fireEvent.change(screen.getByLabelText(label), { target: { value } });
    type(/Steering arm/, '140');
    type(/Thread pitch/, '1.5');
    await userEvent.click(screen.getByRole('button', { name: 'Behind the axle' }));
    await userEvent.click(screen.getByRole('button', { name: 'One thread' }));
    expect(screen.getByRole('status')).toHaveTextContent('Turn: 0.41 turns, shorten');

    // 0.61 mm shorter: so much more thread in the end.
    await userEvent.click(screen.getByRole('button', { name: /Thread left in the rod end/ }));
    type(/Thread in the rod end now/, '14');
    type(/Diameter of the thread/, '14');
    expect(await screen.findByText('14.6 mm')).toBeVisible();
    type(/Thread in the rod end now/, '9');
    expect(await screen.findByText(/the end may pull out/)).toHaveTextContent('Only 9.6 mm');
  });

  it('has the rack centred first where the rods show unequal thread', async () => {
    const wheel = async () => {
      await userEvent.click(screen.getByRole('button', { name: /Steering wheel/ }));
    };
    showStep(<SetRightStep />, { draft: draftWith({}) });
    await wheel();
    expect(screen.getByText(/About equal thread showing/)).toBeVisible();
    cleanup();
    showStep(<SetRightStep />, { draft: draftWith({ 'visit.inspect.thread': 'leftMore' }) });
    await wheel();
    expect(screen.getByText(/More thread showed on the left rod/)).toBeVisible();
  });

  it('says what out of reach means, and what would bring it', () => {
    showStep(<SetRightStep />, {
      draft: draftWith({
        'angles.lr': { camber: -3, toe: 0.08 },
        'visit.setRight.adjuster.camber-lr': 'none',
      }),
    });
    const [first] = screen.getAllByRole('listitem');
    expect(within(first!).getByRole('alert')).toHaveTextContent(
      /Out of reach.*The car has no adjuster.*an adjustable camber arm.*the inner edge keeps wearing/,
    );
  });

  it('keeps what a cam bolt was worked out to reach, and says what remains', async () => {
    const change = { 'angles.lr': { camber: -3, toe: 0.08 } };
    const { enter } = showStep(<SetRightStep />, { draft: draftWith(change) });
    const [first] = screen.getAllByRole('listitem');
    await userEvent.click(within(first!).getByRole('button', { name: 'Work out the cam bolt' }));
    fireEvent.change(screen.getByLabelText(/Bolt centre/), { target: { value: '5' } });
    fireEvent.change(screen.getByLabelText(/Cam to the point/), { target: { value: '300' } });
    expect(screen.getByRole('status')).toHaveTextContent('out of reach');
    await userEvent.click(screen.getByRole('button', { name: 'Back to the plan' }));
    // atan(5 / 300)
    expect(enter).toHaveBeenCalledWith('visit.setRight.reach.camber-lr', [
      expect.closeTo(-0.9548, 4),
      expect.closeTo(0.9548, 4),
    ]);
  });

  it('gives one hub shim both changes of its wheel, from the shop’s stock', async () => {
    const session = {
      ...SESSION,
      shop: { ...SESSION.shop, settings: { ...SESSION.shop.settings, hubShims: [0.5, 1] } },
    };
    showStep(<SetRightStep />, {
      session,
      draft: draftWith({
        'angles.lr': { camber: -1.9, toe: 0.5 },
        'visit.setRight.adjuster.camber-lr': 'hubShim',
      }),
    });
    const [first] = screen.getAllByRole('listitem');
    await userEvent.click(within(first!).getByRole('button', { name: /rear hub shim/ }));
    expect(screen.getByLabelText(/Camber change wanted/)).toHaveValue('1.15');
    expect(screen.getByLabelText(/Toe change wanted/)).toHaveValue('-0.425');
    expect(screen.getByLabelText(/Tapers in stock/)).toHaveValue('0.5; 1');
    expect(screen.getByRole('status')).toHaveTextContent(/1°, thickest at/);
  });

  it('looks at a cart before it measures: the crooked wheel’s side needs the work', async () => {
    const cart = {
      'vehicle.use': 'cart',
      'visit.inspect.crookedWheel': 'left',
      'angles.lf': { toe: 1 },
      'angles.rf': { toe: 1 },
    };
    showStep(<SetRightStep />, { draft: draftWith(cart) });
    expect(screen.getByText(/The right side is fine/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /Steering wheel/ }));
    expect(
      screen.getByText(/half a turn out of one rod, half a turn into the other/),
    ).toBeVisible();
  });

  it('closes with what comes after, once all is in', async () => {
    const good = { ...ANGLES, lf: { camber: -0.4, toe: 0.05 }, rf: { camber: -0.4, toe: 0.05 } };
    const { enter } = showStep(<SetRightStep />, {
      draft: draftWith({
        ...perWheel(good),
        'visit.setRight.before': ANGLES,
        'visit.setRight.steeringWheel': { state: 'straight', at: '2026-03-01T09:00:00.000Z' },
        complaints: ['pullsLeft'],
      }),
    });
    expect(screen.getByRole('heading', { name: 'All angles are in.' })).toBeVisible();
    const clamps = screen.getByRole('group', { name: 'Clamps off all four wheels' });
    await userEvent.click(within(clamps).getByRole('button', { name: 'Done' }));
    expect(enter).toHaveBeenCalledWith('visit.setRight.closing.clampsOff', 'done');
    const pull = screen.getByRole('group', { name: 'Complaint: Pulls left' });
    await userEvent.click(within(pull).getByRole('button', { name: 'Still there' }));
    expect(enter).toHaveBeenCalledWith('visit.setRight.complaintGone.pullsLeft', false);
    expect(screen.getByText(/not on the sheet: look them up/)).toBeVisible();
    expect(screen.getByText(/Hollow: before/)).toBeVisible();
  });

  it('does not call a car done with a toe from before its camber was set', () => {
    const before = { ...ANGLES, lr: { camber: -3, toe: 0.08 } };
    showStep(<SetRightStep />, {
      draft: draftWith({
        ...perWheel({ ...ANGLES, lf: { toe: 0.05 }, rf: { toe: 0.05 } }),
        'visit.setRight.before': { ...before, lf: { toe: 0.05 }, rf: { toe: 0.05 } },
      }),
    });
    expect(screen.getByRole('heading', { level: 2 })).toHaveTextContent(/^Measure again: rear toe/);
    // The old figure is not offered as the new one.
    expect(screen.getByLabelText('Now reads')).toHaveValue('');
  });

  it('learns from a turn what the next one has to be', async () => {
    const draft = draftWith({ 'visit.setRight.before': ANGLES });
    const { enter } = showStep(<SetRightStep />, { draft });
    fireEvent.change(screen.getByLabelText(/Turned by/), { target: { value: '1/2' } });
    await userEvent.click(screen.getByRole('button', { name: 'Turned' }));
    expect(enter).toHaveBeenCalledWith('visit.setRight.turns.toe-lf', [
      expect.objectContaining({ amount: 0.5, from: 0.3 }),
    ]);
    cleanup();

    const at = '2026-03-01T09:00:00.000Z';
    const turned = {
      'visit.setRight.turns.toe-lf': [{ at, adjuster: 'tieRod', amount: 0.5, from: 0.3 }],
    };
    showStep(<SetRightStep />, {
      draft: draftWith({ 'visit.setRight.before': ANGLES, ...turned }),
    });
    expect(screen.getByText('Now measure it again.')).toBeVisible();
    cleanup();

    // Half a turn took 0.2 of the 0.25 that were wanted: an eighth of a turn more.
    const read = {
      'visit.setRight.turns.toe-lf': [{ at, adjuster: 'tieRod', amount: 0.5, from: 0.5, to: 0.3 }],
    };
    showStep(<SetRightStep />, { draft: draftWith({ 'visit.setRight.before': ANGLES, ...read }) });
    expect(screen.getByText('⅝ turn more, the same way')).toBeVisible();
    expect(screen.getByText(/moved it from \+0\.50° to \+0\.30°/)).toHaveTextContent(
      /To \+0\.05° it takes 0\.6[23] turns, give or take/,
    );
  });

  it('leaves a row as it is, and takes that back', async () => {
    const draft = draftWith({ 'angles.lr': { camber: -3, toe: 0.08 } });
    const begun = foldEntries(draft, [{ path: 'visit.setRight.before', value: draft.angles }]);
    const { enter } = showStep(<SetRightStep />, { draft: begun });
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    const left = [
      { key: 'camber.lr', value: -3 },
      { key: 'crossCamber.rear', value: expect.closeTo(-2.2, 9) as number },
    ];
    expect(enter).toHaveBeenCalledWith('visit.setRight.left', left);
    cleanup();
    const value = [
      { key: 'camber.lr', value: -3 },
      { key: 'crossCamber.rear', value: -2.2 },
    ];
    showStep(<SetRightStep />, {
      draft: foldEntries(begun, [{ path: 'visit.setRight.left', value }]),
    });
    const section = within(screen.getByRole('region', { name: 'Left as it is' }));
    expect(section.getByText(/Camber left rear/)).toBeVisible();
    expect(section.getAllByRole('button', { name: 'Set it after all' })).toHaveLength(2);
  });

  it('does not take notches of a cam for turns of a rod', () => {
    const at = '2026-03-01T09:00:00.000Z';
    const turned = [{ at, adjuster: 'turnbuckle', amount: 0.5, from: 0.5, to: 0.3 }];
    const draft = draftWith({
      'visit.setRight.before': ANGLES,
      'visit.setRight.turns.toe-lf': turned,
    });
    showStep(<SetRightStep />, { draft });
    // The step is set with its tie rod, of which nobody has made a turn yet.
    expect(screen.queryByText(/the same way/)).toBeNull();
    expect(screen.getByText(/it works out the rest/)).toBeVisible();
  });
});
