import type { CompartmentFacts } from '@/core/facts/facts';
import { normal } from '@/core/units/normal';

/**
 * How likely it is that every compartment that closes by the figures does so with the real things: the room each has left
 * against the standard error of what is in it, all independent (methods, section 12). 0 where one does not close.
 *
 * @example fitCertainty([]) // 1
 */
export const fitCertainty = (
  compartments: readonly Pick<
    CompartmentFacts,
    'spot' | 'neededMl' | 'neededErrorMl' | 'closes' | 'things'
  >[],
): number =>
  compartments.reduce((product, { spot, neededMl, neededErrorMl, closes, things }) => {
    if (things.length === 0) return product;
    if (!closes) return 0;
    return neededErrorMl === 0 ? product : product * normal((spot.capacityMl - neededMl) / neededErrorMl);
  }, 1);

const WORDS: readonly [least: number, word: string][] = [
  [0.95, 'almost certainly'],
  [0.75, 'probably'],
  [0.4, 'perhaps'],
  [0, 'probably not'],
];
const CHANCES = [
  [1, 10],
  [1, 5],
  [1, 4],
  [1, 3],
  [2, 5],
  [1, 2],
  [3, 5],
  [2, 3],
  [3, 4],
  [4, 5],
  [9, 10],
  [19, 20],
  [99, 100],
] as const;

/**
 * A probability in a word and as a chance.
 *
 * @example certaintyWords(0.81) // { word: 'probably', chance: '4 in 5' }
 */
export function certaintyWords(probability: number): { word: string; chance: string } {
  const word = WORDS.find(([least]) => probability >= least)![1];
  const [k, n] = [...CHANCES].sort(
    (a, b) => Math.abs(a[0] / a[1] - probability) - Math.abs(b[0] / b[1] - probability),
  )[0]!;
  return { word, chance: `${k} in ${n}` };
}
