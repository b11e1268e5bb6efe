import type { HouseRules, VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM } from '../../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import { constructionOf } from '../../engine/tires/construction.ts';
import { tireAgeYears } from '../../engine/tires/dateCode.ts';
import { mayRotate } from '../mayRotate.ts';
import { belowPlacard } from '../../engine/tires/serviceDescription.ts';
import { depthsRead, leastDepth } from '../depthsRead.ts';

/** Rules of fitting tires, each with where it comes from. */
export const FITTING_SOURCES = {
  legal: '49 CFR 570.9; Directive 89/459/EEC (recalled from memory)',
  wearBars: '49 CFR 571.139 S5.4; UN ECE R30 (recalled from memory)',
  pair: 'the shop’s custom',
  newAtRear: 'common practice, no source: the rear must not let go first on a wet road',
  matching: 'the vehicle maker’s limit; where none is known, the shop’s custom',
  placard: 'the placard; load index and speed symbol after ISO 4000-1 (recalled from memory)',
  mixed:
    'Road Vehicles (Construction and Use) Regulations 1986, reg. 26 (recalled from memory); common practice elsewhere',
  winter: 'common practice, no source: four alike; law in some places in winter',
  age: 'the shop’s custom; a tire maker may say less',
  puncture: 'common practice, no source; the tire maker decides',
} as const;
export type FittingRule = keyof typeof FITTING_SOURCES;

/** A rule that a plan of new tires would break. */
export interface BrokenRule {
  rule: FittingRule;
  wheels: Wheel[];
  /** What is wrong, in words. */
  words: string;
  /** What would keep the rule. */
  keeps: string;
  /** Replacing these as well keeps the rule; empty where it takes something else. */
  alsoReplace: Wheel[];
}

/** New wear bars stand this high, mm. */
const WEAR_BAR_MM = 1.6;

/**
 * Which rules of fitting a choice of new tires would break.
 * @param replace - wheels that get new tires
 * @param today - `YYYY-MM-DD`
 * @param house - depths and ages the shop goes by
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
    ...rule('legal', worn, 'worn to the legal limit', 'a new tire there', worn),
    ...rule('wearBars', bars, 'its wear bars show', 'a new tire there', bars),
  ];
}

function punctures(draft: VisitDraft, stays: readonly Wheel[]): BrokenRule[] {
  const lost = stays.filter((wheel) => {
    const place = draft.visit?.tires?.[wheel]?.puncturePlace;
    const isPunctured = draft.tires?.[wheel]?.damage?.includes('puncture') === true;
    return isPunctured && (place === 'shoulder' || place === 'sidewall');
  });
  return rule('puncture', lost, 'a puncture where it cannot be repaired', 'a new tire there', lost);
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
  return rule('age', old, `${years} years old or more`, 'a new tire there', old);
}

/** One new tire on an axle beside one that is clearly lower. */
function pairs(draft: VisitDraft, replace: readonly Wheel[], apartMm: number): BrokenRule[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const [gets, keeps] = split(axle, replace);
    if (gets.length !== 1) return [];
    const newMm = draft.tires?.[gets[0]!]?.newDepth;
    const least = leastDepth(draft, keeps[0]!);
    if (newMm === undefined || least === null || newMm - least < apartMm) return [];
    return rule('pair', gets, 'new beside a worn one on its axle', 'a pair', keeps);
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
  const apart = (Math.max(...depths) - Math.min(...depths)).toFixed(1);
  return rule(
    'matching',
    [...replace],
    `the set would stand ${apart} mm apart, more than all-wheel drive takes`,
    'four new ones, or new ones shaved to match',
    others,
  );
}

/** Two new ones in front while the rears, lower, stay behind. */
function newInFront(draft: VisitDraft, replace: readonly Wheel[]): BrokenRule[] {
  const [front] = split('front', replace);
  const [rear] = split('rear', replace);
  if (front.length !== 2 || rear.length > 0 || mayRotate(draft) === false) return [];
  return rule(
    'newAtRear',
    front,
    'the two new ones would go in front',
    'the new ones at the rear, today’s rears moved to the front',
    [],
  );
}

function placards(draft: VisitDraft): BrokenRule[] {
  return (['front', 'rear'] as const).flatMap((axle) => {
    const placard = draft.visit?.car?.placard?.[axle];
    const [wheel] = WHEELS_OF_AXLE[axle];
    const size = draft.tires?.[wheel]?.size;
    if (!placard || !size) return [];
    return belowPlacard(size, placard).flatMap((words) =>
      rule('placard', [...WHEELS_OF_AXLE[axle]], words, `at least ${placard}`, []),
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
    return rule('mixed', [left, right], `${a} and ${b} on one axle`, 'one construction', []);
  });
  if (apart.length > 0) return apart;
  const [front, rear] = [of('lf'), of('lr')];
  if (front !== 'radial' || rear === null || rear === 'radial') return [];
  return rule(
    'mixed',
    [...WHEEL_ORDER],
    `radials in front of ${rear} at the rear`,
    'radials at the rear, too',
    [],
  );
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
    'winter tires on some wheels only',
    'winter tires on all four, or on none',
    others.filter((wheel) => stays.includes(wheel)),
  );
}

function rule(
  name: FittingRule,
  wheels: Wheel[],
  words: string,
  keeps: string,
  alsoReplace: Wheel[],
): BrokenRule[] {
  return wheels.length === 0 ? [] : [{ rule: name, wheels, words, keeps, alsoReplace }];
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
