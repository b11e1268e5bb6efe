import { foldEntries } from '@keen/core';
import { describe, expect, it, vi } from 'vitest';
import { readAngles } from './angleFile.ts';
import { takeAngles } from './takeAngles.ts';

describe('takeAngles', () => {
  const draft = foldEntries({}, [
    { path: 'angles.lf', value: { camber: -0.5, toe: 0.4 } },
    { path: 'visit.measure.method.toe', value: 'tape' },
    { path: 'visit.measure.method.camber', value: 'level' },
  ]);

  it('replaces what was found, leaves the rest, and no longer counts it as taped', () => {
    const enter = vi.fn();
    takeAngles({ wheels: { lf: { toe: 0.1 }, rr: {} }, setback: 3 }, draft, enter);
    expect(enter.mock.calls).toEqual([
      ['angles.lf', { camber: -0.5, toe: 0.1 }],
      ['visit.measure.setback', 3],
      // Camber was not found: the level's stays the level's.
      ['visit.measure.method.toe', 'readout'],
    ]);
  });

  it('takes turning angles, each turn by itself', () => {
    const enter = vi.fn();
    const left = { inside: 20, outside: 18.5 };
    takeAngles({ wheels: {}, turning: { left } }, draft, enter);
    expect(enter.mock.calls).toEqual([['visit.measure.turning.left', left]]);
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
