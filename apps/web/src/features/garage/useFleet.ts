import type { CarDetail, PriceList, Visit } from '@keen/contract';
import { ALL_RIBS, carCost, countRead, draftToCase, kmPerYear } from '@keen/core';
import type { CarCost, RunningCar } from '@keen/core';
import { useEffect, useMemo, useState } from 'react';
import { useCarsInfiniteQuery, useLazyCarQuery } from '../../api/garageApi.ts';
import { createAnswerOne } from '../../workers/answerOne.ts';

/** A car of the fleet with what its latest whole reading forecasts. */
export interface FleetCar {
  car: CarDetail;
  /** The visit that it is made from; null where no tread has been read in full. */
  read: Visit | null;
  /** When its tires come to their limit; null where that cannot be told. */
  running: RunningCar | null;
  /** What it costs as it is and as advised; null where that cannot be told. */
  cost: CarCost | null;
}

export interface Fleet {
  cars: FleetCar[];
  /** Cars of the customer in all. */
  total: number;
  isWorking: boolean;
  error: unknown;
  retry: () => void;
}

/** Cars of a fleet beyond this are not worked out here. */
export const MOST_CARS = 200;

/**
 * Works out a customer's cars one after another; each stands there as soon as it is known.
 * @param vehicleId - of one of the customer's cars
 */
export function useFleet(vehicleId: string, prices: PriceList): Fleet {
  const list = useCarsInfiniteQuery({ customerOf: vehicleId });
  const [load] = useLazyCarQuery();
  const [cars, setCars] = useState<FleetCar[]>([]);
  const [isDone, setDone] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const [tries, setTries] = useState(0);
  const { data, hasNextPage, isFetching, isError, fetchNextPage } = list;
  const rows = useMemo(() => data?.pages.flatMap((page) => page.rows) ?? [], [data]);
  const isListed = data !== undefined && (!hasNextPage || rows.length >= MOST_CARS);

  useEffect(() => {
    if (hasNextPage && !isFetching && !isError && rows.length < MOST_CARS) void fetchNextPage();
  }, [hasNextPage, isFetching, isError, rows.length, fetchNextPage]);

  useEffect(() => {
    if (!isListed) return;
    const worker = createAnswerOne();
    let isOver = false;
    const work = async () => {
      await Promise.resolve();
      setCars([]);
      setDone(false);
      setError(null);
      for (const { vehicle } of rows.slice(0, MOST_CARS)) {
        const car = await load(vehicle.id, true).unwrap();
        const read = car.visits.find(({ draft }) => countRead(draft) === ALL_RIBS) ?? null;
        const told = read && (await foretell(car, read));
        if (isOver) return;
        setCars((before) => [...before, { car, read, running: null, cost: null, ...told }]);
      }
      setDone(true);
    };
    const foretell = async (car: CarDetail, read: Visit) => {
      const before = { arrivedAt: read.arrivedAt, others: car.visits };
      const { file } = draftToCase(read.draft, '', {}, before);
      // One car that cannot be worked out does not hold up the others.
      const answer = await worker.answer(file).catch(() => null);
      if (!answer) return {};
      const { oldKm } = answer.outlook;
      return {
        running: oldKm && {
          readAt: read.arrivedAt,
          lifeKm: oldKm,
          kmPerYear: kmPerYear(car.visits),
        },
        cost: carCost(answer, prices, read.draft),
      };
    };
    work().catch((failure: unknown) => {
      if (!isOver) setError(failure);
    });
    return () => {
      isOver = true;
      worker.close();
    };
  }, [isListed, rows, load, prices, tries]);

  return {
    cars,
    total: rows.length,
    isWorking: error === null && !list.error && !isDone,
    error: error ?? list.error ?? null,
    retry: () => {
      if (list.error) void list.refetch();
      setTries((n) => n + 1);
    },
  };
}
