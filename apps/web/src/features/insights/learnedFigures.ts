import type { LearningRun } from '@keen/contract';
import type { CarTrait, FaultKind } from '@keen/contract';
import { CAR_TRAITS, FAULT_KINDS } from '@keen/contract';
import { USUAL_CONSTANTS } from '@keen/core';
import Papa from 'papaparse';
import { percent } from './bandWords.ts';
import { joined } from '../../shared/joined.ts';
import { t } from '../../words/insights.ts';

type Result = NonNullable<LearningRun['result']>;

/** A figure that was learned, beside the usual one, ready to be shown. */
export interface FigureRow {
  key: string;
  what: string;
  usual: string;
  own: string;
  span: string;
  /** Where the usual figure and the learned one with its interval lie on a scale from 0 to 1. */
  at: { usual: number; own: number; low: number; high: number };
  /** The usual figure lies outside the interval. */
  isDifferent: boolean;
}

const Z = 1.959964;

const TRAITS: Record<CarTrait, { what: string; show: (value: number) => string; reach: number }> = {
  wearRate: { what: t('learnedFigures.allTires'), show: factor(1), reach: 0.5 },
  frontToRear: { what: t('learnedFigures.frontAxleAgainstRear'), show: factor(2), reach: 0.3 },
  crown: { what: t('learnedFigures.loadOnBothShoulders'), show: signed, reach: 0.12 },
  hand: { what: t('learnedFigures.loadMovedByBends'), show: signed, reach: 0.1 },
};
const FAULTS: Record<FaultKind, string> = {
  frontToe: t('learnedFigures.frontToeOut'),
  rearToe: t('learnedFigures.rearToeOut'),
  camber: t('learnedFigures.someCamberOut'),
  pressure: t('learnedFigures.somePressureOut'),
  bounce: t('learnedFigures.badDamperOrBalance'),
  looseness: t('learnedFigures.looseJoints'),
  hardCornering: t('learnedFigures.hardDrivingInBends'),
};
/** The longest that a rate's scale goes. */
const MOST_RATE = 0.7;

/** How cars wear their tires here. */
export function traitRows({ traits }: Result): FigureRow[] {
  return CAR_TRAITS.map((trait) => {
    const { what, show, reach } = TRAITS[trait];
    const { value, sd } = traits[trait];
    return rowOf(trait, what, show, { usual: 0, value, sd }, (at) => 0.5 + at / (2 * reach));
  });
}

/** What is wrong with cars that come in here, before anything is known of one. */
export function faultRows({ faultRates }: Result): FigureRow[] {
  return FAULT_KINDS.map((kind) => {
    const { value, sd } = faultRates[kind];
    const usual = USUAL_CONSTANTS.faultRates[kind];
    return rowOf(kind, FAULTS[kind], percent, { usual, value, sd }, (at) => at / MOST_RATE);
  });
}

/** How tires of named lines wear against the shop's others. */
export function lineRows({ lines }: Result): FigureRow[] {
  return lines.map(({ line, cars, rate: { value, sd } }) =>
    rowOf(
      t('learnedFigures.line', { line }),
      joined(line, t('ownFigures.cars', { count: cars })),
      factor(1),
      { usual: 0, value, sd },
      (at) => 0.5 + at,
    ),
  );
}

/** All figures of a run as a table for other programs. */
export function learnedAsCsv(result: Result): string {
  const rows = [...traitRows(result), ...faultRows(result), ...lineRows(result)];
  return Papa.unparse(
    rows.map(({ what, usual, own, span }) => ({
      figure: what,
      usual,
      'this shop': own,
      '19 times in 20': span,
    })),
    { escapeFormulae: true },
  );
}

function rowOf(
  key: string,
  what: string,
  show: (value: number) => string,
  { usual, value, sd }: { usual: number; value: number; sd: number },
  place: (value: number) => number,
): FigureRow {
  const low = value - Z * sd;
  const high = value + Z * sd;
  const on = (at: number) => Math.min(1, Math.max(0, place(at)));
  return {
    key,
    what,
    usual: show(usual),
    own: show(value),
    span: t('learnedFigures.to', { low: show(low), high: show(high) }),
    at: { usual: on(usual), own: on(value), low: on(low), high: on(high) },
    isDifferent: usual < low || usual > high,
  };
}

function factor(times: number): (log: number) => string {
  return (log) => percent(Math.exp(times * log));
}

function signed(part: number): string {
  const whole = Math.round(1000 * part) / 10;
  return `${whole > 0 ? '+' : whole < 0 ? '−' : ''}${Math.abs(whole).toFixed(1)} %`;
}
