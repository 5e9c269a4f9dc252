import type { Random } from '@/core/random';

/** Two loads that have fewer things in different places are one, with hardly anything to be searched between them. */
const LEAST_APART = 4;

/**
 * By thing, 1 where two loads have it in the same place: what they have alike is most likely right, and what not is little
 * enough to be searched closely (as in tour merging, Cook and Seymour 2003).
 *
 * @param others of which one is drawn that is far enough from the load
 * @param as the load as it is begun from, where that is not quite the same: what was moved does not count as alike
 * @returns null where none of the others is far enough
 * @example alikeIn([0, 0, 1, 1, 2, -1], [[0, 1, 0, 1, 0, 2]], [0, 0, 1, 1, 2, -1], random) // [1, 0, 0, 1, 0, 0]
 */
export function alikeIn(
  load: Int32Array,
  others: readonly Int32Array[],
  as: Int32Array,
  random: Random,
): Uint8Array | null {
  const apart = (other: Int32Array) => load.reduce((sum, j, i) => sum + Number(j !== other[i]), 0);
  const far = others.filter((other) => apart(other) >= LEAST_APART);
  const other = far[Math.floor(random() * far.length)];
  return other ? Uint8Array.from(as, (j, i) => Number(j === load[i] && j === other[i])) : null;
}
