import type { GaugeMessage, GaugeState } from '@keen/contract';
import { DEFAULT_GAUGE, gaugeStateSchema } from '@keen/contract';
import { MM_PER_IN } from '@keen/core';
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
  // A line that is sent twice has two numbers: the gauge does not count, only its sender does.
  const n = gauge.n + (gauge.fault === 'repeats' && gauge.speaks !== 'radio' ? 2 : 1);
  const battery = Math.max(0, gauge.battery - PRESS_COSTS);
  const after = { ...gauge, n, battery };
  if (gauge.speaks !== 'radio') {
    return { says: written(gauge, n, mm, gauge.speaks), after };
  }
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

/** What a gauge shows when it stands off the tread. */
const NOTHING_MEASURED = '----';

/** The same faults for a gauge that writes its readings out: no numbers tell a line sent twice. */
function written(
  gauge: GaugeState,
  n: number,
  mm: number,
  by: 'keys' | 'serial',
): (GaugeMessage | 'breaksOff')[] {
  const number =
    gauge.writes === 'in'
      ? `${(mm / MM_PER_IN).toFixed(4)} in`
      : `${mm.toFixed(2)}${gauge.writes === 'mm' ? ' mm' : ''}`;
  const line = (text: string, count = n): GaugeMessage => ({ kind: 'text', n: count, by, text });
  switch (gauge.fault) {
    case 'none':
      return [line(number)];
    case 'repeats':
      return [line(number, n - 1), line(number)];
    case 'outOfRange':
      return [line(NOTHING_MEASURED)];
    case 'dropsOut':
      return ['breaksOff'];
  }
}
