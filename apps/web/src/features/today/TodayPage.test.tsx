import type { Visit } from '@keen/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { visitDetail } from '../../../tests/visitBench.tsx';
import { TodayPage } from './TodayPage.tsx';

/** As the server sends it. */
function sent(number: number, change: Partial<Visit> = {}): Visit {
  const { visit } = visitDetail();
  const id = `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;
  return {
    ...visit,
    id,
    number,
    vehicle: { ...visit.vehicle, id, plate: `CAR ${number}` },
    ...change,
  };
}
const plates = () => screen.getAllByText(/^CAR \d+$/).map(({ textContent }) => textContent);

describe('TodayPage', () => {
  it('searches what is here at once, and offers to search everything where nothing fits', async () => {
    const { answers, queries } = showPage(<TodayPage />, {
      answers: { 'GET /api/visits': { visits: [sent(2), sent(1)], before: null } },
    });
    expect(await screen.findByText('2 cars are here, nobody is waiting.')).toBeVisible();
    const search = screen.getByRole('searchbox', { name: 'Search' });
    await userEvent.type(search, 'car2');
    expect(plates()).toEqual(['CAR 2']);
    expect(queries('GET /api/visits')).toEqual(['']);
    await userEvent.clear(search);
    await userEvent.type(search, 'older');
    answers['GET /api/visits'] = { visits: [sent(7)], before: null };
    await userEvent.click(screen.getByRole('button', { name: 'Search all visits' }));
    await waitFor(() => expect(plates()).toEqual(['CAR 7']));
    expect(queries('GET /api/visits').at(-1)).toBe('?all=true&words=older');
  });

  it('goes on to earlier visits page by page', async () => {
    const { answers, queries } = showPage(<TodayPage />, {
      answers: { 'GET /api/visits': { visits: [sent(9), sent(8)], before: 8 } },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'All visits' }));
    const more = await screen.findByRole('button', { name: 'Earlier visits' });
    answers['GET /api/visits'] = { visits: [sent(3)], before: null };
    await userEvent.click(more);
    await waitFor(() => expect(plates()).toEqual(['CAR 9', 'CAR 8', 'CAR 3']));
    expect(queries('GET /api/visits').at(-1)).toBe('?all=true&before=8');
    expect(screen.queryByRole('button', { name: 'Earlier visits' })).toBeNull();
  });

  it('says that there are more open visits than it shows', async () => {
    showPage(<TodayPage />, {
      answers: { 'GET /api/visits': { visits: [sent(9)], before: 9 } },
    });
    expect(await screen.findByText(/older ones are under All visits/)).toBeVisible();
  });
});
