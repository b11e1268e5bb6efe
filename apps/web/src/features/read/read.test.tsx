import { foldEntries } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { PERSON, SESSION, showStep, visitDetail } from '../../../tests/visitBench.tsx';
import { ReadStep } from './ReadStep.tsx';

const OTHER = '44444444-4444-4444-8444-444444444444';
const draft = foldEntries({}, [
  { path: 'tires.lf.newDepth', value: 8 },
  { path: 'tires.lf.stations.0.outer', value: 6.2 },
]);
const centre = { wheel: 'lf', rib: 'centre' } as const;
const type = (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
};

describe('ReadStep', () => {
  it('takes a reading however it is written, and keeps what is none in its field', () => {
    const { enter } = showStep(<ReadStep />, { draft, activeSlot: centre });
    type('Other formats', 'deep');
    expect(screen.getByText(/A depth, such as 3\/32/)).toBeVisible();
    expect(screen.getByLabelText('Other formats')).toHaveValue('deep');
    expect(enter).not.toHaveBeenCalled();
    type('Other formats', '7/32');
    expect(enter).toHaveBeenCalledWith('tires.lf.stations.0.centre', 5.55625);
  });

  it('asks about a reading far from its neighbour once, and keeps it meanwhile', async () => {
    const { enter } = showStep(<ReadStep />, { draft, activeSlot: centre });
    type('Other formats', '1.2 mm');
    expect(enter).toHaveBeenCalledWith('tires.lf.stations.0.centre', 1.2);
    const question = screen.getByRole('alert');
    expect(question).toHaveTextContent(/1\.2 is far from the 6\.2 of the outer rib/);
    await userEvent.click(within(question).getByRole('button', { name: 'It is right' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('takes a reading back to be read again', async () => {
    const { enter } = showStep(<ReadStep />, { draft, activeSlot: centre });
    type('Other formats', '9 mm');
    await userEvent.click(screen.getByRole('button', { name: 'Read it again' }));
    expect(enter).toHaveBeenLastCalledWith('tires.lf.stations.0.centre', null);
  });

  it('follows the shop’s order, or one’s own', () => {
    const shop = {
      ...SESSION.shop,
      settings: { ...SESSION.shop.settings, readingOrder: 'outerFirst' as const },
    };
    showStep(<ReadStep />, { session: { ...SESSION, shop } });
    expect(screen.queryByText(/walking round from the left front/)).toBeNull();
  });

  it('shows both readings of two people until one is chosen', async () => {
    const path = 'tires.lf.stations.0.outer';
    const told = (id: string, value: number, personId: string) => ({
      id,
      path,
      value,
      personId,
      seq: 1,
      at: '2026-03-01T10:00:00.000Z',
      over: [],
    });
    const detail = {
      ...visitDetail(draft),
      entries: [told('a', 6.2, PERSON.id), told('b', 5.8, OTHER)],
    };
    const people = [PERSON, { ...PERSON, id: OTHER, name: 'Joss Test' }];
    const { enter } = showStep(<ReadStep />, { draft, detail, session: { ...SESSION, people } });
    const question = screen.getByRole('alert');
    expect(question).toHaveTextContent('left front, outer: read twice, differently.');
    await userEvent.click(within(question).getByRole('button', { name: 'Joss: 5.8' }));
    expect(enter).toHaveBeenCalledWith(path, 5.8);
  });
});
