import type { ApiKey, Batch, Session } from '@keen/contract';
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

describe('keys for other programs', () => {
  const KEY: ApiKey = {
    id: '00000000-0000-4000-8000-00000000000b',
    name: 'Fleet desk',
    scopes: ['diagnose'],
    ending: 'x9Zq',
    personId: PERSON.id,
    createdAt: '2026-11-01T08:00:00.000Z',
    endsAt: null,
    lastUsedAt: null,
    oldSecretUntil: null,
    revokedAt: null,
  };
  const MADE = { key: KEY, secret: 'keen_secretx9Zq', signingSecret: 'whsec_c2lnbg==' };
  const BATCH: Batch = {
    id: '00000000-0000-4000-8000-00000000000c',
    name: 'Monday',
    key: 'Fleet desk',
    state: 'running',
    cases: 40,
    done: 10,
    refused: 2,
    createdAt: '2026-11-30T08:00:00.000Z',
    endedAt: null,
    callback: null,
  };

  it('are made with a name and a scope, and shown once', async () => {
    const { sent } = open({ 'GET /api/keys': [], 'GET /api/batches': [], 'POST /api/keys': MADE });
    const programs = await region('Other programs');
    expect(await programs.findByText('No program has a key.')).toBeVisible();
    await userEvent.click(programs.getByRole('button', { name: 'Make the key' }));
    expect(await programs.findByText('Choose what the key allows.')).toBeVisible();
    expect(programs.getByLabelText('Which program it is for')).toHaveAccessibleDescription(
      'A name, so that you know which key it is',
    );
    expect(sent()).toEqual([]);
    await userEvent.type(programs.getByLabelText('Which program it is for'), 'Fleet desk');
    await userEvent.click(programs.getByRole('button', { name: 'diagnose cases' }));
    await userEvent.click(programs.getByRole('button', { name: '90 days' }));
    await userEvent.click(programs.getByRole('button', { name: 'Make the key' }));
    expect(await programs.findByLabelText('Secret')).toHaveValue(MADE.secret);
    expect(programs.getByLabelText('Signing secret')).toHaveValue(MADE.signingSecret);
    expect(sent()[0]).toMatchObject({
      what: 'POST /api/keys',
      body: { name: 'Fleet desk', scopes: ['diagnose'], days: 90 },
    });
  });

  it('are revoked or given a new secret, and say how their batches are', async () => {
    const revoked = {
      ...KEY,
      id: '00000000-0000-4000-8000-00000000000d',
      name: 'Old',
      revokedAt: KEY.createdAt,
    };
    const secret = `POST /api/keys/${KEY.id}/secret`;
    const revoke = `DELETE /api/keys/${KEY.id}`;
    const cancel = `PUT /api/batches/${BATCH.id}/canceled`;
    const { sent } = open({
      'GET /api/keys': [KEY, revoked],
      'GET /api/batches': [BATCH, { ...BATCH, id: revoked.id, state: 'done', done: 40 }],
      [secret]: { ...MADE, secret: 'keen_other' },
      [revoke]: null,
      [cancel]: { ...BATCH, state: 'canceled' },
    });
    const programs = await region('Other programs');
    expect(await programs.findByText(/10 of 40 done, 2 refused/)).toBeVisible();
    expect(programs.getByText(/^40 cases done/)).toBeVisible();
    expect(programs.getByText(/Revoked/)).toBeVisible();
    expect(programs.queryByRole('button', { name: 'Change Old' })).toBeNull();
    await userEvent.click(programs.getByRole('button', { name: 'Change Fleet desk' }));
    await userEvent.click(programs.getByRole('button', { name: 'New secret' }));
    expect(await programs.findByLabelText('Secret')).toHaveValue('keen_other');
    await userEvent.click(programs.getByRole('button', { name: 'Revoke' }));
    await userEvent.click(programs.getByRole('button', { name: 'Stop' }));
    await waitFor(() => expect(sent().map(({ what }) => what)).toEqual([secret, revoke, cancel]));
  });
});

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
