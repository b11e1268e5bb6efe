import type {
  AdviceCount,
  Comebacks,
  DeclineCosts,
  ForecastsHeld as Forecasts,
} from '@keen/contract';
import { reliability } from '@keen/core';
import type { Reliability } from '@keen/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { adviceAsCsv } from './adviceAsCsv.ts';
import { bandsAsCsv } from './bandsAsCsv.ts';
import { comebacksAsCsv } from './comebackWords.ts';
import { InsightsPage } from './InsightsPage.tsx';

const GONE = '00000000-0000-4000-8000-000000000009';
const LEAD = { ...SESSION, person: { ...PERSON, role: 'lead' as const } };
const count = (change: Partial<AdviceCount>): AdviceCount => ({
  personId: PERSON.id,
  advised: 'align',
  chosen: 'align',
  answer: 'yes',
  count: 1,
  ...change,
});
const COUNTS = [
  count({ count: 24 }),
  count({ answer: 'no', count: 6 }),
  count({ answer: 'open', count: 2 }),
  count({ personId: GONE, advised: 'partsThenAlign', chosen: 'fitOnly', count: 3 }),
  count({ advised: 'fitOnly', chosen: 'fitOnly', count: 4 }),
];
const DECLINED = {
  visitId: '00000000-0000-4000-8000-000000000004',
  number: 12,
  plate: 'TEST 12',
  label: 'Test van',
  at: '2026-03-05T09:00:00.000Z',
  chosen: 'align',
  reason: 'sells the car soon',
  personId: GONE,
  cost: null,
};
const NO_COMEBACKS: Comebacks = { withinKm: 10_000, isCut: false, works: [], rows: [] };
const COST = { seenAgain: 0, cost: { mean: 0, interval: null }, work: null, isTooFew: true };
const NO_COSTS: DeclineCosts = { declined: 0, isCut: false, all: COST, byAdvised: [] };
const NO_FORECASTS: Forecasts = {
  cars: 0,
  ribs: 0,
  isTooFew: true,
  isCut: false,
  lost: null,
  within: null,
  kinds: [],
  points: [],
};
/** Cars of which six chances were said, two of them high, which came true at `rate`. */
const heldBy = (cars: number, rate: number): Reliability =>
  reliability(
    Array.from({ length: cars }, (_, i) =>
      [0.02, 0.02, 0.02, 0.02, 0.5, 0.5].map((chance, j) => ({
        chance,
        isSo: j > 3 && (2 * i + j) % 10 < 10 * rate,
      })),
    ),
  );
const show = (
  counts: unknown,
  rows: unknown[] = [],
  session: unknown = LEAD,
  held: unknown = heldBy(0, 0),
  more: Record<string, unknown> = {},
) =>
  showPage(<InsightsPage />, {
    answers: {
      'GET /api/session': session,
      'GET /api/insights/learning': { runs: [], cars: 0, leastCars: 30 },
      'GET /api/insights/advice': typeof counts === 'number' ? counts : { counts },
      'GET /api/insights/declined': { rows, before: null },
      'GET /api/insights/reliability': held,
      'GET /api/insights/comebacks': NO_COMEBACKS,
      'GET /api/insights/decline-costs': NO_COSTS,
      'GET /api/insights/forecasts': NO_FORECASTS,
      ...more,
    },
  });

describe('whether the chances held', () => {
  it('is said plainly, with what it rests on', async () => {
    show(COUNTS, [], LEAD, heldBy(40, 0.5));
    expect(
      await screen.findByRole('heading', {
        name: 'The chances that the diagnosis said have held.',
      }),
    ).toBeVisible();
    expect(screen.getByText(/On 40 cars the rig found 40 of 120 angles/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'As a table' }));
    const rows = within(screen.getByRole('table', { name: 'Chances said and found' }));
    expect(rows.getByRole('row', { name: /^40 to 60 %/ })).toHaveTextContent(
      '40 to 60 %8050 %50 %39 to 61 %',
    );
  });

  it('is denied where more or less was out than said', async () => {
    show(COUNTS, [], LEAD, heldBy(60, 1));
    expect(
      await screen.findByRole('heading', { name: /^More is out of its limits here/ }),
    ).toBeVisible();
  });

  it('is granted on the whole where one height is off, and that one is named', async () => {
    const held = heldBy(60, 0.5);
    const bands = held.bands.map((band, i) => ({ ...band, isOff: i === 1 }));
    show(COUNTS, [], LEAD, { ...held, bands });
    expect(
      await screen.findByRole('heading', {
        name: 'Taken together the chances have held, but not at every level.',
      }),
    ).toBeVisible();
    expect(screen.getByText(/Where 50 % was said, 50 % came true \(/)).toBeVisible();
  });

  it('is not claimed from a few cars', async () => {
    show(COUNTS, [], LEAD, heldBy(12, 0.5));
    expect(await screen.findByRole('heading', { name: /Too few cars to tell/ })).toBeVisible();
    expect(screen.getByText(/It takes 30 cars before this says anything/)).toBeVisible();
  });

  it('goes out as CSV', () => {
    const { data } = Papa.parse<Record<string, string>>(bandsAsCsv(heldBy(40, 0.5)), {
      header: true,
    });
    expect(data.map((row) => [row.from, row.chances, row['came true']])).toEqual([
      ['0', '160', '0'],
      ['0.4', '80', '0.5'],
    ]);
  });
});

