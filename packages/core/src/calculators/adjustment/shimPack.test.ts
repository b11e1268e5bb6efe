import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shimPack } from './shimPack.ts';

describe('shimPack', () => {
  it('stacks what comes nearest, with as few as will do', () => {
    expect(shimPack(3.1, [0.8, 1.6, 3.2])).toEqual({ shims: [3.2], total: 3.2 });
    expect(shimPack(4.1, [0.8, 1.6, 3.2])).toEqual({ shims: [3.2, 0.8], total: 4 });
    expect(shimPack(0.3, [0.8])).toEqual({ shims: [], total: 0 });
    expect(shimPack(2, [1, 2])).toEqual({ shims: [2], total: 2 });
  });

  it('is never beaten by any stack of up to four', () => {
    const stock = fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(
        stock,
        fc.integer({ min: 0, max: 120 }),
        fc.array(fc.nat(3), { maxLength: 4 }),
        (sizes, wanted, picks) => {
          const other = picks.reduce((sum, pick) => sum + sizes[pick % sizes.length]!, 0);
          const { total } = shimPack(wanted, sizes);
          expect(Math.abs(total - wanted)).toBeLessThanOrEqual(Math.abs(other - wanted));
        },
      ),
    );
  });
});
