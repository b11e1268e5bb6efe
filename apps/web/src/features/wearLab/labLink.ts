import type { Axle, Side, Wheel } from '@keen/contract';
import { DRIVES, WHEELS } from '@keen/contract';
import { LAB_EVENTS, LAB_RANGES, NAMED_TREADS, usualCar } from '@keen/core/lab';
import type { LabCar } from '@keen/core/lab';
import { WORLD_NAMES } from '@keen/simulator/lab';
import { z } from 'zod';
import { emptySetup, fromTread, MOST_EVENTS, MOST_KM } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';

const WHEEL_LIST = ['lf', 'rf', 'lr', 'rr'] as const;
const AXLE_LIST = ['front', 'rear'] as const;
const SIDE_LIST = ['left', 'right'] as const;

/** Numbers with a comma between them, one for each of some places. */
function numbers<K extends string>(
  places: readonly K[],
  [low, high]: readonly [number, number],
): z.ZodType<Record<K, number>> {
  return z
    .string()
    .transform((text) => text.split(',').map(Number))
    .pipe(z.array(z.number().min(low).max(high)).length(places.length))
    .transform(
      (list) =>
        Object.fromEntries(places.map((place, i) => [place, list[i]!])) as Record<K, number>,
    );
}

const one = ([low, high]: readonly [number, number]) =>
  z.string().min(1).transform(Number).pipe(z.number().min(low).max(high));

/** What a link may say of the car. */
const CAR_PARTS = {
  drive: z.enum(DRIVES),
  camber: numbers(WHEEL_LIST, LAB_RANGES.camber),
  toe: numbers(WHEEL_LIST, LAB_RANGES.toe),
  caster: numbers(SIDE_LIST, LAB_RANGES.caster),
  pressure: numbers(WHEEL_LIST, LAB_RANGES.pressure),
  load: numbers(AXLE_LIST, LAB_RANGES.load),
  cornering: one(LAB_RANGES.cornering),
  height: numbers(AXLE_LIST, LAB_RANGES.height),
  play: numbers(AXLE_LIST, LAB_RANGES.play),
  bounces: numbers(WHEEL_LIST, [0, 1]).transform(
    (list) =>
      Object.fromEntries(WHEELS.map((wheel) => [wheel, list[wheel] === 1])) as LabCar['bounces'],
  ),
  rate: one(LAB_RANGES.rate),
} as const;

/** What it may say of the rest. */
const REST = {
  tread: z.enum(NAMED_TREADS.map(({ name }) => name)),
  visit: z.uuid(),
  new: one([3, 20]),
  km: one([0, MOST_KM]),
  events: z
    .string()
    .transform((text) => text.split(',').map((event) => event.split('.')))
    .pipe(
      z
        .array(
          z.tuple([
            z.enum(LAB_EVENTS),
            z.string().transform(Number).pipe(z.number().int().min(0).max(MOST_KM)),
          ]),
        )
        .max(MOST_EVENTS),
    )
    .transform((list) => list.map(([kind, atKm]) => ({ kind, atKm }))),
  world: z.enum(WORLD_NAMES),
  alone: z.literal('1'),
  wheel: z.enum(WHEELS),
} as const;

/** A setup as the query of a link: only what differs from where it starts. */
export function linkOf(setup: LabSetup): URLSearchParams {
  const query = new URLSearchParams();
  const start = startOf(setup);
  const { from, car } = setup;
  if ('visit' in from) query.set('visit', from.visit);
  else if (from.tread !== 'even') query.set('tread', from.tread);
  for (const key of Object.keys(CAR_PARTS) as (keyof typeof CAR_PARTS)[]) {
    const text = written(car, key);
    if (text !== written(start, key)) query.set(key, text);
  }
  const empty = emptySetup();
  if (setup.newMm !== empty.newMm) query.set('new', String(setup.newMm));
  if (setup.km !== empty.km) query.set('km', String(Math.round(setup.km)));
  if (setup.events.length > 0) {
    query.set('events', setup.events.map(({ kind, atKm }) => `${kind}.${atKm}`).join(','));
  }
  if (setup.world !== empty.world) query.set('world', setup.world);
  if (!setup.compares) query.set('alone', '1');
  if (setup.wheel !== empty.wheel) query.set('wheel', setup.wheel);
  return query;
}

/** The car that a link's figures are changes to: a visit's own are all written out. */
function startOf({ from }: LabSetup): LabCar {
  return 'tread' in from ? fromTread(emptySetup(), from.tread).car : usualCar();
}

function written(car: LabCar, key: keyof typeof CAR_PARTS): string {
  switch (key) {
    case 'drive':
      return car.drive;
    case 'cornering':
    case 'rate':
      return plain(car[key]);
    case 'bounces':
      return WHEEL_LIST.map((wheel) => (car.bounces[wheel] ? 1 : 0)).join();
    case 'camber':
    case 'toe':
    case 'pressure':
      return list(car[key], WHEEL_LIST);
    case 'caster':
      return list(car.caster, SIDE_LIST);
    case 'load':
    case 'height':
    case 'play':
      return list(car[key], AXLE_LIST);
  }
}

function list<K extends Wheel | Axle | Side>(of: Record<K, number>, places: readonly K[]): string {
  return places.map((place) => plain(of[place])).join();
}

function plain(value: number): string {
  return String(Number(value.toFixed(4)));
}

/** What a link says, and which of its parts could not be read. */
export interface ReadLink {
  setup: LabSetup;
  faults: string[];
  /** Whether the car is written out, so that a visit's own settings do not replace it. */
  hasCar: boolean;
}

/** Reads a link; what is wrong in it gets its usual value and is reported. */
export function readLink(query: URLSearchParams): ReadLink {
  const faults: string[] = [];
  const read = <T>(key: string, schema: z.ZodType<T>): T | undefined => {
    const text = query.get(key);
    if (text === null) return undefined;
    const result = schema.safeParse(text);
    if (!result.success) faults.push(key);
    return result.data;
  };
  const tread = read('tread', REST.tread);
  const visit = read('visit', REST.visit);
  let setup = fromTread(emptySetup(), tread ?? 'even');
  if (visit) setup = { ...setup, from: { visit } };
  const car = { ...setup.car };
  let hasCar = false;
  const take = <K extends keyof typeof CAR_PARTS>(key: K) => {
    const value = read(key, CAR_PARTS[key] as unknown as z.ZodType<LabCar[K]>);
    if (value === undefined) return;
    car[key] = value;
    hasCar = true;
  };
  (Object.keys(CAR_PARTS) as (keyof typeof CAR_PARTS)[]).forEach(take);
  return {
    setup: {
      ...setup,
      car,
      newMm: read('new', REST.new) ?? setup.newMm,
      km: read('km', REST.km) ?? setup.km,
      events: read('events', REST.events) ?? [],
      world: read('world', REST.world) ?? setup.world,
      compares: read('alone', REST.alone) === undefined,
      wheel: read('wheel', REST.wheel) ?? setup.wheel,
    },
    faults,
    hasCar,
  };
}
