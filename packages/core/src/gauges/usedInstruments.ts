import type { Instrument, UsedInstruments } from '@keen/contract';
import { instrumentRecord } from './instrumentRecord.ts';

/**
 * What a visit uses where angles are measured: of each kind the instrument that was checked last. Four
 * decimals are kept.
 * @param instruments - all of the shop; retired ones and depth gauges are left out
 */
export function usedInstruments(instruments: readonly Instrument[]): UsedInstruments {
  const used: UsedInstruments = {};
  for (const { name, kind, certified, retired, checks } of instruments) {
    if (retired || kind === 'depth') continue;
    const { errors, errorSd } = instrumentRecord(kind, checks);
    const checkedAt = errors.at(-1)?.at ?? null;
    if (used[kind] && (used[kind].checkedAt ?? '') >= (checkedAt ?? '')) continue;
    used[kind] = {
      name,
      checkedAt,
      errorSd: Number(errorSd.toFixed(4)),
      ...(certified === null ? {} : { certified }),
    };
  }
  return used;
}
