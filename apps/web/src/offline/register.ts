/** Where the service worker keeps what it saw of the shop. */
const DATA = 'keen-data-2';
/** What is kept for later follows the shop's changes by so much, so that each does not fetch a list. */
const AHEAD_MS = 60_000;

/** Lets the app open without a network from the second visit on; silent where the browser cannot. */
export function registerOffline(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const register = () => {
    navigator.serviceWorker.register('/sw.js').catch((error: unknown) => {
      console.warn('The app will not open without a network', error);
    });
  };
  // The first page comes before what is kept for later.
  if (document.readyState === 'complete') register();
  else window.addEventListener('load', register, { once: true });
}

/** Forgets what was seen of the shop, for the next person at this tablet. */
export async function forgetOffline(): Promise<void> {
  if ('caches' in window) await caches.delete(DATA);
}

let waiting: ReturnType<typeof setTimeout> | undefined;

/** Has what is kept for later brought up to date, once in a while however often it is asked. */
export function refreshAhead(): void {
  if (!('serviceWorker' in navigator) || waiting !== undefined) return;
  waiting = setTimeout(() => {
    waiting = undefined;
    navigator.serviceWorker.controller?.postMessage('refreshAhead');
  }, AHEAD_MS);
}
