import { describe, expect, it } from 'vitest';
import { parseCaseFile } from '@keen/contract';
import { readDepthText } from './depthText.ts';
import { draftToCase } from '../../visit/draftToCase.ts';
import { foldEntries } from '../../visit/foldEntries.ts';
import { oddReading } from './oddReading.ts';

describe('readDepthText', () => {
  it.each([
    ['53', 'mm', 5.3],
    ['5', 'mm', 5],
    ['105', 'mm', 10.5],
    ['4.5mm', 'in32', 4.5],
    ['4,5 mm', 'mm', 4.5],
    ['3/32', 'mm', 2.38125],
    ['7 / 32 in', 'mm', 5.55625],
    ['7', 'in32', 5.55625],
    ['6.5 32nds', 'mm', 5.15937],
    ['0.2 in', 'mm', 5.08],
    ['.5', 'mm', 0.5],
  ] as const)('reads %s of somebody who counts in %s', (text, unit, mm) => {
    expect(readDepthText(text, unit)).toBeCloseTo(mm, 5);
  });

  it.each(['', 'deep', '-3', '3/16', '4 psi', '900 mm', '5.3.1'])('refuses %j', (text) => {
    expect(readDepthText(text, 'mm')).toBeNull();
  });
});

describe('oddReading', () => {
  const draft = foldEntries({}, [
    { path: 'tires.lf.newDepth', value: 8 },
    { path: 'tires.lf.stations.0.centre', value: 6.2 },
  ]);

  it('asks about a reading deeper than new, and one far from its neighbour', () => {
    expect(oddReading(draft, { wheel: 'lf', rib: 'inner' }, 8.6)).toEqual({
      kind: 'deeperThanNew',
      newMm: 8,
    });
    expect(oddReading(draft, { wheel: 'lf', rib: 'inner' }, 2)).toMatchObject({
      kind: 'farFromNeighbour',
      rib: 'centre',
    });
  });

  it('lets a plain reading pass, a worn edge too', () => {
    expect(oddReading(draft, { wheel: 'lf', rib: 'inner' }, 8.4)).toBeNull();
    expect(oddReading(draft, { wheel: 'lf', rib: 'inner' }, 3.1)).toBeNull();
    // Another place of the tire has neighbours of its own.
    expect(oddReading(draft, { wheel: 'lf', rib: 'inner' }, 2, 1)).toBeNull();
  });

  it('is kept when it was meant: the tire was at least as deep when new', () => {
    const kept = foldEntries(draft, [{ path: 'tires.lf.stations.0.inner', value: 9.4 }]);
    const { file } = draftToCase(kept, 'car');
    expect(file.tires.lf.newDepth).toBe(9.4);
    expect(parseCaseFile(file).ok).toBe(true);
  });
});
