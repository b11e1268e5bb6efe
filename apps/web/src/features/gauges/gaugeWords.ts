import type { InstrumentKind } from '@keen/contract/words';
import { INSTRUMENT_FACTS } from '@keen/core';

/** A size in the unit of the instrument, such as `0.05°`. */
export function showSize(kind: InstrumentKind, size: number): string {
  const { unit } = INSTRUMENT_FACTS[kind];
  return `${size.toFixed(2)}${unit === '°' ? unit : ` ${unit}`}`;
}

/** An error with its sign. */
export function showError(kind: InstrumentKind, error: number): string {
  const size = showSize(kind, Math.abs(error));
  if (Number(Math.abs(error).toFixed(2)) === 0) return size;
  return `${error < 0 ? '−' : '+'}${size}`;
}

/** As far as an instrument of the kind may be off. */
export function limitWords(kind: InstrumentKind): string {
  return showSize(kind, INSTRUMENT_FACTS[kind].mostOff);
}
