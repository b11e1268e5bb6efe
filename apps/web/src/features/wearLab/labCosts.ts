import type { PriceList } from '@keen/contract';
import { workPrices } from '@keen/core';
import { firstAtLimit, isSameCar, putRightCar } from '@keen/core/lab';
import type { LabCar } from '@keen/core/lab';
import { DEFAULT_LIMITS_MM } from '@keen/core';
import { FURTHEST_KM } from './useLab.ts';
import type { Driven } from './useLab.ts';

/** What a car costs in tires as it is and put right, minor units. */
export interface LabCosts {
  /** Tires used up in each 1000 km. */
  asIs: number;
  putRight: number;
  /** The work that puts it right, once. */
  work: number;
  /** Distance after which the work has paid for itself, km; null when it never does. */
  paidAfterKm: number | null;
}

const TIRES_OF_AXLE = 2;
const KM_PER_THOUSAND_KM = 1000;

/** Compares the two at a shop's prices: an axle's pair is replaced when its first rib is at the limit. */
export function labCosts(asIs: Driven, putRight: Driven, prices: PriceList): LabCosts {
  const { tire, ...work } = workPrices(prices);
  const perThousand = ({ run }: Driven) => {
    const life = (wheels: readonly number[]) => firstOf(run, wheels) ?? FURTHEST_KM;
    return (
      KM_PER_THOUSAND_KM * TIRES_OF_AXLE * (tire.front / life([0, 1]) + tire.rear / life([2, 3]))
    );
  };
  const [before, after] = [perThousand(asIs), perThousand(putRight)];
  const once = workOf(asIs.plan.car, work);
  return {
    asIs: before,
    putRight: after,
    work: once,
    paidAfterKm: before > after ? (KM_PER_THOUSAND_KM * once) / (before - after) : null,
  };
}

type Work = Omit<ReturnType<typeof workPrices>, 'tire'>;

function workOf(car: LabCar, { align, parts, balance, inflate }: Work): number {
  const right = putRightCar(car);
  const differs = (change: Partial<LabCar>) => !isSameCar(car, { ...car, ...change });
  return (
    (differs({ camber: right.camber, toe: right.toe, height: right.height }) ? align : 0) +
    (differs({ play: right.play }) ? parts : 0) +
    (differs({ bounces: right.bounces }) ? balance : 0) +
    (differs({ pressure: right.pressure }) ? inflate : 0)
  );
}

/** Where the first rib of some wheels is at the limit, km. */
function firstOf(run: Driven['run'], wheels: readonly number[]): number | null {
  const depthMm = run.depthMm.map((mm, i) =>
    wheels.includes(Math.floor((i % 12) / 3)) ? mm : Number.POSITIVE_INFINITY,
  );
  return firstAtLimit({ ...run, depthMm }, DEFAULT_LIMITS_MM.legal)?.km ?? null;
}
