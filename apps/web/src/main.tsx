import '@fontsource-variable/archivo/standard.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { loadPending } from './api/outboxStorage.ts';
import { App } from './app/App.tsx';
import { createStore } from './app/store.ts';
import { registerOffline } from './offline/register.ts';

async function open(root: HTMLElement): Promise<void> {
  const store = createStore(await loadPending());
  createRoot(root).render(
    <StrictMode>
      <App store={store} />
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root) void open(root);
registerOffline();
