import type { PageError } from '@keen/contract';

/** A page that breaks again and again tells so often and no more. */
const MOST_A_LOAD = 5;
const MOST_FRAMES = 12;
const LONGEST_FRAME = 200;
const UUID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/gi;

let told = 0;

/** Tells the server of an error of this page: its kind and where, never its message, which may hold what was typed. */
export function reportError(error: unknown): void {
  if (told >= MOST_A_LOAD) return;
  told++;
  void fetch('/api/page-errors', {
    method: 'POST',
    // It goes out even when the page is being left.
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(pageErrorOf(error, location)),
  }).catch(() => undefined);
}

/** Tells of errors that nothing has caught. */
export function reportUncaught(): void {
  addEventListener('error', ({ error }) => reportError(error));
  addEventListener('unhandledrejection', ({ reason }) => reportError(reason));
}

/** An error as it may be told: ids and tokens are left out of the path, and of the stack all but the places. */
export function pageErrorOf(
  error: unknown,
  { origin, pathname }: Pick<Location, 'origin' | 'pathname'>,
): PageError {
  const { name, stack = '' } =
    error instanceof Error ? error : { name: error === null ? 'null' : typeof error };
  // Chromium begins a place with "at", others have the function, an @ and the address.
  const isPlace = (line: string) => /^\s+at /.test(line) || line.includes(`@${origin}/`);
  return {
    name: name.slice(0, 80) || 'Error',
    page: pathname
      .replace(/^\/(s|password)\/.*/, '/$1/:token')
      .replace(UUID, ':id')
      .slice(0, 120),
    frames: stack
      .split('\n')
      .filter(isPlace)
      .slice(0, MOST_FRAMES)
      .map((line) => line.trim().replaceAll(origin, '').slice(0, LONGEST_FRAME)),
  };
}
