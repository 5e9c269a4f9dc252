import type { Random } from '@/core/random';

/**
 * By place, index 0 the floor: 1 for the floor, for some compartments, and for a share of all, two at least, drawn at random; else 0.
 *
 * @param share 0 to 1
 * @example someCompartments(3, 1, [], random) // Uint8Array [1, 1, 1, 1]
 */
export function someCompartments(
  m: number,
  share: number,
  some: readonly number[],
  random: Random,
): Uint8Array {
  const open = new Uint8Array(m + 1);
  open[0] = 1;
  let left = Math.max(2, Math.round(m * share));
  // Each with the chance that makes it so many of those that are left (selection sampling, Knuth 1969).
  for (let c = 1; c <= m; c += 1)
    if (random() * (m + 1 - c) < left) {
      open[c] = 1;
      left -= 1;
    }
  for (const j of some) open[j + 1] = 1;
  return open;
}
