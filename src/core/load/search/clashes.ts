import { knownPieces } from '@/core/fit/split';
import { knownAllIn } from '@/core/fit/known';
import type { Instance } from '../model/instance';
import { goesInto, stiffSizeOf, type StiffSize } from './stiffSize';

/**
 * Two that take less of a compartment than this are not asked about: of 2122 clashes in twenty of the bench's kits none
 * was smaller.
 */
const LEAST_SHARE = 0.15;
/** Of a compartment so many pairs are asked about at most, the largest first: a thousand things make half a million. */
const MOST_ASKED = 2_000;

/** Things i and k, each of which lies in compartment j alone, but not both. */
export interface Clash {
  i: number;
  k: number;
  j: number;
}

/**
 * Stiff things that find no place in a compartment together. Litres do not tell: a long pole and a wide pot may take a
 * third of a roll, and bar each other from it. A search by litres that knows them proposes what lies twice as often.
 *
 * About 20 microseconds a pair, where how they lie is not known yet. Two that could lie just where two others do are not
 * asked about, which are three of four (measured on five of the bench's kits).
 *
 * @example clashesOf(instance) // [{ i: 53, k: 77, j: 0 }]: a block of 146 by 112 by 86 and a pole of 455 by 58 in a roll of 480 by 150
 */
export function clashesOf(instance: Instance): Clash[] {
  const { n, m, stiffMl, capacityMl, allowed, fixed, start, outer, spots } = instance;
  const clashes: Clash[] = [];
  for (let j = 0; j < m; j += 1) {
    const { chamber } = spots[j]!;
    const capacity = capacityMl[j]!;
    const ownSize = (i: number) => {
      const lay = knownAllIn(chamber, outer[i]!);
      return lay ? Math.max(...lay.lying.map(({ u1 }) => u1)) : Infinity;
    };
    const stiff = Array.from({ length: n }, (_, i) => i)
      .filter((i) => stiffMl[i]! > 0 && (fixed[i] ? start[i] === j : allowed[i * m + j] === 1))
      .sort((a, b) => stiffMl[b]! - stiffMl[a]!);
    const heights = new Map(stiff.map((i) => [i, ownSize(i)]));
    const sizes = new Map(stiff.map((i) => [i, stiffSizeOf(outer[i]!.flatMap(knownPieces))]));
    const lying: (readonly [StiffSize, StiffSize])[] = [];
    // Where the section is the same all along, what goes in end to end lies.
    const straight = chamber.levels.length === 0;
    let asked = 0;
    for (let a = 0; a < stiff.length; a += 1)
      for (let b = a + 1; b < stiff.length && asked < MOST_ASKED; b += 1) {
        const [i, k] = [stiff[a]!, stiff[b]!];
        const ml = stiffMl[i]! + stiffMl[k]!;
        if (ml < LEAST_SHARE * capacity) break;
        // What is pinned stays, whatever else comes.
        if (fixed[i] && fixed[k]) continue;
        if (straight && heights.get(i)! + heights.get(k)! <= chamber.lengthMm) continue;
        const [p, q] = [sizes.get(i)!, sizes.get(k)!];
        if (
          p &&
          q &&
          lying.some(([x, y]) => (goesInto(p, x) && goesInto(q, y)) || (goesInto(p, y) && goesInto(q, x)))
        )
          continue;
        asked += 1;
        // In the order of the kit, as the search asks for them: where two are alike, how they lie depends on it.
        const [first, second] = i < k ? [i, k] : [k, i];
        const lie = ml <= capacity && knownAllIn(chamber, [...outer[first]!, ...outer[second]!]) !== null;
        if (!lie) clashes.push({ i, k, j });
        else if (p && q) lying.push([p, q]);
      }
  }
  return clashes;
}
