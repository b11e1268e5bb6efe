/**
 * The service worker: the app and what was seen of the shop open without a network. What is typed
 * meanwhile waits in the outbox of the page; this only answers questions.
 */

/** The part of a service worker's scope that is used here; the page's library does not know it. */
interface WorkerScope {
  addEventListener(kind: 'install' | 'activate', listen: (event: Lasting) => void): void;
  addEventListener(kind: 'fetch', listen: (event: Asked) => void): void;
  addEventListener(kind: 'message', listen: (event: Said) => void): void;
  skipWaiting(): Promise<void>;
  clients: { claim(): Promise<void> };
}
interface Lasting {
  waitUntil(work: Promise<unknown>): void;
}
interface Said extends Lasting {
  data: unknown;
}
interface Asked extends Lasting {
  request: Request;
  respondWith(answer: Promise<Response>): void;
}

const scope = self as unknown as WorkerScope;
const SHELL = 'keen-shell';
/** Also named where one signs out, which empties it. */
const DATA = 'keen-data-2';
const LIST = '/asset-list.json';
/** Questions whose last answer is good enough without a network. */
const KEPT =
  /^\/api\/(welcome|session|visits|visits\/[0-9a-f-]{36}|sheets|tire-lines|devices\/rig)$/;
/** Open visits fetched ahead, so that each opens offline. */
const MOST_AHEAD = 40;
/** The page's name for it; a service worker shares no file with the page. */
const KEPT_HEADER = 'keen-kept';

scope.addEventListener('install', (event) => {
  event.waitUntil(fillShell().then(() => scope.skipWaiting()));
});
scope.addEventListener('activate', (event) => {
  event.waitUntil(
    forgetOlder()
      .then(() => scope.clients.claim())
      .then(cacheEarlyRequests),
  );
});
scope.addEventListener('message', (event) => {
  if (event.data === 'refreshAhead') event.waitUntil(cacheEarlyRequests());
});
scope.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (url.pathname.startsWith('/assets/')) event.respondWith(asset(request));
  else if (isKept(url)) event.respondWith(answer(event, url));
});

/** Searches are not kept: each letter typed is another. */
function isKept({ pathname, search }: URL): boolean {
  return KEPT.test(pathname) && (search === '' || search === '?all=true');
}

/** Fetches the page and everything it may load; files of an older build are deleted. */
async function fillShell(): Promise<void> {
  const list = (await (await fetch(LIST, { cache: 'no-store' })).json()) as string[];
  const shell = await caches.open(SHELL);
  const known = new Set((await shell.keys()).map(({ url }) => new URL(url).pathname));
  await shell.addAll(['/', ...list.filter((path) => !known.has(path))]);
  const wanted = new Set(['/', ...list]);
  for (const request of await shell.keys()) {
    if (!wanted.has(new URL(request.url).pathname)) await shell.delete(request);
  }
}

/** Answers that an older build kept, which this one may not understand. */
async function forgetOlder(): Promise<void> {
  for (const name of await caches.keys()) {
    if (name !== SHELL && name !== DATA) await caches.delete(name);
  }
}

async function page(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return (await caches.match('/')) ?? Response.error();
  }
}

async function asset(request: Request): Promise<Response> {
  return (await caches.match(request)) ?? fetch(request);
}

/** The server's answer while it answers, its last one otherwise. */
async function answer(event: Asked, url: URL): Promise<Response> {
  const data = await caches.open(DATA);
  try {
    const fresh = await fetch(event.request);
    if (fresh.ok) {
      await data.put(url.href, fresh.clone());
      if (url.pathname === '/api/visits' && url.search === '') {
        event.waitUntil(fetchAhead(data, fresh.clone()));
      }
    } else if (fresh.status === 401) {
      // Nobody is signed in any more: what was seen is nobody's business.
      await caches.delete(DATA);
    }
    return fresh;
  } catch {
    const kept = await data.match(url.href);
    return kept ? marked(kept) : Response.error();
  }
}

/** Says that an answer may be old, so that the page asks again. */
function marked(kept: Response): Response {
  const headers = new Headers(kept.headers);
  headers.set(KEPT_HEADER, '1');
  return new Response(kept.body, { status: kept.status, headers });
}

/** Keeps what the page asked for before there was anybody here to keep it. */
async function cacheEarlyRequests(): Promise<void> {
  const data = await caches.open(DATA);
  for (const path of ['/api/welcome', '/api/session', '/api/sheets', '/api/visits']) {
    const fresh = await fetch(path).catch(() => null);
    if (!fresh?.ok) continue;
    await data.put(new URL(path, location.origin).href, fresh.clone());
    if (path === '/api/visits') await fetchAhead(data, fresh);
  }
}

/** Fetches the visits of a list that are not kept yet, or have gone on since. */
async function fetchAhead(data: Cache, list: Response): Promise<void> {
  const { visits } = (await list.json()) as { visits: { id: string; seq: number }[] };
  for (const { id, seq } of visits.slice(0, MOST_AHEAD)) {
    const url = new URL(`/api/visits/${id}`, location.origin).href;
    const kept = await data.match(url);
    const known = kept ? ((await kept.json()) as { visit: { seq: number } }).visit.seq : null;
    if (known === seq) continue;
    const fresh = await fetch(url).catch(() => null);
    if (fresh?.ok) await data.put(url, fresh);
  }
}

// A file of its own, not a script that shares its names.
export {};
