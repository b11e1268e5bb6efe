import type { CarDetail, GarageRow, Visit, VisitDraft } from '@keen/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Papa from 'papaparse';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { evenDraft, visitDetail } from '../../../tests/visitBench.tsx';
import { EngineWorker } from '../../../tests/workerBench.ts';
import * as files from '../../shared/saveFile.ts';
import { FleetPage } from './FleetPage.tsx';

const SIZE = '205/65R16';
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const vehicle = (n: number) => ({ ...visitDetail().visit.vehicle, id: id(n), plate: `F ${n}` });

function sized(draft: VisitDraft): VisitDraft {
  const tires = Object.fromEntries(
    Object.entries(draft.tires ?? {}).map(([wheel, tire]) => [wheel, { ...tire, size: SIZE }]),
  );
  return { ...draft, tires };
}

function car(n: number, mm: number | null): CarDetail {
  const read: Visit = {
    ...visitDetail(mm === null ? {} : sized(evenDraft(mm))).visit,
    id: id(100 + n),
    vehicle: vehicle(n),
    arrivedAt: '2026-03-01T09:00:00.000Z',
  };
  return { vehicle: vehicle(n), visits: [read], due: [], customerCars: 3, doubles: [], merges: [] };
}

const row = (n: number): GarageRow => ({ vehicle: vehicle(n), visits: 1, last: null, due: null });

const show = (answers = {}) =>
  showPage(<FleetPage />, {
    path: '/garage/:vehicleId/fleet',
    at: `/garage/${id(1)}/fleet`,
    answers: {
      'GET /api/garage': { rows: [row(1), row(2), row(3)], after: null },
      [`GET /api/garage/${id(1)}`]: car(1, 6.8),
      [`GET /api/garage/${id(2)}`]: car(2, 1.5),
      [`GET /api/garage/${id(3)}`]: car(3, null),
      ...answers,
    },
  });

describe('FleetPage', () => {
  beforeEach(() => vi.stubGlobal('Worker', EngineWorker));

  it('lists the cars by when they need tires, and saves them as a table', async () => {
    const save = vi.spyOn(files, 'saveFile').mockImplementation(() => undefined);
    show();
    await screen.findByText(/^3 cars: 1 needs tires now/, {}, { timeout: 120_000 });
    const items = within(screen.getByRole('list', { name: 'Cars of the fleet' })).getAllByRole(
      'listitem',
    );
    expect(items.map((item) => within(item).getByRole('link').textContent)).toEqual([
      'F 2',
      'F 1',
      'F 3',
    ]);
    expect(items[0]).toHaveTextContent('◆ now');
    expect(items[2]).toHaveTextContent('too early to tell');
    expect(screen.getByRole('region', { name: /^Tires to stock by/ })).toHaveTextContent(
      `${SIZE}for 1 of 2 cars`,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Save as CSV' }));
    const [name, text] = save.mock.calls[0]!;
    expect(name).toBe('fleet.csv');
    const { data } = Papa.parse<Record<string, string>>(text, { header: true });
    expect(data.map((line) => line.plate)).toEqual(['F 2', 'F 1', 'F 3']);
    expect(data[1]!['tires needed, likely']).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    const asIs = Number(data[1]!['cost for 1000 km as it is, EUR']);
    expect(asIs).toBeGreaterThan(0);
    const parts = Object.entries(data[1]!).filter(([column]) =>
      column.startsWith('of it as it is'),
    );
    expect(parts).toHaveLength(6);
    expect(parts.reduce((sum, [, value]) => sum + Number(value), 0)).toBeCloseTo(asIs, 1);
    const causes = within(screen.getByRole('region', { name: /^What wears the tires: about €/ }));
    expect(causes.getAllByRole('listitem')[0]).toHaveTextContent(/^Wear that any car has€/);
  });

  it('says what went wrong, and tries again', async () => {
    const { answers } = show({ 'GET /api/garage': 500 });
    await screen.findByText(/Refused with 500/);
    answers['GET /api/garage'] = { rows: [row(3)], after: null };
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(screen.getByText(/1 car, none read in full yet/)).toBeVisible());
  });
});
