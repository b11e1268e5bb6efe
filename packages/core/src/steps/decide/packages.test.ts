import type { EstimateLine, PriceItem } from '@keen/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sumEstimate } from './estimate.ts';
import { applyPackage, packageFits } from './packages.ts';

const line = (item: PriceItem, unitMinor: number, quantity = 1): EstimateLine => ({
  id: item,
  item,
  what: item,
  quantity,
  unitMinor,
});
const pack = { name: 'Four and align', items: ['align', 'fitTire'] as PriceItem[], offPercent: 15 };
const tax = { taxPercent: 20, taxMode: 'included' } as const;

describe('packages', () => {
  it('take their part off the items they name, and off nothing else', () => {
    const lines = [line('align', 8_900), line('fitTire', 1_800, 4), line('disposal', 400, 4)];
    const cheaper = applyPackage(lines, pack);
    expect(cheaper.map(({ unitMinor }) => unitMinor)).toEqual([7_565, 1_530, 400]);
    expect(cheaper.map((one) => one.pack)).toEqual(['Four and align', 'Four and align', undefined]);
    expect(sumEstimate({ lines: cheaper, ...tax }).total).toBe(7_565 + 4 * 1_530 + 4 * 400);
  });

  it('need all their items, and count once', () => {
    const lines = [line('align', 8_900), line('disposal', 400)];
    expect(packageFits(lines, pack)).toBe(false);
    expect(applyPackage(lines, pack)).toEqual(lines);
    const taken = applyPackage([...lines, line('fitTire', 1_800)], pack);
    expect(packageFits(taken, pack)).toBe(false);
    expect(applyPackage(taken, pack)).toEqual(taken);
  });

  it('never make an estimate dearer, and keep to whole minor units', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.double({ min: 0.01, max: 90, noNaN: true }),
        (align, fit, offPercent) => {
          const lines = [line('align', align), line('fitTire', fit, 3)];
          const cheaper = applyPackage(lines, { ...pack, offPercent });
          cheaper.forEach((one, i) => {
            expect(Number.isInteger(one.unitMinor)).toBe(true);
            expect(one.unitMinor).toBeLessThanOrEqual(lines[i]!.unitMinor);
            expect(one.unitMinor).toBeGreaterThanOrEqual(0);
          });
        },
      ),
    );
  });
});
