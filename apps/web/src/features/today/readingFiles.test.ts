import { tables } from '@keen/core/screens/en/tables';
import type { Visit } from '@keen/contract';
import { foldEntries, guessReadingMapping, readReadingTable } from '@keen/core';
import { describe, expect, it } from 'vitest';
import { visitDetail } from '../../../tests/visitBench.tsx';
import { readingsAsCsv, readRows } from './readingFiles.ts';

const draft = foldEntries({}, [
  { path: 'tires.lf.newDepth', value: 8 },
  { path: 'tires.lf.stations.0.outer', value: 3.4 },
  { path: 'tires.rr.stations.0.inner', value: 'unreadable' },
]);
const visit: Visit = visitDetail(draft).visit;

describe('readings as a table', () => {
  it.each(['mm', 'in32'] as const)('come back as they went out, in %s', (unit) => {
    const read = readRows(readingsAsCsv([visit], unit));
    const rows = read.ok ? read.rows : [];
    const mapping = guessReadingMapping(rows[0]!, unit);
    const { cars, faults } = readReadingTable(rows, mapping, tables);
    expect(faults).toEqual([]);
    expect(cars).toHaveLength(1);
    const back = foldEntries({}, cars[0]!.changes);
    const outer = back.tires?.lf?.stations?.[0]?.outer as number;
    // A 32nd is written to a tenth.
    expect(Math.abs(outer - 3.4)).toBeLessThan(unit === 'mm' ? 1e-9 : 0.05);
    expect(back.tires?.rr?.stations?.[0]?.inner).toBe('unreadable');
    expect(back.tires?.lf?.newDepth).toBeCloseTo(8, 0);
  });

  it('are taken from what was copied out of a spreadsheet', () => {
    const read = readRows('plate\tLF outer\nAB 1\t5,3');
    expect(read.ok && read.rows).toEqual([
      ['plate', 'LF outer'],
      ['AB 1', '5,3'],
    ]);
    expect(readRows('plate').ok).toBe(false);
  });
});
