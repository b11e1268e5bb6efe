import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { guessAngleMapping, readAngleTable } from './angleTable.ts';

const table = (text: string) => text.split('\n').map((line) => line.split(';'));

describe('readAngleTable', () => {
  it('reads our own table as it is', () => {
    const rows = table('wheel;camber;caster;sai;toe\nLF;-0.6;4.1;13;0.05\nRR;-1;;;0.1');
    const mapping = guessAngleMapping(rows[0]!);
    expect(mapping).toMatchObject({ wheel: 0, angleUnit: 'deg', toeUnit: 'deg' });
    expect(readAngleTable(rows, mapping, ENGLISH_SCREENS.tables)).toEqual({
      angles: {
        lf: { camber: -0.6, caster: 4.1, sai: 13, toe: 0.05 },
        rr: { camber: -1, toe: 0.1 },
      },
      faults: [],
    });
  });

  it('reads a foreign table: other names, minutes, mm, the opposite sign, decimal commas', () => {
    const rows = table(
      "Corner;Toe (mm);Camber;KPI\nFront left;-2,2;-0°36';12,5\nfront right;2,2;0:12;13",
    );
    const mapping = {
      ...guessAngleMapping(rows[0]!),
      flipped: { camber: false, caster: false, sai: false, toe: true },
      diameter: 440,
    };
    expect(mapping.toeUnit).toBe('mm');
    const { angles, faults } = readAngleTable(rows, mapping, ENGLISH_SCREENS.tables);
    expect(faults).toEqual([]);
    // asin(2.2 / 440)
    expect(angles.lf).toEqual({ camber: -0.6, sai: 12.5, toe: 0.2865 });
    expect(angles.rf).toEqual({ camber: 0.2, sai: 13, toe: -0.2865 });
  });

  it('says each cell that cannot be read, and keeps the rest', () => {
    const rows = table('wheel;camber;toe\nLF;tilted;0.1\nspare;0;0\nLF;0;0\nRF;400;0.2\n;;');
    const { angles, faults } = readAngleTable(
      rows,
      guessAngleMapping(rows[0]!),
      ENGLISH_SCREENS.tables,
    );
    expect(faults.map(({ line, column }) => [line, column])).toEqual([
      [2, 1],
      [3, 0],
      [4, 0],
      [5, 1],
    ]);
    expect(faults[2]!.expected).toBe('each wheel once');
    expect(angles).toEqual({ lf: { toe: 0.1 }, rf: { toe: 0.2 } });
  });

  it('asks for the diameter where toe is a length', () => {
    const rows = table('wheel;toe [in]\nLF;0.1');
    const { faults } = readAngleTable(rows, guessAngleMapping(rows[0]!), ENGLISH_SCREENS.tables);
    expect(faults[0]!.expected).toMatch(/diameter/);
  });
});
