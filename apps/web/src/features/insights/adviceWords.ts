import type { Action } from '@keen/contract';
import { actionWords } from '@keen/core';

/** What was advised, over many visits: some of those without work had new tires fitted, some had not. */
export function adviceWords(action: Action): string {
  return action === 'fitOnly' ? 'No work beside tires' : actionWords(action, false);
}
