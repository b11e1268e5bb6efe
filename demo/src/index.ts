import type { Entry, NewDecision, Role, ShopSettings, SpecSheet, Wheel } from '@keen/contract';
import { WHEELS } from '@keen/contract';
import { axleOf, byWheel, createRandom, hashSeed, readingOrder } from '@keen/core';
import type { Random } from '@keen/core';
import { CARS } from './cars.ts';
import type { DemoCar, Stage } from './demoCar.ts';
import { demoDepths } from './demoTread.ts';
import { FLEET, FLEET_KM_A_MONTH } from './fleet.ts';
import type { FleetVan } from './fleet.ts';
import { makeDemoGauges } from './gauges.ts';
import type { DemoInstrument, DemoStudy } from './gauges.ts';
import { SETTINGS, SHEETS } from './sheets.ts';
import { SHOP, STAFF } from './shop.ts';
import { uuidFrom } from './uuidFrom.ts';

export interface DemoVisit {
  id: string;
  vehicleId: string;
  personId: string;
  arrivedAt: string;
  closedAt: string | null;
  entries: Entry[];
  /** Action and tires are those that the diagnosis advises. */
  decision: Pick<NewDecision, 'id' | 'answer' | 'reason'> | null;
}

export interface DemoShop {
  shop: { id: string; name: string; town: string; settings: ShopSettings };
  people: { id: string; name: string; role: Role; email: string }[];
  vehicles: { id: string; plate: string; label: string; customer: string }[];
  sheets: { id: string; sheetId: string; personId: string; sheet: SpecSheet }[];
  /** Oldest first. */
  visits: DemoVisit[];
  instruments: DemoInstrument[];
  studies: DemoStudy[];
}

const SEED = 418;
const MINUTE_MS = 60_000;
const MONTH_MS = 30.4 * 24 * 60 * MINUTE_MS;
const STAGES: readonly Stage[] = ['arrived', 'reading', 'read', 'felt', 'decided'];
const RIBS_READ_WHILE_READING = 5;
const KM_A_MONTH = 2_400;

/**
 * Makes the demo shop: invented people, cars and customers with tread worn by the wear model.
 * @param nowIso - the moment it is made for; everything is placed before it
 */
export function makeDemoShop(nowIso: string): DemoShop {
  const random = createRandom(SEED);
  const now = Date.parse(nowIso);
  const id = () => uuidFrom(random);
  const people = STAFF.map(({ name, role }) => ({
    id: id(),
    name,
    role,
    email: `${name.toLowerCase().replace(/[^a-z]+/g, '.')}@quay-street.example`,
  }));
  const vehicles = CARS.map(({ plate, label, customer }) => ({ id: id(), plate, label, customer }));
  const visits = CARS.flatMap((car, index) => {
    const vehicleId = vehicles[index]!.id;
    const personId = people[index % 2]!.id;
    const make = { car, vehicleId, personId, random };
    return [
      ...car.history.map((months) => pastVisit(make, now - months * MONTH_MS, months)),
      ...declinedVisits(make, now),
      presentVisit(make, now - car.arrivedMinutesAgo * MINUTE_MS),
    ];
  });
  const shop = { id: id(), ...SHOP, settings: SETTINGS };
  const sheets = SHEETS.map((sheet) => ({
    id: id(),
    sheetId: id(),
    // The technician's work.
    personId: people[2]!.id,
    sheet,
  }));
  for (const one of FLEET) {
    const { plate, label, customer } = one.car;
    const vehicle = { id: id(), plate, label, customer };
    vehicles.push(vehicle);
    visits.push(
      ...fleetVisits(
        { car: one.car, vehicleId: vehicle.id, personId: people[0]!.id, random },
        one,
        now,
      ),
    );
  }
  return {
    shop,
    people,
    vehicles,
    sheets,
    visits: visits.toSorted((a, b) => a.arrivedAt.localeCompare(b.arrivedAt)),
    ...makeDemoGauges(people, now, id),
  };
}

