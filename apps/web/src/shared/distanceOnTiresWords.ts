import type { DistanceUnit, VisitDraft } from '@keen/contract';
import { distanceOnTires } from '@keen/core';
import { t } from '../words/shared.ts';
import { showDistance } from './format.ts';

/** How far the tires of a visit have run, as one says it; empty where it is not known. */
export function distanceOnTiresWords(draft: VisitDraft, unit: DistanceUnit): string {
  const run = distanceOnTires(draft);
  const show = (km: number) => showDistance(km, unit);
  switch (run?.kind) {
    case 'same':
      return t('distanceOnTires.same', { distance: show(run.km), unit });
    case 'axles':
      return t('distanceOnTires.axles', { front: show(run.frontKm), rear: show(run.rearKm), unit });
    case 'range':
      return t('distanceOnTires.range', { least: show(run.leastKm), most: show(run.mostKm), unit });
    case undefined:
      return '';
  }
}
