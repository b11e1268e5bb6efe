import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { SignInPage } from './SignInPage.tsx';

const WELCOME = { needsSetup: false, demo: null };
const open = (answers: Record<string, unknown>) =>
  showPage(<SignInPage />, {
    path: '/sign-in',
    answers: { 'GET /api/session': 401, 'GET /api/welcome': WELCOME, ...answers },
  });

describe('SignInPage', () => {
  it('names what is wrong at its field and sends nothing', async () => {
    const { sent } = open({});
    await userEvent.type(await screen.findByLabelText('Email'), 'mira');
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText(/An email address, such as/)).toBeVisible();
    expect(screen.getByLabelText('Email')).toHaveValue('mira');
    expect(sent()).toEqual([]);
  });

  it('keeps what was typed when it is refused', async () => {
    const { sent } = open({ 'POST /api/session': 401 });
    await userEvent.type(await screen.findByLabelText('Email'), 'mira@shop.example');
    await userEvent.type(screen.getByLabelText('Password'), 'not the right one');
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Refused with 401');
    expect(screen.getByLabelText('Password')).toHaveValue('not the right one');
    expect(sent()).toHaveLength(1);
  });

  it('offers the made-up people of a demo shop, one press each', async () => {
    const demo = { shopName: 'Test Tires', people: [PERSON] };
    const { sent } = open({ 'GET /api/welcome': { ...WELCOME, demo } });
    await userEvent.click(await screen.findByRole('button', { name: /Mira Test/ }));
    expect(sent()[0]!.body).toEqual({ personId: PERSON.id });
  });

  it('asks for the shop first where there is none, and says when nobody answers', async () => {
    open({ 'GET /api/welcome': { ...WELCOME, needsSetup: true } });
    expect(await screen.findByLabelText(/shop/i)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Sign in' })).toBeNull();
  });

  it('leaves for the shop when somebody is signed in already', async () => {
    open({ 'GET /api/session': SESSION });
    expect(await screen.findByText('elsewhere')).toBeVisible();
  });
});
