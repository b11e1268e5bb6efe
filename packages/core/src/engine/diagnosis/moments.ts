import type { Estimate } from '@keen/contract';

/** Running sums of several numbers, for their means and standard deviations. */
export function moments(size: number) {
  const sum = new Float64Array(size);
  const squares = new Float64Array(size);
  const put = (index: number, value: number) => {
    sum[index]! += value;
    squares[index]! += value * value;
  };
  const result = {
    count: 0,
    put,
    /** Takes `size` neighbouring elements of a state. */
    add(state: Float64Array, start: number): void {
      for (let i = 0; i < size; i++) put(i, state[start + i]!);
      result.count++;
    },
    estimate(index: number): Estimate {
      const mean = sum[index]! / result.count;
      const variance = squares[index]! / result.count - mean * mean;
      return { mean, sd: Math.sqrt(Math.max(0, variance)) };
    },
  };
  return result;
}
