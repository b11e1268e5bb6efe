import type { VisitDraft } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import { ASSUMED, countRead } from '../visit/draftToCase.ts';
import { playAt } from '../visit/wornParts.ts';
import { measuredToday } from './measure/setupList.ts';
import { alignmentState } from './setRight/alignmentState.ts';
import { closingList } from './setRight/closingList.ts';
import type { VisitTexts } from '../words/screens/index.ts';
import { axleOf } from '../engine/case/wheels.ts';
import { ALL_RIBS } from './visitSteps.ts';
import type { VisitStep } from './visitSteps.ts';

/** Something that a step has not been told, and why that matters. */
export interface Lack {
  what: string;
  why: string;
}

type LackTexts = VisitTexts['lacks'];

/**
 * What a step still lacks, the most telling first; empty when it has everything.
 * @param isDecided - whether the customer's decision is saved
 * @param say - texts in the language of the page
 */
export function lacksOf(
  draft: VisitDraft,
  step: VisitStep,
  isDecided: boolean,
  say: LackTexts,
): Lack[] {
  switch (step) {
    case 'arrive':
      return arrival(draft, say);
    case 'read':
      return reading(draft, say);
    case 'inspect':
      return touch(draft, say);
    case 'explain':
      return [...reading(draft, say), ...arrival(draft, say), ...touch(draft, say)];
    case 'decide':
      return isDecided ? [] : [say.decision];
    case 'measure':
      return measuring(draft, say);
    case 'set':
      return setting(draft, say);
    case 'hand-over':
      return handingOver(draft, say);
  }
}

function arrival(draft: VisitDraft, say: LackTexts): Lack[] {
  const tires = WHEELS.map((wheel) => draft.tires?.[wheel]);
  const without = (has: (tire: (typeof tires)[number]) => boolean) =>
    tires.filter((tire) => !has(tire)).length;
  const lacks: Lack[] = [];
  if (!draft.vehicle?.drive) {
    lacks.push(say.drive);
  }
  if (without((tire) => tire?.distance !== undefined) > 0) {
    const km = ASSUMED.distanceKm.toLocaleString('en').replace(',', '\u00a0');
    lacks.push({ what: say.distance.what, why: say.distance.why(km) });
  }
  if (without((tire) => tire?.newDepth !== undefined) > 0) {
    lacks.push({ what: say.newDepth.what, why: say.newDepth.why(ASSUMED.newDepthMm) });
  }
  if (without((tire) => tire?.pressure?.measured !== undefined) > 0) {
    lacks.push(say.pressures);
  } else if (without((tire) => tire?.pressure?.target !== undefined) > 0) {
    lacks.push(say.placard);
  }
  return lacks;
}

function reading(draft: VisitDraft, say: LackTexts): Lack[] {
  const read = countRead(draft);
  if (read === ALL_RIBS) return [];
  return [{ what: say.ribs.what(ALL_RIBS - read, ALL_RIBS), why: say.ribs.why }];
}

function touch(draft: VisitDraft, say: LackTexts): Lack[] {
  const felt = (field: 'feather' | 'cupping') =>
    WHEELS.filter((wheel) => (draft.tires?.[wheel]?.[field] ?? 'unknown') !== 'unknown').length;
  const lacks: Lack[] = [];
  if (felt('feather') < 4) {
    lacks.push({ what: say.feather.what(4 - felt('feather')), why: say.feather.why });
  }
  if (felt('cupping') < 4) {
    lacks.push({ what: say.waves.what(4 - felt('cupping')), why: say.waves.why });
  }
  const shaken = WHEELS.filter((wheel) => playAt(draft, wheel) !== undefined).length;
  if (shaken < 4) {
    lacks.push({ what: say.play.what(4 - shaken), why: say.play.why });
  }
  return lacks;
}

function measuring(draft: VisitDraft, say: LackTexts): Lack[] {
  const { kinds, axles } = measuredToday(draft);
  const lacks: Lack[] = [];
  if (!draft.visit?.measure?.repeat) {
    lacks.push(say.repeat);
  }
  const missing = WHEELS.filter((wheel) => axles.includes(axleOf(wheel))).flatMap((wheel) =>
    (['camber', 'toe'] as const).filter(
      (kind) => kinds.includes(kind) && draft.angles?.[wheel]?.[kind] === undefined,
    ),
  ).length;
  if (missing > 0) {
    lacks.push({ what: say.angles.what(missing), why: say.angles.why });
  }
  if (!draft.visit?.sheet) {
    lacks.push(say.sheet);
  }
  return lacks;
}

function setting(draft: VisitDraft, say: LackTexts): Lack[] {
  const { setRight } = draft.visit ?? {};
  if (!setRight?.before) return [];
  const { plan, kind } = alignmentState(draft);
  // Before that the headline says what is open.
  if (plan.length > 0 || kind !== 'done') return [];
  const open = closingList(draft).filter(({ point }) => !setRight.closing?.[point]).length;
  return open > 0 ? [{ what: say.closing.what(open), why: say.closing.why }] : [];
}

function handingOver(draft: VisitDraft, say: LackTexts): Lack[] {
  const { given, next } = draft.visit?.handOver ?? {};
  const lacks: Lack[] = [];
  if (!given) lacks.push(say.paper);
  if (!next) lacks.push(say.next);
  return lacks;
}
