import type { CaseFile } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { FAULT_COLUMN, FAULT_COUNT, resolveCase, WHEEL_ORDER } from '@keen/core/engine';

/** What a wall chart says of a car. */
export interface ChartReading {
  /** 1 for each fault that the chart names. */
  says: Uint8Array;
  /** The columns it names, the plainest sign first. */
  ranked: readonly number[];
}

/** A difference that the eye takes for a pattern, mm. */
const PLAIN_MM = 0.6;
/** How plain a feather and waves are beside a difference of depth, mm. */
const FEATHER_MM = 1;
const WAVES_MM = 0.8;

/**
 * The plain rule chart, as it hangs on a workshop's wall (common practice, no source): one edge worn is
 * camber, both shoulders low pressure, the centre high pressure, a feather toe, waves dampers. It knows
 * nothing of play, cornering, or how two causes trade.
 */
export function readChart(file: CaseFile): ChartReading {
  const resolved = resolveCase(file);
  const plainness = new Float64Array(FAULT_COUNT);
  const sign = (column: number, mm: number) => {
    plainness[column] = Math.max(plainness[column]!, mm);
  };
  WHEEL_ORDER.forEach((wheel, tire) => {
    const record = resolved.tires[wheel];
    const { inner, centre, outer } = record.readMm;
    if (inner.length > 0 && outer.length > 0) {
      const [left, right] = [mean(inner), mean(outer)];
      const middle = centre.length > 0 ? mean(centre) : (left + right) / 2;
      const shoulders = middle - Math.max(left, right);
      const crown = Math.min(left, right) - middle;
      if (shoulders >= PLAIN_MM) sign(FAULT_COLUMN.pressureLow + tire, shoulders);
      else if (crown >= PLAIN_MM) sign(FAULT_COLUMN.pressureHigh + tire, crown);
      else if (right - left >= PLAIN_MM) sign(FAULT_COLUMN.camberTooNegative + tire, right - left);
      else if (left - right >= PLAIN_MM) sign(FAULT_COLUMN.camberTooPositive + tire, left - right);
    }
    const axle = tire >> 1;
    if (record.feather === 'catchesOutward') sign(FAULT_COLUMN.toeTooFarIn + axle, FEATHER_MM);
    if (record.feather === 'catchesInward') sign(FAULT_COLUMN.toeTooFarOut + axle, FEATHER_MM);
    if (hasWaves(file, wheel)) sign(FAULT_COLUMN.bounce + tire, WAVES_MM);
  });
  const ranked = [...plainness.keys()]
    .filter((column) => plainness[column]! > 0)
    .toSorted((a, b) => plainness[b]! - plainness[a]!);
  return { says: Uint8Array.from(plainness, (mm) => (mm > 0 ? 1 : 0)), ranked };
}

function hasWaves(file: CaseFile, wheel: Wheel): boolean {
  const { cupping } = file.tires[wheel];
  return cupping === 'some' || cupping === 'heavy';
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
