import type { VisitDraft } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import { ASSUMED, countRead } from '../visit/draftToCase.ts';
import { playAt } from '../visit/wornParts.ts';
import { measuredToday } from './measure/setupList.ts';
import { alignmentState } from './setRight/alignmentState.ts';
import { closingList } from './setRight/closingList.ts';
import { axleOf } from '../engine/case/wheels.ts';
import { ALL_RIBS } from './visitSteps.ts';
import type { VisitStep } from './visitSteps.ts';

/** Something that a step has not been told, and why that matters. */
export interface Lack {
  what: string;
  why: string;
}

/**
 * What a step still lacks, the most telling first; empty when it has everything.
 * @param isDecided - whether the customer's decision is saved
 */
export function lacksOf(draft: VisitDraft, step: VisitStep, isDecided: boolean): Lack[] {
  switch (step) {
    case 'arrive':
      return arrival(draft);
    case 'read':
      return reading(draft);
    case 'inspect':
      return touch(draft);
    case 'explain':
      return [...reading(draft), ...arrival(draft), ...touch(draft)];
    case 'decide':
      return isDecided
        ? []
        : [{ what: 'The customer’s answer', why: 'the estimate and a refusal are saved with it' }];
    case 'measure':
      return measuring(draft);
    case 'set':
      return setting(draft);
    case 'hand-over':
      return handingOver(draft);
  }
}

function arrival(draft: VisitDraft): Lack[] {
  const tires = WHEELS.map((wheel) => draft.tires?.[wheel]);
  const without = (has: (tire: (typeof tires)[number]) => boolean) =>
    tires.filter((tire) => !has(tire)).length;
  const lacks: Lack[] = [];
  if (!draft.vehicle?.drive) {
    lacks.push({
      what: 'Drive',
      why: 'front drive assumed; driven tires wear faster',
    });
  }
  if (without((tire) => tire?.distance !== undefined) > 0) {
    lacks.push({
      what: 'Distance on the tires',
      why: `${ASSUMED.distanceKm.toLocaleString('en').replace(',', ' ')} km assumed; fast wear and slow wear look alike`,
    });
  }
  if (without((tire) => tire?.newDepth !== undefined) > 0) {
    lacks.push({
      what: 'New depth',
      why: `${ASSUMED.newDepthMm} mm assumed; how much is gone is a guess`,
    });
  }
  if (without((tire) => tire?.pressure?.measured !== undefined) > 0) {
    lacks.push({
      what: 'Pressures found',
      why: 'without them only the tread can show low pressure',
    });
  } else if (without((tire) => tire?.pressure?.target !== undefined) > 0) {
    lacks.push({ what: 'Placard pressure', why: 'what was found has nothing to compare with' });
  }
  return lacks;
}

function reading(draft: VisitDraft): Lack[] {
  const read = countRead(draft);
  if (read === ALL_RIBS) return [];
  const left = ALL_RIBS - read;
  return [
    {
      what: left === ALL_RIBS ? 'The depths' : `${left} of ${ALL_RIBS} ribs`,
      why: 'an edge nobody read cannot be judged',
    },
  ];
}

function touch(draft: VisitDraft): Lack[] {
  const felt = (field: 'feather' | 'cupping') =>
    WHEELS.filter((wheel) => (draft.tires?.[wheel]?.[field] ?? 'unknown') !== 'unknown').length;
  const lacks: Lack[] = [];
  if (felt('feather') < 4) {
    lacks.push({
      what: `Feel of the tread on ${tires(4 - felt('feather'))}`,
      why: 'it tells toe from camber',
    });
  }
  if (felt('cupping') < 4) {
    lacks.push({ what: `Waves on ${tires(4 - felt('cupping'))}`, why: 'they point to dampers' });
  }
  const shaken = WHEELS.filter((wheel) => playAt(draft, wheel) !== undefined).length;
  if (shaken < 4) {
    lacks.push({
      what: shaken === 0 ? 'Play in the joints' : `Play at ${4 - shaken} of 4 wheels`,
      why: 'an alignment on loose parts does not hold',
    });
  }
  return lacks;
}

function tires(count: number): string {
  return count === 4 ? 'all four tires' : count === 1 ? 'one tire' : `${count} tires`;
}

function measuring(draft: VisitDraft): Lack[] {
  const { kinds, axles } = measuredToday(draft);
  const lacks: Lack[] = [];
  if (!draft.visit?.measure?.repeat) {
    lacks.push({
      what: 'The lock-to-lock repeat',
      why: 'readings that do not come back mean a worn part',
    });
  }
  const missing = WHEELS.filter((wheel) => axles.includes(axleOf(wheel))).flatMap((wheel) =>
    (['camber', 'toe'] as const).filter(
      (kind) => kinds.includes(kind) && draft.angles?.[wheel]?.[kind] === undefined,
    ),
  ).length;
  if (missing > 0) {
    lacks.push({
      what: missing === 1 ? 'One angle' : `${missing} angles`,
      why: 'an angle that was not read cannot be set',
    });
  }
  if (!draft.visit?.sheet) {
    lacks.push({ what: 'The car’s sheet', why: 'usual limits are used, not this car’s own' });
  }
  return lacks;
}

function setting(draft: VisitDraft): Lack[] {
  const { setRight } = draft.visit ?? {};
  if (!setRight?.before) return [];
  const { plan, kind } = alignmentState(draft);
  // Before that the headline says what is open.
  if (plan.length > 0 || kind !== 'done') return [];
  const open = closingList(draft).filter(({ point }) => !setRight.closing?.[point]).length;
  return open > 0
    ? [
        {
          what: open === 1 ? 'One point before it is given back' : `${open} points of the list`,
          why: 'the car is not given back before they are answered',
        },
      ]
    : [];
}

function handingOver(draft: VisitDraft): Lack[] {
  const { given, next } = draft.visit?.handOver ?? {};
  const lacks: Lack[] = [];
  if (!given) lacks.push({ what: 'The sheet', why: 'the customer has not got it yet' });
  if (!next) lacks.push({ what: 'The next check', why: 'no reminder is set' });
  return lacks;
}
