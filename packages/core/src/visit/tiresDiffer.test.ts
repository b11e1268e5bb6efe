import { describe, expect, it } from 'vitest';
import { tiresDiffer } from './tiresDiffer.ts';

const all = <T>(value: T) => ({ lf: value, rf: value, lr: value, rr: value });

describe('tiresDiffer', () => {
  it('finds nothing where nothing or one and the same is written on the sidewalls', () => {
    expect(tiresDiffer({})).toEqual([]);
    const alike = all({ line: 'Touring 4', season: 'summer' as const, dateCode: '2319' });
    expect(tiresDiffer({ visit: { tires: { ...alike, rr: { line: 'touring 4' } } } })).toEqual([]);
  });

  it('tells the front pair from the rear by their lines', () => {
    const [front, rear] = [{ line: 'Touring 4' }, { line: 'Aqua' }];
    const tires = { lf: front, rf: front, lr: rear, rr: rear };
    expect(tiresDiffer({ visit: { tires } })).toEqual(['axles']);
  });

  it('tells two tires of an axle by their age, from half a year on', () => {
    const tires = (code: string) => ({ lf: { dateCode: '2319' }, rf: { dateCode: code } });
    expect(tiresDiffer({ visit: { tires: tires('4519') } })).toEqual([]);
    expect(tiresDiffer({ visit: { tires: tires('0221') } })).toEqual(['front']);
  });

  it('counts depths when new, and what was said outright', () => {
    const tires = { lr: { newDepth: 8 }, rr: { newDepth: 7 } };
    expect(tiresDiffer({ tires, visit: { tiresDiffer: ['front'] } })).toEqual(['front', 'rear']);
  });
});
