import { DEPTH_RATE } from '../case/treadFacts.ts';
import {
  WEAR_RATE,
  BOUNCE_RATE,
  CAMBER_SHARE,
  CAMBER_SLIP,
  CORNERING_SHARE,
  CORNERING_SLIP,
  DRIVING_SLIP,
  NOISE,
  PRESSURE_SHARE,
  TOE_SHARE,
} from '../wear/constants.ts';
import { SPREAD } from '../wear/state.ts';
import { pressureRate } from '../wear/tireLoss.ts';
import { FAULT_RATE, WELL_KEPT } from './faultRates.ts';
import { EXCESS } from './prior.ts';

/** The model's own figures, for a page that explains it: taken from the code that runs. */

export interface ConstantFact {
  symbol: string;
  meaning: string;
  value: string;
  /** How far it may be off, as the engine allows. */
  spread: string;
  /** What it was set by. */
  anchor: string;
}

const percent = (part: number) => `${Math.round(100 * part)} %`;
const PRACTICE = 'common practice, no published source';

/** The constants of the wear formula. */
export function constantFacts(): ConstantFact[] {
  const slip = (drive: 'fwd' | 'rwd' | 'awd') =>
    `${DRIVING_SLIP[drive].front}° / ${DRIVING_SLIP[drive].rear}°`;
  const fact = (
    symbol: string,
    meaning: string,
    value: string,
    spread: number | null,
    anchor = PRACTICE,
  ): ConstantFact => ({
    symbol,
    meaning,
    value,
    spread: spread === null ? '–' : percent(spread),
    anchor,
  });
  return [
    fact(
      'K',
      'rate of wear: compound, road, load, driver',
      `${WEAR_RATE} mm per 1000 km and degree²`,
      SPREAD.logWearRate,
      'about 1 mm in 10 000 km on a driven front axle',
    ),
    fact(
      'S₀',
      'slip that driving needs, front / rear, front drive',
      slip('fwd'),
      SPREAD.drivingSlip,
      '0.25° of toe on each wheel makes wear half as fast again',
    ),
    fact('', 'the same, rear drive', slip('rwd'), SPREAD.drivingSlip),
    fact('', 'the same, all-wheel drive', slip('awd'), SPREAD.drivingSlip),
    fact(
      'camber share',
      'part of the pressure that a degree of camber moves to its side',
      String(CAMBER_SHARE),
      SPREAD.camberShare,
      '2° wear the loaded side 1.7 times the other',
    ),
    fact(
      'c',
      'slip that a degree of camber adds away from the centre',
      `${CAMBER_SLIP}°`,
      SPREAD.camberSlip,
      '2° raise the mean by a tenth or so',
    ),
    fact(
      'toe share',
      'part of the pressure that a degree of one wheel’s toe moves to its side',
      String(TOE_SHARE),
      SPREAD.toeShare,
      '0.5° a wheel wear the loaded edge 1.6 times the other',
    ),
    fact(
      'pressure share',
      'part that goes from centre to shoulders for each unit of missing pressure',
      String(PRESSURE_SHARE),
      SPREAD.pressureShare,
      '20 % low wears shoulders 1.35 times the centre',
    ),
    fact(
      'f(p)',
      'whole rate at 20 % low / 20 % high',
      `${pressureRate(0.8).toFixed(2)} / ${pressureRate(1.2).toFixed(2)}`,
      SPREAD.pressureRate,
      'tire makers’ advice on life lost, recalled from memory',
    ),
    fact(
      'cornering share',
      'what the front outer rib gains for each unit of hard cornering',
      String(CORNERING_SHARE),
      SPREAD.corneringShare,
    ),
    fact(
      '',
      'S₀² grows with side force squared; at twice the usual cornering by',
      percent(3 * CORNERING_SLIP),
      SPREAD.corneringSlip,
    ),
    fact(
      'd',
      'a new tread wears faster than one at its end by',
      percent(DEPTH_RATE),
      SPREAD.depthRate,
    ),
    fact('bounce', 'a bouncing tire wears faster by', percent(BOUNCE_RATE - 1), null),
  ];
}

export interface Fact {
  what: string;
  value: string;
}

/** How far the formula and the readings are trusted. */
export function noiseFacts(): Fact[] {
  return [
    { what: 'a tire wears faster or slower than the formula by', value: percent(NOISE.tire) },
    { what: 'and each of its ribs by', value: `${(100 * NOISE.rib).toFixed(1)} %` },
    { what: 'both are larger or smaller on a given car by', value: percent(NOISE.scale) },
    { what: 'an axle wears faster or slower than the formula by', value: percent(SPREAD.axleRate) },
    { what: 'all four tires are rounder or flatter by', value: percent(SPREAD.crown) },
    { what: 'bends and road crown lean left and right tires by', value: percent(SPREAD.hand) },
    { what: 'new depth is known to', value: `${NOISE.newDepthMm} mm` },
    { what: 'a reading by hand to', value: `${NOISE.readingMm} mm, and its rounding` },
    { what: 'one car in so many has a wrong reading', value: oneIn(12 * NOISE.oddReadingRate) },
    { what: 'one car in so many has an odd tire', value: oneIn(4 * NOISE.oddTireRate) },
    {
      what: 'one car in so many has an axle of another age than said',
      value: oneIn(NOISE.otherAgeRate),
    },
  ];
}

function oneIn(chance: number): string {
  return String(Math.round(1 / chance));
}

/** What is taken to come in at the door before anything is read. */
export function priorFacts(): Fact[] {
  return [
    { what: 'always well kept', value: percent(WELL_KEPT) },
    { what: 'front toe out of tolerance', value: percent(FAULT_RATE.frontToe) },
    { what: 'rear toe out of tolerance', value: percent(FAULT_RATE.rearToe) },
    { what: 'camber of some wheel out', value: percent(FAULT_RATE.camber) },
    { what: 'pressure of some tire out', value: percent(FAULT_RATE.pressure) },
    { what: 'a damper or balance at fault', value: percent(FAULT_RATE.bounce) },
    { what: 'loose joints', value: percent(FAULT_RATE.looseness) },
    { what: 'driven hard through bends', value: percent(FAULT_RATE.hardCornering) },
    { what: 'toe beyond its limit, on average by', value: `${EXCESS.toeDeg}°` },
    { what: 'camber beyond its limit, on average by', value: `${EXCESS.camberDeg}°` },
    { what: 'pressure beyond its limit, on average by', value: percent(EXCESS.pressure) },
  ];
}
