/**
 * Days that a food keeps at another temperature: half as long for every ten degrees above 20 °C, at most twice as long below (the usual rule
 * of thumb for spoilage; it knows nothing of the sun on a bag).
 *
 * @example keepsAt(8, 30) // 4
 */
export const keepsAt = (daysAt20C: number, celsius: number): number =>
  daysAt20C * Math.min(2, 2 ** ((20 - celsius) / 10));
