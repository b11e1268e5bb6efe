import type { Instrument, SaveInstrument, NewCheck } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';

import { notifyLive } from '../../db/notifyLive.ts';
import { instrumentChecks, instruments } from '../../db/schema/index.ts';
import { conflict, notFound } from '../../errors.ts';
import { instrumentsOf } from '../../db/instrumentRows.ts';
import type { Actor } from '../../http/signedIn.ts';

/** The shop's gauges with their latest checks, retired ones last. */
export function listInstruments(tx: Handle, { shopId }: Actor): Promise<Instrument[]> {
  return instrumentsOf(tx, shopId);
}

/** Keeps a gauge as it is now. @throws {AppError} 409 where the id is taken, or its kind would change */
export async function saveInstrument(
  tx: Handle,
  actor: Actor,
  id: string,
  instrument: SaveInstrument,
): Promise<Instrument[]> {
  const { shopId } = actor;
  const [known] = await tx
    .select()
    .from(instruments)
    .where(and(eq(instruments.shopId, shopId), eq(instruments.id, id)))
    .for('update');
  if (!known) {
    const added = await tx
      .insert(instruments)
      .values({ ...instrument, id, shopId })
      .onConflictDoNothing()
      .returning({ id: instruments.id });
    if (added.length === 0) throw conflict('gaugeIdTaken');
  } else {
    if (known.kind !== instrument.kind) {
      throw conflict('gaugeKindStays');
    }
    await tx
      .update(instruments)
      .set(instrument)
      .where(and(eq(instruments.shopId, shopId), eq(instruments.id, id)));
  }
  await notifyLive(tx, { shopId, kind: 'gauges' });
  return listInstruments(tx, actor);
}

/** Keeps a check. @throws {AppError} 404 */
export async function saveCheck(
  tx: Handle,
  actor: Actor,
  instrumentId: string,
  check: NewCheck,
): Promise<Instrument[]> {
  const { shopId, personId } = actor;
  const [known] = await tx
    .select({ id: instruments.id })
    .from(instruments)
    .where(and(eq(instruments.shopId, shopId), eq(instruments.id, instrumentId)));
  if (!known) throw notFound('noGauge');
  const { id, at, points, note } = check;
  await tx
    .insert(instrumentChecks)
    .values({ id, shopId, instrumentId, points, note, personId, at: new Date(at) })
    .onConflictDoNothing();
  await notifyLive(tx, { shopId, kind: 'gauges' });
  return listInstruments(tx, actor);
}
