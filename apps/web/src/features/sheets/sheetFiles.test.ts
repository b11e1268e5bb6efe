import { STARTING_POINTS, startingSheet } from '@keen/core';
import { startingPoints } from '@keen/core/screens/en/measure';
import { describe, expect, it } from 'vitest';
import { readSheets, sheetsAsCsv } from './sheetFiles.ts';
import { sheetOfTexts, textsOfSheet } from './sheetValues.ts';

const SHEETS = STARTING_POINTS.map((point) => ({
  ...startingSheet(point, startingPoints),
  conditions: 'Full tank, “curb”; height 620 mm',
  reach: { camber: { front: 0 } },
  torque: [{ fastener: 'Wheel nuts', newtonMetres: 120.5 }],
}));

describe('sheets as CSV', () => {
  it('come back as they went out', () => {
    const csv = sheetsAsCsv(SHEETS);
    expect(readSheets(csv)).toEqual({ sheets: SHEETS, faults: [] });
  });

  it('read toe as it is printed, in minutes or as a length at its diameter', () => {
    const texts = { name: 'Van', source: 'Book', kind: 'maker' };
    const read = sheetOfTexts({
      ...texts,
      'totalToe.front.low': "0'",
      'totalToe.front.high': '1/8 in at 25',
      'reach.toe.rear': '30′',
    });
    expect(read.ok && read.sheet).toMatchObject({
      totalToe: { front: { low: 0, high: 0.2865 } },
      reach: { toe: { rear: 0.5 } },
    });
    const wrong = sheetOfTexts({ ...texts, 'totalToe.front.low': '2 mm' });
    expect(wrong.ok ? {} : wrong.faults).toEqual({
      'totalToe.front.low': 'a toe, such as 0.1, 6′, 2 mm at 430 or 1/16 in at 25',
    });
  });

  it('say a line with more cells than columns', () => {
    expect(readSheets('name,source\nVan,Book,3').faults).toEqual([
      'Line 2: more cells than the heading has columns.',
    ]);
  });

  it('say line and column of what cannot be kept, and keep the rest', () => {
    const csv = [
      'name,source,camber.front.low,camber.front.high,colour',
      'Good,Book,-1,0.5,red',
      'Turned,Book,1,0.5,',
      'Empty,Book,,,',
      ',Book,-1,0,',
      'Words,Book,minus one,0,',
    ].join('\n');
    const { sheets, faults } = readSheets(csv);
    expect(sheets.map(({ name }) => name)).toEqual(['Good']);
    expect(faults).toEqual([
      'Line 1: colour is not a column of a sheet; it was left out.',
      'Line 3, camber.front.high: expected more than the low of 1',
      'Line 4, camber: expected limits of at least one of camber, caster and total toe',
      'Line 5, name: expected a string',
      'Line 6, camber.front.low: expected a number, such as -0.5',
    ]);
  });

  it('need a column called name', () => {
    expect(readSheets('a,b\n1,2').faults[0]).toMatch(/^Line 1: expected a column called name/);
  });
});

describe('sheets as JSON', () => {
  it('are one or a list, each with its own fault', () => {
    expect(readSheets(JSON.stringify(SHEETS[0])).sheets).toHaveLength(1);
    const { sheets, faults } = readSheets(
      JSON.stringify([SHEETS[0], { ...SHEETS[1], version: 2 }]),
    );
    expect(sheets).toHaveLength(1);
    expect(faults).toEqual(['Sheet 2, version: expected 1']);
    expect(readSheets('{').faults).toEqual(['It starts like JSON but is not valid.']);
  });
});

describe('a sheet in a form', () => {
  it('turns nothing into 0, and reads a decimal comma and a real minus', () => {
    const texts = {
      ...textsOfSheet(SHEETS[0]!),
      'camber.front.low': '−1,25',
      'sai.front.low': ' ',
    };
    const read = sheetOfTexts(texts);
    expect(read.ok && read.sheet.camber?.front?.low).toBe(-1.25);
    expect(read.ok && read.sheet.sai).toBeUndefined();
  });

  it('asks for a torque that names its fastener', () => {
    const read = sheetOfTexts({ ...textsOfSheet(SHEETS[0]!), torque: 'Wheel nuts 120' });
    expect(read.ok ? {} : read.faults).toHaveProperty('torque');
  });
});
