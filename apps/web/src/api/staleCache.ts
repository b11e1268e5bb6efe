/** Marks an answer that the service worker gave from what it keeps, since the server was silent. */
export const KEPT_HEADER = 'keen-kept';

let listener: (() => void) | null = null;
let isNoted = false;

/** An answer came from what is kept: it may be old. */
export function noteStale(): void {
  if (listener) listener();
  else isNoted = true;
}

/**
 * Hears of answers that may be old, also of one that came before anybody listened.
 * @returns stops listening
 */
export function onStale(next: () => void): () => void {
  listener = next;
  if (isNoted) next();
  isNoted = false;
  return () => {
    listener = null;
  };
}
