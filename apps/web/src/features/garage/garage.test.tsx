import type { CarDetail, GarageRow, Visit, VisitDraft } from '@keen/contract';
import { carStory } from '@keen/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Papa from 'papaparse';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, visitDetail } from '../../../tests/visitBench.tsx';
import { SilentWorker } from '../../../tests/workerBench.ts';
import { angleChanges } from './angleChanges.ts';
import { angleTracks, tracksAsCsv } from './angleTracks.ts';
import { chartRows, chartRowsAsCsv } from './chartRows.ts';
import { CarPage } from './CarPage.tsx';
import { GaragePage } from './GaragePage.tsx';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const VEHICLE = { ...visitDetail().visit.vehicle, id: id(1), phone: '+49 30 1' };
const CAR = `/garage/${VEHICLE.id}`;

const tread = (km: number, inner: number, more: VisitDraft = {}): VisitDraft => ({
  tires: Object.fromEntries(
    (['lf', 'rf', 'lr', 'rr'] as const).map((wheel) => [
      wheel,
      { newDepth: 8, distance: km, stations: [{ inner, centre: inner + 1, outer: inner + 1 }] },
    ]),
  ),
  ...more,
});

function visit(n: number, draft: VisitDraft, change: Partial<Visit> = {}): Visit {
  return {
    ...visitDetail(draft).visit,
    id: id(100 + n),
    number: n,
    vehicle: VEHICLE,
    arrivedAt: `2026-0${n}-10T09:00:00.000Z`,
    closedAt: `2026-0${n}-10T12:00:00.000Z`,
    ...change,
  };
}

const decided = (change: Partial<NonNullable<Visit['decision']>>): Visit['decision'] => ({
  id: id(900),
  action: 'align',
  replace: [],
  answer: 'yes',
  reason: '',
  advised: 'align',
  entrySeq: 1,
  personId: PERSON.id,
  at: '2026-03-10T11:00:00.000Z',
  ...change,
});

const car = (change: Partial<CarDetail> = {}): CarDetail => ({
  vehicle: VEHICLE,
  visits: [],
  due: [],
  customerCars: 1,
  doubles: [],
  merges: [],
  ...change,
});

const show = (detail: CarDetail, answers = {}) =>
  showPage(<CarPage />, {
    path: '/garage/:vehicleId',
    at: CAR,
    answers: { [`GET /api${CAR}`]: detail, ...answers },
  });

const CUSTOMER = {
  carId: id(1),
  name: 'Tess Ter',
  phone: '0123 555 010',
  cars: 3,
  lastVisitAt: '2026-03-01T09:00:00.000Z',
};

beforeEach(() => vi.stubGlobal('Worker', SilentWorker));

describe('GaragePage', () => {
  const row = (n: number, change: Partial<GarageRow> = {}): GarageRow => ({
    vehicle: { ...VEHICLE, id: id(n), plate: `T ${n}` },
    visits: n,
    last: { id: id(50), number: 3, arrivedAt: '2026-03-01T09:00:00.000Z', draft: {} },
    due: null,
    ...change,
  });

  it('lists the cars, goes on with more, and asks for what is typed', async () => {
    const { answers, queries } = showPage(<GaragePage />, {
      answers: { 'GET /api/garage': { rows: [row(1), row(2)], after: id(2) } },
    });
    const list = within(await screen.findByRole('list', { name: 'Cars' }));
    expect(list.getAllByRole('link')[1]).toHaveAttribute('href', `/garage/${id(2)}`);
    expect(list.getByText('1 visit')).toBeVisible();
    answers['GET /api/garage'] = { rows: [row(3)], after: null };
    await userEvent.click(screen.getByRole('button', { name: 'More cars' }));
    await waitFor(() => expect(list.getAllByRole('link')).toHaveLength(3));
    answers['GET /api/garage'] = { rows: [], after: null };
    // At once, since a slow machine would pause between letters and be asked for each.
    fireEvent.change(screen.getByLabelText('Search the cars'), {
      target: { value: '205/55 tess' },
    });
    await screen.findByText('No car fits this search.');
    expect(queries('GET /api/garage')).toEqual(['', `?after=${id(2)}`, '?words=205%2F55+tess']);
  });

  it('marks what is overdue', async () => {
    const reminder = { what: 'nuts', on: '2020-01-01', afterKm: null, state: 'open' } as const;
    showPage(<GaragePage />, {
      answers: { 'GET /api/garage': { rows: [row(1, { due: reminder })], after: null } },
    });
    await screen.findByText(/overdue since 1 Jan 2020/);
  });

  it('shows the cars of one customer where it came from one of them', async () => {
    const { queries } = showPage(<GaragePage />, {
      at: `/?customerOf=${id(1)}`,
      answers: {
        'GET /api/garage': { rows: [row(1), row(2)], after: null },
        [`GET /api/garage/${id(1)}/customer`]: { ...CUSTOMER, doubles: [], merges: [] },
      },
    });
    await screen.findByRole('heading', { name: 'Cars of Tess Ter' });
    expect(queries('GET /api/garage')).toEqual([`?customerOf=${id(1)}`]);
  });

  it('says that nothing is there yet, and what went wrong', async () => {
    const { answers } = showPage(<GaragePage />, { answers: { 'GET /api/garage': 500 } });
    await screen.findByText(/Refused with 500/);
    answers['GET /api/garage'] = { rows: [], after: null };
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await screen.findByText('No car has been here yet.');
  });
});

