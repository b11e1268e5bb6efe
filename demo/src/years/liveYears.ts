import type {
  Action,
  Axle,
  CaseFile,
  Diagnosis,
  Entry,
  Forecast,
  NewDecision,
  VisitDraft,
  Wheel,
} from '@keen/contract';
import { AXLES, visitTakes, WHEELS } from '@keen/contract';
import {
  anglesOut,
  axleOf,
  caseToChanges,
  createRandom,
  draftToCase,
  foldEntries,
  STATE,
} from '@keen/core';
import type { Random } from '@keen/core';
import { createLivingCar } from '@keen/simulator';
import type { LivingCar, Usual, WheelAngles } from '@keen/simulator';
import { uuidFrom } from '../uuidFrom.ts';
import type { PlannedCar, PlannedVisit } from './planYears.ts';

/** What the engine and the shop's prices advise for a case. */
export interface Advised {
  action: Action;
  replace: Wheel[];
  diagnosis: Diagnosis;
  /** What is forecast of the tires that a decision leaves on the car. */
  forecast: (decided: Pick<NewDecision, 'action' | 'answer' | 'replace'>) => Forecast | null;
}
export type Advise = (file: CaseFile, draft: VisitDraft) => Advised;

/** A visit as it went. */
export interface LivedVisit {
  id: string;
  /** Who took the car in and asked. */
  personId: string;
  arrivedAt: string;
  closedAt: string;
  entries: Entry[];
  draft: VisitDraft;
  decision: LivedDecision | null;
}

export interface LivedDecision {
  id: string;
  action: Action;
  advised: Action;
  replace: Wheel[];
  answer: NewDecision['answer'];
  reason: string;
  diagnosis: Diagnosis;
  forecast: Forecast | null;
  /** Entries that it rests on. */
  entrySeq: number;
  createdAt: string;
}

/**
 * What the cars of the shop's town have in common: steep streets wear tires a little faster, front ones
 * more, and bends are taken harder than elsewhere (invented).
 */
const TOWN: Usual = [
  [STATE.logWearRate, 0.12],
  [STATE.axleRate, 0.1],
  [STATE.cornering, 0.15],
];

/** How often customers say yes to each advice (invented). */
const YES: Record<Action, number> = {
  fitOnly: 0.95,
  checkAlignment: 0.55,
  align: 0.62,
  partsThenAlign: 0.5,
  inflateAndWatch: 0.97,
  balanceOrDampers: 0.68,
};
/** Of those who do not say yes. */
const STILL_THINKING = 0.25;
const NOBODY_DRIVES_ON_MM = 1.7;
/** One of the two advisors is better at it. */
const BETTER_AT_IT = 0.08;
const CHOOSES_OTHERWISE = 0.05;
const FILES_ANGLES = 0.8;
/** With less than this a customer takes new tires, and with the least of them nobody drives on. */
const NEW_TIRES_AT_MM = 3.2;
const COMES_IN_AT_MM = 1.2;
const NO_WORDS = [
  'Too much money this month',
  'Wants to sell the car soon',
  'Says it drives fine',
  'Has a friend who does it',
  'Wants to talk it over at home',
  'No time to wait today',
  'Only came for the tires',
] as const;
const OTHERWISE_WORDS = [
  'Hit a kerb last week and the wheel is off centre',
  'Was aligned a month ago elsewhere',
  'Customer asked for just this',
] as const;
/** A line of tires, and how fast it wears against the usual. */
interface TireLine {
  name: string;
  rate: number;
}

/** Lines of tires, made up like their makers. */
const LINES: readonly TireLine[] = [
  { name: 'Saltmarsh Tour', rate: 0.92 },
  { name: 'Cobble Four', rate: 1.05 },
  { name: 'Tideway Eco', rate: 0.88 },
  { name: 'Dune Cross', rate: 1 },
  { name: 'Lantern Grip', rate: 1.15 },
];
const ENTRY_MS = 2_000;
const MINUTE_MS = 60_000;

/**
 * Lets a planned car live through its visits: it is read, advised by the engine, the customer answers, and
 * what was agreed is done to it before it drives on.
 * @param people - ids of the advisors
 * @param advise - what the product advises
 */
export function liveYears(
  planned: PlannedCar,
  people: readonly string[],
  advise: Advise,
): LivedVisit[] {
  const random = createRandom(planned.seed ^ 0x2545f491);
  const lived: LivedVisit[] = [];
  let odometer = planned.odometerHundredKm;
  // A stream of its own: what tires are called changes nothing of what happens.
  const naming = createRandom(planned.seed ^ 0x3c6ef372);
  const pickLine = () => LINES[Math.floor(LINES.length * naming.uniform())]!;
  const first = pickLine();
  const lines = { front: first, rear: first };
  const car = createLivingCar(planned.seed, 'own', TOWN, first.rate);
  for (const visit of planned.visits) {
    if (lived.length > 0) {
      car.drive(visit.hundredKm);
      odometer += visit.hundredKm;
    } else driveUpTo(car, visit.hundredKm);
    const personId = people[Math.floor(people.length * random.uniform())]!;
    const isBetter = personId === people[0];
    lived.push(
      liveVisit(
        { planned, visit, car, odometer, lived, personId, isBetter, random, lines, pickLine },
        advise,
      ),
    );
  }
  return lived;
}

/** The first time it comes, at the latest, when its tires are done. */
function driveUpTo(car: LivingCar, hundredKm: number): void {
  for (let run = 0; run < hundredKm && (run === 0 || car.leastMm() > COMES_IN_AT_MM); run++) {
    car.drive(1);
  }
}

