const UPRIGHT_DEG = 90;

/**
 * Camber from a level held against the wheel.
 * @param input.reading - the size shown, degrees
 * @param input.zeroIs - whether an upright wheel shows 0 (vertical) or 90 (horizontal)
 * @param input.leans - where the top of the wheel leans
 * @param input.floorSlope - for a level that shows true level on a floor that is not: a wheel on the
 *   high side reads too negative by the slope, the other too positive; left out when the level was
 *   zeroed on that floor
 * @returns degrees, positive with the top outward
 */
export function camberFromLevel(input: {
  reading: number;
  zeroIs: 'vertical' | 'horizontal';
  leans: 'in' | 'out';
  side: 'left' | 'right';
  floorSlope?: { degrees: number; high: 'left' | 'right' } | undefined;
}): { camber: number } {
  const { reading, zeroIs, leans, side, floorSlope } = input;
  const size = zeroIs === 'vertical' ? reading : Math.abs(UPRIGHT_DEG - reading);
  const shown = leans === 'in' ? -size : size;
  if (!floorSlope) return { camber: shown };
  const { degrees, high } = floorSlope;
  return { camber: high === side ? shown + degrees : shown - degrees };
}