/** Two looks at a van on one set of tires, nothing decided. */
function fleetVisits(make: Make, { car, seen }: FleetVan, now: number): DemoVisit[] {
  const [first, last] = seen;
  return seen.map((monthsAgo) => {
    const at = now - monthsAgo * MONTH_MS;
    const distanceKm =
      Math.round(
        (car.distanceKm - (monthsAgo === last ? 0 : (first - last) * FLEET_KM_A_MONTH)) / 100,
      ) * 100;
    return {
      id: uuidFrom(make.random),
      vehicleId: make.vehicleId,
      personId: make.personId,
      arrivedAt: new Date(at).toISOString(),
      closedAt: new Date(at + 45 * MINUTE_MS).toISOString(),
      entries: visitEntries(make, at, { distanceKm, monthsAgo, stage: 'felt' }, true),
      decision: null,
    };
  });
}

interface Make {
  car: DemoCar;
  vehicleId: string;
  personId: string;
  random: Random;
}

function presentVisit(make: Make, at: number): DemoVisit {
  const { car, random } = make;
  const decided = car.stage === 'decided';
  return {
    id: uuidFrom(random),
    vehicleId: make.vehicleId,
    personId: make.personId,
    arrivedAt: new Date(at).toISOString(),
    closedAt: null,
    entries: visitEntries(make, at, { distanceKm: car.distanceKm, monthsAgo: 0, stage: car.stage }),
    decision: decided ? { id: uuidFrom(random), answer: 'yes', reason: '' } : null,
  };
}

/** The visit at which the work was declined: the same set of tires, the same fault. */
function declinedVisits(make: Make, now: number): DemoVisit[] {
  const { declined } = make.car;
  if (!declined) return [];
  const at = now - declined.monthsAgo * MONTH_MS;
  return [
    {
      id: uuidFrom(make.random),
      vehicleId: make.vehicleId,
      personId: make.personId,
      arrivedAt: new Date(at).toISOString(),
      closedAt: new Date(at + 60 * MINUTE_MS).toISOString(),
      entries: visitEntries(
        make,
        at,
        { distanceKm: declined.distanceKm, monthsAgo: declined.monthsAgo, stage: 'felt' },
        true,
      ),
      decision: { id: uuidFrom(make.random), answer: 'no', reason: declined.words },
    },
  ];
}

/** An earlier visit: the same car with fewer kilometres on an earlier set, nothing left open. */
function pastVisit(make: Make, at: number, months: number): DemoVisit {
  const { car, random } = make;
  const distance = Math.max(
    3_000,
    (car.distanceKm - months * KM_A_MONTH + 10 * car.distanceKm) % car.distanceKm,
  );
  const declined = random.uniform() < 0.3;
  return {
    id: uuidFrom(random),
    vehicleId: make.vehicleId,
    personId: make.personId,
    arrivedAt: new Date(at).toISOString(),
    closedAt: new Date(at + 90 * MINUTE_MS).toISOString(),
    entries: visitEntries(make, at, {
      distanceKm: Math.round(distance / 100) * 100,
      monthsAgo: months,
      stage: 'felt',
    }),
    decision: {
      id: uuidFrom(random),
      answer: declined ? 'no' : 'yes',
      reason: '',
    },
  };
}

interface When {
  distanceKm: number;
  monthsAgo: number;
  stage: Stage;
}

