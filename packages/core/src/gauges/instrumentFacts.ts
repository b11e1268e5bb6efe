import type { InstrumentKind } from '@keen/contract/words';

/** What is known of a kind of instrument. */
interface InstrumentFacts {
  unit: 'mm' | '°';
  /** How far it may be off before it is set right or put away, in its unit. */
  mostOff: number;
}

/** Common practice, no source; how far it may be off is about what its method repeats to. */
export const INSTRUMENT_FACTS: Record<InstrumentKind, InstrumentFacts> = {
  depth: {
    unit: 'mm',
    mostOff: 0.2,
  },
  readout: {
    unit: '°',
    mostOff: 0.05,
  },
  gauges: { unit: '°', mostOff: 0.1 },
  tape: { unit: '°', mostOff: 0.1 },
  helperTape: { unit: '°', mostOff: 0.15 },
  strings: { unit: '°', mostOff: 0.1 },
  level: {
    unit: '°',
    mostOff: 0.2,
  },
  square: {
    unit: '°',
    mostOff: 0.3,
  },
  swing: {
    unit: '°',
    mostOff: 0.5,
  },
};
