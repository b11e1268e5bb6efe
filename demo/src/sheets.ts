import type { AngleLimits, ShopSettings, SpecSheet } from '@keen/contract';
import { DEFAULT_PRICES, DEFAULT_SHOP_SETTINGS } from '@keen/contract';

const from = (low: number, target: number, high: number): AngleLimits => ({ low, target, high });
const BOOK = 'Made-up workshop book, for the demo only';

function sheet(name: string, rest: Partial<SpecSheet>): SpecSheet {
  return {
    format: 'keen-groove/specification',
    version: 1,
    name,
    kind: 'maker',
    source: BOOK,
    sourceDate: '2024-05-02',
    ...rest,
  };
}

/** Specification sheets of the made-up cars: invented figures, like the cars. */
export const SHEETS: readonly SpecSheet[] = [
  sheet('Courier van, steel wheels', {
    conditions: 'Unladen, half a tank, two seats empty',
    camber: { front: from(-1, -0.35, 0.3), rear: from(-1.5, -1, -0.5) },
    caster: { front: from(3, 3.6, 4.2) },
    sai: { front: from(12.2, 12.8, 13.4) },
    totalToe: { front: from(0, 0.12, 0.24), rear: from(0, 0.2, 0.4) },
    crossCamber: 0.6,
    crossCaster: 0.6,
    steeringRatio: 17,
    reach: { camber: { front: 0, rear: 0 }, caster: { front: 0 }, toe: { front: 3, rear: 0 } },
    torque: [
      { fastener: 'Wheel nuts', newtonMetres: 160 },
      { fastener: 'Tie rod jam nut', newtonMetres: 55 },
    ],
    note: 'Rear beam without adjusters: hub shims.',
  }),
  sheet('Harbour saloon', {
    conditions: 'Unladen, full tank',
    camber: { front: from(-1.2, -0.5, 0.2), rear: from(-1.6, -1.1, -0.6) },
    caster: { front: from(3.8, 4.5, 5.2) },
    sai: { front: from(13, 13.6, 14.2) },
    totalToe: { front: from(-0.05, 0.1, 0.25), rear: from(0.05, 0.2, 0.35) },
    steeringRatio: 15.5,
    reach: { camber: { front: 0.4, rear: 0.6 }, toe: { front: 3, rear: 0.7 } },
    torque: [
      { fastener: 'Wheel nuts', newtonMetres: 120 },
      { fastener: 'Rear cam bolt', newtonMetres: 90 },
      { fastener: 'Tie rod jam nut', newtonMetres: 50 },
    ],
  }),
  sheet('Ferry compact', {
    conditions: 'Unladen, full tank',
    camber: { front: from(-1, -0.3, 0.4), rear: from(-1.8, -1.3, -0.8) },
    totalToe: { front: from(-0.1, 0.05, 0.2), rear: from(0.1, 0.3, 0.5) },
    reach: { camber: { front: 0, rear: 0 }, toe: { front: 3, rear: 0 } },
    torque: [{ fastener: 'Wheel bolts', newtonMetres: 110 }],
  }),
  sheet('Rescue truck, club lift of 50 mm', {
    kind: 'shop',
    source: 'What has worn evenly on the club’s trucks (made up)',
    conditions: 'Lifted 50 mm, with the winch fitted',
    camber: { front: from(-0.5, 0, 0.5), rear: from(-0.5, 0, 0.5) },
    caster: { front: from(2.5, 3.2, 4) },
    totalToe: { front: from(0, 0.1, 0.2), rear: from(-0.2, 0, 0.2) },
    reach: { camber: { front: 1 }, caster: { front: 1 }, toe: { front: 4 } },
    torque: [{ fastener: 'Wheel nuts', newtonMetres: 190 }],
    note: 'Longer upper arms bring camber back after the lift.',
  }),
  sheet('Marina luggage cart', {
    camber: { front: from(-1, 0, 1), rear: from(-1, 0, 1) },
    crossCamber: 0.5,
    totalToe: { front: from(0.2, 0.35, 0.5), rear: from(-0.5, 0, 0.5) },
    conditions: 'Empty, tires at 150 kPa',
  }),
];

export const SETTINGS: ShopSettings = {
  ...DEFAULT_SHOP_SETTINGS,
  hubShims: [0.25, 0.5, 0.75, 1, 1.25, 1.5],
  hubShimParts: [
    { taper: 0.5, part: 'QT-050', template: 'B' },
    { taper: 1, part: 'QT-100', template: 'D' },
  ],
  armShims: [0.8, 1.6, 3.2],
  readingOrder: 'walkAround',
  prices: {
    ...DEFAULT_PRICES,
    packages: [
      {
        name: 'Four tires with alignment',
        items: ['align', 'fitTire', 'disposal'],
        offPercent: 15,
      },
    ],
  },
  sheetHeader: 'Quay 7, made-up harbour\n+00 555 0107',
  sheetNote: {
    en: 'Drive gently for the first 300 km on new tires.',
    es: 'Conduzca con suavidad los primeros 300 km con neumáticos nuevos.',
  },
};
