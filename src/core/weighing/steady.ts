/** A reading, and when it came, in milliseconds. */
export interface Reading {
  massG: number;
  atMs: number;
}

const HOLD_MS = 1000;
/** Readings that differ by no more stand still: one step of a scale in pounds, or 1 %. */
const STEP_G = 5;

/**
 * The mass once readings have stood still for a second: their mean; null until then, and while nothing is on the scale. A scale that
 * drifts never stands still.
 *
 * @param readings in the order in which they came
 * @example steadyMass([{ massG: 870, atMs: 0 }, { massG: 870, atMs: 600 }, { massG: 875, atMs: 1200 }]) // 871.67
 */
export function steadyMass(readings: readonly Reading[]): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  let from = readings.length - 1;
  while (from > 0 && last.atMs - readings[from]!.atMs < HOLD_MS) from -= 1;
  if (last.atMs - readings[from]!.atMs < HOLD_MS) return null;
  const held = readings.slice(from).map(({ massG }) => massG);
  const mean = held.reduce((sum, massG) => sum + massG, 0) / held.length;
  const spread = Math.max(...held) - Math.min(...held);
  return mean > STEP_G / 2 && spread <= Math.max(STEP_G, 0.01 * mean) ? mean : null;
}
