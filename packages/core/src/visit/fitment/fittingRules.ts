import type { HouseRules, VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM } from '../../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import type { Construction } from '../../engine/tires/construction.ts';
import { constructionOf } from '../../engine/tires/construction.ts';
import { tireAgeYears } from '../../engine/tires/dateCode.ts';
import { mayRotate } from '../mayRotate.ts';
import type { BelowPlacard } from '../../engine/tires/serviceDescription.ts';
import { belowPlacard } from '../../engine/tires/serviceDescription.ts';
import { depthsRead, leastDepth } from '../depthsRead.ts';

/** Rules of fitting tires; where each comes from is said in words. */
export type FittingRule =
  | 'legal'
  | 'wearBars'
  | 'pair'
  | 'newAtRear'
  | 'matching'
  | 'placard'
  | 'mixed'
  | 'winter'
  | 'age'
  | 'puncture';

/** What is wrong with a choice of new tires, with its figures. */
export type FittingFault =
  | { kind: 'legal' | 'wearBars' | 'puncture' | 'pair' | 'newAtRear' | 'winter' }
  | { kind: 'age'; years: number }
  | { kind: 'matching'; apartMm: number }
  | { kind: 'placard'; below: BelowPlacard; placard: string }
  | { kind: 'mixedAxle'; constructions: readonly [Construction, Construction] }
  | { kind: 'mixedCar'; rear: Construction };

/** A rule that a plan of new tires would break. */
export interface BrokenRule {
  rule: FittingRule;
  wheels: Wheel[];
  fault: FittingFault;
  /** Replacing these as well keeps the rule; empty where it takes something else. */
  alsoReplace: Wheel[];
}

/** New wear bars stand this high, mm. */
const WEAR_BAR_MM = 1.6;

/**
 * Which rules of fitting a choice of new tires would break.
 * @param replace - wheels that get new tires
 * @param today - `YYYY-MM-DD`
 * @param house - depths and ages the shop uses
 * @returns broken rules, those of law and safety first
 */
export function brokenRules(
  draft: VisitDraft,
  replace: readonly Wheel[],
  today: string,
  house: HouseRules,
): BrokenRule[] {
  const stays = WHEEL_ORDER.filter((wheel) => !replace.includes(wheel));
  return [
    ...underLimit(draft, stays),
    ...punctures(draft, stays),
    ...tooOld(draft, stays, today, house.ageReplace),
    ...pairs(draft, replace, house.pair),
    ...matching(draft, replace, house.awdMatch),
    ...newInFront(draft, replace),
    ...placards(draft),
    ...mixedConstructions(draft),
    ...winterTires(draft, stays),
  ];
}

function underLimit(draft: VisitDraft, stays: readonly Wheel[]): BrokenRule[] {
  const legal = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const below = (mm: number) =>
    stays.filter((wheel) => (leastDepth(draft, wheel) ?? Number.POSITIVE_INFINITY) <= mm);
  const worn = below(legal);
  const bars = below(WEAR_BAR_MM).filter((wheel) => !worn.includes(wheel));
  return [
    ...rule('legal', worn, { kind: 'legal' }, worn),
    ...rule('wearBars', bars, { kind: 'wearBars' }, bars),
  ];
}

function punctures(draft: VisitDraft, stays: readonly Wheel[]): BrokenRule[] {
  const lost = stays.filter((wheel) => {
    const place = draft.visit?.tires?.[wheel]?.puncturePlace;
    const isPunctured = draft.tires?.[wheel]?.damage?.includes('puncture') === true;
    return isPunctured && (place === 'shoulder' || place === 'sidewall');
  });
  return rule('puncture', lost, { kind: 'puncture' }, lost);
}

function tooOld(
  draft: VisitDraft,
  stays: readonly Wheel[],
  today: string,
  years: number,
): BrokenRule[] {
  const old = stays.filter((wheel) => {
    const code = draft.visit?.tires?.[wheel]?.dateCode;
    return code !== undefined && (ageOf(code, today) ?? 0) >= years;
  });
  return rule('age', old, { kind: 'age', years }, old);
}

/** One new tire on an axle beside one that is clearly lower. */
function pairs(draft: VisitDraft, replace: readonly Wheel[], apartMm: number): BrokenRule[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const [gets, keeps] = split(axle, replace);
    if (gets.length !== 1) return [];
    const newMm = draft.tires?.[gets[0]!]?.newDepth;
    const least = leastDepth(draft, keeps[0]!);
    if (newMm === undefined || least === null || newMm - least < apartMm) return [];
    return rule('pair', gets, { kind: 'pair' }, keeps);
  });
}

