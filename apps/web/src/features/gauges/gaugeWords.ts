import type { InstrumentKind } from '@keen/contract/words';
import { CHECK_LIMITS, METHOD_FACTS } from '@keen/core';

/** What an instrument is called by kind. */
export const INSTRUMENT_WORDS: Record<InstrumentKind, string> = {
  depth: 'Tread depth gauge',
  readout: 'Alignment rig',
  gauges: METHOD_FACTS.gauges.title,
  tape: METHOD_FACTS.tape.title,
  helperTape: 'Tape',
  strings: METHOD_FACTS.strings.title,
  level: METHOD_FACTS.level.title,
  square: 'Square',
  swing: 'Turn plates and caster gauge',
};

/** What it is checked against. */
export const BLOCK_WORDS: Record<InstrumentKind, string> = {
  depth: 'a step block',
  readout: 'the rig’s own bar, or a wheel of known angle',
  gauges: 'a bar of known toe',
  tape: 'a bar of known toe',
  helperTape: 'a bar of known toe',
  strings: 'a bar of known toe',
  level: 'a level surface, turned end for end, or a wedge',
  square: 'a wall that is plumb, or a wedge',
  swing: 'the marks of the turn plates',
};

export function unitOf(kind: InstrumentKind): 'mm' | '°' {
  return kind === 'depth' ? 'mm' : '°';
}

/** A size in the unit of the instrument, such as `0.05°`. */
export function showSize(kind: InstrumentKind, size: number): string {
  return kind === 'depth' ? `${size.toFixed(2)} mm` : `${size.toFixed(2)}°`;
}

/** An error with its sign. */
export function showError(kind: InstrumentKind, error: number): string {
  const size = showSize(kind, Math.abs(error));
  if (Number(Math.abs(error).toFixed(2)) === 0) return size;
  return `${error < 0 ? '−' : '+'}${size}`;
}

/** As far as an instrument of the kind may be off. */
export function limitWords(kind: InstrumentKind): string {
  return showSize(kind, CHECK_LIMITS[kind]);
}
