import type { Thing } from '@/core/kit/thing';
import type { Evaluation } from './evaluate';

/** One compartment with what goes in it, in the order it goes in: the deepest first, the mouth last. */
export interface BagListEntry {
  id: string;
  letter: string;
  name: string;
  massG: number;
  things: { thing: Thing; holder: Thing | null }[];
}

export interface BagList {
  bags: BagListEntry[];
  worn: Thing[];
  floor: Thing[];
  home: Thing[];
}

/**
 * What is in which bag, in packing order. What is packed inside another thing follows it.
 *
 * @example bagList(evaluate(plan)).bags[0].things.map(({ thing }) => thing.name)
 */
export function bagList(
  evaluation: Pick<Evaluation, 'compartments' | 'worn' | 'floor' | 'home' | 'holders' | 'thingById'>,
): BagList {
  const { compartments, worn, floor, home, holders, thingById } = evaluation;
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
          things: outer.flatMap((thing) => [
            { thing, holder: null },
            ...things
              .filter(({ id }) => holders.get(id) === thing.id)
              .map((inner) => ({ thing: inner, holder: thingById.get(thing.id)! })),
          ]),
        };
      }),
    worn,
    floor,
    home,
  };
}
