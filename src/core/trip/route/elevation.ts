/** Heights are averaged over this length. */
const MEAN_OVER_M = 100;
/** A rise counts once it exceeds this since the last low. */
export const LEAST_RISE_M = 3;

/** How figures of climb come about, as it is told beside them. */
export const CLIMB_METHOD =
  'Evenly spaced points, a median of five against spikes, a mean over 100 m, and rises of at least 3 m.';

/**
 * Heights without spikes and jitter: a median of five, then a centred mean over 100 m (methods, section 6). Ends are averaged over
 * what there is.
 *
 * @param heights at even steps along the way, in metres
 * @param stepM the step, in metres
 */
export function cleanHeights(heights: ArrayLike<number>, stepM: number): Float64Array {
  const n = heights.length;
  const median = new Float64Array(n);
  const five = new Float64Array(5);
  for (let i = 0; i < n; i += 1) {
    // At the ends as many on both sides as there are, so that a steady slope stays one.
    const reach = Math.min(2, i, n - 1 - i);
    const around = five.subarray(0, 2 * reach + 1);
    for (let k = -reach; k <= reach; k += 1) around[k + reach] = heights[i + k]!;
    median[i] = around.sort()[reach]!;
  }
  const most = Math.max(0, Math.round(MEAN_OVER_M / stepM / 2));
  const sums = new Float64Array(n + 1);
  for (let i = 0; i < n; i += 1) sums[i + 1] = sums[i]! + median[i]!;
  const clean = new Float64Array(n);
  for (let i = 0; i < n; i += 1) {
    const reach = Math.min(most, i, n - 1 - i);
    clean[i] = (sums[i + reach + 1]! - sums[i - reach]!) / (2 * reach + 1);
  }
  return clean;
}

export interface Climb {
  climbM: number;
  descentM: number;
}

/**
 * Climb and descent between turning points of at least `leastM` (methods, section 6).
 *
 * @example climbOf([100, 101, 100, 102, 100, 110, 109, 111, 105, 104, 112]) // climb 19, descent 7
 */
export function climbOf(
  heights: ArrayLike<number>,
  leastM = LEAST_RISE_M,
  from = 0,
  to = heights.length,
): Climb {
  let climbM = 0;
  let descentM = 0;
  if (to - from < 2) return { climbM, descentM };
  let low = heights[from]!;
  let high = low;
  let way: 'up' | 'down' | null = null;
  for (let i = from + 1; i < to; i += 1) {
    const height = heights[i]!;
    if (way !== 'up') {
      low = Math.min(low, height);
      if (height - low >= leastM) {
        if (way === 'down') descentM += high - low;
        way = 'up';
        high = height;
        continue;
      }
    }
    if (way !== 'down') {
      high = Math.max(high, height);
      if (high - height >= leastM) {
        if (way === 'up') climbM += high - low;
        way = 'down';
        low = height;
      }
    }
  }
  if (way === 'up') climbM += high - low;
  if (way === 'down') descentM += high - low;
  return { climbM, descentM };
}