describe('insights', () => {
  it('say how advice is taken, by action and by person, and where there are too few to tell', async () => {
    show(COUNTS, [DECLINED]);
    expect(
      await screen.findByRole('heading', {
        name: 'About 8 in 10 customers say yes to the work advised.',
      }),
    ).toBeVisible();
    expect(
      screen.getByText(
        /^Work was advised at 35 of 39 visits: 27 yes, .* Of those who answered, 82 % said yes/,
      ),
    ).toBeVisible();
    const actions = within(screen.getByRole('list', { name: 'By what was advised' }));
    const [align, parts, ...none] = actions.getAllByRole('listitem');
    expect(align).toHaveTextContent('80 % yes (63 to 90)');
    expect(within(align!).getByRole('img')).toHaveAccessibleName('24 yes, 6 no, 2 still thinking');
    expect(none).toEqual([]);
    expect(parts).toHaveTextContent('too few to tell');
    expect(parts).toHaveTextContent('3 chose something else');
    const people = within(screen.getByRole('list', { name: 'By who asked' }));
    expect(people.getByText('Someone who left')).toBeVisible();
  });

  it('list who said no with the words that were written down', async () => {
    show(COUNTS, [DECLINED, { ...DECLINED, visitId: GONE, reason: '' }]);
    const list = within(await screen.findByRole('list', { name: 'Who said no' }));
    expect(await list.findByText('“sells the car soon”')).toBeVisible();
    expect(list.getByText('no reason written down')).toBeVisible();
    expect(list.getAllByRole('link')[0]).toHaveAttribute(
      'href',
      `/visits/${DECLINED.visitId}/decide`,
    );
  });

  it('ask for the time that was chosen', async () => {
    const { queries } = show(COUNTS);
    await screen.findByRole('heading', { name: /customers say yes/ });
    expect(queries('GET /api/insights/advice')[0]).toMatch(/^\?from=\d{4}-\d\d-\d\d$/);
    fireEvent.click(screen.getByRole('button', { name: 'All' }));
    await screen.findByRole('heading', { name: /customers say yes/ });
    expect(queries('GET /api/insights/advice').at(-1)).toBe('');
  });

  it('of a shop’s first week say what will be here', async () => {
    show([]);
    expect(
      await screen.findByRole('heading', { name: 'No decisions in this time.' }),
    ).toBeVisible();
    expect(screen.queryByRole('list', { name: 'Who said no' })).toBeNull();
  });

  it('claim nothing from a handful', async () => {
    show([count({ count: 3 })]);
    expect(
      await screen.findByRole('heading', { name: 'Too few answers to tell how advice is taken.' }),
    ).toBeVisible();
  });

  it('say so when the server does not answer, and ask again', async () => {
    const { answers } = show(500);
    const again = within(await screen.findByRole('alert')).getByRole('button');
    answers['GET /api/insights/advice'] = { counts: COUNTS };
    fireEvent.click(again);
    expect(await screen.findByRole('heading', { name: /customers say yes/ })).toBeVisible();
  });

  it('are the lead’s', async () => {
    const { queries } = show(COUNTS, [], {
      ...SESSION,
      person: { ...PERSON, role: 'advisor' as const },
    });
    expect(await screen.findByText('Only the lead sees how advice was taken.')).toBeVisible();
    expect(queries('GET /api/insights/advice')).toEqual([]);
  });

  it('go out as CSV', () => {
    const { data } = Papa.parse<Record<string, string>>(adviceAsCsv(COUNTS, LEAD), {
      header: true,
    });
    expect(data).toHaveLength(5);
    expect(data[3]).toMatchObject({ person: 'Someone who left', answer: 'yes', visits: '3' });
  });
});

