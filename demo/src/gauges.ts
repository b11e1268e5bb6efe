import type { InstrumentKind, NewCheck, NewStudy } from '@keen/contract';
import { createRandom, studyDeal } from '@keen/core';

/** A gauge of the demo shop with its checks. */
export interface DemoInstrument {
  id: string;
  name: string;
  kind: InstrumentKind;
  certified: number | null;
  block: number[];
  checks: (NewCheck & { personId: string })[];
}

/** A gauge study of the demo shop: invented people's readings of invented marks. */
export interface DemoStudy extends NewStudy {
  seed: number;
  createdAt: string;
  closedAt: string | null;
  readings: { person: number; trial: number; mark: number; mm: number; at: string }[];
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const tenths = (mm: number) => Math.max(0, Math.round(mm * 10) / 10);
const hundredths = (value: number) => Math.round(value * 100) / 100;

interface GaugePlan {
  name: string;
  kind: InstrumentKind;
  certified: number | null;
  block: number[];
  /** Days ago of its checks, oldest first. */
  days: readonly number[];
  /** How far it is off on a day so long ago, and how far its readings scatter. */
  off: (daysAgo: number) => number;
  sd: number;
}

const range = (count: number, step: number, from: number) =>
  Array.from({ length: count }, (_, i) => from + step * (count - 1 - i));

const GAUGES: readonly GaugePlan[] = [
  {
    name: 'Depth gauge 1',
    kind: 'depth',
    certified: null,
    block: [2, 5, 8],
    days: range(22, 2, 0),
    off: () => 0.02,
    sd: 0.05,
  },
  {
    name: 'Depth gauge 2',
    kind: 'depth',
    certified: null,
    block: [2, 5, 8],
    days: range(18, 3, 1),
    // Its tip wears: it reads ever shallower.
    off: (daysAgo) => -0.28 + 0.0045 * daysAgo,
    sd: 0.03,
  },
  {
    name: 'Alignment rig',
    kind: 'readout',
    certified: 0.03,
    block: [0],
    days: range(7, 30, 12),
    off: () => -0.01,
    sd: 0.012,
  },
  {
    name: 'Long level',
    kind: 'level',
    certified: null,
    block: [0, 2],
    days: [70, 9],
    off: () => 0.06,
    sd: 0.03,
  },
];

const MARKS = [
  'Spare, centre',
  'Left front, inner',
  'Left front, outer',
  'Right front, inner',
  'Right front, centre',
  'Left rear, inner',
  'Left rear, outer',
  'Right rear, centre',
];
const DEPTHS_MM = [7.9, 3.1, 4.6, 2.7, 5.2, 6.1, 5.8, 6.6];

/** What the demo shop measures with, and two studies: one whole, one half done. All made up. */
export function makeDemoGauges(
  people: readonly { id: string }[],
  now: number,
  newId: () => string,
): { instruments: DemoInstrument[]; studies: DemoStudy[] } {
  const { normal } = createRandom(29);
  const instruments = GAUGES.map(({ name, kind, certified, block, days, off, sd }) => ({
    id: newId(),
    name,
    kind,
    certified,
    block,
    checks: days.map((daysAgo, i) => ({
      id: newId(),
      at: new Date(now - daysAgo * DAY_MS - 60 * MINUTE_MS).toISOString(),
      points: block.map((known) => ({
        known,
        read: hundredths(known + off(daysAgo) + sd * normal()),
      })),
      note: '',
      personId: people[i % people.length]!.id,
    })),
  }));
  const study = (
    name: string,
    daysAgo: number,
    offMm: readonly number[],
    sdMm: number,
    taken: number,
  ): DemoStudy => {
    const start = now - daysAgo * DAY_MS;
    const size = { trials: 3, marks: MARKS.length };
    const seed = 1_000 + daysAgo;
    const readings = offMm.flatMap((off, person) =>
      studyDeal(seed, person, size)
        .slice(0, Math.max(0, taken - 4 * person))
        .map(({ trial, mark }, i) => ({
          person,
          trial,
          mark,
          mm: tenths(DEPTHS_MM[mark]! + off + sdMm * normal()),
          at: new Date(start + (i + 1) * MINUTE_MS).toISOString(),
        })),
    );
    return {
      id: newId(),
      name,
      readIn: 'mm',
      people: people.slice(0, offMm.length).map(({ id }) => id),
      marks: MARKS,
      trials: size.trials,
      seed,
      createdAt: new Date(start).toISOString(),
      closedAt:
        taken >= size.trials * size.marks ? new Date(start + 40 * MINUTE_MS).toISOString() : null,
      readings,
    };
  };
  return {
    instruments,
    studies: [
      study('Depth gauge 1, all three', 41, [-0.09, 0.02, 0.16], 0.12, 99),
      study('Depth gauge 2', 2, [0.05, -0.05], 0.16, 19),
    ],
  };
}
