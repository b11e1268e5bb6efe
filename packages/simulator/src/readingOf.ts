import type { Diagnosis } from '@keen/contract';
import { FAULTS } from '@keen/core/engine';
import type { Reading } from './calibration.ts';

/** Takes the chances, the ranking and the action out of a diagnosis. */
export function readingOf(diagnosis: Diagnosis): Reading {
  const { wheels, axles, ranked, recommendation } = diagnosis;
  const chances = FAULTS.map(({ cause, where }) => {
    const place =
      where === 'front' || where === 'rear' ? axles[where].probability : wheels[where].probability;
    return (place as Partial<Record<string, number>>)[cause]!;
  });
  const columnOf = (cause: string, where: string) =>
    FAULTS.findIndex((fault) => fault.cause === cause && fault.where === where);
  return {
    chances,
    ranked: ranked.map(({ cause, where }) => columnOf(cause, where)),
    action: recommendation.action,
  };
}
