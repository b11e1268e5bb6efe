import type { Session } from '@keen/contract';
import { DEFAULT_PRICES, DEFAULT_SHOP_SETTINGS } from '@keen/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { ShopPage } from './ShopPage.tsx';

const SAVE = 'PUT /api/shop/settings';
const open = (answers: Record<string, unknown> = {}) =>
  showPage(<ShopPage />, {
    path: '/shop',
    answers: { [SAVE]: DEFAULT_SHOP_SETTINGS, ...answers },
  });
const region = async (name: string) => within(await screen.findByRole('region', { name }));

/** Types into a field of its own and leaves it. */
async function type(field: HTMLElement, text: string): Promise<void> {
  await userEvent.clear(field);
  if (text !== '') await userEvent.type(field, text);
  await userEvent.tab();
}

describe('ShopPage', () => {
  it('saves a price in minor units, the others as they were', async () => {
    const { sent } = open();
    const prices = await region('Prices');
    await type(prices.getByLabelText(/^Wheel alignment.*EUR/), '98,50');
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toEqual({
      what: SAVE,
      body: { prices: { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items, align: 9_850 } } },
    });
  });

  it('keeps what is no price or currency at its field and sends nothing', async () => {
    const { sent } = open();
    const prices = await region('Prices');
    const price = prices.getByLabelText(/^Wheel alignment.*EUR/);
    await type(price, 'dear');
    expect(price).toHaveValue('dear');
    expect(price).toHaveAccessibleDescription('Such as 98.50');
    await type(prices.getByLabelText('Currency'), 'QQQ');
    expect(prices.getByLabelText('Currency')).toHaveAccessibleDescription('A code such as EUR');
    expect(sent()).toEqual([]);
  });

  it('says when the server did not save', async () => {
    open({ [SAVE]: 503 });
    const limits = await region('Limits');
    await type(limits.getByLabelText('Legal limit here'), '3');
    expect(await limits.findByRole('alert')).toBeVisible();
  });

  it('shows who is not the lead the people alone, and says who changes the rest', async () => {
    const person = { ...PERSON, role: 'advisor' as const };
    const session: Session = { ...SESSION, person, people: [person] };
    open({ 'GET /api/session': session });
    expect(await screen.findByText(/changed by the lead of the shop/)).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Prices' })).toBeNull();
    expect(screen.queryByRole('region', { name: 'Limits' })).toBeNull();
  });
});
