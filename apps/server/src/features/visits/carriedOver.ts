import { randomUUID } from 'node:crypto';
import type { Entry } from '@keen/contract';
import { DEFAULT_LIMITS_MM, keptTurns, usedInstruments, WHEEL_ORDER } from '@keen/core';
import { and, desc, eq, ne } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { visits } from '../../db/schema/index.ts';
import { instrumentsOf } from '../../db/instrumentRows.ts';
import { learnedConstants } from '../../db/learnedConstants.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import type { Actor } from '../../http/signedIn.ts';

/** What is the shop's own: limits, the spread of its readings, what it learned, its instruments as they stand. */
export async function shopFacts(tx: Handle, { shopId }: Actor): Promise<Entry[]> {
  const { limits, readingSpread } = await shopSettings(tx, shopId);
  const { legal, advise } = limits;
  const at = new Date().toISOString();
  const list: Entry[] = [];
  if (legal !== DEFAULT_LIMITS_MM.legal || advise !== DEFAULT_LIMITS_MM.advise) {
    list.push({ id: randomUUID(), path: 'limits', value: { legal, advise }, at });
  }
  if (readingSpread) {
    list.push({ id: randomUUID(), path: 'readingSpread', value: readingSpread.mm, at });
  }
  const learned = await learnedConstants(tx, shopId);
  if (learned) list.push({ id: randomUUID(), path: 'constants', value: learned, at });
  const instruments = usedInstruments(await instrumentsOf(tx, shopId));
  if (Object.keys(instruments).length > 0) {
    list.push({ id: randomUUID(), path: 'visit.measure.instruments', value: instruments, at });
  }
  return list;
}

/** What does not change from one visit of a car to the next, so that nobody types it twice. */
export async function carriedOver(
  tx: Handle,
  vehicleId: string,
  visitId: string,
): Promise<Entry[]> {
  const [last] = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.vehicleId, vehicleId), ne(visits.id, visitId)))
    .orderBy(desc(visits.arrivedAt))
    .limit(1);
  if (!last) return [];
  const at = new Date().toISOString();
  const list: Entry[] = [];
  const carry = (path: string, value: unknown) => {
    if (value !== undefined) list.push({ id: randomUUID(), path, value, at });
  };
  const { vehicle, tires, units, visit } = last.draft;
  carry('vehicle.drive', vehicle?.drive);
  carry('vehicle.use', vehicle?.use);
  carry('vehicle.rotatable', vehicle?.rotatable);
  carry('units.depth', units?.depth);
  // The sheet of the car stays its sheet, in the revision it was chosen in.
  carry('visit.sheet', visit?.sheet);
  carry('tolerances', last.draft.tolerances);
  // The customer reads what the customer read.
  carry('visit.handOver.language', visit?.handOver?.language);
  carry('visit.handOver.units', visit?.handOver?.units);
  carry('visit.handOver.stored', visit?.handOver?.stored);
  const { car } = visit ?? {};
  carry('visit.car.rack', car?.rack);
  carry('visit.car.driver', car?.driver);
  carry('visit.car.load', car?.load);
  carry('visit.measure.toeIn', visit?.measure?.toeIn);
  carry('visit.tiresDiffer', visit?.tiresDiffer);
  carry('visit.car.awdMatch', car?.awdMatch);
  carry('visit.car.directional', car?.directional);
  carry('visit.car.wheels', car?.wheels);
  const learned = keptTurns(last.draft);
  carry('visit.car.learned', learned.length > 0 ? learned : undefined);
  for (const axle of ['front', 'rear'] as const) {
    carry(`vehicle.rideHeightChange.${axle}`, vehicle?.rideHeightChange?.[axle]);
    carry(`visit.car.placard.${axle}`, car?.placard?.[axle]);
    carry(`visit.car.suspension.${axle}`, car?.suspension?.[axle]);
    for (const kind of ['camber', 'caster', 'toe'] as const) {
      carry(`visit.car.adjustable.${axle}.${kind}`, car?.adjustable?.[axle]?.[kind]);
    }
  }
  for (const wheel of WHEEL_ORDER) {
    carry(`visit.tires.${wheel}.dateCode`, visit?.tires?.[wheel]?.dateCode);
    carry(`visit.tires.${wheel}.line`, visit?.tires?.[wheel]?.line);
    carry(`visit.tires.${wheel}.season`, visit?.tires?.[wheel]?.season);
    carry(`tires.${wheel}.size`, tires?.[wheel]?.size);
    carry(`tires.${wheel}.newDepth`, tires?.[wheel]?.newDepth);
    carry(`tires.${wheel}.pressure.target`, tires?.[wheel]?.pressure?.target);
  }
  return list;
}
