import { moveFix, roomFor } from '@/core/advice/fixes';
import { reachPoints } from '@/core/packing/costs';
import { REACHES } from '@/core/bag/bag';
import type { Check } from './finding';

/** Wanted while riding or at once, but packed where it can only be had after undoing straps. */
export const outOfReach: Check = {
  id: 'out of reach',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, things }) =>
      things.flatMap((thing) => {
        const { reach } = spot.compartment;
        const deepest = thing.call === 'riding' ? 0 : thing.call === 'urgent' ? 1 : REACHES.length;
        const depth = REACHES.indexOf(reach);
        if (depth <= deepest) return [];
        const nearer = () =>
          roomFor(facts, thing, (candidate) => reachPoints(thing, candidate) < reachPoints(thing, spot));
        const wanted = thing.call === 'riding' ? 'needed while riding' : 'perhaps needed at once';
        return {
          severity: depth === 2 ? ('check' as const) : ('note' as const),
          subject: thing.id,
          message: `${thing.name}: ${wanted}, but ${spot.name} is reached ${reach}.`,
          reason:
            thing.call === 'riding'
              ? 'What is needed while riding belongs where one hand reaches it from the saddle, or it will not be used.'
              : 'First aid, a rain shell or a light is needed rarely, but then without unpacking first.',
          fixes: () =>
            nearer()
              .slice(0, 2)
              .map((place) => moveFix(thing, place)),
        };
      }),
    ),
};
