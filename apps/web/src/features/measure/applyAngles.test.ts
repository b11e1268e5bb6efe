import { foldEntries } from '@keen/core';
import { describe, expect, it } from 'vitest';
import { readAngles } from './angleFile.ts';
import { applyAngles } from './applyAngles.ts';

describe('applyAngles', () => {
  const draft = foldEntries({}, [
    { path: 'angles.lf', value: { camber: -0.5, toe: 0.4 } },
    { path: 'visit.measure.method.toe', value: 'tape' },
    { path: 'visit.measure.method.camber', value: 'level' },
  ]);

  const at = '2026-03-01T09:00:00.000Z';

  it('takes what was found as read out, leaves the rest, and no longer counts it as taped', () => {
    const found = { wheels: { lf: { toe: 0.1, sai: 12 }, rr: {} }, setback: 3 };
    expect(applyAngles(found, draft, at)).toEqual([
      { path: 'visit.measure.taken.lf.toe.readout', value: { value: 0.1, at } },
      { path: 'angles.lf', value: { camber: -0.5, toe: 0.1, sai: 12 } },
      { path: 'visit.measure.setback', value: 3 },
      // Camber was not found: the level's stays the level's.
      { path: 'visit.measure.method.toe', value: 'readout' },
    ]);
  });

  it('takes turning angles, each turn by itself', () => {
    const left = { inside: 20, outside: 18.5 };
    expect(applyAngles({ wheels: {}, turning: { left } }, draft, at)).toEqual([
      { path: 'visit.measure.turning.left', value: left },
    ]);
  });
});

describe('readAngles', () => {
  it('tells our JSON, other JSON, tables and nothing apart', () => {
    const ours = { format: 'keen-groove/angles', version: 1, wheels: { lf: { toe: 0.1 } } };
    expect(readAngles(JSON.stringify(ours))).toEqual({ kind: 'ours', file: ours });
    expect(readAngles('{"a": 1}')).toMatchObject({
      kind: 'fault',
      text: expect.stringContaining('keen-groove/angles') as string,
    });
    expect(readAngles('{"a"')).toMatchObject({ kind: 'fault' });
    expect(readAngles('wheel\ttoe\nLF\t0,1')).toEqual({
      kind: 'table',
      rows: [
        ['wheel', 'toe'],
        ['LF', '0,1'],
      ],
    });
    expect(readAngles('hello')).toMatchObject({ kind: 'fault' });
    expect(readAngles('x'.repeat(1_000_001))).toMatchObject({ kind: 'fault' });
  });
});
