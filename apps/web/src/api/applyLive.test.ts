import type { StoredEntry, Visit } from '@keen/contract';
import { configureStore } from '@reduxjs/toolkit';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { visitDetail } from '../../tests/visitBench.tsx';
import { keenApi } from './keenApi.ts';
import { applyEntries, applyVisit } from './applyLive.ts';

/** As the server sends it, arrived so many minutes after another. */
function visit(number: number, change: Partial<Visit> = {}): Visit {
  const id = `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;
  const arrivedAt = new Date(Date.UTC(2026, 2, 1, 9, number)).toISOString();
  const { visit: plain } = visitDetail();
  const vehicle = { ...plain.vehicle, id };
  return { ...plain, vehicle, id, number, arrivedAt, closedAt: null, seq: 4, ...change };
}

function stored(seq: number, path: string, value: unknown): StoredEntry {
  const id = `11111111-1111-4111-8111-${String(seq).padStart(12, '0')}`;
  return { id, path, value, at: '2026-03-01T09:00:00.000Z', seq, personId: id };
}

const { endpoints, util } = keenApi;
const createStore = () =>
  configureStore({
    reducer: { [keenApi.reducerPath]: keenApi.reducer },
    middleware: (standard) => standard().concat(keenApi.middleware),
  });
let store: ReturnType<typeof createStore>;
let asked: string[];
beforeEach(async () => {
  asked = [];
  vi.stubGlobal('fetch', (request: Request) => {
    const { search } = new URL(request.url);
    asked.push(search);
    return Promise.resolve(
      Response.json({ visits: [visit(3), visit(2)], before: search === '' ? null : 2 }),
    );
  });
  store = createStore();
  await store.dispatch(endpoints.openVisits.initiate());
  await store.dispatch(endpoints.searchVisits.initiate(''));
  await store.dispatch(endpoints.searchVisits.initiate('van'));
  asked = [];
});

const open = () => endpoints.openVisits.select()(store.getState()).data!.visits;
const found = (words: string) =>
  endpoints.searchVisits
    .select(words)(store.getState())
    .data!.pages.flatMap((page) => page.visits);
const numbers = (list: readonly Visit[]) => list.map(({ number }) => number);

describe('a change that another tablet made', () => {
  it('is folded into the row of its visit in every list, and nothing is fetched', () => {
    store.dispatch(applyEntries(visit(2).id, [stored(5, 'visit.waits', 'counter')]));
    for (const list of [open(), found(''), found('van')]) {
      expect(list.map(({ seq, waits }) => [seq, waits])).toEqual([
        [4, visit(3).waits],
        [5, 'counter'],
      ]);
    }
    expect(asked).toEqual([]);
  });

  it('that does not follow on what is known has the lists fetched', async () => {
    store.dispatch(applyEntries(visit(2).id, [stored(7, 'visit.waits', 'counter')]));
    await vi.waitFor(() => expect(asked.length).toBeGreaterThan(0));
  });

  it('brings a car that arrives to the top, where no words are searched for', () => {
    store.dispatch(applyVisit(visit(9)));
    expect(numbers(open())).toEqual([9, 3, 2]);
    expect(numbers(found(''))).toEqual([9, 3, 2]);
    expect(numbers(found('van'))).toEqual([3, 2]);
    expect(asked).toEqual([]);
  });

  it('takes a visit that was closed off the board, and leaves it among all', () => {
    store.dispatch(applyVisit(visit(3, { closedAt: '2026-03-01T12:00:00.000Z' })));
    expect(numbers(open())).toEqual([2]);
    expect(found('')[0]!.closedAt).not.toBeNull();
    store.dispatch(applyVisit(visit(3)));
    expect(numbers(open())).toEqual([3, 2]);
  });

  it('read before entries that are here already does not take them back', () => {
    store.dispatch(applyEntries(visit(2).id, [stored(5, 'visit.waits', 'counter')]));
    store.dispatch(applyVisit(visit(2)));
    expect(open()[1]!.waits).toBe('counter');
  });

  it('leaves a car that is older than the pages at hand to the pages to come', () => {
    store.dispatch(applyVisit(visit(1)));
    expect(numbers(found(''))).toEqual([3, 2]);
    expect(numbers(open())).toEqual([3, 2, 1]);
  });
});

describe('an answer that was long under way', () => {
  const entry = stored(5, 'visit.waits', 'counter');
  /** Answers of the server that come when the test says so. */
  function holdAnswers(answer: unknown): () => void {
    let release = () => {};
    const until = new Promise<void>((resolve) => (release = resolve));
    vi.stubGlobal('fetch', () => until.then(() => Response.json(answer)));
    return release;
  }

  it('takes no entry back that came meanwhile, and brings what else is new', async () => {
    const before = { ...visitDetail(), visit: visit(2) };
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json(before)));
    const asking = store.dispatch(endpoints.visit.initiate(before.visit.id));
    await asking;
    const release = holdAnswers({ ...before, visit: { ...before.visit, closedAt: entry.at } });
    const again = asking.refetch();
    store.dispatch(applyEntries(before.visit.id, [entry]));
    release();
    const { data } = await again;
    expect(data!.visit).toMatchObject({ seq: 5, waits: 'counter', closedAt: entry.at });
    expect(data!.entries).toEqual([entry]);
  });

  it('nor takes it back from the board', async () => {
    const release = holdAnswers({ visits: [visit(3), visit(2)], before: null });
    const again = store.dispatch(endpoints.openVisits.initiate(undefined, { forceRefetch: true }));
    store.dispatch(applyEntries(visit(2).id, [entry]));
    release();
    await again;
    expect(open().map(({ seq }) => seq)).toEqual([4, 5]);
  });
});

describe('the lists', () => {
  it('are asked for with what was typed', async () => {
    await store.dispatch(endpoints.searchVisits.initiate('a b'));
    expect(asked).toEqual(['?all=true&words=a+b']);
    expect(util.selectCachedArgsForQuery(store.getState(), 'searchVisits')).toContain('a b');
  });
});
