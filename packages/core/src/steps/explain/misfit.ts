import type { CaseFile } from '@keen/contract';
import { RIBS } from '@keen/contract/words';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import { readingVariance } from '../../engine/case/treadFacts.ts';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { NOISE } from '../../engine/wear/constants.ts';
import type { Slot } from '../read/readingOrder.ts';
import type { ExpectedDepths } from '../../engine/diagnosis/diagnose.ts';

/** A rib that the causes found do not explain. */
export interface Misfit extends Slot {
  readMm: number;
  expectedMm: number;
}

/**
 * Standard deviations from which a rib counts as not explained. The answer has already bent toward
 * the reading, so this is rarer than a normal's tail: about one simulated car in twenty-five has one by
 * chance (see docs/diagnosis.md).
 */
const UNEXPLAINED_SD = 2.0;

/** So far from what the answer expects nobody would call a rib explained, whatever the scatter, mm. */
const PLAIN_MM = 1.2;

/**
 * The ribs where the tread does not look as the answer expects, by more than the scatter of tires,
 * ribs and readings together: the model's own doubt about itself, said aloud.
 * @returns the worst first
 */
export function misfits(file: CaseFile, expected: ExpectedDepths): Misfit[] {
  const resolved = resolveCase(file);
  const readingVar = readingVariance(resolved.reading);
  return WHEEL_ORDER.flatMap((wheel) => {
    const tire = resolved.tires[wheel];
    return RIBS.flatMap((rib) => {
      const depths = tire.readMm[rib];
      if (depths.length === 0) return [];
      const readMm = depths.reduce((sum, depth) => sum + depth, 0) / depths.length;
      const { mean, sd } = expected[wheel][rib];
      const lost = Math.max(0, tire.stretch.fromMm[rib] - mean);
      const scatterVar =
        (NOISE.tire ** 2 + NOISE.rib ** 2) * lost ** 2 + NOISE.newDepthMm ** 2 + readingVar;
      const off = Math.abs(readMm - mean) / Math.sqrt(scatterVar + sd ** 2);
      return off >= UNEXPLAINED_SD || Math.abs(readMm - mean) >= PLAIN_MM
        ? [{ wheel, rib, readMm, expectedMm: mean, off }]
        : [];
    });
  })
    .toSorted((a, b) => b.off - a.off)
    .map(({ wheel, rib, readMm, expectedMm }) => ({ wheel, rib, readMm, expectedMm }));
}
