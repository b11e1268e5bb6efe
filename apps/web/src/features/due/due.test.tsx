import type { DueRow, VisitDetail, VisitDraft } from '@keen/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import dayjs from 'dayjs';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { visitDetail } from '../../../tests/visitBench.tsx';
import { DuePage } from './DuePage.tsx';

const VISIT = visitDetail().visit.id;
/** As the server sends it. */
function sentDetail(draft: VisitDraft): VisitDetail {
  const detail = visitDetail(draft);
  const vehicle = { ...detail.visit.vehicle, id: '44444444-4444-4444-8444-444444444444' };
  return { ...detail, visit: { ...detail.visit, vehicle } };
}

const inDays = (days: number) => dayjs().add(days, 'day').format('YYYY-MM-DD');
const row = (days: number, change: Partial<DueRow> = {}): DueRow => ({
  visitId: VISIT,
  number: 7,
  place: 0,
  reminder: { what: 'nuts', on: inDays(days), afterKm: 100, state: 'open' },
  car: 'Test van',
  plate: 'T 1',
  customer: 'Tess Ter',
  phone: '+49 30 1',
  ...change,
});

describe('DuePage', () => {
  it('tells what is overdue from what is coming up, within the span that is chosen', async () => {
    const near = [row(-3), row(20, { place: 1 })];
    const { answers, queries } = showPage(<DuePage />, {
      answers: { 'GET /api/due': { rows: near, after: null } },
    });
    const late = within(await screen.findByRole('list', { name: 'Overdue' }));
    expect(late.getAllByRole('listitem')).toHaveLength(1);
    expect(late.getByRole('link', { name: '+49 30 1' })).toHaveAttribute('href', 'tel:+49301');
    const soon = () => within(screen.getByRole('list', { name: 'Coming up' }));
    expect(soon().getAllByRole('listitem')).toHaveLength(1);
    answers['GET /api/due'] = { rows: [...near, row(200, { place: 2 })], after: null };
    await userEvent.click(screen.getByRole('button', { name: 'All' }));
    await waitFor(() => expect(soon().getAllByRole('listitem')).toHaveLength(2));
    expect(queries('GET /api/due')).toEqual([
      expect.stringMatching(/until=\d{4}-\d{2}-\d{2}$/),
      expect.not.stringContaining('until'),
    ]);
  });

  it('goes on with the next page where the list is longer', async () => {
    const { answers } = showPage(<DuePage />, {
      answers: { 'GET /api/due': { rows: [row(3)], after: '2026-01-01.7.0' } },
    });
    const more = await screen.findByRole('button', { name: 'Later ones' });
    answers['GET /api/due'] = { rows: [row(5, { place: 1 })], after: null };
    await userEvent.click(more);
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(2));
    expect(screen.queryByRole('button', { name: 'Later ones' })).toBeNull();
  });

  it('marks the one thing as done in what the visit says now', async () => {
    const next = [
      { what: 'nuts' as const, on: inDays(-3), afterKm: 100, state: 'open' as const },
      { what: 'tread' as const, on: inDays(90), afterKm: null, state: 'open' as const },
    ];
    const { sent } = showPage(<DuePage />, {
      answers: {
        'GET /api/due': { rows: [row(-3)], after: null },
        [`GET /api/visits/${VISIT}`]: sentDetail({ visit: { handOver: { next } } }),
        [`POST /api/visits/${VISIT}/entries`]: { entries: [], seq: 1 },
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: /^Done: .*Test van, T 1/ }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]!.body).toMatchObject({
      entries: [
        {
          path: 'visit.handOver.next',
          value: [
            { what: 'nuts', state: 'done' },
            { what: 'tread', state: 'open' },
          ],
        },
      ],
    });
  });

  it('changes nothing when the list has changed meanwhile, and says so', async () => {
    const { sent } = showPage(<DuePage />, {
      answers: {
        'GET /api/due': { rows: [row(-3)], after: null },
        [`GET /api/visits/${VISIT}`]: sentDetail({}),
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: /^Dismiss/ }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The list has changed');
    expect(sent()).toEqual([]);
  });

  it('has its empty and its failed state', async () => {
    const { answers } = showPage(<DuePage />, { answers: { 'GET /api/due': 503 } });
    expect(await screen.findByRole('alert')).toHaveTextContent('Refused with 503');
    answers['GET /api/due'] = { rows: [], after: null };
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Nothing is due.')).toBeVisible();
  });
});
