import type { TreadProfile } from '@keen/contract';
import type { Rib } from '@keen/contract/words';

/** Part of the profile's width that holds at least a groove and the ribs beside it, to either side. */
const WINDOW = 0.12;
/** Less than this between rubber and groove is no groove, mm. */
const LEAST_GROOVE_MM = 0.3;
/** Points beside a groove whose mean is the rubber's surface. */
const SHOULDER_POINTS = 3;

/** A groove found in a profile. */
export interface Groove {
  /** Where its middle lies: -1 inner edge of the tread, +1 outer edge. */
  at: number;
  /** Depth from the surface of the ribs beside it, mm. */
  depthMm: number;
}

/**
 * Finds the grooves in one cut across a tread and how deep each is.
 *
 * The depth of a groove is the line between the rubber at both of its sides, taken at
 * the groove's middle, less the groove's floor; the zero and the tilt of the reader fall out of that.
 * @param heights - mm, evenly spaced from the inner to the outer edge
 * @returns grooves from inner to outer; a groove that is open to the edge does not count
 * @example findGrooves([5, 5, 5, 5]).length // 0
 */
export function findGrooves(heights: readonly number[]): Groove[] {
  const level = withoutTilt(heights);
  const isFloor = floorPoints(level);
  const grooves: Groove[] = [];
  for (let start = 0; start < level.length; start++) {
    if (!isFloor[start]) continue;
    let end = start;
    while (end + 1 < level.length && isFloor[end + 1]) end++;
    const left = rubberBeside(level, isFloor, start, -1);
    const right = rubberBeside(level, isFloor, end, 1);
    if (left !== null && right !== null) {
      const middle = (start + end) / 2;
      grooves.push({
        at: (2 * middle) / (level.length - 1) - 1,
        depthMm: (left + right) / 2 - mean(floorOf(level.slice(start, end + 1))),
      });
    }
    start = end;
  }
  return grooves.filter(({ depthMm }) => depthMm >= LEAST_GROOVE_MM);
}

/**
 * A cut as it is drawn: stood on the floor of its grooves, which wear does not touch, so that a worn
 * edge shows as lower rubber and not as a tilt.
 * @param heights - mm, evenly spaced from the inner to the outer edge
 * @example levelProfile([2, 2, 2, 2]) // [0, 0, 0, 0]
 */
export function levelProfile(heights: readonly number[]): number[] {
  const isFloor = floorPoints(withoutTilt(heights));
  const floor = heights.flatMap((height, i) => (isFloor[i] ? [{ at: i, height }] : []));
  if (floor.length === 0) {
    const lowest = Math.min(...heights);
    return heights.map((height) => height - lowest);
  }
  const line = fitLine(floor);
  return heights.map((height, i) => height - line.height - line.slope * (i - line.at));
}

/**
 * Depths of the three ribs in one cut: the mean of the grooves in each third of the tread.
 * @returns mm, null for a third in which no groove was found
 */
export function profileDepths({ heights }: TreadProfile): Record<Rib, number | null> {
  const grooves = findGrooves(heights);
  const third = (from: number, to: number) => {
    const depths = grooves.filter(({ at }) => at >= from && at < to).map((one) => one.depthMm);
    return depths.length > 0 ? mean(depths) : null;
  };
  return { inner: third(-1, -1 / 3), centre: third(-1 / 3, 1 / 3), outer: third(1 / 3, 1.01) };
}

/** Which points lie in a groove: nearer to the lowest than to the highest of their neighbourhood. */
function floorPoints(level: readonly number[]): boolean[] {
  const reach = Math.max(2, Math.round(WINDOW * level.length));
  return level.map((height, i) => {
    const near = level.slice(Math.max(0, i - reach), i + reach + 1);
    const low = Math.min(...near);
    const high = Math.max(...near);
    return high - low >= LEAST_GROOVE_MM && height < (low + high) / 2;
  });
}

/** Takes the straight line of best fit out, so that a leaning tire looks like an upright one. */
function withoutTilt(heights: readonly number[]): number[] {
  const { slope, at } = fitLine(heights.map((height, i) => ({ at: i, height })));
  return heights.map((height, i) => height - slope * (i - at));
}

/** The line of least squares through points, by its middle and its slope. */
function fitLine(points: readonly { at: number; height: number }[]) {
  const at = mean(points.map((point) => point.at));
  const height = mean(points.map((point) => point.height));
  let across = 0;
  let square = 0;
  for (const point of points) {
    across += (point.at - at) * (point.height - height);
    square += (point.at - at) ** 2;
  }
  return { at, height, slope: square > 0 ? across / square : 0 };
}

/** The surface right beside a groove; null where the groove reaches the edge. */
function rubberBeside(
  level: readonly number[],
  isFloor: readonly boolean[],
  end: number,
  way: 1 | -1,
): number | null {
  const rubber: number[] = [];
  for (let i = end + way; i >= 0 && i < level.length && !isFloor[i]; i += way) {
    rubber.push(level[i]!);
    if (rubber.length === SHOULDER_POINTS) break;
  }
  // The first point may stand on the groove's wall.
  if (rubber.length > 1) rubber.shift();
  return rubber.length > 0 ? mean(rubber) : null;
}

/** The flat part of a groove: its walls are left out where there are enough points. */
function floorOf(points: readonly number[]): readonly number[] {
  return points.length > 2 ? points.slice(1, -1) : points;
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
