import { exp } from './elementary.ts';

/** The logistic curve: 0 far below 0, a half at 0, 1 far above. */
export function logistic(x: number): number {
  return 1 / (1 + exp(-x));
}
