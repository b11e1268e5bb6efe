import type { Felt, PracticeCheck, PracticeLesson, VisitDraft, Wheel } from '@keen/contract';
import { byWheel, caseToChanges, foldEntries } from '@keen/core';
import type { FieldChange } from '@keen/core';
import { seenOf } from '@keen/core/practice';
import { dealCar } from '@keen/simulator';
import { LRUCache } from 'lru-cache';
import type { PracticeCar } from '@keen/simulator';

const MOST_KEPT = 50;
const kept = new LRUCache<string, PracticeCar>({ max: MOST_KEPT });

/** The car that stands behind a lesson and a seed; dealing one takes some milliseconds. */
export function dealtCar(lesson: PracticeLesson, seed: number): PracticeCar {
  const key = `${lesson} ${seed}`;
  const known = kept.get(key);
  if (known) return known;
  const car = dealCar(lesson, seed);
  kept.set(key, car);
  return car;
}

/** Nothing of a made-up car is refused: its case has passed the schema. */
const changesOf = (car: PracticeCar, done: readonly PracticeCheck[]) =>
  caseToChanges(seenOf(car.file, done), () => true);
const isReading = ({ path }: FieldChange) => path.includes('.stations.');

/** What anybody knows of a car that drives in: drive, new depths, distances, rotations. */
export function firstDraft(car: PracticeCar): VisitDraft {
  return foldEntries(
    {},
    changesOf(car, []).filter((change) => !isReading(change)),
  );
}

/** What the hand feels on each tread: a feather is sharp one way and smooth the other. */
export function feltOn({ file }: PracticeCar): Record<Wheel, Felt> {
  return byWheel((wheel) => {
    const { feather } = file.tires[wheel];
    return {
      out: feather === 'catchesOutward' ? 'sharp' : 'smooth',
      in: feather === 'catchesInward' ? 'sharp' : 'smooth',
    };
  });
}

/** What a check adds to what is known; of a stroke the learner says what it means. */
export function foundBy(car: PracticeCar, check: PracticeCheck): FieldChange[] {
  if (check === 'stroke') return [];
  const before = new Set(changesOf(car, []).map(({ path }) => path));
  return changesOf(car, [check]).filter(({ path }) => !before.has(path));
}
