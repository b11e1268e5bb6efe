import type { Session, VisitDetail, VisitDraft } from '@keen/contract';
import { DEFAULT_PREFERENCES, DEFAULT_SHOP_SETTINGS } from '@keen/contract';
import { draftToCase, foldEntries } from '@keen/core';
import { ThemeProvider } from '@mui/material/styles';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, Outlet, RouterProvider } from 'react-router';
import { Provider } from 'react-redux';
import { vi } from 'vitest';
import { createStore } from '../src/app/store.ts';
import { createKeenTheme } from '../src/app/theme.ts';
import type { VisitContext } from '../src/shared/visitContext.ts';
import { IDLE } from '../src/workers/useDiagnosis.ts';

export const PERSON = {
  id: '11111111-1111-4111-8111-111111111111',
  name: 'Mira Test',
  role: 'lead',
} as const;

export const SESSION: Session = {
  person: PERSON,
  shop: {
    id: '22222222-2222-4222-8222-222222222222',
    name: 'Test Tires',
    town: 'Testhaven',
    isDemo: true,
    hasLogo: false,
    settings: DEFAULT_SHOP_SETTINGS,
    chain: null,
  },
  shops: [
    {
      id: '22222222-2222-4222-8222-222222222222',
      name: 'Test Tires',
      town: 'Testhaven',
      role: 'lead',
    },
  ],
  people: [PERSON],
  preferences: DEFAULT_PREFERENCES,
  account: { hasPassword: true, hasSecondFactor: false, mustSetUpSecondFactor: false },
};

export function visitDetail(draft: VisitDraft = {}): VisitDetail {
  return {
    visit: {
      id: '33333333-3333-4333-8333-333333333333',
      number: 7,
      vehicle: {
        id: '4',
        plate: 'T 1',
        label: 'Test van',
        customer: 'Tess Ter',
        phone: '',
        vin: '',
        drive: null,
      },
      arrivedAt: '2026-03-01T09:00:00.000Z',
      closedAt: null,
      draft,
      seq: 0,
      waits: null,
      decision: null,
    },
    entries: [],
    decisions: [],
    history: [],
  };
}

/** Shows a step of a visit with this draft, and tells what it entered and where it went. */
export function showStep(
  step: ReactNode,
  { draft = {}, ...given }: Partial<VisitContext> & { draft?: VisitDraft } = {},
) {
  const enter = vi.fn();
  const goTo = vi.fn();
  const setActiveSlot = vi.fn();
  const setTried = vi.fn();
  const { ribsRead, assumed } = draftToCase(draft, 'Test van');
  const context: VisitContext = {
    session: SESSION,
    preferences: SESSION.preferences,
    units: SESSION.preferences.units,
    detail: visitDetail(draft),
    draft,
    enter,
    enterAll: (changes) => {
      for (const { path, value } of changes) enter(path, value);
    },
    undo: null,
    redo: null,
    diagnosing: IDLE,
    ribsRead,
    assumed,
    activeSlot: null,
    setActiveSlot,
    setSpokenOf: vi.fn(),
    setTried,
    setAtHand: vi.fn(),
    isBay: false,
    goTo,
    ...given,
  };
  const router = createMemoryRouter([
    {
      path: '/',
      element: <Outlet context={context} />,
      children: [{ index: true, element: step }],
    },
  ]);
  render(
    <Provider store={createStore()}>
      <ThemeProvider theme={createKeenTheme('light')}>
        <RouterProvider router={router} />
      </ThemeProvider>
    </Provider>,
  );
  return { enter, goTo, setActiveSlot, setTried };
}

/** A draft with all twelve ribs at this depth, mm. */
export function evenDraft(mm: number): VisitDraft {
  const wheels = ['lf', 'rf', 'lr', 'rr'];
  return foldEntries(
    { vehicle: { drive: 'fwd' } },
    wheels.flatMap((wheel) => [
      { path: `tires.${wheel}.newDepth`, value: 8 },
      { path: `tires.${wheel}.distance`, value: 20_000 },
      ...['inner', 'centre', 'outer'].map((rib) => ({
        path: `tires.${wheel}.stations.0.${rib}`,
        value: mm,
      })),
    ]),
  );
}
