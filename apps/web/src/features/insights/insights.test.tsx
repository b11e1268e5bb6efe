import type { AdviceCount } from '@keen/contract';
import { reliability } from '@keen/core';
import type { Reliability } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { adviceAsCsv } from './adviceAsCsv.ts';
import { bandsAsCsv } from './bandsAsCsv.ts';
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
) =>
  showPage(<InsightsPage />, {
    answers: {
      'GET /api/session': session,
      'GET /api/insights/advice': typeof counts === 'number' ? counts : { counts },
      'GET /api/insights/declined': { rows, before: null },
      'GET /api/insights/reliability': held,
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
    expect(rows.getByRole('row', { name: /^40 % to 60 %/ })).toHaveTextContent(
      '40 % to 60 %8050 %50 %39 % to 61 %',
    );
  });

  it('is denied where more or less was out than said', async () => {
    show(COUNTS, [], LEAD, heldBy(60, 1));
    expect(
      await screen.findByRole('heading', { name: /^More is out of its limits here/ }),
    ).toBeVisible();
  });

  it('is not claimed from a few cars', async () => {
    show(COUNTS, [], LEAD, heldBy(12, 0.5));
    expect(await screen.findByRole('heading', { name: /Too few cars to tell/ })).toBeVisible();
    expect(screen.getByText(/From 30 cars on this says something/)).toBeVisible();
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
    expect(screen.getByText(/^Work was advised at 35 of 39 visits: 27 yes, 82 %/)).toBeVisible();
    const actions = within(screen.getByRole('list', { name: 'By what was advised' }));
    const [align, parts, ...none] = actions.getAllByRole('listitem');
    expect(align).toHaveTextContent('80 % yes (63 to 90)');
    expect(within(align!).getByRole('img')).toHaveAccessibleName('24 yes, 6 no, 2 still thinking');
    expect(none).toEqual([]);
    expect(parts).toHaveTextContent('too few to tell');
    expect(parts).toHaveTextContent('at 3 something else was chosen');
    const people = within(screen.getByRole('list', { name: 'By who asked' }));
    expect(people.getByText('Somebody who left')).toBeVisible();
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
    expect(data[3]).toMatchObject({ person: 'Somebody who left', answer: 'yes', visits: '3' });
  });
});
