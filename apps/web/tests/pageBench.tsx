import { render } from '@testing-library/react';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { createStore } from '../src/app/store.ts';
import { createKeenTheme } from '../src/app/theme.ts';
import { SESSION } from './visitBench.tsx';

/** What was asked of the server: method and path, with what was sent. */
export interface Asked {
  what: string;
  body: unknown;
}

/** Answers by method and path; a number is a refusal of that status, none at all a server that is gone. */
export type Answers = Record<string, unknown>;

/**
 * Shows a page against a server that answers as told, somebody signed in unless `GET /api/session` says
 * otherwise.
 * @param path - pattern of the page's route; `at` - the address it is opened at
 */
export function showPage(
  page: ReactNode,
  { path = '/', at = path, answers = {} }: { path?: string; at?: string; answers?: Answers },
) {
  const asked: Asked[] = [];
  const known: Answers = { 'GET /api/session': SESSION, ...answers };
  vi.stubGlobal('fetch', async (request: Request) => {
    const what = `${request.method} ${new URL(request.url).pathname}`;
    const text = await request.text();
    asked.push({ what, body: text === '' ? null : JSON.parse(text) });
    const answer = known[what];
    if (answer === undefined) throw new TypeError(`nobody answers ${what}`);
    if (typeof answer !== 'number') return Response.json(answer);
    const title = `Refused with ${answer}`;
    const problem = { type: 'about:blank', title, status: answer, code: 'refused' };
    return Response.json(problem, {
      status: answer,
      headers: { 'content-type': 'application/problem+json' },
    });
  });
  const router = createMemoryRouter(
    [
      { path, element: page },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [at] },
  );
  render(
    <Provider store={createStore()}>
      <ThemeProvider theme={createKeenTheme('light')}>
        <RouterProvider router={router} />
      </ThemeProvider>
    </Provider>,
  );
  return {
    /** What the page asked to be changed. */
    sent: () => asked.filter(({ what }) => !what.startsWith('GET')),
    /** Later answers. */
    answers: known,
  };
}