/** @param hasFault - whether what is wrong today was wrong then */
function visitEntries(
  { car, random }: Make,
  start: number,
  { distanceKm, monthsAgo, stage }: When,
  hasFault = monthsAgo === 0,
): Entry[] {
  const list: Entry[] = [];
  let at = start;
  const put = (path: string, value: unknown) => {
    at += 2_000;
    list.push({ id: uuidFrom(random), path, value, at: new Date(at).toISOString() });
  };
  const runOf = (wheel: Wheel) =>
    axleOf(wheel) === 'rear' ? (car.rearDistanceKm ?? distanceKm) : distanceKm;
  const reached = (needed: Stage) => STAGES.indexOf(stage) >= STAGES.indexOf(needed);

  put('vehicle.drive', car.drive);
  put('vehicle.use', car.use);
  if (car.rotatable === false) put('vehicle.rotatable', false);
  for (const axle of car.fixedCamber ?? []) put(`visit.car.adjustable.${axle}.camber`, 'no');
  if (car.rideHeightMm) {
    put('vehicle.rideHeightChange.front', car.rideHeightMm.front);
    put('vehicle.rideHeightChange.rear', car.rideHeightMm.rear);
  }
  if (hasFault) {
    if (car.words) put('visit.words', car.words);
    put('visit.waits', car.waits);
    put('complaints', [...car.complaints]);
    if (car.events) put('visit.events', [...car.events]);
    if (car.occasions) put('visit.occasions', [...car.occasions]);
    if (car.driver) put('visit.car.driver', car.driver);
    if (car.load) put('visit.car.load', car.load);
  }
  // Read at every visit but where the car has just rolled in.
  if (monthsAgo > 0 || reached('felt')) {
    put('visit.odometer', Math.max(distanceKm, car.odometerKm - monthsAgo * KM_A_MONTH));
  }
  if (car.stored && monthsAgo === 0) {
    const { monthsAgo: storedFor, ...stored } = car.stored;
    const since = new Date(start - storedFor * MONTH_MS).toISOString().slice(0, 10);
    put('visit.handOver.stored', { ...stored, count: 4, size: car.size.front, since });
  }
  for (const wheel of WHEELS) {
    put(`tires.${wheel}.size`, car.size[axleOf(wheel)]);
    put(`tires.${wheel}.newDepth`, car.newDepthMm);
    put(`tires.${wheel}.distance`, runOf(wheel));
    const line = car.lines?.[axleOf(wheel)];
    if (line) put(`visit.tires.${wheel}.line`, line);
    put(`tires.${wheel}.pressure.target`, car.targetKpa[axleOf(wheel)]);
  }
  if (!reached('reading')) return list;

  if (car.readIn) put('units.depth', car.readIn);
  // A stream of its own: another car in the list leaves the others' treads as they are.
  const scatter = createRandom(hashSeed(`${car.plate} ${distanceKm}`));
  const depths = demoDepths(car, byWheel(runOf), hasFault ? car.truth : {}, scatter);
  const slots = readingOrder('walkAround');
  const count = reached('read') ? slots.length : RIBS_READ_WHILE_READING;
  for (const { wheel, rib } of slots.slice(0, count)) {
    put(`tires.${wheel}.stations.0.${rib}`, depths[wheel][rib]);
  }
  if (!reached('felt')) return list;

  const truth = hasFault ? car.truth : {};
  for (const wheel of WHEELS) {
    const toe = (truth.toe?.[axleOf(wheel)] ?? 0) / 2;
    put(
      `tires.${wheel}.feather`,
      toe > 0.2 ? 'catchesOutward' : toe < -0.2 ? 'catchesInward' : 'none',
    );
    put(`tires.${wheel}.cupping`, (hasFault && car.cupping?.[wheel]) || 'none');
    const target = car.targetKpa[axleOf(wheel)];
    put(
      `tires.${wheel}.pressure.measured`,
      Math.round((target * (truth.pressure?.[wheel] ?? 0.98)) / 5) * 5,
    );
    if (hasFault && car.play?.[wheel]) put(`play.${wheel}`, car.play[wheel]);
    const damage = hasFault ? car.damage?.[wheel] : undefined;
    if (damage) put(`tires.${wheel}.damage`, [...damage]);
  }
  return list;
}

export { CARS };
export { liveYears, planYears, YEARS_CARS } from './years/index.ts';
export type { Advise, Advised, LivedVisit, PlannedCar } from './years/index.ts';
export type { DemoCar };
