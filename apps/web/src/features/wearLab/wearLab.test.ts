import { caseFileSchema, DEFAULT_PRICES } from '@keen/contract';
import { workPrices } from '@keen/core';
import { formulaPhysics, isSameCar, NAMED_TREADS, usualCar, wearOn } from '@keen/core/lab';
import type { LabCar } from '@keen/core/lab';
import { firstAtLimit, putRightCar } from '@keen/core/lab';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { labCosts } from './labCosts.ts';
import { labCaseText, labPicture, labTable } from './labFiles.ts';
import { linkOf, readLink } from './labLink.ts';
import { emptySetup, fromTread, withWheel } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';
import { labSections } from './labTires.ts';
import { bandOf } from './otherCars.ts';
import { FURTHEST_KM } from './useLab.ts';
import type { Driven } from './useLab.ts';

function drivenOf(car: LabCar): Driven {
  const plan = { car, newMm: 8, km: FURTHEST_KM, events: [] };
  const run = wearOn(plan, formulaPhysics(car.drive));
  return { plan, run, end: firstAtLimit(run, 1.6) };
}

describe('a link', () => {
  const setups: [string, (setup: LabSetup) => LabSetup][] = [
    ['as it opens', (setup) => setup],
    ['a named tread', (setup) => fromTread(setup, 'waves')],
    [
      'everything moved',
      (setup) => ({
        ...fromTread(setup, 'saw'),
        car: {
          ...usualCar(),
          drive: 'awd',
          camber: { lf: -2.5, rf: 1, lr: 0, rr: -0.4 },
          bounces: { lf: false, rf: true, lr: false, rr: true },
          caster: { left: 3, right: 6.5 },
          height: { front: -40, rear: 25 },
          rate: 1.7,
        },
        km: 43_250,
        newMm: 9.2,
        events: [
          { kind: 'rotate', atKm: 10_000 },
          { kind: 'align', atKm: 20_500 },
        ],
        world: 'patch',
        compares: false,
        wheel: 'rr',
      }),
    ],
    [
      'a visit whose car was moved',
      (setup) => ({
        ...setup,
        from: { visit: '0b4f1b52-6f0c-4df5-9f0e-8d8d0fb0a111' },
        car: { ...usualCar(), cornering: 2 },
      }),
    ],
  ];

  it.each(setups)('carries %s', (_, change) => {
    const setup = change(emptySetup());
    const { setup: read, faults } = readLink(new URLSearchParams(linkOf(setup).toString()));
    expect(faults).toEqual([]);
    expect(isSameCar(read.car, setup.car)).toBe(true);
    expect({ ...read, car: null }).toEqual({ ...setup, car: null });
  });

  it('says little where little was moved', () => {
    expect(linkOf(emptySetup()).toString()).toBe('');
    expect(linkOf(fromTread(emptySetup(), 'soft')).toString()).toBe('tread=soft');
  });

  it('stands as usual where it cannot be read, and says where', () => {
    const { setup, faults } = readLink(
      new URLSearchParams('tread=saw&camber=1,2,x,4&km=-5&events=fly.100&world=own&cornering=2'),
    );
    expect(faults).toEqual(['camber', 'km', 'events']);
    expect(setup.car.camber).toEqual(NAMED_TREADS.find(({ name }) => name === 'saw')!.car.camber);
    expect(setup.car.cornering).toBe(2);
    expect(setup.events).toEqual([]);
    for (const wrong of ['toe=9,0,0,0', 'toe=0,0,0', 'visit=me', 'tread=none', 'bounces=2,0,0,0']) {
      expect(readLink(new URLSearchParams(wrong)).faults).toHaveLength(1);
    }
  });
});

describe('setting a wheel', () => {
  it('leaves the others, or takes the other side along', () => {
    const car = usualCar();
    expect(withWheel(car, 'camber', 'lr', -3, false).camber).toEqual({ ...car.camber, lr: -3 });
    expect(withWheel(car, 'toe', 'rf', 0.4, true).toe).toEqual({ ...car.toe, lf: 0.4, rf: 0.4 });
    expect(car).toEqual(usualCar());
  });
});

