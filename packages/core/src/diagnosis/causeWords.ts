import type { Axle, Cause, Wheel } from '@keen/contract/words';

const CAUSES: Record<Cause, string> = {
  camberTooNegative: 'Camber too negative',
  camberTooPositive: 'Camber too positive',
  pressureLow: 'Pressure too low',
  pressureHigh: 'Pressure too high',
  bounce: 'Damper or balance',
  toeTooFarIn: 'Too much toe-in',
  toeTooFarOut: 'Too much toe-out',
  looseness: 'Loose joints',
  hardCornering: 'Hard cornering',
};

const PLACES: Record<Wheel | Axle, string> = {
  lf: 'left front',
  rf: 'right front',
  lr: 'left rear',
  rr: 'right rear',
  front: 'front axle',
  rear: 'rear axle',
};

/** A cause in the trade's words. */
export function causeWords(cause: Cause): string {
  return CAUSES[cause];
}

/** A wheel or axle in words. */
export function whereWords(where: Wheel | Axle): string {
  return PLACES[where];
}

/** How sure, in words that keep to the same bands everywhere. */
export function sureWords(probability: number): string {
  if (probability >= 0.97) return 'Almost certain';
  if (probability >= 0.85) return 'Very likely';
  if (probability >= 0.6) return 'Likely';
  if (probability >= 0.45) return 'As likely as not';
  if (probability >= 0.2) return 'Possible';
  if (probability >= 0.05) return 'Unlikely';
  return 'Very unlikely';
}
