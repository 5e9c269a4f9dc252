import type { Thing } from '@/core/kit/thing';
import type { Evaluation } from './evaluate';

/** One compartment with what goes in it, in the order it goes in: the deepest first, the mouth last. */
export interface BagListEntry {
  id: string;
  letter: string;
  name: string;
  massG: number;
  things: { thing: Thing; contents: Thing[] }[];
}

export interface BagList {
  bags: BagListEntry[];
  worn: Thing[];
  floor: Thing[];
  home: Thing[];
}

/**
 * What is in which bag, in packing order. What is packed inside another thing is listed with that.
 *
 * @example bagList(evaluate(plan)).bags[0].things.map(({ thing }) => thing.name)
 */
export function bagList(
  evaluation: Pick<Evaluation, 'compartments' | 'worn' | 'floor' | 'home' | 'holders'>,
): BagList {
  const { compartments, worn, floor, home, holders } = evaluation;
  return {
    bags: compartments
      .filter(({ things }) => things.length > 0)
      .map(({ spot, things, massG }) => {
        const outer = things.filter(({ id }) => !holders.has(id)).reverse();
        return {
          id: spot.id,
          letter: spot.letter,
          name: spot.name,
          massG,
          things: outer.map((thing) => ({
            thing,
            contents: things.filter(({ id }) => holders.get(id) === thing.id),
          })),
        };
      }),
    worn,
    floor,
    home,
  };
}
