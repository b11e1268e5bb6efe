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

export type ConstantName =
  | 'wearRate'
  | 'drivingSlipFwd'
  | 'drivingSlipRwd'
  | 'drivingSlipAwd'
  | 'camberShare'
  | 'camberSlip'
  | 'toeShare'
  | 'pressureShare'
  | 'pressureRate'
  | 'corneringShare'
  | 'corneringSlip'
  | 'depthRate'
  | 'bounceRate';

export interface ConstantFact {
  name: ConstantName;
  value: string;
  /** How far it may be off, as the engine allows. */
  spread: string;
}

const percent = (part: number) => `${Math.round(100 * part)} %`;

/**
 * The constants of the wear formula.
 * @param rateUnit - of the rate of wear, in words
 */
export function constantFacts(rateUnit: string): ConstantFact[] {
  const slip = (drive: 'fwd' | 'rwd' | 'awd') =>
    `${DRIVING_SLIP[drive].front}° / ${DRIVING_SLIP[drive].rear}°`;
  const fact = (name: ConstantName, value: string, spread: number | null): ConstantFact => ({
    name,
    value,
    spread: spread === null ? '–' : percent(spread),
  });
  return [
    fact('wearRate', `${WEAR_RATE} ${rateUnit}`, SPREAD.logWearRate),
    fact('drivingSlipFwd', slip('fwd'), SPREAD.drivingSlip),
    fact('drivingSlipRwd', slip('rwd'), SPREAD.drivingSlip),
    fact('drivingSlipAwd', slip('awd'), SPREAD.drivingSlip),
    fact('camberShare', String(CAMBER_SHARE), SPREAD.camberShare),
    fact('camberSlip', `${CAMBER_SLIP}°`, SPREAD.camberSlip),
    fact('toeShare', String(TOE_SHARE), SPREAD.toeShare),
    fact('pressureShare', String(PRESSURE_SHARE), SPREAD.pressureShare),
    fact(
      'pressureRate',
      `${pressureRate(0.8).toFixed(2)} / ${pressureRate(1.2).toFixed(2)}`,
      SPREAD.pressureRate,
    ),
    fact('corneringShare', String(CORNERING_SHARE), SPREAD.corneringShare),
    fact('corneringSlip', percent(3 * CORNERING_SLIP), SPREAD.corneringSlip),
    fact('depthRate', percent(DEPTH_RATE), SPREAD.depthRate),
    fact('bounceRate', percent(BOUNCE_RATE - 1), null),
  ];
}

export type NoiseName =
  | 'tire'
  | 'rib'
  | 'scale'
  | 'axleRate'
  | 'crown'
  | 'hand'
  | 'newDepth'
  | 'reading'
  | 'oddReading'
  | 'oddTire'
  | 'otherAge';

/** How far the formula and the readings are trusted. */
export function noiseFacts(): Fact<NoiseName>[] {
  return [
    { name: 'tire', value: percent(NOISE.tire) },
    { name: 'rib', value: `${(100 * NOISE.rib).toFixed(1)} %` },
    { name: 'scale', value: percent(NOISE.scale) },
    { name: 'axleRate', value: percent(SPREAD.axleRate) },
    { name: 'crown', value: percent(SPREAD.crown) },
    { name: 'hand', value: percent(SPREAD.hand) },
    { name: 'newDepth', value: `${NOISE.newDepthMm} mm` },
    { name: 'reading', value: `${NOISE.readingMm} mm` },
    { name: 'oddReading', value: oneIn(12 * NOISE.oddReadingRate) },
    { name: 'oddTire', value: oneIn(4 * NOISE.oddTireRate) },
    { name: 'otherAge', value: oneIn(NOISE.otherAgeRate) },
  ];
}

export interface Fact<Name extends string> {
  name: Name;
  value: string;
}

function oneIn(chance: number): string {
  return String(Math.round(1 / chance));
}

export type PriorName =
  | 'wellKept'
  | 'frontToe'
  | 'rearToe'
  | 'camber'
  | 'pressure'
  | 'bounce'
  | 'looseness'
  | 'hardCornering'
  | 'toeExcess'
  | 'camberExcess'
  | 'pressureExcess';

/** What is taken to come in at the door before anything is read. */
export function priorFacts(): Fact<PriorName>[] {
  return [
    { name: 'wellKept', value: percent(WELL_KEPT) },
    { name: 'frontToe', value: percent(FAULT_RATE.frontToe) },
    { name: 'rearToe', value: percent(FAULT_RATE.rearToe) },
    { name: 'camber', value: percent(FAULT_RATE.camber) },
    { name: 'pressure', value: percent(FAULT_RATE.pressure) },
    { name: 'bounce', value: percent(FAULT_RATE.bounce) },
    { name: 'looseness', value: percent(FAULT_RATE.looseness) },
    { name: 'hardCornering', value: percent(FAULT_RATE.hardCornering) },
    { name: 'toeExcess', value: `${EXCESS.toeDeg}°` },
    { name: 'camberExcess', value: `${EXCESS.camberDeg}°` },
    { name: 'pressureExcess', value: percent(EXCESS.pressure) },
  ];
}