function matching(draft: VisitDraft, replace: readonly Wheel[], customMm: number): BrokenRule[] {
  if (draft.vehicle?.drive !== 'awd' || replace.length === 0 || replace.length === 4) return [];
  const limit = draft.visit?.car?.awdMatch ?? customMm;
  const depths = WHEEL_ORDER.map((wheel) =>
    replace.includes(wheel) ? (draft.tires?.[wheel]?.newDepth ?? null) : meanDepth(draft, wheel),
  ).filter((mm) => mm !== null);
  if (depths.length < 4 || Math.max(...depths) - Math.min(...depths) <= limit) return [];
  const others = WHEEL_ORDER.filter((wheel) => !replace.includes(wheel));
  const apartMm = Math.max(...depths) - Math.min(...depths);
  return rule('matching', [...replace], { kind: 'matching', apartMm }, others);
}

/** Two new ones in front while the rears, lower, stay behind. */
function newInFront(draft: VisitDraft, replace: readonly Wheel[]): BrokenRule[] {
  const [front] = split('front', replace);
  const [rear] = split('rear', replace);
  if (front.length !== 2 || rear.length > 0 || mayRotate(draft) === false) return [];
  return rule('newAtRear', front, { kind: 'newAtRear' }, []);
}

function placards(draft: VisitDraft): BrokenRule[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const placard = draft.visit?.car?.placard?.[axle];
    const [wheel] = WHEELS_OF_AXLE[axle];
    const size = draft.tires?.[wheel]?.size;
    if (!placard || !size) return [];
    return belowPlacard(size, placard).flatMap((below) =>
      rule('placard', [...WHEELS_OF_AXLE[axle]], { kind: 'placard', below, placard }, []),
    );
  });
}

/** Radial beside bias ply: never on one axle, and never radials in front of bias ply at the rear. */
function mixedConstructions(draft: VisitDraft): BrokenRule[] {
  const of = (wheel: Wheel) => {
    const size = draft.tires?.[wheel]?.size;
    return size === undefined ? null : constructionOf(size);
  };
  const apart = (['front', 'rear'] as const).flatMap((axle) => {
    const [left, right] = WHEELS_OF_AXLE[axle];
    const [a, b] = [of(left), of(right)];
    if (a === null || b === null || a === b) return [];
    return rule('mixed', [left, right], { kind: 'mixedAxle', constructions: [a, b] }, []);
  });
  if (apart.length > 0) return apart;
  const [front, rear] = [of('lf'), of('lr')];
  if (front !== 'radial' || rear === null || rear === 'radial') return [];
  return rule('mixed', [...WHEEL_ORDER], { kind: 'mixedCar', rear }, []);
}

/** Winter tires on some wheels only; a new tire is taken to be what it replaces. */
function winterTires(draft: VisitDraft, stays: readonly Wheel[]): BrokenRule[] {
  const seasonOf = (wheel: Wheel) => draft.visit?.tires?.[wheel]?.season;
  const winter = WHEEL_ORDER.filter((wheel) => seasonOf(wheel) === 'winter');
  const others = WHEEL_ORDER.filter((wheel) => {
    const season = seasonOf(wheel);
    return season !== undefined && season !== 'winter';
  });
  if (winter.length === 0 || others.length === 0) return [];
  return rule(
    'winter',
    others,
    { kind: 'winter' },
    others.filter((wheel) => stays.includes(wheel)),
  );
}

function rule(
  name: FittingRule,
  wheels: Wheel[],
  fault: FittingFault,
  alsoReplace: Wheel[],
): BrokenRule[] {
  return wheels.length === 0 ? [] : [{ rule: name, wheels, fault, alsoReplace }];
}

function split(axle: Axle, replace: readonly Wheel[]): [Wheel[], Wheel[]] {
  const gets = replace.filter((wheel) => axleOf(wheel) === axle);
  return [gets, WHEELS_OF_AXLE[axle].filter((wheel) => !gets.includes(wheel))];
}

function meanDepth(draft: VisitDraft, wheel: Wheel): number | null {
  const depths = depthsRead(draft, wheel);
  return depths.length > 0 ? depths.reduce((sum, mm) => sum + mm, 0) / depths.length : null;
}

/** Years, null for a code that cannot be read. */
function ageOf(code: string, today: string): number | null {
  try {
    return tireAgeYears(code, today);
  } catch {
    return null;
  }
}
