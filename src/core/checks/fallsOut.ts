import { moveFix, roomFor } from '@/core/advice/fixes';
import { CAGE_LEAST_MM, STRAPPED_LEAST_MM, staysPut } from '@/core/packing/rules';
import type { Check } from './finding';

/** Things in a cage or under straps that nothing holds. */
export const fallsOut: Check = {
  id: 'falls out',
  stage: 'load',
  judges: 'thing',
  run: (facts, format) =>
    facts.compartments.flatMap(({ spot, things }) =>
      things
        .filter((thing) => !facts.holders.has(thing.id) && !staysPut(thing, spot))
        .map((thing) => ({
          severity: 'check' as const,
          subject: thing.id,
          message: `${thing.name} can fall out of ${spot.name}.`,
          reason:
            spot.bag.place === 'bottle cage'
              ? `A cage holds bottles, and what is round and at least ${format.length(CAGE_LEAST_MM)} thick. What falls out can jam a wheel.`
              : `Straps hold what is at least ${format.length(STRAPPED_LEAST_MM)} long. What falls out can jam a wheel.`,
          fixes: () => roomFor(facts, thing, undefined, 2).map((place) => moveFix(thing, place)),
        })),
    ),
};
