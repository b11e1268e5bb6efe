/**
 * Somebody signed out at this tablet and the server could not be told yet. Until it is, nothing is asked
 * in that person's name: the cookie is out of the page's reach, so the page holds itself back.
 */
const MARK = 'keen-signed-out';

/** That somebody is signed in here, as far as this device knows; the server has the last word. */
const IN = 'keen-signed-in';

/** The shop that was changed to last in any window of this device. */
const SHOP = 'keen-shop';

let hasLeft = false;

/** Whether the last person here signed out, so that the next one starts at Today and not where they were. */
export function hasSignedOut(): boolean {
  return hasLeft;
}

/** Somebody has come in: where a session that runs out was, they go on. */
export function noteSignedIn(): void {
  hasLeft = false;
  clearSignedOut();
  try {
    localStorage.setItem(IN, '1');
  } catch {
    // The next start asks the server first, and takes a moment longer.
  }
}

/** Nobody is signed in here: the server said so. */
export function noteNobody(): void {
  try {
    localStorage.removeItem(IN);
  } catch {
    // As above.
  }
}

/** Whether it is worth loading the shop's pages before the server has said who is here. */
export function seemsSignedIn(): boolean {
  try {
    return localStorage.getItem(IN) !== null;
  } catch {
    return false;
  }
}

export function markSignedOut(): void {
  hasLeft = true;
  noteNobody();
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

/** Tells the other windows of this device that the session goes on in another shop. */
export function notifyShopChanged(shopId: string): void {
  try {
    // Changing back and forth is news each time.
    localStorage.removeItem(SHOP);
    localStorage.setItem(SHOP, shopId);
  } catch {
    // They find out with their next question.
  }
}

/** Tells when another window of this device went on in another shop. @returns stops listening */
export function onShopChanged(tell: () => void): () => void {
  const hear = ({ key, newValue }: StorageEvent) => {
    if (key === SHOP && newValue !== null) tell();
  };
  window.addEventListener('storage', hear);
  return () => window.removeEventListener('storage', hear);
}

/** Tells when another window of this tablet has signed out. @returns stops listening */
export function onSignedOutElsewhere(tell: () => void): () => void {
  const hear = ({ key, newValue }: StorageEvent) => {
    if (key === MARK && newValue !== null) tell();
  };
  window.addEventListener('storage', hear);
  return () => window.removeEventListener('storage', hear);
}