describe('costs', () => {
  const prices = { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items } };

  it('are pairs of tires over what they live, and the work that is needed', () => {
    const car = usualCar();
    car.toe.lf = car.toe.rf = 0.35;
    const [asIs, putRight] = [drivenOf(car), drivenOf(putRightCar(car))];
    const costs = labCosts(asIs, putRight, prices);
    const { tire, align } = workPrices(prices);
    // The front pair ends where the car does; the rear pair is the same on both.
    expect(costs.asIs - costs.putRight).toBeCloseTo(
      2000 * tire.front * (1 / asIs.end!.km - 1 / putRight.end!.km),
      6,
    );
    expect(costs.work).toBe(align);
    expect(costs.paidAfterKm).toBeCloseTo((1000 * align) / (costs.asIs - costs.putRight), 6);
  });

  it('ask for nothing where nothing is out', () => {
    const [asIs, putRight] = [drivenOf(usualCar()), drivenOf(putRightCar(usualCar()))];
    expect(labCosts(asIs, putRight, prices)).toMatchObject({ work: 0, paidAfterKm: null });
  });
});

describe('files', () => {
  const car = NAMED_TREADS.find(({ name }) => name === 'innerEdge')!.car;
  const driven = drivenOf(car);

  it('are a case that the diagnosis reads, a table of all ribs, a picture of both axles', () => {
    const file = caseFileSchema.parse(JSON.parse(labCaseText(driven, 20_000)));
    expect(file.tires.lf.stations[0]!.inner).toBeLessThan(file.tires.lf.stations[0]!.outer!);
    const { data } = Papa.parse<string[]>(labTable(driven));
    expect(data[0]).toHaveLength(13);
    expect(data[0]![1]).toBe('lf inner mm');
    expect(data[1]!.slice(0, 2)).toEqual(['0', '8.00']);
    expect(data.at(-1)![0]).toBe('60000');
    const ink = Object.fromEntries(
      ['rubber', 'ink', 'soft', 'line', 'marker', 'paper'].map((name) => [name, '#123456']),
    ) as unknown as Parameters<typeof labPicture>[2];
    const picture = labPicture(labSections(driven, 20_000, null), 'mm', ink);
    const svg = new DOMParser().parseFromString(picture, 'image/svg+xml').documentElement;
    expect(svg.querySelectorAll('svg')).toHaveLength(2);
    expect(picture).not.toMatch(/NaN|undefined/);
  });
});

describe('the band', () => {
  it('stands round the usual car and widens with the distance', () => {
    const plan = { car: usualCar(), newMm: 8, km: 30_000, events: [] };
    const band = bandOf(plan, 'own', null);
    const usual = labSections(drivenOf(usualCar()), 30_000, band).lf;
    const { mean, sd } = usual.expected!.centre;
    expect(Math.abs(mean - usual.depthMm.centre!)).toBeLessThan(sd);
    expect(sd).toBeGreaterThan(0.3);
    expect(labSections(drivenOf(usualCar()), 5_000, band).lf.expected!.centre.sd).toBeLessThan(sd);
  });

  it('is narrower for the cars that a visit allows', () => {
    const state = new Float64Array(42);
    state.fill(1, 6, 10);
    state[11] = 1;
    const factors = new Float64Array(12).fill(1);
    const cars = [-0.05, 0, 0.05].map((faster) => {
      const one = state.slice();
      one[10] = faster;
      return { state: one, factors };
    });
    const plan = { car: usualCar(), newMm: 8, km: 20_000, events: [] };
    const visit = { posteriorMean: [...state], factors: [...factors], cars };
    const at = 12 * 20 + 1;
    expect(bandOf(plan, 'own', visit).sd[at]).toBeLessThan(bandOf(plan, 'own', null).sd[at]! / 3);
  });
});
