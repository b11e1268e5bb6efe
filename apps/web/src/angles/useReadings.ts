import { takeReadings } from '@keen/core';
import type { NewReading } from '@keen/core';
import { useVisit } from '../shared/visitContext.ts';

/** Enters readings into the visit as taken now, all of them in one act. */
export function useReadings(): (readings: readonly Omit<NewReading, 'at'>[]) => void {
  const { draft, enterAll } = useVisit();
  return (readings) => {
    const at = new Date().toISOString();
    enterAll(
      takeReadings(
        draft,
        readings.map((reading) => ({ ...reading, at })),
      ),
    );
  };
}
