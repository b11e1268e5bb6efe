import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wheelFit } from './wheelFit.ts';

describe('wheelFit', () => {
  it('moves both edges by half of the width, and the middle by the offset (written out)', () => {
    // 6.5 in with 45 against 8 in with 35: half of 1.5 in is 19.05 mm, the middle goes 10 mm out.
    const fit = wheelFit({ old: { width: 6.5, offset: 45 }, new: { width: 8, offset: 35 } });
    expect(fit.outerMoves).toBeCloseTo(29.05, 9);
    expect(fit.innerMoves).toBeCloseTo(9.05, 9);
    expect(fit.trackChange).toBe(20);
    expect(fit.scrubChange).toBe(10);
    expect(fit.diameterChange).toBeNull();
  });

  it('takes a spacer as less offset', () => {
    const old = { width: 7, offset: 40 };
    expect(wheelFit({ old, new: old, spacer: 15 })).toEqual(
      wheelFit({ old, new: { width: 7, offset: 25 } }),
    );
  });

  it('shows less speed on a larger tire', () => {
    const fit = wheelFit({
      old: { width: 7, offset: 40, size: '205/55R16' },
      new: { width: 7, offset: 40, size: '215/55R16' },
    });
    // 16 in and twice 0.55 of the width: 631.9 and 642.9 mm.
    expect(fit.diameterChange).toBeCloseTo(11, 6);
    expect(fit.heightChange).toBeCloseTo(5.5, 6);
    expect(fit.speedShownPercent).toBeCloseTo((631.9 / 642.9 - 1) * 100, 6);
  });

  it('takes the tires that are approved for a rim (from memory of the ETRTO tables)', () => {
    const takes = (rim: number, tire: number) => {
      const wheel = { width: rim, offset: 40 };
      const [least, most] = wheelFit({ old: wheel, new: wheel }).tireWidths;
      return tire >= least && tire <= most;
    };
    for (const rim of [5.5, 6, 6.5, 7]) expect(takes(rim, 205), `205 on ${rim}`).toBe(true);
    for (const rim of [6.5, 7, 7.5, 8]) expect(takes(rim, 225), `225 on ${rim}`).toBe(true);
    expect(takes(5, 225)).toBe(false);
    expect(takes(9, 205)).toBe(false);
  });

  it('is nothing for the same wheel, and turns round with old and new changed over', () => {
    const wheel = fc.record({
      width: fc.double({ min: 4, max: 12, noNaN: true }),
      offset: fc.double({ min: -60, max: 70, noNaN: true }),
    });
    fc.assert(
      fc.property(wheel, wheel, (a, b) => {
        const there = wheelFit({ old: a, new: b });
        const back = wheelFit({ old: b, new: a });
        expect(there.outerMoves).toBeCloseTo(-back.outerMoves, 9);
        expect(there.innerMoves).toBeCloseTo(-back.innerMoves, 9);
        // What both edges move apart is what the rim is wider.
        expect(there.outerMoves + there.innerMoves).toBeCloseTo((b.width - a.width) * 25.4, 9);
        expect(wheelFit({ old: a, new: a }).outerMoves).toBeCloseTo(0, 12);
      }),
    );
  });
});
