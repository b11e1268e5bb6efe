import type { Learning, LearningRun } from '@keen/contract';
import { USUAL_CONSTANTS } from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { learnedAsCsv } from './learnedFigures.ts';
import { OwnFigures } from './OwnFigures.tsx';

const LEAD = { ...SESSION, person: { ...PERSON, role: 'lead' as const } };
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const PATH = '/api/insights/learning';

const figure = (value: number, sd = 0.02) => ({ value, sd });
const RESULT: NonNullable<LearningRun['result']> = {
  constants: USUAL_CONSTANTS,
  traits: {
    wearRate: figure(0.2),
    frontToRear: figure(0.01),
    crown: figure(0.003, 0.004),
    hand: figure(0, 0.004),
  },
  faultRates: {
    frontToe: figure(0.46),
    rearToe: figure(0.15),
    camber: figure(0.25),
    pressure: figure(0.25),
    bounce: figure(0.1),
    looseness: figure(0.1),
    hardCornering: figure(0.1),
  },
  lines: [{ line: 'Harbour Eco', cars: 31, rate: figure(0.1) }],
  cars: 212,
  used: 1,
  gain: { mean: Math.log(1.5), interval: { low: Math.log(1.4), high: Math.log(1.6) } },
  tried: {
    cars: 40,
    changed: [
      { visitId: id(50), number: 7, plate: 'T 7', before: 'align', after: 'checkAlignment' },
    ],
  },
};
const run = (change: Partial<LearningRun> = {}): LearningRun => ({
  id: id(1),
  version: 1,
  personId: PERSON.id,
  at: '2026-06-10T09:00:00.000Z',
  state: 'done',
  stage: 'trying',
  done: 440,
  total: 440,
  usedSince: null,
  result: RESULT,
  ...change,
});
const learning = (change: Partial<Learning> = {}): Learning => ({
  runs: [],
  cars: 212,
  leastCars: 30,
  ...change,
});
const show = (data: Learning, session = LEAD, answers: Record<string, unknown> = {}) =>
  showPage(<OwnFigures session={session} />, { answers: { [`GET ${PATH}`]: data, ...answers } });

