import { describe, expect, it } from 'vitest';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { diagnose } from './diagnose.ts';
import { misfits } from './misfit.ts';

describe('misfits', () => {
  it('says nothing of a tread that a cause explains', () => {
    const toeIn = exampleCase((file) => {
      wear(file, 'lf', [5.3, 4.5, 3.4]);
      wear(file, 'rf', [5.2, 4.4, 3.3]);
    });
    expect(misfits(toeIn, diagnose(toeIn).expectedMm)).toEqual([]);
  });

  it('points at a rib that nothing known explains', () => {
    // A centre rib all but gone between two good shoulders, and the pressure is right.
    const odd = exampleCase((file) => {
      wear(file, 'rr', [6.3, 2.2, 6.2]);
      file.tires.rr.pressure = { measured: 230, target: 230 };
    });
    const found = misfits(odd, diagnose(odd).expectedMm);
    expect(found[0]).toMatchObject({ wheel: 'rr', rib: 'centre', readMm: 2.2 });
    expect(found[0]!.expectedMm).toBeGreaterThan(3.5);
  });

  it('does not judge a rib that was not read', () => {
    const unread = exampleCase((file) => {
      file.tires.rr.stations = [{ inner: null, centre: null, outer: null }];
    });
    expect(misfits(unread, diagnose(unread).expectedMm)).toEqual([]);
  });
});