const visit = (number: number) => ({
  visitId: `00000000-0000-4000-8000-0000000001${number}`,
  number,
  at: '2026-03-05T09:00:00.000Z',
});
const COMEBACKS: Comebacks = {
  withinKm: 10_000,
  isCut: false,
  works: [
    {
      work: 'aligned',
      done: 60,
      seenAgain: 40,
      cameBack: 8,
      held: { part: 0.78, low: 0.62, high: 0.88 },
      isTooFew: false,
      steps: [{ km: 4_000, atRisk: 40, undone: 8, held: 0.78, low: 0.62, high: 0.88 }],
    },
    {
      work: 'inflated',
      done: 3,
      seenAgain: 2,
      cameBack: 1,
      held: null,
      isTooFew: true,
      steps: [],
    },
  ],
  rows: [
    {
      work: 'aligned',
      plate: 'TEST 21',
      label: 'Test van',
      km: 4_000,
      how: 'measured',
      done: visit(21),
      back: visit(23),
      caughtAt: { visit: visit(22), why: 'checkNotMade' },
    },
    {
      work: 'balancedOrDampers',
      plate: 'TEST 31',
      label: 'Test car',
      km: 9_000,
      how: 'bounce',
      done: visit(31),
      back: visit(33),
      caughtAt: null,
    },
    {
      work: 'inflated',
      plate: 'TEST 41',
      label: 'Test car',
      km: 9_000,
      how: 'pressure',
      done: visit(41),
      back: visit(43),
      caughtAt: null,
    },
  ],
};
const showWith = (more: Record<string, unknown>) => show(COUNTS, [], LEAD, heldBy(0, 0), more);

describe('whether the work held', () => {
  const answers = { 'GET /api/insights/comebacks': COMEBACKS };

  it('is said of alignments, and of each kind in a table', async () => {
    showWith(answers);
    expect(
      await screen.findByRole('heading', {
        name: /^About 8 in 10 alignments still hold after 10\s000\skm\.$/,
      }),
    ).toBeVisible();
    const rows = within(screen.getByRole('table', { name: 'How work held' }));
    expect(rows.getByRole('row', { name: /^Alignment/ })).toHaveTextContent(
      'Alignment6040878 % (62 to 88)',
    );
    expect(rows.getByRole('row', { name: /^Pressures set/ })).toHaveTextContent('too few to tell');
    expect(
      await screen.findByRole('img', { name: 'Still holds after 4\u00a0000 km: 78 %' }),
    ).toBeVisible();
  });

  it('names what came back and the visit that could have caught it, pressures left out', async () => {
    showWith(answers);
    const list = within(await screen.findByRole('list', { name: 'Comebacks' }));
    const [first, second, ...none] = list.getAllByRole('listitem');
    expect(first).toHaveTextContent(
      'Alignment at visit 21; 4 000 km on, at visit 23, angles were found out again',
    );
    expect(first).toHaveTextContent('Visit 22: a check was advised and not made');
    expect(within(first!).getByRole('link', { name: 'Visit 22' })).toHaveAttribute(
      'href',
      `/visits/${visit(22).visitId}/decide`,
    );
    expect(second).toHaveTextContent('Nothing before it would have shown it.');
    expect(none).toEqual([]);
    const { data } = Papa.parse<Record<string, string>>(comebacksAsCsv(COMEBACKS.rows), {
      header: true,
    });
    expect(data[0]).toMatchObject({ plate: 'TEST 21', 'after km': '4000' });
    expect(data[0]!['could have been caught']).toContain('visit 22');
    expect(data[1]!['could have been caught']).toBe('none');
  });

  it('goes by a distance that the lead sets here', async () => {
    const { sent } = showWith({
      ...answers,
      'PUT /api/shop/settings': { ...SESSION.shop.settings, comebackKm: 15_000 },
    });
    const field = await screen.findByRole('textbox', { name: 'A comeback is within' });
    expect(field).toHaveValue('10000');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '15000' } });
    fireEvent.blur(field);
    await waitFor(() =>
      expect(sent()).toEqual([{ what: 'PUT /api/shop/settings', body: { comebackKm: 15_000 } }]),
    );
  });

  it('is not claimed from a few cars', async () => {
    showWith({});
    expect(
      await screen.findByRole('heading', {
        name: 'Does the work hold? Too few cars came back to tell.',
      }),
    ).toBeVisible();
  });
});

describe('what saying no has cost', () => {
  it('is told with its interval, and where too few came back', async () => {
    const cost = { mean: 4_210, interval: { low: 2_500, high: 5_900 } };
    showWith({
      'GET /api/insights/decline-costs': {
        declined: 30,
        isCut: false,
        all: { seenAgain: 14, cost, work: 9_000, isTooFew: false },
        byAdvised: [
          { advised: 'align', seenAgain: 12, cost, work: 8_900, isTooFew: false },
          { ...COST, advised: 'balanceOrDampers', seenAgain: 2 },
        ],
      } satisfies DeclineCosts,
    });
    expect(
      await screen.findByRole('heading', {
        name: 'A no costs the customer about €42 in rubber by the next visit.',
      }),
    ).toBeVisible();
    const rows = within(screen.getByRole('table', { name: 'What saying no has cost' }));
    expect(rows.getByRole('row', { name: /^Align/ })).toHaveTextContent('12€42 (€25 to €59)€89');
    expect(rows.getByRole('row', { name: /^Balance/ })).toHaveTextContent('too few to tell');
  });

  it('stands beside each no', async () => {
    const cost = { visitId: GONE, number: 77, minor: 3_499 };
    show(COUNTS, [
      { ...DECLINED, cost },
      { ...DECLINED, visitId: GONE, cost: { ...cost, minor: 0 } },
    ]);
    const list = within(await screen.findByRole('list', { name: 'Who said no' }));
    expect(await list.findByText('€35 by visit 77')).toBeVisible();
    expect(list.getByText('nothing to speak of by visit 77')).toBeVisible();
  });
});

