import type { DepthUnit } from '@keen/contract/words';
import { MM_PER_IN, depthToMm } from '../../engine/units/units.ts';

/** The deepest tread that is read as one, mm. */
const DEEPEST_MM = 60;

/**
 * Reads a depth however it is written: `53` as the fast entry takes it, `5.3`, `5,3 mm`, `7/32`,
 * `0.2 in`. A number without a unit is in the person's own.
 * @param text - as typed
 * @param unit - of a number that names none
 * @returns mm, or null if it is not a depth
 * @example readDepthText('53', 'mm') // 5.3
 * @example readDepthText('4/32', 'mm') // 3.175
 */
export function readDepthText(text: string, unit: DepthUnit): number | null {
  const plain = text.trim().toLowerCase().replace(',', '.').replace(/\s+/g, ' ');
  const fraction = /^(\d+(?:\.\d+)?) ?\/ ?32(?: ?(?:in|"|nds|nd))?$/.exec(plain);
  if (fraction) return within(depthToMm(Number(fraction[1]), 'in32'));
  const named = /^(\d+(?:\.\d+)?|\.\d+) ?(mm|in|"|32nds)$/.exec(plain);
  if (named) {
    const value = Number(named[1]);
    if (named[2] === 'mm') return within(value);
    return within(named[2] === '32nds' ? depthToMm(value, 'in32') : value * MM_PER_IN);
  }
  if (!/^(\d+(\.\d+)?|\.\d+)$/.test(plain)) return null;
  // Two digits without a point are tenths of a millimetre, as everywhere in the fast entry.
  if (unit === 'mm' && /^\d{2,3}$/.test(plain)) return within(Number(plain) / 10);
  return within(depthToMm(Number(plain), unit));
}

function within(mm: number): number | null {
  return mm >= 0 && mm <= DEEPEST_MM ? Number(mm.toFixed(5)) : null;
}