describe('CarPage', () => {
  const three = [
    visit(6, tread(40_000, 4.4)),
    visit(3, tread(20_000, 5.2, { angles: { lf: { toe: 0.1 }, rf: { toe: 0.1 } } }), {
      decision: decided({}),
    }),
  ];

  it('says what the alignment did to the wear', async () => {
    show(car({ visits: three }));
    const title = 'Since the alignment on 10 Mar 2026';
    const said = await screen.findByRole('heading', { name: new RegExp(`^${title}`) });
    expect(said).toHaveTextContent(
      'the left front’s inner rib has lost 0.4 mm in 10 000 km instead of 1.4.',
    );
    const table = within(screen.getByRole('region', { name: 'Wear then and now' }));
    expect(table.getAllByText('slower')).toHaveLength(4);
  });

  it('does not call an alignment a success that was declined, or that changed nothing', async () => {
    const declined = three.map((one) =>
      one.decision ? { ...one, decision: decided({ answer: 'no' }) } : one,
    );
    show(car({ visits: declined }));
    await screen.findByRole('heading', { name: /^Since the visit on/ });
    expect(screen.getByText('declined')).toBeVisible();
  });

  it('says so where an alignment changed nothing', async () => {
    show(car({ visits: [visit(6, tread(40_000, 2.4)), three[1]!] }));
    await screen.findByRole('heading', {
      name: 'Since the alignment on 10 Mar 2026 the left front’s inner rib has lost 1.4\u00a0mm in 10\u00a0000 km, as before.',
    });
  });

  it('goes through the readings by its slider, its keys, and its list', async () => {
    show(car({ visits: three }));
    const slider = await screen.findByRole('slider', { name: 'Visit shown' });
    const tires = within(screen.getByRole('region', { name: 'Tread through time' }));
    expect(slider).toHaveAttribute('aria-valuetext', '10 Jun 2026');
    expect(tires.getByLabelText('left front inner, 4.4 mm')).toBeVisible();
    await userEvent.keyboard('{ArrowLeft}');
    expect(tires.getByLabelText('left front inner, 5.2 mm')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Show the tread of 10 Jun 2026' }));
    expect(tires.getByLabelText('left front inner, 4.4 mm')).toBeVisible();
  });

  it('tells what was found, advised and agreed at each visit, and the sets of tires', async () => {
    const replaced = visit(3, tread(30_000, 2, { visit: { words: 'Pulls left' } }), {
      decision: decided({ replace: ['lf', 'rf'], advised: 'fitOnly', reason: 'Wanted it so' }),
    });
    show(car({ visits: [replaced] }));
    await screen.findByText('“Pulls left”');
    expect(screen.getByText(/new: left front, right front/)).toBeVisible();
    expect(screen.getByText('Wanted it so')).toBeVisible();
    expect(screen.getByText('On the car: both rear')).toBeVisible();
    expect(screen.getByText('Replaced')).toBeVisible();
    const lives = screen.getAllByRole('list', { name: 'Its history' });
    expect(lives[0]).toHaveTextContent('Mar 2026first read, both rear');
  });

  it('joins an entry that looks the same, and takes it apart again', async () => {
    const other = { ...VEHICLE, id: id(2), plate: 'T l' };
    const merge = {
      id: id(7),
      vehicle: other,
      visits: 1,
      personId: PERSON.id,
      at: '2026-06-10T09:00:00.000Z',
    };
    const joined = car({ merges: [merge] });
    const { answers, sent } = show(car({ doubles: [other] }), {
      [`POST /api${CAR}/merges`]: joined,
      [`DELETE /api${CAR}/merges/${id(7)}`]: car({ doubles: [other] }),
    });
    await screen.findByRole('heading', { name: 'Entered twice?' });
    answers[`GET /api${CAR}`] = joined;
    await userEvent.click(screen.getByRole('button', { name: 'It is this car: join' }));
    await screen.findByText(/T l was joined to this car, 1 visit/);
    await userEvent.click(screen.getByRole('button', { name: 'Separate T l again' }));
    await waitFor(() =>
      expect(sent().map(({ what }) => what)).toEqual([
        `POST /api${CAR}/merges`,
        `DELETE /api${CAR}/merges/${id(7)}`,
      ]),
    );
    expect(sent()[0]!.body).toMatchObject({ vehicleId: id(2) });
  });

  it('starts a visit, or opens the one that is open', async () => {
    const { sent } = show(car({ visits: three }), { 'POST /api/visits': 503 });
    await userEvent.click(await screen.findByRole('button', { name: 'New visit' }));
    await screen.findByText(/Refused with 503/);
    expect(sent()[0]!.body).toMatchObject({ vehicle: { id: VEHICLE.id }, entries: [] });
  });

  it('has something to say of a car that was never here, and of one that is not there', async () => {
    show(car());
    await screen.findByRole('heading', { name: 'No tread has been read yet.' });
    expect(screen.getByText(/has not been here yet/)).toBeVisible();
  });
});

describe('the depths of a tire', () => {
  it('go out as a table with what is to come', () => {
    const { wheels } = carStory([visit(3, tread(20_000, 5.2)), visit(6, tread(40_000, 4.4))]);
    const span = (median: number) => ({ low: median - 0.5, median, high: median + 0.5 });
    const curve = { km: [0, 5_000], mm: [span(4.4), span(3.8)] };
    const rows = chartRows(wheels[0]!, { inner: curve, centre: null, outer: null });
    const { data } = Papa.parse<Record<string, string>>(
      chartRowsAsCsv(rows, { depth: 'mm', distance: 'km', pressure: 'bar' }),
      { header: true },
    );
    expect(data.map((row) => `${row['distance, km']} ${row.kind}`)).toEqual([
      '0 new',
      '20000 read',
      '40000 read',
      '40000 forecast',
      '45000 forecast',
    ]);
    expect(data[2]!['inner, mm']).toBe('4.40');
    expect(data[4]).toMatchObject({ 'inner, low': '3.30', 'centre, mm': '' });
  });
});

describe('angles of a visit', () => {
  it('are told as found, and as set where they were', () => {
    const draft: VisitDraft = {
      angles: {
        lf: { toe: 0.05, camber: -0.5 },
        rf: { toe: 0.05, camber: -0.6 },
        lr: { toe: 0.1 },
      },
      visit: {
        setRight: { before: { lf: { toe: 0.4, camber: -0.5 }, rf: { toe: 0.3, camber: -1.6 } } },
      },
    };
    const told = angleChanges(draft);
    expect(told.map(({ what }) => what)).toEqual([
      'Front total toe',
      'Left front camber',
      'Right front camber',
    ]);
    expect(told[0]).toMatchObject({ found: 0.7, set: 0.1 });
    expect(told[1]!.set).toBeNull();
    expect(told[2]!.set).toBe(-0.6);
    expect(angleChanges({})).toEqual([]);
  });
});

describe('angles over the years', () => {
  const toe = (each: number) => ({
    lf: { toe: each, camber: -0.5 },
    rf: { toe: each, camber: -0.5 },
  });
  const first = visit(2, {
    angles: toe(0.05),
    visit: { setRight: { before: toe(0.3) } },
  });
  const second = visit(5, {
    angles: toe(0.2),
    tolerances: { totalToe: { front: [0, 0.2] } },
  });

  it('are drawn from visit to visit, as found and as set, each with its limits', async () => {
    show(car({ visits: [second, first] }));
    expect(
      await screen.findByRole(
        'img',
        { name: 'Front total toe: Feb 2026 +0.60°, set to +0.10°; May 2026 +0.40°' },
        // The chart's part of the app is loaded when it is first needed.
        { timeout: 10_000 },
      ),
    ).toBeVisible();
    // By the sheet of the latest visit 0.4 is out; by the usual limits of camber nothing is.
    expect(screen.getByText(/◆ \+0.40°/)).toBeVisible();
    fireEvent.click(screen.getAllByRole('button', { name: 'As a table' }).at(-1)!);
    const table = within(screen.getByRole('table', { name: 'Angles over the years' }));
    expect(table.getByRole('row', { name: /visit 2 \+0.60°/ })).toHaveTextContent(
      'Front total toe10 Feb 2026, visit 2+0.60°+0.10°0.00° to +0.20°',
    );
  });

  it('go out as CSV', () => {
    const { data } = Papa.parse<Record<string, string>>(tracksAsCsv(angleTracks([second, first])), {
      header: true,
    });
    expect(data.slice(0, 2)).toEqual([
      {
        angle: 'Front total toe',
        visit: '2',
        on: '2026-02-10',
        found: '0.600',
        set: '0.100',
        'limit, low': '0',
        'limit, high': '0.2',
      },
      expect.objectContaining({ visit: '5', found: '0.400', set: '' }),
    ]);
  });

  it('need two visits at which an angle was measured', () => {
    expect(angleTracks([first])).toEqual([]);
    expect(angleTracks([first, visit(5, tread(30_000, 5))])).toEqual([]);
    expect(angleTracks([first, second]).map(({ what }) => what)).toEqual([
      'Front total toe',
      'Left front camber',
      'Right front camber',
    ]);
  });
});
