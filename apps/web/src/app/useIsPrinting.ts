import { useSyncExternalStore } from 'react';

const print = window.matchMedia('print');

function subscribe(onChange: () => void): () => void {
  print.addEventListener('change', onChange);
  return () => print.removeEventListener('change', onChange);
}

/** Whether the page is being put on paper. */
export function useIsPrinting(): boolean {
  return useSyncExternalStore(subscribe, () => print.matches);
}
