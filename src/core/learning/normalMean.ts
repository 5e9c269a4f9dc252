/** A figure with its standard error. */
export interface Uncertain {
  value: number;
  error: number;
}

/**
 * A prior updated with observations whose errors are known: the mean weighted by 1/error² (methods, section 18).
 *
 * @param observations none leaves the prior as it is
 * @example normalMean({ value: 0.45, error: 0.15 }, three times { value: 0.62, error: 0.12 }) // 0.59 ± 0.06
 */
export function normalMean(prior: Uncertain, observations: readonly Uncertain[]): Uncertain {
  let weight = 0;
  let sum = 0;
  for (const { value, error } of [prior, ...observations]) {
    const own = 1 / (error * error);
    weight += own;
    sum += own * value;
  }
  return { value: sum / weight, error: 1 / Math.sqrt(weight) };
}
