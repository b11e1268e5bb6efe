import type { ToeIn } from '@keen/contract';
import { axleOf, isScaled, applyReadings } from '@keen/core';
import type { NewReading } from '@keen/core';
import { useVisit } from '../shared/visitContext.ts';
import { useToeScale } from './useAngleWords.ts';

/**
 * Enters readings into the visit as taken now, all of them in one act. A toe keeps what it was read in; the
 * first one says so for the visit too, so that its papers tell it alike.
 */
export function useReadings(): (readings: readonly Omit<NewReading, 'at' | 'readIn'>[]) => void {
  const { draft, enterAll } = useVisit();
  const scaleOf = useToeScale();
  return (readings) => {
    const at = new Date().toISOString();
    const readIn = ({ wheel, kind }: Pick<NewReading, 'wheel' | 'kind'>): ToeIn | undefined => {
      if (kind !== 'toe') return undefined;
      const scale = scaleOf(axleOf(wheel));
      if (scale.unit === 'deg' || !isScaled(scale)) return undefined;
      return { unit: scale.unit, ...(scale.diameter ? { diameter: scale.diameter } : {}) };
    };
    const changes = applyReadings(
      draft,
      readings.map((reading) => ({ ...reading, at, readIn: readIn(reading) })),
    );
    const first = readings.map(readIn).find((one) => one !== undefined);
    const isSaid = draft.visit?.measure?.toeIn !== undefined;
    enterAll(
      first && !isSaid
        ? [...changes, { path: 'visit.measure.toeIn', value: { unit: first.unit } }]
        : changes,
    );
  };
}
