/**
 * Divides a way into days so that the hardest day is as easy as it can be; among such divisions the days are as even as they can be
 * (least sum of squares). Exact: the best last stop of each number of days at each candidate, one after the other.
 *
 * @param costs cost of the way up to each point where it may be divided, rising; the first is the start, the last the end
 * @param extra what ending a day at a point adds to that day, for example since it has no water
 * @param days how many, at least 1
 * @returns indices of the stops, days − 1 of them; null where there are too few points
 * @example splitDays([0, 3, 4, 8, 10], [0, 0, 0, 0, 0], 2) // [2]: 4 and 6
 */
export function splitDays(costs: readonly number[], extra: readonly number[], days: number): number[] | null {
  const end = costs.length - 1;
  if (days - 1 > end - 1) return null;
  const dayCost = (from: number, to: number) => costs[to]! - costs[from]! + (to === end ? 0 : extra[to]!);
  const worst = Array.from({ length: days + 1 }, () => new Float64Array(end + 1).fill(Infinity));
  worst[0]![0] = 0;
  for (let day = 1; day <= days; day += 1)
    for (let to = day; to <= end; to += 1)
      // A day that begins earlier is harder: once it alone is as hard as the best so far, none before it is better.
      for (let from = to - 1; from >= day - 1; from -= 1) {
        const cost = dayCost(from, to);
        if (cost >= worst[day]![to]!) break;
        worst[day]![to] = Math.min(worst[day]![to]!, Math.max(worst[day - 1]![from]!, cost));
      }
  const bound = worst[days]![end]! * (1 + 1e-12);
  if (!Number.isFinite(bound)) return null;
  // Among divisions whose every day is within the bound, the most even one.
  const squares = Array.from({ length: days + 1 }, () => new Float64Array(end + 1).fill(Infinity));
  const best = Array.from({ length: days + 1 }, () => new Int32Array(end + 1).fill(-1));
  squares[0]![0] = 0;
  for (let day = 1; day <= days; day += 1)
    for (let to = day; to <= end; to += 1)
      for (let from = to - 1; from >= day - 1; from -= 1) {
        const cost = dayCost(from, to);
        if (cost > bound) break;
        const sum = squares[day - 1]![from]! + cost * cost;
        if (sum < squares[day]![to]!) {
          squares[day]![to] = sum;
          best[day]![to] = from;
        }
      }
  const stops: number[] = [];
  for (let day = days, at = end; day > 1; day -= 1) {
    at = best[day]![at]!;
    stops.unshift(at);
  }
  return stops;
}
