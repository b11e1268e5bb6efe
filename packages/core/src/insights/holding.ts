import { exp, log } from '../engine/math/elementary.ts';

/** How long something was followed: until it came undone, or until it was last seen in order. */
export interface Followed {
  km: number;
  cameUndone: boolean;
}

/** What part still holds from this distance on, with its 95 % interval. */
export interface HoldingStep {
  km: number;
  /** Still followed just before. */
  atRisk: number;
  undone: number;
  /** 0 to 1. */
  held: number;
  low: number;
  high: number;
}

const Z = 1.959964;

/**
 * What part of some work still holds at each distance, from cars that were followed over different ones.
 * @param followed - km, 0 or more
 * @returns a step at each distance where something came undone, nearest first
 * Source: Kaplan and Meier 1958, Journal of the American Statistical Association 53 (product limit), with
 * Greenwood's variance and the interval of the log-minus-log scale (Kalbfleisch and Prentice 1980).
 */
export function holding(followed: readonly Followed[]): HoldingStep[] {
  const places = [...new Set(followed.filter((one) => one.cameUndone).map(({ km }) => km))];
  let held = 1;
  let variance = 0;
  return places
    .toSorted((a, b) => a - b)
    .map((km) => {
      const atRisk = followed.filter((one) => one.km >= km).length;
      const undone = followed.filter((one) => one.cameUndone && one.km === km).length;
      held *= 1 - undone / atRisk;
      variance += undone / (atRisk * (atRisk - undone));
      return { km, atRisk, undone, held, ...interval(held, variance) };
    });
}

/** The step that holds at a distance; nothing has come undone before the first. */
export function heldAt(steps: readonly HoldingStep[], km: number): HoldingStep | null {
  return steps.filter((step) => step.km <= km).at(-1) ?? null;
}

function interval(held: number, variance: number): { low: number; high: number } {
  // Nothing holds any more: the scale ends there.
  if (held <= 0) return { low: 0, high: 1 };
  const spread = (Z * Math.sqrt(variance)) / Math.abs(log(held));
  const at = (by: number) => exp(log(held) * exp(by));
  return { low: at(spread), high: at(-spread) };
}
