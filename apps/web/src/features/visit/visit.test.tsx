import { configureStore } from '@reduxjs/toolkit';
import { act, render, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import { keenApi } from '../../api/keenApi.ts';
import { outbox, outboxSlice } from '../../api/outboxSlice.ts';
import { evenDraft, visitDetail } from '../../../tests/visitBench.tsx';
import { SafetyStrip } from './SafetyStrip.tsx';
import { SavedState } from '../../shared/SavedState.tsx';
import { StepRail } from './StepRail.tsx';
import { useVisitDraft } from './useVisitDraft.ts';

/** The store without the sender: nothing leaves the test. */
function createTestStore() {
  return configureStore({
    reducer: { [keenApi.reducerPath]: keenApi.reducer, outbox: outboxSlice.reducer },
    middleware: (standard) => standard().concat(keenApi.middleware),
  });
}

let store: ReturnType<typeof createTestStore>;
const wrapper = ({ children }: { children: ReactNode }) => (
  <Provider store={store}>{children}</Provider>
);
beforeEach(() => {
  store = createTestStore();
});

describe('useVisitDraft', () => {
  it('folds what is still on its way over what the server has', () => {
    const detail = visitDetail({ vehicle: { drive: 'fwd' } });
    const { result } = renderHook(() => useVisitDraft(detail), { wrapper });
    act(() => result.current.enter('tires.lf.newDepth', 8));
    expect(result.current.draft).toEqual({
      vehicle: { drive: 'fwd' },
      tires: { lf: { newDepth: 8 } },
    });
    expect(store.getState().outbox.pending).toMatchObject([
      { visitId: detail.visit.id, entry: { path: 'tires.lf.newDepth', value: 8 } },
    ]);
  });

  it('enters nothing when nothing changes', () => {
    const detail = visitDetail({ complaints: ['noise'] });
    const { result } = renderHook(() => useVisitDraft(detail), { wrapper });
    act(() => result.current.enter('complaints', ['noise']));
    act(() => result.current.enter('visit.words', null));
    expect(store.getState().outbox.pending).toEqual([]);
  });

  it('takes back what one act entered in one, and what was entered before it in another', () => {
    const { result } = renderHook(() => useVisitDraft(visitDetail({})), { wrapper });
    act(() => result.current.enter('visit.words', 'pulls'));
    act(() =>
      result.current.enterAll([
        { path: 'angles.lf', value: { toe: 0.4 } },
        { path: 'angles.rf', value: { toe: 0.4 } },
      ]),
    );
    act(() => result.current.undo?.());
    expect(result.current.draft).toEqual({ angles: {}, visit: { words: 'pulls' } });
    act(() => result.current.redo?.());
    expect(result.current.draft.angles).toEqual({ lf: { toe: 0.4 }, rf: { toe: 0.4 } });
    act(() => result.current.undo?.());
    act(() => result.current.undo?.());
    expect(result.current.draft.visit?.words).toBeUndefined();
    expect(result.current.undo).toBeNull();
  });

  it('undoes and redoes by entering what was before and after', () => {
    const detail = visitDetail({ vehicle: { drive: 'fwd' } });
    const { result } = renderHook(() => useVisitDraft(detail), { wrapper });
    expect(result.current.undo).toBeNull();
    act(() => result.current.enter('vehicle.drive', 'awd'));
    act(() => result.current.undo?.());
    expect(result.current.draft.vehicle?.drive).toBe('fwd');
    expect(result.current.undo).toBeNull();
    act(() => result.current.redo?.());
    expect(result.current.draft.vehicle?.drive).toBe('awd');
    expect(store.getState().outbox.pending).toHaveLength(3);
  });

  it('counts an entry once when the server already has it', () => {
    const entry = { id: 'x', path: 'tires.lf.newDepth', value: 8, at: '2026-03-01T10:00:00.000Z' };
    const detail = visitDetail({ tires: { lf: { newDepth: 9 } } });
    detail.entries = [{ ...entry, seq: 1, personId: 'p' }];
    store.dispatch(outbox.entered({ pending: { visitId: detail.visit.id, entry }, before: null }));
    const { result } = renderHook(() => useVisitDraft(detail), { wrapper });
    expect(result.current.draft.tires?.lf?.newDepth).toBe(9);
  });
});

describe('SavedState', () => {
  const { id } = visitDetail().visit;
  const unsent = {
    visitId: id,
    entry: { id: 'e', path: 'visit.words', value: 'x', at: '2026-03-01T10:00:00.000Z' },
  };

  it('says saved, saving, and how much is not saved while the server is away', () => {
    render(<SavedState visitId={id} />, { wrapper });
    expect(screen.getByRole('status')).toHaveTextContent('Saved');
    act(() => void store.dispatch(outbox.entered({ pending: unsent, before: null })));
    expect(screen.getByRole('status')).toHaveTextContent('Saving…');
    act(() => void store.dispatch(outbox.waits('away')));
    expect(screen.getByRole('status')).toHaveTextContent('1 not saved yet');
    act(() => void store.dispatch(outbox.sent(['e'])));
    expect(screen.getByRole('status')).toHaveTextContent('Saved');
  });
});

describe('StepRail', () => {
  it('says in words what is done, begun and open', () => {
    render(
      <MemoryRouter>
        <StepRail
          hasTread={false}
          draft={evenDraft(6)}
          isDecided={false}
          visitId="v"
          current="explain"
        />
      </MemoryRouter>,
    );
    expect(screen.getByRole('link', { name: /^Read, done/ })).toBeVisible();
    expect(screen.getByRole('link', { name: /^Inspect, open/ })).toBeVisible();
    expect(screen.getByRole('link', { name: /^Explain/ })).toHaveAttribute('aria-current', 'step');
  });
});

describe('SafetyStrip', () => {
  it('speaks only of tires that are unsafe', () => {
    const { rerender } = render(
      <SafetyStrip draft={{ tires: { lf: { damage: ['puncture'] } } }} />,
    );
    expect(screen.queryByRole('alert')).toBeNull();
    rerender(<SafetyStrip draft={{ tires: { lf: { damage: ['cut'] } } }} />);
    expect(screen.getByRole('alert')).toHaveTextContent('Not safe to drive: left front');
    rerender(
      <SafetyStrip
        draft={{ play: { rf: 'excessive' }, tires: { lr: { stations: [{ inner: 1.5 }] } } }}
      />,
    );
    expect(screen.getByRole('alert')).toHaveTextContent(
      /too much play: right front\..*can come apart.*Below the legal limit: left rear\./,
    );
  });
});
