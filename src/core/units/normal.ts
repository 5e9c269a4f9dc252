/**
 * The standard normal distribution (Abramowitz and Stegun 1964, 26.2.17; error below 1e-7).
 *
 * @example normal(1.96) // 0.975
 */
export function normal(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/** Density of the standard normal distribution. @example normalDensity(0) // 0.3989 */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
