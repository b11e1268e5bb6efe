import type { Visit, VisitDraft } from '@keen/contract';
import { diagnose, draftToCase } from '@keen/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import dayjs from 'dayjs';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { evenDraft, showStep, visitDetail } from '../../../tests/visitBench.tsx';
import { IDLE } from '../../workers/useDiagnosis.ts';
import type { Diagnosing } from '../../workers/useDiagnosis.ts';
import { HandOverStep } from './HandOverStep.tsx';

const draft = evenDraft(6.5);
const { file } = draftToCase(draft, 'Test van');
const answer = diagnose(file);
const worked: Diagnosing = { ...IDLE, state: 'full', answer, file, progress: 1 };
const LINK = {
  id: '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d',
  token: 'abc',
  endsAt: '2026-04-01T10:00:00.000Z',
  opened: 2,
};

/** What the server answers to, by method and path. */
let asked: string[] = [];
beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(`${request.method} ${new URL(request.url).pathname}`);
    const links = request.method === 'POST' || asked.some((one) => one.startsWith('POST'));
    return Promise.resolve(Response.json(links ? [LINK] : []));
  });
});

function show(visit: VisitDraft['visit'] = {}) {
  const given = { ...draft, visit };
  return showStep(<HandOverStep />, { draft: given, diagnosing: worked });
}

describe('HandOverStep', () => {
  it('shows the sheet in the customer’s language, and keeps another when it is pressed', () => {
    const { enter } = show();
    expect(screen.getByRole('article')).toHaveAttribute('lang', 'en');
    expect(screen.getByRole('article')).toHaveTextContent('What wore the tires');
    fireEvent.click(screen.getByRole('button', { name: 'Español' }));
    expect(enter).toHaveBeenCalledWith('visit.handOver.language', 'es');
  });

  it('speaks Spanish, in the customer’s units', () => {
    const units = { depth: 'in32', distance: 'mi', pressure: 'psi' } as const;
    show({ handOver: { language: 'es', units } });
    const sheet = screen.getByRole('article');
    expect(sheet).toHaveAttribute('lang', 'es');
    expect(sheet).toHaveTextContent('32avos de pulgada');
    expect(sheet).toHaveTextContent(/\d\d\s000\smi/);
    expect(within(sheet).getByRole('img', { name: /Delantero izquierdo: interior/ })).toBeVisible();
  });

  it('puts what is due on the list, by what is driven in a year', () => {
    const { enter } = show({ handOver: { kmPerYear: 8_000 } });
    fireEvent.click(screen.getByRole('button', { name: 'Put on the shop’s list' }));
    expect(enter).toHaveBeenCalledWith('visit.handOver.next', [
      { what: 'rotation', on: '2027-03-01', afterKm: 8_000, state: 'open' },
      { what: 'alignment', on: '2027-03-01', afterKm: null, state: 'open' },
    ]);
    expect(screen.getByRole('link', { name: /calendar/ })).toHaveAttribute('aria-disabled', 'true');
  });

  it('lets a day be moved once it is on the list', () => {
    const next = [{ what: 'tread', on: '2026-09-01', afterKm: 8_000, state: 'open' }] as const;
    const { enter } = show({ handOver: { next: [...next] } });
    fireEvent.change(screen.getByLabelText('Check the tread by'), {
      target: { value: '2026-10-01' },
    });
    expect(enter).toHaveBeenCalledWith('visit.handOver.next', [{ ...next[0], on: '2026-10-01' }]);
    expect(screen.getByRole('link', { name: /calendar/ })).not.toHaveAttribute('aria-disabled');
  });

  it('makes a link and shows its address with how often it was read', async () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Make a link' }));
    await waitFor(() =>
      expect(screen.getByLabelText('Address')).toHaveValue(`${window.location.origin}/s/abc`),
    );
    expect(screen.getByText(/opened 2×/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Revoke' }));
    await waitFor(() => expect(asked).toContain(`DELETE /api/links/${LINK.id}`));
  });

  it('offers the tables that have something in them', () => {
    show();
    expect(screen.getByRole('button', { name: 'Readings (CSV)' })).toBeEnabled();
    expect(screen.getByRole('button', { name: 'Angles (CSV)' })).toBeDisabled();
  });

  it('sends to Read when there is nothing to hand over, and waits for the answer', () => {
    const { goTo } = showStep(<HandOverStep />);
    fireEvent.click(screen.getByRole('button', { name: 'Read the tread' }));
    expect(goTo).toHaveBeenCalledWith('read');
    showStep(<HandOverStep />, { draft });
    expect(screen.getAllByText('Working out the answer…')[0]).toBeVisible();
  });
});

describe('an earlier decline on the sheet', () => {
  it('stands there with what it has cost', () => {
    const earlier: Visit = {
      ...visitDetail(evenDraft(7)).visit,
      id: '44444444-4444-4444-8444-444444444444',
      number: 3,
      arrivedAt: '2025-03-01T09:00:00.000Z',
      draft: { tires: { lf: { distance: 1_000 }, rf: { distance: 1_000 } } },
      decision: {
        id: '5',
        action: 'fitOnly',
        advised: 'align',
        answer: 'no',
        reason: 'next year',
        replace: [],
        entrySeq: 1,
        personId: '6',
        at: '2025-03-01T09:10:00.000Z',
      },
    };
    const lost = structuredClone(answer);
    lost.diagnosis.wheels.lf.wear.toe = 2;
    const detail = { ...visitDetail(draft), history: [earlier] };
    showStep(<HandOverStep />, { draft, detail, diagnosing: { ...worked, answer: lost } });
    expect(screen.getByRole('article')).toHaveTextContent(
      /Advised on 1 March 2025 and declined: align the wheels\./,
    );
  });
});

describe('tires that are stored', () => {
  const STORED = {
    place: 'Rack B 12',
    count: 4,
    season: 'winter',
    size: '205/55R16',
    onRims: true,
    since: '2026-04-02',
  } as const;
  const section = () => within(screen.getByRole('region', { name: 'Tires stored here' }));
  const press = (name: string) => fireEvent.click(section().getByRole('button', { name }));
  const type = (label: string, value: string) =>
    fireEvent.change(section().getByLabelText(label), { target: { value } });

  it('are noted with their place, and not without one', async () => {
    const { enter } = show();
    press('Tires stay here');
    type('How many', '9');
    press('Save');
    await section().findByText('Where they can be found again');
    expect(section().getByText('1 to 8')).toBeVisible();
    expect(enter).not.toHaveBeenCalled();
    type('Place', ' Attic 3 ');
    type('How many', '4');
    press('Summer');
    fireEvent.click(section().getByLabelText('On rims'));
    press('Save');
    await waitFor(() =>
      expect(enter).toHaveBeenCalledWith('visit.handOver.stored', {
        place: 'Attic 3',
        count: 4,
        season: 'summer',
        onRims: false,
        since: dayjs().format('YYYY-MM-DD'),
      }),
    );
  });

  it('keep the day since when they are here when they are moved, and are given back with one press', async () => {
    const { enter } = show({ handOver: { stored: STORED } });
    expect(
      section().getByText('4 winter tires, 205/55R16, on rims, at Rack B 12 since 2 Apr 2026'),
    ).toBeVisible();
    press('Change');
    type('Place', 'Rack A 1');
    press('Save');
    await waitFor(() =>
      expect(enter).toHaveBeenCalledWith('visit.handOver.stored', { ...STORED, place: 'Rack A 1' }),
    );
    press('Given back');
    expect(enter).toHaveBeenLastCalledWith('visit.handOver.stored', null);
  });
});
