/**
 * Somebody signed out at this tablet and the server could not be told yet. Until it is, nothing is asked
 * in that person's name: the cookie is out of the page's reach, so the page holds itself back.
 */
const MARK = 'keen-signed-out';

let hasLeft = false;

/** Whether the last person here signed out, so that the next one starts at Today and not where they were. */
export function hasSignedOut(): boolean {
  return hasLeft;
}

/** Somebody has come in: where a session that runs out was, they go on. */
export function noteSignedIn(): void {
  hasLeft = false;
  clearSignedOut();
}

export function markSignedOut(): void {
  hasLeft = true;
  try {
    localStorage.setItem(MARK, '1');
  } catch {
    // Without storage there is nothing to hold back after a reload either.
  }
}

export function clearSignedOut(): void {
  try {
    localStorage.removeItem(MARK);
  } catch {
    // As above.
  }
}

export function isMarkedSignedOut(): boolean {
  try {
    return localStorage.getItem(MARK) !== null;
  } catch {
    return false;
  }
}

/** Tells when another window of this tablet has signed out. @returns stops listening */
export function onSignedOutElsewhere(tell: () => void): () => void {
  const hear = ({ key, newValue }: StorageEvent) => {
    if (key === MARK && newValue !== null) tell();
  };
  window.addEventListener('storage', hear);
  return () => window.removeEventListener('storage', hear);
}