describe('whether tires wore as forecast', () => {
  const held = (mean: number, cars = 40): Forecasts => ({
    cars,
    ribs: 12 * cars,
    isTooFew: cars < 20,
    isCut: false,
    lost: { mean, interval: { low: mean - 0.04, high: mean + 0.04 } },
    within: { part: 0.78, low: 0.72, high: 0.84 },
    kinds: [
      {
        kind: 'fresh',
        cars: 24,
        ribs: 96,
        isTooFew: false,
        lost: { mean: 0.97, interval: { low: 0.9, high: 1.04 } },
        within: { part: 0.81, low: 0.7, high: 0.9 },
      },
      { kind: 'putRight', cars: 3, ribs: 36, isTooFew: true, lost: null, within: null },
    ],
    points: [
      {
        visitId: GONE,
        number: 52,
        plate: 'TEST 52',
        kind: 'ranOn',
        km: 8_000,
        forecast: 1.6,
        found: 1.75,
      },
    ],
  });
  const showHeld = (data: Forecasts) => showWith({ 'GET /api/insights/forecasts': data });

  it('is said plainly, with what it means for a life', async () => {
    showHeld(held(1.25));
    expect(
      await screen.findByRole('heading', {
        name: 'Tires wear 25 % faster here than forecast.',
      }),
    ).toBeVisible();
    expect(screen.getByText(/so a tire lasts 20 % shorter than forecast\./)).toBeVisible();
    expect(screen.getByText(/78 % of the readings lay within the range/)).toBeVisible();
    const section = within(screen.getByRole('region', { name: /Tires wear/ }));
    const kinds = within(section.getByRole('table', { name: 'Forecasts by kind' }));
    expect(kinds.getByRole('row', { name: /^New tires/ })).toHaveTextContent(
      'New tires2497 % (90 to 104 %)81 %',
    );
    expect(kinds.getByRole('row', { name: /^On cars put right/ })).toHaveTextContent(
      '3too few to tell',
    );
    fireEvent.click(section.getByRole('button', { name: 'As a table' }));
    const rows = within(screen.getByRole('table', { name: 'Forecast and read' }));
    expect(rows.getByRole('row', { name: /^TEST 52/ })).toHaveTextContent(
      'TEST 52visit 528 0001.61.8',
    );
  });

  it('is granted where the forecast held, and not claimed from a few cars', async () => {
    const { unmount } = showHeld(held(1.01));
    expect(await screen.findByRole('heading', { name: 'Tires wore as forecast.' })).toBeVisible();
    unmount();
    showHeld(held(1.25, 9));
    expect(
      await screen.findByRole('heading', {
        name: 'Did tires wear as forecast? Too few came back to tell.',
      }),
    ).toBeVisible();
    expect(screen.getByText(/It takes 20 cars before this says anything/)).toBeVisible();
  });
});

describe('the demo shop’s made-up years', () => {
  const PATH = 'GET /api/shop/made-up-years';

  it('are said to be made up, and how far they are', async () => {
    showWith({ [PATH]: { cars: 400, made: 37, brokeOff: false } });
    expect(await screen.findByText(/are being simulated: 37 of 400 cars/)).toBeVisible();
    expect(screen.getByRole('progressbar', { name: 'Cars simulated' })).toHaveAttribute(
      'aria-valuenow',
      '9',
    );
    expect(screen.getByRole('button', { name: 'Show what is new' })).toBeVisible();
  });

  it('are declared when they are whole, and when they broke off', async () => {
    const { unmount } = showWith({ [PATH]: { cars: 400, made: 400, brokeOff: false } });
    expect(await screen.findByText(/^All of this is made up: 400 cars/)).toBeVisible();
    unmount();
    showWith({ [PATH]: { cars: 400, made: 12, brokeOff: true } });
    expect(await screen.findByText(/stopped at 12 of 400 cars/)).toBeVisible();
  });

  it('are not spoken of in a shop that has none', async () => {
    showWith({ [PATH]: { cars: 0, made: 0, brokeOff: false } });
    await screen.findByRole('heading', { name: /customers say yes/ });
    expect(screen.queryByText(/made up/)).toBeNull();
  });
});
