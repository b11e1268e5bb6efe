import type { Session } from '@keen/contract';
import { neededBy, WEAR_PARTS } from '@keen/core';
import Papa from 'papaparse';
import { WEAR_PART_WORDS } from './causeCosts.ts';
import type { FleetCar } from './useFleet.ts';
import { t } from '../../words/garage.ts';
import { actionWords, causeWords, whereWords } from '../../words/pageTexts.ts';

/** The fleet as a table for other programs: km, whole days, money in whole units. */
export function fleetAsCsv(rows: readonly FleetCar[], session: Session, today: string): string {
  const { currency } = session.shop.settings.prices;
  const money = (minor: number) => (minor / 100).toFixed(2);
  return Papa.unparse(
    rows.map(({ car, read, running, cost }) => {
      const due = running && neededBy(running, today);
      return {
        plate: car.vehicle.plate,
        car: car.vehicle.label,
        read: read?.arrivedAt.slice(0, 10) ?? '',
        'km left when read': running ? Math.round(running.lifeKm.median) : '',
        'km a year': running ? Math.round(running.kmPerYear) : '',
        'tires needed, early': due?.early ?? '',
        'tires needed, likely': due?.likely ?? '',
        'tires needed, late': due?.late ?? '',
        advised: cost ? actionWords(cost.advised, false) : '',
        cause: cost?.cause
          ? `${causeWords(cost.cause.cause)}, ${whereWords(cost.cause.where)}`
          : '',
        'chance of the cause': cost?.cause?.probability.toFixed(2) ?? '',
        [`cost for 1000 km as it is, ${currency}`]: cost ? money(cost.asIs) : '',
        [`cost for 1000 km as advised, ${currency}`]: cost ? money(cost.asAdvised) : '',
        ...Object.fromEntries(
          WEAR_PARTS.map((part) => [
            t('fleetAsCsv.ofItAsIt', { wearPartWords: WEAR_PART_WORDS[part].toLowerCase() }),
            cost ? money(cost.byCause[part]) : '',
          ]),
        ),
      };
    }),
    { escapeFormulae: true },
  );
}