describe('OwnFigures', () => {
  it('says in a shop’s first week how many cars are needed', async () => {
    show(learning({ cars: 12 }));
    await screen.findByRole('heading', {
      name: 'Your own figures? Too few cars to learn from: 12 of 30.',
    });
    expect(screen.getByRole('button', { name: 'Learn from 12 cars' })).toBeDisabled();
  });

  it('starts a run, shows how far it is, stops it and goes on', async () => {
    const running = run({ state: 'running', stage: 'reading', done: 110, result: null });
    const { answers, sent } = show(learning(), LEAD, {
      [`POST ${PATH}`]: learning({ runs: [running] }),
      [`PUT ${PATH}/${id(1)}`]: learning(),
    });
    const learn = await screen.findByRole('button', { name: 'Learn from 212 cars' });
    answers[`GET ${PATH}`] = learning({ runs: [running] });
    await userEvent.click(learn);
    await screen.findByText('Reading the cars: 25 % done.');
    expect(screen.getByRole('progressbar', { name: 'Learning' })).toHaveAttribute(
      'aria-valuenow',
      '25',
    );
    answers[`GET ${PATH}`] = learning({ runs: [{ ...running, state: 'canceled' }] });
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    await screen.findByText('Stopped at 25 %. What was read is saved.');
    answers[`GET ${PATH}`] = learning({ runs: [running] });
    await userEvent.click(screen.getByRole('button', { name: 'Go on' }));
    await screen.findByRole('button', { name: 'Stop' });
    expect(sent().map(({ body }) => body)).toMatchObject([
      {},
      { state: 'canceled' },
      { state: 'running' },
    ]);
  });

  it('shows what was found beside the usual, whether it helps, and what it would change', async () => {
    show(learning({ runs: [run()] }));
    await screen.findByRole('heading', {
      name: 'Your own figures fit your cars better than the usual ones.',
    });
    expect(screen.getByText(/are 1.50 times as likely \(1.40 to 1.60\)/)).toBeVisible();
    const wear = within(screen.getByRole('table', { name: 'Wear' }));
    // ln 0.2 is 122 %; twice 0.01 is 102 %, which chance alone can make.
    expect(wear.getByRole('row', { name: /All tires 100 % 122 % 117 % to 127 %/ })).toBeVisible();
    const faults = within(screen.getByRole('table', { name: 'Cars that come in with' }));
    expect(faults.getByRole('row', { name: /Front toe out 30 % 46 %/ })).toBeVisible();
    expect(screen.getByRole('row', { name: /Harbour Eco, 31 cars 100 % 111 %/ })).toBeVisible();
    expect(screen.getByRole('link', { name: 'T 7, visit 7' })).toHaveAttribute(
      'href',
      `/visits/${id(50)}/explain`,
    );
  });

  it('says so where a gain may be chance, and where there is none', async () => {
    const gain = { mean: 0.01, interval: { low: -0.02, high: 0.04 } };
    const { unmount } = show(learning({ runs: [run({ result: { ...RESULT, used: 0.5, gain } })] }));
    await screen.findByRole('heading', { name: /that can be chance/ });
    expect(screen.getByText(/50 % of the way from the usual/)).toBeVisible();
    unmount();
    const none = { mean: 0, interval: { low: 0, high: 0 } };
    show(learning({ runs: [run({ result: { ...RESULT, used: 0, gain: none } })] }));
    await screen.findByRole('heading', { name: /there is nothing to gain yet/ });
  });

  it('is taken into use and given up again with one press each', async () => {
    const used = run({ usedSince: '2026-06-11T08:00:00.000Z' });
    const { answers, sent } = show(learning({ runs: [run()] }), LEAD, {
      [`PUT ${PATH}/used`]: learning(),
    });
    const use = await screen.findByRole('button', { name: 'Use for new visits' });
    answers[`GET ${PATH}`] = learning({ runs: [used] });
    await userEvent.click(use);
    await screen.findByRole('heading', {
      name: 'The diagnosis starts from what it learned from 212 of your own cars.',
    });
    answers[`GET ${PATH}`] = learning({ runs: [run()] });
    await userEvent.click(screen.getByRole('button', { name: 'Back to the usual figures' }));
    await screen.findByRole('button', { name: 'Use for new visits' });
    expect(sent().map(({ body }) => body)).toEqual([{ runId: id(1) }, { runId: null }]);
  });

  it('goes back to an earlier version', async () => {
    const second = run({ id: id(2), version: 2, usedSince: '2026-07-11T08:00:00.000Z' });
    const { sent } = show(learning({ runs: [second, run()] }), LEAD, {
      [`PUT ${PATH}/used`]: learning(),
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Version 1' }));
    await userEvent.click(screen.getByRole('button', { name: 'Use for new visits' }));
    await waitFor(() => expect(sent().map(({ body }) => body)).toEqual([{ runId: id(1) }]));
  });

  it('starts over where one was stopped', async () => {
    const stopped = run({ state: 'canceled', stage: 'reading', done: 110, result: null });
    const { answers, sent } = show(learning({ runs: [stopped] }), LEAD, {
      [`POST ${PATH}`]: learning(),
    });
    const over = await screen.findByRole('button', { name: 'Start over' });
    answers[`GET ${PATH}`] = learning({ runs: [run({ id: id(2), version: 2 }), stopped] });
    await userEvent.click(over);
    await screen.findByRole('button', { name: 'Use for new visits' });
    expect(sent()[0]!.body).not.toEqual({ id: id(1) });
  });

  it('says why it could not begin', async () => {
    show(learning(), LEAD, { [`POST ${PATH}`]: 409 });
    await userEvent.click(await screen.findByRole('button', { name: /^Learn/ }));
    await screen.findByText(/Refused with 409/);
  });
});

describe('learnedAsCsv', () => {
  it('has every figure', () => {
    const { data } = Papa.parse<Record<string, string>>(learnedAsCsv(RESULT), { header: true });
    expect(data).toHaveLength(12);
    expect(data[4]).toEqual({
      figure: 'Front toe out',
      usual: '30 %',
      'this shop': '46 %',
      '19 times in 20': '42 % to 50 %',
    });
  });
});
