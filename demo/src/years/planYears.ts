import { createRandom, hashSeed } from '@keen/core';
import type { Random } from '@keen/core';
import { uuidFrom } from '../uuidFrom.ts';
import { inventCar } from './inventCar.ts';

/** A made-up car of the shop's past: who drives it, and when it comes. */
export interface PlannedCar {
  /** What its life is drawn from. */
  seed: number;
  vehicle: { id: string; plate: string; label: string; customer: string; phone: string };
  size: string;
  targetKpa: number;
  /** Odometer at the first visit, hundreds of km. */
  odometerHundredKm: number;
  /** Whether its tires are rotated when nothing else is done. */
  rotates: boolean;
  /** Oldest first. */
  visits: PlannedVisit[];
}

export interface PlannedVisit {
  id: string;
  decisionId: string;
  /** ISO date and time. */
  arrivedAt: string;
  /** Run since the visit before, or since the tires were new; hundreds of km. */
  hundredKm: number;
  /** The visit was a look only: nothing was decided. */
  isLookOnly: boolean;
}

/** So many cars come about 1,500 times in two years. */
export const YEARS_CARS = 400;
const DAYS = 730;
const LATEST_DAYS_AGO = 3;
const FIRST_WITHIN_DAYS = 240;
const BETWEEN_DAYS = [90, 270] as const;
const COMES_ONCE = 0.12;
const LOOK_ONLY = 0.35;
const HOURS = [8, 17] as const;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
const KM_A_MONTH = 1_150;
const DAYS_A_MONTH = 30.4;

/**
 * Plans two made-up years of a shop: which cars come, and on which days. What happens to them follows when
 * they live through it.
 * @param nowIso - the day before which all of it lies
 * @param cars - how many
 */
export function planYears(nowIso: string, cars: number): PlannedCar[] {
  const end = Date.parse(nowIso);
  return Array.from({ length: cars }, (_, index) => planCar(index, end));
}

function planCar(index: number, end: number): PlannedCar {
  const seed = hashSeed(`two years, car ${index}`);
  const random = createRandom(seed);
  const happens = (chance: number) => random.uniform() < chance;
  const id = uuidFrom(random);
  const invented = inventCar(index, random);
  const kmADay = (KM_A_MONTH / DAYS_A_MONTH) * Math.exp(0.45 * random.normal());
  // The tires were on it for a while when it first came.
  const setDays = 120 + 500 * random.uniform();
  const days = visitDays(random, happens(COMES_ONCE));
  return {
    seed,
    vehicle: { id, ...invented.vehicle },
    size: invented.size,
    targetKpa: invented.targetKpa,
    odometerHundredKm: Math.round((20_000 + 140_000 * random.uniform()) / 100),
    rotates: happens(0.3),
    visits: days.map((day, i) => ({
      id: uuidFrom(random),
      decisionId: uuidFrom(random),
      arrivedAt: new Date(openingHour(end - (DAYS - day) * DAY_MS, random)).toISOString(),
      hundredKm: Math.max(5, Math.round((kmADay * (i === 0 ? setDays : day - days[i - 1]!)) / 100)),
      isLookOnly: happens(LOOK_ONLY),
    })),
  };
}

/** Days of the two years on which a car comes. */
function visitDays(random: Random, comesOnce: boolean): number[] {
  const days: number[] = [];
  const [least, most] = BETWEEN_DAYS;
  const until = DAYS - LATEST_DAYS_AGO;
  let day = (comesOnce ? until : FIRST_WITHIN_DAYS) * random.uniform();
  while (day < until) {
    days.push(day);
    if (comesOnce) break;
    day += least + (most - least) * random.uniform();
  }
  return days;
}

/** The same day in opening hours, UTC; a Sunday's visit is Monday's. */
function openingHour(at: number, random: Random): number {
  const [opens, closes] = HOURS;
  const day = Math.floor(at / DAY_MS) * DAY_MS;
  const isSunday = new Date(day).getUTCDay() === 0;
  const hour = opens + (closes - opens) * random.uniform();
  return day + (isSunday ? DAY_MS : 0) + Math.round(hour * 60) * (HOUR_MS / 60);
}
