import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { SPANISH_SCREENS } from './es/index.ts';

/** Dotted names of the texts, with the number of values that each takes; null for a plain text. */
function texts(room: unknown, at = ''): [name: string, text: string, values: number | null][] {
  if (typeof room === 'string') return [[at, room, null]];
  if (typeof room === 'function') return [[at, '', room.length]];
  return Object.entries(room as object).flatMap(([name, inner]) => texts(inner, `${at}.${name}`));
}

describe('what the core says on the screens', () => {
  const english = texts(ENGLISH_SCREENS);
  const spanish = new Map(texts(SPANISH_SCREENS).map(([name, ...rest]) => [name, rest]));

  it('is there in Spanish under the same names, plain where it is plain, empty where it is empty', () => {
    expect([...spanish.keys()].toSorted()).toEqual(english.map(([name]) => name).toSorted());
    for (const [name, text, values] of english) {
      const [said, own] = spanish.get(name)!;
      expect(own === null, name).toBe(values === null);
      expect(said.trim() === '', name).toBe(text.trim() === '');
    }
  });

  it('is not English that was left standing', () => {
    // Signs, units, terms that are the same, and titles of laws.
    const same = /^(|K|S₀|c|d|f\(p\)|SAI \(KPI\)|Autocross|Austria|radial|49 CFR.*|rueda.*)$/;
    const left = english.filter(
      ([name, text]) => text === spanish.get(name)![0] && !same.test(text),
    );
    expect(left.map(([name, text]) => `${name}: ${text}`)).toEqual([]);
  });
});
