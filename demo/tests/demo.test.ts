import { describe, expect, it } from 'vitest';
import { entrySchema, parseCaseFile, shopSettingsSchema, specSheetSchema } from '@keen/contract';
import { countRead, draftToCase, foldEntries } from '@keen/core';
import { CARS, makeDemoShop } from '../src/index.ts';

const NOW = '2026-03-02T09:00:00.000Z';

describe('makeDemoShop', () => {
  const shop = makeDemoShop(NOW);

  it('has about fifteen cars here and three years of past', () => {
    const open = shop.visits.filter((visit) => visit.closedAt === null);
    expect(open).toHaveLength(CARS.length);
    expect(CARS.length).toBeGreaterThanOrEqual(15);
    const oldest = Date.parse(NOW) - Date.parse(shop.visits[0]!.arrivedAt);
    expect(oldest / 86_400_000).toBeGreaterThan(2.5 * 365);
  });

  it('is made of entries that the API itself would take, and of valid cases', () => {
    for (const visit of shop.visits) {
      for (const entry of visit.entries) {
        expect(entrySchema.safeParse(entry).success, entry.path).toBe(true);
      }
      const { file } = draftToCase(foldEntries({}, visit.entries), 'car');
      expect(parseCaseFile(file)).toMatchObject({ ok: true });
    }
  });

  it('has sheets and a stock that the API itself would take', () => {
    for (const { sheet } of shop.sheets) {
      expect(specSheetSchema.safeParse(sheet).error, sheet.name).toBeUndefined();
    }
    expect(shopSettingsSchema.safeParse(shop.shop.settings).success).toBe(true);
  });

  it('shows every stage of a visit', () => {
    const read = shop.visits
      .filter((visit) => visit.closedAt === null)
      .map((visit) => countRead(foldEntries({}, visit.entries)));
    expect(new Set(read)).toEqual(new Set([0, 5, 12]));
    expect(shop.visits.some((visit) => visit.closedAt === null && visit.decision)).toBe(true);
  });

  it('is the same every time, with ids of their own', () => {
    expect(makeDemoShop(NOW)).toEqual(shop);
    const ids = [
      ...shop.people.map(({ id }) => id),
      ...shop.vehicles.map(({ id }) => id),
      ...shop.visits.flatMap((visit) => [visit.id, ...visit.entries.map(({ id }) => id)]),
    ];
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('lies in the past of its moment', () => {
    for (const visit of shop.visits) expect(visit.arrivedAt < NOW).toBe(true);
  });
});
