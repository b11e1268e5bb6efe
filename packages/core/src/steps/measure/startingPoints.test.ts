import { specSheetSchema } from '@keen/contract';
import type { SpecSheet, VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { FRONT_LAYOUTS } from '../../calculators/adjustment/frontLayouts.ts';
import { rideHeight } from '../../calculators/adjustment/rideHeight.ts';
import { rodTurn } from '../../calculators/adjustment/rodTurn.ts';
import { tieRod } from '../../calculators/adjustment/tieRod.ts';
import { closingList, closingWords, isSetAtHome } from '../setRight/closingList.ts';
import { halfOf, limitsOf, tolerancesOf } from './limits.ts';
import { STARTING_POINTS, startingSheet } from './startingPoints.ts';
import type { StartingPoint } from './startingPoints.ts';

const sheetOf = (point: StartingPoint) =>
  startingSheet(point, ENGLISH_SCREENS.measure.startingPoints);
const named = (id: string) => sheetOf(STARTING_POINTS.find((point) => point.id === id)!);
const used = (sheet: SpecSheet): VisitDraft => ({
  visit: { sheet: { sheetId: null, revision: null, enteredBy: null, enteredAt: null, sheet } },
});

describe('starting points', () => {
  it.each(STARTING_POINTS)(
    '$id is a whole sheet, and says that it is none of the maker’s',
    (point) => {
      const sheet = sheetOf(point);
      expect(specSheetSchema.safeParse(sheet).error).toBeUndefined();
      expect(sheet.kind).toBe('startingPoint');
      expect(sheet.source).toMatch(/no published source/);
    },
  );

  it('warn of what is for closed courses only', () => {
    for (const id of ['track', 'autocross', 'drag', 'drift']) {
      expect(named(id).note).toMatch(/closed courses only/);
    }
    expect(named('street-rwd').note).not.toMatch(/closed/);
  });

  it('turn the trade’s lengths into angles at the tire they name', () => {
    const degrees = (inches: number, diameter: number) =>
      (2 * Math.asin(inches / 2 / diameter) * 180) / Math.PI;
    // Track: 1/16 in out in front, 1/8 in in at the rear, at 25 in. (Common practice, no source.)
    expect(named('track').totalToe?.front?.target).toBeCloseTo(-degrees(1 / 16, 25), 2);
    expect(named('track').totalToe?.rear?.target).toBeCloseTo(degrees(1 / 8, 25), 2);
    // Carts: 1/16 to 1/8 in at 18 in lies within; 3/8 in is the larger school's.
    const { low, high } = named('cart').totalToe!.front!;
    for (const inches of [1 / 16, 1 / 8]) {
      expect(degrees(inches, 18)).toBeGreaterThan(low);
      expect(degrees(inches, 18)).toBeLessThan(high);
    }
    expect(named('cart-more').totalToe?.front?.target).toBeCloseTo(degrees(3 / 8, 18), 1);
  });
});

describe('limitsOf', () => {
  it('takes the sheet before the file, and usual values where the sheet is silent', () => {
    const sheet = { ...named('drag'), camber: { front: { low: -1, target: -0.2, high: 0 } } };
    const limits = limitsOf({ ...used(sheet), tolerances: { camber: { rear: [-9, 9] } } });
    expect(limits.camber.front).toEqual({ range: [-1, 0], target: -0.2, from: 'sheet' });
    // With a sheet the file's figures no longer count: they may be of another sheet.
    expect(limits.camber.rear?.from).toBe('usual');
    expect(limits.thrust).toMatchObject({ target: 0, from: 'custom' });
  });

  it('halves an axle’s toe for each of its wheels', () => {
    const limit = { range: [-0.1, 0.3], target: 0.08, from: 'sheet' } as const;
    expect(halfOf(limit)).toEqual({ range: [-0.05, 0.15], target: 0.04, from: 'sheet' });
  });

  it('gives the diagnosis camber and total toe only, and nothing of what is not there', () => {
    expect(tolerancesOf(named('lifted'))).toEqual({
      camber: { front: [-0.5, 0.5], rear: [-0.75, 0.5] },
      totalToe: { front: [-0.05, 0.15], rear: [-0.1, 0.3] },
    });
    const bare = { ...named('drag'), camber: undefined, totalToe: undefined };
    expect(tolerancesOf(bare as SpecSheet)).toEqual({});
  });
});

describe('closingList', () => {
  it('carries the sheet’s torque, and says where there is none', () => {
    const torqueOf = (draft: VisitDraft) =>
      closingList({
        ...draft,
        visit: { ...draft.visit, setRight: { before: { lf: { toe: 0.4 } } } },
      })
        .filter(({ point }) => point === 'torque')
        .flatMap((item) => closingWords(item, ENGLISH_SCREENS.setRight).details);
    const sheet = { ...named('drag'), torque: [{ fastener: 'Wheel nuts', newtonMetres: 120 }] };
    expect(torqueOf(used(sheet))).toEqual(['Wheel nuts: 120 N·m']);
    expect(torqueOf({}).join()).toMatch(/look them up/);
  });

  it('asks only for what this vehicle has and what the methods put on it', () => {
    const points = (draft: VisitDraft) => closingList(draft).map(({ point }) => point);
    // A check without setting: no torque and no final reading, but the clamps come off.
    expect(points({})).toEqual(['clampsOff', 'brakeFree', 'turnPlates', 'sensorReset', 'roadTest']);
    const cart = points({
      vehicle: { use: 'cart' },
      visit: {
        setRight: { before: { lf: { toe: 0.4 } } },
        measure: { method: { camber: 'square' } },
      },
      angles: { lf: { toe: 0.1 }, rf: { toe: 0.1 } },
    });
    expect(cart).toEqual(['finalReading', 'torque', 'lockToLock', 'roadTest']);
  });

  it('sends a car that was set by hand to a rig, a cart not', () => {
    const byStrings = (use: 'street' | 'cart') =>
      isSetAtHome({
        vehicle: { use },
        angles: { lf: { toe: 0.1 } },
        visit: { measure: { method: { toe: 'strings' } }, setRight: { before: {} } },
      });
    expect(byStrings('street')).toBe(true);
    expect(byStrings('cart')).toBe(false);
    expect(isSetAtHome({ angles: { lf: { toe: 0.1 } }, visit: { setRight: { before: {} } } })).toBe(
      false,
    );
  });

  it('cautions where one drives', () => {
    const drive = closingList({}).find(({ point }) => point === 'roadTest')!;
    expect(closingWords(drive, ENGLISH_SCREENS.setRight).caution).toMatch(/safe/);
  });
});

describe('typical front layouts', () => {
  it.each(FRONT_LAYOUTS)('$id moves through 80 mm either way', ({ points, steeringArm, rack }) => {
    for (let change = -80; change <= 80; change += 20) {
      const moved = rideHeight({ change, points, steeringArm, rack });
      expect(Math.abs(moved.camberChange)).toBeLessThan(6);
      expect(Number.isFinite(moved.toeChange)).toBe(true);
    }
    const still = rideHeight({ change: 0, points, steeringArm, rack });
    expect(still.camberChange).toBeCloseTo(0, 9);
    expect(still.toeChange).toBeCloseTo(0, 9);
  });

  it('gain negative camber when lowered (common practice, no source)', () => {
    for (const { points, steeringArm, rack } of FRONT_LAYOUTS) {
      expect(rideHeight({ change: -30, points, steeringArm, rack }).camberChange).toBeLessThan(0);
    }
  });
});

describe('rodTurn', () => {
  it('lengthens clockwise as one looks in from the wheel, right-handed thread outside', () => {
    expect(rodTurn('lengthen')).toBe('clockwise');
    expect(rodTurn('shorten')).toBe('anticlockwise');
    const rod = { steeringArm: 140, threadPitch: 1.5, adjuster: 'single' } as const;
    // Toe-in lengthens a rod behind the axle and shortens one ahead of it.
    expect(tieRod({ ...rod, toeChange: 0.2, rack: 'behind' }).action).toBe('lengthen');
    expect(tieRod({ ...rod, toeChange: 0.2, rack: 'ahead' }).action).toBe('shorten');
  });
});
