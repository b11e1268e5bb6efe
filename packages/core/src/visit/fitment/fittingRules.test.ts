import type { VisitDraft } from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { brokenRules } from './fittingRules.ts';

const TODAY = '2026-03-01';
const HOUSE = DEFAULT_SHOP_SETTINGS.houseRules;

/** A car with these depths all across each tire, mm, new ones 8. */
function car(depths: Record<Wheel, number>, rest: Partial<VisitDraft> = {}): VisitDraft {
  const tires = Object.fromEntries(
    WHEELS.map((wheel) => {
      const mm = depths[wheel];
      return [wheel, { newDepth: 8, stations: [{ inner: mm, centre: mm, outer: mm }] }];
    }),
  );
  return { vehicle: { drive: 'fwd' }, tires, ...rest };
}
const EVEN = { lf: 5, rf: 5, lr: 5, rr: 5 };
const rules = (draft: VisitDraft, replace: Wheel[]) =>
  brokenRules(draft, replace, TODAY, HOUSE).map(({ rule }) => rule);

describe('the rules of fitting', () => {
  it('are kept by leaving good tires alone and by four new ones', () => {
    expect(rules(car(EVEN), [])).toEqual([]);
    expect(rules(car(EVEN), [...WHEELS])).toEqual([]);
    expect(rules({}, ['lf', 'rf'])).toEqual(['newAtRear']);
  });

  it('name a tire at the limit that stays, and let it go once it is replaced', () => {
    const worn = car({ ...EVEN, lr: 1.6 });
    expect(rules(worn, [])).toEqual(['legal']);
    expect(brokenRules(worn, [], TODAY, HOUSE)[0]).toMatchObject({
      wheels: ['lr'],
      alsoReplace: ['lr'],
    });
    expect(rules(worn, ['lr', 'rr'])).toEqual([]);
    // A place whose limit is lower than the bars: 1.6 mm bars, UN ECE R30.
    expect(rules(car({ ...EVEN, lr: 1.3 }, { limits: { legal: 1 } }), [])).toEqual(['wearBars']);
  });

  it('ask for a pair where the other of the axle is clearly lower', () => {
    const [broken] = brokenRules(car(EVEN), ['rr'], TODAY, HOUSE);
    expect(broken).toMatchObject({ rule: 'pair', wheels: ['rr'], alsoReplace: ['lr'] });
    expect(rules(car({ ...EVEN, lr: 7 }), ['rr'])).toEqual([]);
  });

  it('put two new ones at the rear, unless the sizes forbid it', () => {
    expect(rules(car(EVEN), ['lf', 'rf'])).toEqual(['newAtRear']);
    expect(rules(car(EVEN), ['lr', 'rr'])).toEqual([]);
    const staggered = car(EVEN, { vehicle: { drive: 'rwd', rotatable: false } });
    expect(rules(staggered, ['lf', 'rf'])).toEqual([]);
  });

  it('hold an all-wheel-drive set together, by the maker’s limit where it is known', () => {
    const awd = (match?: number): VisitDraft =>
      car(EVEN, {
        vehicle: { drive: 'awd' },
        visit: match === undefined ? {} : { car: { awdMatch: match } },
      });
    expect(rules(awd(), ['lr', 'rr'])).toEqual(['matching']);
    expect(rules(awd(3), ['lr', 'rr'])).toEqual([]);
    expect(rules(awd(1.5), [...WHEELS])).toEqual([]);
    expect(brokenRules(awd(), ['lr', 'rr'], TODAY, HOUSE)[0]!.alsoReplace).toEqual(['lf', 'rf']);
  });

  it('go by what the shop has settled', () => {
    const given = (change: object, draft: VisitDraft, replace: Wheel[]) =>
      brokenRules(draft, replace, TODAY, { ...HOUSE, ...change }).map(({ rule }) => rule);
    // New at 8 mm beside 5 mm: 3 mm apart.
    expect(given({ pair: 3 }, car(EVEN), ['rr'])).toEqual(['pair']);
    expect(given({ pair: 3.1 }, car(EVEN), ['rr'])).toEqual([]);
    const awd = car(EVEN, { vehicle: { drive: 'awd' } });
    expect(given({ awdMatch: 2.9 }, awd, ['lr', 'rr'])).toEqual(['matching']);
    expect(given({ awdMatch: 3 }, awd, ['lr', 'rr'])).toEqual([]);
    const aged = car(EVEN, { visit: { tires: { lf: { dateCode: '1020' } } } });
    expect(given({ ageReplace: 6 }, aged, [])).toEqual([]);
    expect(given({ ageReplace: 5 }, aged, [])).toEqual(['age']);
  });

  it('look at age, place of a puncture, and the placard', () => {
    const old = car(EVEN, {
      visit: { tires: { lf: { dateCode: '1014' }, rf: { dateCode: '1020' } } },
    });
    expect(brokenRules(old, [], TODAY, HOUSE)).toMatchObject([{ rule: 'age', wheels: ['lf'] }]);
    const holed = (place: 'crown' | 'shoulder'): VisitDraft => {
      const draft = car(EVEN, { visit: { tires: { rr: { puncturePlace: place } } } });
      draft.tires!.rr!.damage = ['puncture'];
      return draft;
    };
    expect(rules(holed('crown'), [])).toEqual([]);
    expect(rules(holed('shoulder'), [])).toEqual(['puncture']);
    const placard = car(EVEN, { visit: { car: { placard: { front: '205/55R16 94V' } } } });
    placard.tires!.lf!.size = '205/55R16 91H';
    expect(rules(placard, [])).toEqual(['placard', 'placard']);
  });

  it('each have a source', () => {
    for (const source of Object.values(ENGLISH_SCREENS.visit.fittingSources)) {
      expect(source).toMatch(/recalled from memory|common practice, no source|custom/);
    }
  });

  it('keep one construction on an axle, and radials off the front of bias ply', () => {
    const sizes = (list: Record<Wheel, string>) => {
      const draft = car(EVEN);
      for (const wheel of WHEELS) draft.tires![wheel]!.size = list[wheel];
      return draft;
    };
    const [radial, bias] = ['205/75R15', '205/75D15'];
    const all = { lf: radial, rf: radial, lr: radial, rr: radial };
    expect(rules(sizes(all), [])).toEqual([]);
    expect(brokenRules(sizes({ ...all, rf: bias }), [], TODAY, HOUSE)[0]).toMatchObject({
      rule: 'mixed',
      wheels: ['lf', 'rf'],
      fault: { kind: 'mixedAxle', constructions: ['radial', 'bias'] },
    });
    expect(rules(sizes({ ...all, lr: bias, rr: bias }), [])).toEqual(['mixed']);
    // Bias ply in front of radials is allowed by the regulation.
    expect(rules(sizes({ ...all, lf: bias, rf: bias }), [])).toEqual([]);
  });

  it('want winter tires on all four or on none', () => {
    const seasons = (list: ('summer' | 'winter' | undefined)[]) =>
      car(EVEN, {
        visit: {
          tires: Object.fromEntries(
            (['lf', 'rf', 'lr', 'rr'] as const).map((wheel, i) => [
              wheel,
              list[i] ? { season: list[i] } : {},
            ]),
          ),
        },
      });
    expect(rules(seasons(['winter', 'winter', 'winter', 'winter']), [])).toEqual([]);
    expect(rules(seasons(['winter', 'winter', undefined, undefined]), [])).toEqual([]);
    const mixed = brokenRules(seasons(['winter', 'winter', 'summer', 'summer']), [], TODAY, HOUSE);
    expect(mixed[0]).toMatchObject({ rule: 'winter', alsoReplace: ['lr', 'rr'] });
  });
});
