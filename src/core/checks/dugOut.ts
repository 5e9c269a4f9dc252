import { roomFor, moveFix } from '@/core/advice/fixes';
import type { Check } from './finding';

/** Things wanted on the way that lie under what is wanted only at camp (domain, rule 5). */
export const dugOut: Check = {
  id: 'dug out',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, fit }) =>
      fit.under.flatMap(([id, overId]) => {
        const thing = facts.thingById.get(id)!;
        const over = facts.thingById.get(overId)!;
        // At camp and for repairs a bag is emptied anyway.
        if (thing.call === 'camp' || thing.call === 'repair') return [];
        return {
          severity: 'note' as const,
          subject: id,
          message: `${thing.name} lies under ${over.name} in ${spot.name}.`,
          reason: 'What is needed first belongs nearest the mouth, or the bag is emptied in the rain for it.',
          fixes: () =>
            roomFor(facts, thing, (other) => other.chamber.faceOpen || other.id !== spot.id)
              .slice(0, 1)
              .map((place) => moveFix(thing, place)),
        };
      }),
    ),
};
