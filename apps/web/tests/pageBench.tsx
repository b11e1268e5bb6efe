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
  /** Behind the question mark, with it. */
  query: string;
  body: unknown;
}

/** Answers by method and path, or promises of them; a number is a refusal of that status, none at all a server that is gone. */
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
    const { pathname, search } = new URL(request.url);
    const what = `${request.method} ${pathname}`;
    const text = await request.text();
    const isJson = request.headers.get('content-type')?.includes('json') ?? false;
    asked.push({ what, query: search, body: isJson ? JSON.parse(text) : text || null });
    const answer = await known[what];
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
  const { unmount } = render(
    <Provider store={createStore()}>
      <ThemeProvider theme={createKeenTheme('light')}>
        <RouterProvider router={router} />
      </ThemeProvider>
    </Provider>,
  );
  return {
    unmount,
    /** What the page asked to be changed. */
    sent: () =>
      asked.filter(({ what }) => !what.startsWith('GET')).map(({ what, body }) => ({ what, body })),
    /** What was asked for with a method and path, as it stood behind the question mark. */
    queries: (of: string) => asked.filter(({ what }) => what === of).map(({ query }) => query),
    /** Later answers. */
    answers: known,
  };
}
