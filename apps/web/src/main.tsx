import '@fontsource-variable/archivo/standard.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { keenApi } from './api/keenApi.ts';
import { loadPending } from './api/outboxStorage.ts';
import { failureOf } from './api/problem.ts';
import { noteNobody, noteSignedIn, seemsSignedIn } from './api/signOutMark.ts';
import { App } from './app/App.tsx';
import { reportUncaught } from './app/reportErrors.ts';
import { createStore } from './app/store.ts';
import { registerOffline } from './offline/register.ts';

/** What anybody may open: signing in, choosing a password, a customer's sheet. */
const OPEN = /^\/(sign-in|password\/|s\/)/;

async function open(root: HTMLElement): Promise<void> {
  const store = createStore(await loadPending());
  if (!OPEN.test(location.pathname)) {
    const asked = store.dispatch(keenApi.endpoints.session.initiate());
    // A device that knows nobody asks first, instead of loading a page that is not going to be shown.
    if (!seemsSignedIn()) {
      // Most likely it will be the front door: its code and its question go beside.
      store.dispatch(keenApi.util.prefetch('welcome', undefined, {}));
      void import('./features/signIn/SignInPage.tsx');
      const { data, error } = await asked;
      if (data) noteSignedIn();
      else if (error && failureOf(error).status === 401) toSignIn();
    }
    asked.unsubscribe();
  }
  createRoot(root).render(
    <StrictMode>
      <App store={store} />
    </StrictMode>,
  );
}

/** The router begins at the front door, which leads on to where one wanted to go. */
function toSignIn(): void {
  noteNobody();
  history.replaceState({ usr: { from: location.pathname } }, '', '/sign-in');
}

reportUncaught();
const root = document.getElementById('root');
if (root) void open(root);
registerOffline();
