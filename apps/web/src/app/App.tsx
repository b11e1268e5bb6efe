import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { useSessionQuery } from '../api/keenApi.ts';
import { CrashPage } from './CrashPage.tsx';
import { GlobalInk } from './GlobalInk.tsx';
import { createRouter } from './router.tsx';
import type { createStore } from './store.ts';
import { createKeenTheme } from './theme.ts';
import type { Scheme } from './tokens.ts';
import { useIsPrinting } from './useIsPrinting.ts';

export function App({ store }: { store: ReturnType<typeof createStore> }) {
  return (
    <Provider store={store}>
      <Inked store={store} />
    </Provider>
  );
}

/** Light or dark, by the person's choice or the device's. */
function Inked({ store }: { store: ReturnType<typeof createStore> }) {
  const { data: session } = useSessionQuery();
  const deviceIsDark = useMediaQuery('(prefers-color-scheme: dark)');
  const wanted = session?.preferences.theme ?? 'system';
  const isPrinting = useIsPrinting();
  const chosen: Scheme = wanted === 'system' ? (deviceIsDark ? 'dark' : 'light') : wanted;
  // Paper is light, whatever the screen is.
  const scheme: Scheme = isPrinting ? 'light' : chosen;
  const theme = useMemo(() => createKeenTheme(scheme), [scheme]);
  const [router] = useState(() => createRouter(store));
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <GlobalInk scheme={scheme} />
      <ErrorBoundary FallbackComponent={CrashPage}>
        <RouterProvider router={router} />
      </ErrorBoundary>
    </ThemeProvider>
  );
}