interface Scene {
  planned: PlannedCar;
  visit: PlannedVisit;
  car: LivingCar;
  odometer: number;
  lived: readonly LivedVisit[];
  personId: string;
  isBetter: boolean;
  random: Random;
  /** What the tires on each axle are. */
  lines: Record<Axle, TireLine>;
  /** Of new tires. */
  pickLine: () => TireLine;
}

function liveVisit(scene: Scene, advise: Advise): LivedVisit {
  const { planned, visit, car, random, personId } = scene;
  const entries: Entry[] = [];
  let at = Date.parse(visit.arrivedAt);
  const put = (path: string, value: unknown) => {
    at += ENTRY_MS;
    entries.push({ id: uuidFrom(random), path, value, at: new Date(at).toISOString() });
  };
  put('visit.odometer', scene.odometer * 100);
  for (const wheel of WHEELS) {
    put(`tires.${wheel}.size`, planned.size);
    put(`visit.tires.${wheel}.line`, scene.lines[axleOf(wheel)].name);
  }
  for (const { path, value } of caseToChanges(
    withPressure(car.look(), planned.targetKpa),
    visitTakes,
  )) {
    put(path, value);
  }
  let decision: LivedDecision | null = null;
  const isBare = car.leastMm() < NEW_TIRES_AT_MM;
  if (!visit.isLookOnly || isBare) {
    decision = decide(scene, foldEntries({}, entries), entries.length, at + 8 * MINUTE_MS, advise);
    at += 20 * MINUTE_MS;
    if (decision.answer === 'yes') work(scene, decision, put);
  } else if (planned.rotates && car.isOfOneAge()) car.rotate();
  return {
    id: visit.id,
    personId,
    arrivedAt: visit.arrivedAt,
    closedAt: new Date(at + 15 * MINUTE_MS).toISOString(),
    entries,
    draft: foldEntries({}, entries),
    decision,
  };
}

/** The simulator inflates every car alike; this one has a target of its own. */
function withPressure(file: CaseFile, targetKpa: number): CaseFile {
  for (const wheel of WHEELS) {
    const { pressure } = file.tires[wheel];
    if (pressure?.measured === undefined) file.tires[wheel].pressure = { target: targetKpa };
    else {
      const measured = Math.round((pressure.measured / pressure.target) * targetKpa);
      file.tires[wheel].pressure = { measured, target: targetKpa };
    }
  }
  return file;
}

function decide(
  { planned, visit, car, lived, isBetter, random }: Scene,
  draft: VisitDraft,
  entrySeq: number,
  at: number,
  advise: Advise,
): LivedDecision {
  const among = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!;
  const { label, plate } = planned.vehicle;
  const before = { arrivedAt: visit.arrivedAt, others: lived };
  const file = draftToCase(draft, `${label}, ${plate}`, {}, before).file;
  const advised = advise(file, draft);
  const isOther = random.uniform() < CHOOSES_OTHERWISE;
  const action = isOther ? (advised.action === 'align' ? 'fitOnly' : 'align') : advised.action;
  const chance =
    car.leastMm() < NOBODY_DRIVES_ON_MM ? 1 : YES[action] + (isBetter ? BETTER_AT_IT : 0);
  const answer =
    random.uniform() < chance ? 'yes' : random.uniform() < STILL_THINKING ? 'open' : 'no';
  const low = WHEELS.filter((wheel) => car.leastMm(wheel) < NEW_TIRES_AT_MM);
  const axles = new Set([...advised.replace, ...low].map(axleOf));
  // Tires are changed by the pair.
  const replace = WHEELS.filter((wheel) => axles.has(axleOf(wheel)));
  return {
    id: visit.decisionId,
    action,
    advised: advised.action,
    replace,
    answer,
    reason: answer === 'no' ? among(NO_WORDS) : isOther ? among(OTHERWISE_WORDS) : '',
    diagnosis: advised.diagnosis,
    forecast: advised.forecast({ action, answer, replace }),
    entrySeq,
    createdAt: new Date(at).toISOString(),
  };
}

/** What was agreed is done, and what a rig reads of it is entered. */
function work(
  { car, random, lines, pickLine }: Scene,
  { action, replace }: LivedDecision,
  put: (path: string, value: unknown) => void,
): void {
  const isFiled = random.uniform() < FILES_ANGLES;
  if (action === 'align' || action === 'partsThenAlign') {
    const found = car.measure();
    const set = car.align(action === 'partsThenAlign');
    if (isFiled) {
      enter(found, put);
      put('visit.setRight.before', found);
      enter(set, put);
    }
  } else if (action === 'checkAlignment') {
    const found = car.measure();
    enter(found, put);
    if (anglesOut(found, undefined)) {
      put('visit.setRight.before', found);
      enter(car.align(false), put);
    }
  } else if (action === 'balanceOrDampers') car.steady();
  if (action !== 'fitOnly' && action !== 'checkAlignment') car.inflate();
  // What goes on in one visit is of one line.
  const line = replace.length > 0 ? pickLine() : null;
  for (const [at, axle] of AXLES.entries()) {
    if (!line || !replace.some((wheel) => axleOf(wheel) === axle)) continue;
    car.renew(at as 0 | 1, line.rate);
    lines[axle] = line;
  }
}

function enter(angles: WheelAngles, put: (path: string, value: unknown) => void): void {
  for (const wheel of WHEELS) put(`angles.${wheel}`, angles[wheel]);
}
