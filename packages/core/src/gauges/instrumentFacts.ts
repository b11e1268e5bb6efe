import type { InstrumentKind } from '@keen/contract/words';

/** What is known of a kind of instrument. */
interface InstrumentFacts {
  title: string;
  unit: 'mm' | '°';
  /** What it is checked against. */
  checkedAgainst: string;
  /** How far it may be off before it is set right or put away, in its unit. */
  mostOff: number;
}

const BAR_OF_TOE = 'a bar of known toe';

/** Common practice, no source; how far it may be off is about what its method repeats to. */
export const INSTRUMENT_FACTS: Record<InstrumentKind, InstrumentFacts> = {
  depth: {
    title: 'Tread depth gauge',
    unit: 'mm',
    checkedAgainst: 'a step block',
    mostOff: 0.2,
  },
  readout: {
    title: 'Alignment rig',
    unit: '°',
    checkedAgainst: 'the rig’s own bar, or a wheel of known angle',
    mostOff: 0.05,
  },
  gauges: { title: 'Laser gauges', unit: '°', checkedAgainst: BAR_OF_TOE, mostOff: 0.1 },
  tape: { title: 'Toe plates, two tapes', unit: '°', checkedAgainst: BAR_OF_TOE, mostOff: 0.1 },
  helperTape: { title: 'Tape', unit: '°', checkedAgainst: BAR_OF_TOE, mostOff: 0.15 },
  strings: { title: 'Strings', unit: '°', checkedAgainst: BAR_OF_TOE, mostOff: 0.1 },
  level: {
    title: 'Level, phone or bubble',
    unit: '°',
    checkedAgainst: 'a level surface, turned end for end, or a wedge',
    mostOff: 0.2,
  },
  square: {
    title: 'Square',
    unit: '°',
    checkedAgainst: 'a wall that is plumb, or a wedge',
    mostOff: 0.3,
  },
  swing: {
    title: 'Turn plates and caster gauge',
    unit: '°',
    checkedAgainst: 'the marks of the turn plates',
    mostOff: 0.5,
  },
};
