import { describe, expect, it } from 'vitest';
import { headsOf, readingConflicts } from './conflicts.ts';

const RIB = 'tires.lf.stations.0.outer';
const told = (id: string, value: unknown, personId: string, over?: string[], path = RIB) => ({
  id,
  path,
  value,
  personId,
  ...(over ? { over } : {}),
});

describe('readingConflicts', () => {
  it('has none where the second reader saw the first', () => {
    expect(readingConflicts([told('a', 5, 'mira', []), told('b', 4.8, 'joss', ['a'])])).toEqual([]);
  });

  it('keeps both where neither saw the other, until one is chosen', () => {
    const both = [told('a', 5, 'mira', []), told('b', 4.8, 'joss', [])];
    const [conflict] = readingConflicts(both);
    expect(conflict!.readings.map(({ value }) => value)).toEqual([5, 4.8]);
    const chosen = [...both, told('c', 5, 'mira', ['a', 'b'])];
    expect(readingConflicts(chosen)).toEqual([]);
    expect(headsOf(chosen, RIB).map(({ id }) => id)).toEqual(['c']);
  });

  it('has none where both read the same, or one took theirs back', () => {
    expect(readingConflicts([told('a', 5, 'mira', []), told('b', 5, 'joss', [])])).toEqual([]);
    expect(readingConflicts([told('a', 5, 'mira', []), told('b', null, 'joss', [])])).toEqual([]);
  });

  it('takes an entry that says nothing for one that replaces all, and looks at ribs only', () => {
    expect(readingConflicts([told('a', 5, 'mira', []), told('b', 4, 'joss')])).toEqual([]);
    const words = [
      told('a', 'hums', 'mira', [], 'visit.words'),
      told('b', 'pulls', 'joss', [], 'visit.words'),
    ];
    expect(readingConflicts(words)).toEqual([]);
  });
});
