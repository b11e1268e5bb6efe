import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { SharedSheetPage } from './SharedSheetPage.tsx';

const open = (answer: unknown) =>
  showPage(<SharedSheetPage />, {
    path: '/s/:token',
    at: '/s/abc',
    answers: { 'GET /api/session': 401, 'GET /api/shared/abc': answer },
  });

describe('SharedSheetPage', () => {
  it('says in both languages when its link has ended, and offers no second try', async () => {
    open(404);
    const alert = await screen.findByRole('alert');
    expect(alert).toHaveTextContent('Its link has ended');
    expect(alert).toHaveTextContent('El enlace ha terminado');
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
  });

  it('offers a second try where the server is only busy', async () => {
    const { answers } = open(503);
    await userEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    expect(screen.getByRole('alert')).toBeVisible();
    answers['GET /api/shared/abc'] = 404;
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText(/Its link has ended/)).toBeVisible();
  });

  it('refuses an answer that is no sheet instead of showing half of one', async () => {
    open({ paper: { headline: 'Align the wheels.' }, endsAt: 'soon' });
    expect(await screen.findByRole('alert')).toBeVisible();
    expect(screen.queryByText('Align the wheels.')).toBeNull();
  });
});
