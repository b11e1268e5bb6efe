import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { guessReadingMapping, readReadingTable } from './readingTable.ts';

const table = (text: string) => text.split('\n').map((line) => line.split(','));

describe('readReadingTable', () => {
  it('reads a wide table, whatever its headings are called', () => {
    const rows = table(
      'Plate,FL outside,FL center,LF inner,New depth\nab 1,34,4.5 mm,7/32,8\nCD 2,,x,6,',
    );
    const mapping = guessReadingMapping(rows[0]!, 'mm');
    expect(mapping).toMatchObject({ form: 'wide', plate: 0, newDepth: 4 });
    const { cars, faults, readings } = readReadingTable(rows, mapping, ENGLISH_SCREENS.tables);
    expect(faults).toEqual([]);
    expect(readings).toBe(5);
    expect(cars[0]).toMatchObject({ plate: 'AB 1' });
    expect(cars[0]!.changes).toContainEqual({ path: 'tires.lf.stations.0.outer', value: 3.4 });
    expect(cars[0]!.changes).toContainEqual({ path: 'tires.rr.newDepth', value: 8 });
    expect(cars[1]!.changes).toEqual([
      { path: 'tires.lf.stations.0.inner', value: 6 },
      { path: 'tires.lf.stations.0.centre', value: 'unreadable' },
    ]);
  });

  it('reads a long table and gathers a car’s lines', () => {
    const rows = table(
      'plate,wheel,rib,depth\nAB1,LF,outer,3.4\nX 9,rr,in,5\nab-1,Left front,mid,4',
    );
    const mapping = guessReadingMapping(rows[0]!, 'mm');
    expect(mapping.form).toBe('long');
    const other = guessReadingMapping(['plate', 'tire', 'place', 'mm'], 'mm');
    expect(other).toMatchObject({ form: 'long', wheel: 1, rib: 2, depth: 3 });
    const { cars } = readReadingTable(rows, mapping, ENGLISH_SCREENS.tables);
    expect(cars.map(({ plate, changes }) => [plate, changes.length])).toEqual([
      ['AB1', 2],
      ['X 9', 1],
    ]);
  });

  it('says each line that cannot be kept, and keeps the rest', () => {
    const rows = table(
      'plate,wheel,rib,depth\n,LF,outer,3\nAB1,spare,outer,3\nAB1,LF,rim,3\nAB1,LF,outer,deep\nAB1,LF,outer,5',
    );
    const { cars, faults } = readReadingTable(
      rows,
      guessReadingMapping(rows[0]!, 'mm'),
      ENGLISH_SCREENS.tables,
    );
    expect(faults.map(({ line, column }) => [line, column])).toEqual([
      [2, 0],
      [3, 1],
      [4, 2],
      [5, 3],
    ]);
    expect(cars).toHaveLength(1);
  });

  it('takes fifty thousand lines', () => {
    const lines = Array.from(
      { length: 50_000 },
      (_, i) =>
        `P ${Math.floor(i / 12)},${['LF', 'RF', 'LR', 'RR'][i % 4]},${['inner', 'centre', 'outer'][Math.floor(i / 4) % 3]},${5 + (i % 3)}`,
    );
    const rows = table(['plate,wheel,rib,depth', ...lines].join('\n'));
    const { cars, readings, faults } = readReadingTable(
      rows,
      guessReadingMapping(rows[0]!, 'mm'),
      ENGLISH_SCREENS.tables,
    );
    expect(readings).toBe(50_000);
    expect(cars).toHaveLength(Math.ceil(50_000 / 12));
    expect(faults).toEqual([]);
  });
});
