import type { GaugeMessage, GaugeState } from '@keen/contract';
import { DEFAULT_GAUGE, gaugeStateSchema } from '@keen/contract';
import { eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { shops } from '../db/schema/index.ts';

/** The gauge of a shop, as it was played last. */
export async function gaugeOf(db: Handle, shopId: string): Promise<GaugeState> {
  const [shop] = await db.select({ gauge: shops.gauge }).from(shops).where(eq(shops.id, shopId));
  const kept = gaugeStateSchema.safeParse(shop?.gauge);
  return kept.success ? kept.data : DEFAULT_GAUGE;
}

/** How much a press takes from the battery. */
const PRESS_COSTS = 0.002;

/**
 * What a press of the trigger makes the gauge say, with the fault that is played: a reading, the same
 * reading twice, nothing on the tread, or a break before a reading that comes once the line is back.
 * @param mm - depth under the gauge
 * @returns what it says, in order, and how it stands after
 */
export function pressGauge(
  gauge: GaugeState,
  mm: number,
): { says: (GaugeMessage | 'breaksOff')[]; after: GaugeState } {
  if (!gauge.isOn) return { says: [], after: gauge };
  const n = gauge.n + 1;
  const battery = Math.max(0, gauge.battery - PRESS_COSTS);
  const after = { ...gauge, n, battery };
  // Gauges show hundredths.
  const reading: GaugeMessage = { kind: 'reading', n, mm: Number(mm.toFixed(2)), battery };
  switch (gauge.fault) {
    case 'none':
      return { says: [reading], after };
    case 'repeats':
      return { says: [reading, reading], after };
    case 'outOfRange':
      return { says: [{ kind: 'outOfRange', n }], after };
    case 'dropsOut':
      return { says: ['breaksOff'], after };
  }
}
