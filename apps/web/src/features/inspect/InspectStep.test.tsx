import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { VisitDraft } from '@keen/contract';
import { foldEntries, nothingFound, WALK } from '@keen/core';
import { showStep } from '../../../tests/visitBench.tsx';
import { InspectStep } from './InspectStep.tsx';

const press = (key: string) => fireEvent.keyDown(document.body, { key, code: key });
const draw = (from: number, to: number) => {
  const pad = screen.getByTestId('stroke-pad');
  fireEvent.pointerDown(pad, { clientX: from });
  fireEvent.pointerUp(pad, { clientX: to });
};
const ground = () => within(screen.getByRole('region', { name: 'On the ground' }));
const under = () => within(screen.getByRole('region', { name: 'Under the car' }));

/** A car whose first stops of the walk are answered. */
function walked(stops: number, draft: VisitDraft = {}): VisitDraft {
  return WALK.slice(0, stops).reduce((so, stop) => foldEntries(so, nothingFound(so, stop)), draft);
}

describe('InspectStep', () => {
  it('carries its cautions where hands touch rubber, and where they go under a car', () => {
    showStep(<InspectStep />);
    expect(ground().getByRole('alert')).toHaveTextContent(/gloves: cords cut/);
    expect(under().getByRole('alert')).toHaveTextContent(/Lift at the maker’s points/);
  });

  it('takes the stroke by three keys at the first tire that is still open', () => {
    const { enter } = showStep(<InspectStep />, { draft: walked(1) });
    for (const key of ['o', 's', 'i']) press(key);
    expect(enter.mock.calls).toEqual([
      ['tires.lr.feather', 'catchesOutward'],
      ['tires.lr.feather', 'none'],
      ['tires.lr.feather', 'catchesInward'],
    ]);
  });

  it('takes the way the finger is drawn: outward is left on a left tire, right on a right one', () => {
    const { enter } = showStep(<InspectStep />, { draft: walked(2) });
    draw(100, 160);
    draw(160, 100);
    draw(100, 104);
    press('ArrowUp');
    draw(160, 100);
    expect(enter.mock.calls).toEqual([
      ['tires.rr.feather', 'catchesOutward'],
      ['tires.rr.feather', 'catchesInward'],
      ['tires.rr.feather', 'none'],
      ['tires.lr.feather', 'catchesOutward'],
    ]);
  });

  it('enters "nothing else here" by one Enter and stands at the next tire', () => {
    const { enter } = showStep(<InspectStep />, { draft: { tires: { lf: { cupping: 'some' } } } });
    expect(ground().getByRole('button', { name: 'Nothing else here ↵' })).toBeVisible();
    press('Enter');
    expect(enter.mock.calls).toEqual([
      ['tires.lf.feather', 'none'],
      ['tires.lf.damage', []],
    ]);
    expect(ground().getByRole('button', { name: /left rear/, expanded: true })).toBeVisible();
  });

  it('lets Enter press a button that has the focus, and does not go on as well', async () => {
    const { enter } = showStep(<InspectStep />);
    ground()
      .getByRole('button', { name: /^Smooth/ })
      .focus();
    await userEvent.keyboard('{Enter}');
    expect(enter.mock.calls).toEqual([['tires.lf.feather', 'none']]);
  });

  it('asks where damage is and marks it there; a second press takes both back', async () => {
    const { enter } = showStep(<InspectStep />);
    press('b');
    const where = within(screen.getByRole('group', { name: 'Where is the bulge?' }));
    await userEvent.click(where.getByRole('button', { name: 'inner sidewall' }));
    expect(enter.mock.calls).toEqual([
      ['tires.lf.damage', ['bulge']],
      ['visit.tires.lf.damageAt.bulge', 'innerSidewall'],
    ]);
  });

  it('takes damage back with its place, and warns of what is unsafe', async () => {
    const { enter } = showStep(<InspectStep />, {
      draft: {
        tires: { lf: { damage: ['cords'] } },
        visit: { tires: { lf: { damageAt: { cords: 'inner' } } } },
      },
    });
    expect(screen.getByText(/Not safe to drive on/)).toBeVisible();
    expect(ground().getByRole('button', { name: /left front/ })).toHaveTextContent(
      'cords (inner rib)',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Cords' }));
    expect(enter.mock.calls).toEqual([
      ['tires.lf.damage', null],
      ['visit.tires.lf.damageAt.cords', null],
    ]);
  });

  it('says what a puncture’s place allows', () => {
    showStep(<InspectStep />, {
      draft: {
        tires: { lf: { damage: ['puncture'] } },
        visit: { tires: { lf: { puncturePlace: 'shoulder' } } },
      },
    });
    expect(screen.getByText(/not repairable/)).toBeVisible();
  });

  it('goes through the joints of a corner by keys, and says what a worn one does', () => {
    const { enter } = showStep(<InspectStep />, {
      draft: {
        ...walked(4),
        play: { lf: 'none' },
        visit: { inspect: { parts: { lf: { ballJoint: 'excessive' } } } },
      },
    });
    press('n');
    expect(enter).toHaveBeenLastCalledWith('visit.inspect.parts.lf.outerTieRod', 'none');
    expect(under().getByRole('button', { name: 'Ball joint, left front: too much' })).toBeVisible();
    expect(screen.getByText(/Parts come first/)).toBeVisible();
    enter.mockClear();
    press('Enter');
    expect(enter).toHaveBeenCalledWith('visit.inspect.parts.lf.rim', 'none');
    expect(enter).not.toHaveBeenCalledWith('visit.inspect.parts.lf.ballJoint', expect.anything());
    expect(under().getByRole('button', { name: /left rear/, expanded: true })).toBeVisible();
  });

  it('enters play wheel by wheel', async () => {
    const { enter } = showStep(<InspectStep />, { draft: walked(6) });
    await userEvent.click(under().getByRole('button', { name: 'Too much' }));
    expect(enter).toHaveBeenCalledWith('play.rr', 'excessive');
  });

  it('lets a car that is not lifted go on to its answer', async () => {
    const { goTo } = showStep(<InspectStep />, { draft: walked(4) });
    await userEvent.click(screen.getByRole('button', { name: /Not lifted today/ }));
    expect(goTo).toHaveBeenCalledWith('explain');
  });

  it('goes on to Explain with Enter when everything is walked', () => {
    const { goTo } = showStep(<InspectStep />, { draft: walked(WALK.length) });
    press('Enter');
    expect(goTo).toHaveBeenCalledWith('explain');
  });

  it('compares the sides: the crooked wheel, and a corner that hangs', async () => {
    showStep(<InspectStep />, {
      draft: {
        ...walked(8),
        visit: { inspect: { crookedWheel: 'right' }, heights: { lf: 600, rf: 620 } },
      },
    });
    await userEvent.click(screen.getByRole('button', { name: /Steering and tie rods/ }));
    expect(screen.getByText(/The right side needs the work/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /Ride height/ }));
    expect(screen.getByText(/the left side hangs 20 mm lower/)).toBeVisible();
  });
});
