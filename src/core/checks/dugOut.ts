import { roomFor, moveFix } from '@/core/advice/fixes';
import type { Check } from './finding';

/** Things wanted on the way that lie under what is wanted only at camp (domain, rule 5). */
export const dugOut: Check = {
  id: 'dug out',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, fit }) =>
      fit.under.flatMap(([id, overId]) => {
        const thing = facts.thingById.get(id)!;
        const over = facts.thingById.get(overId)!;
        // At camp and for repairs a bag is emptied anyway.
        if (thing.call === 'camp' || thing.call === 'repair') return [];
        const better = roomFor(facts, thing, (other) => other.chamber.faceOpen || other.id !== spot.id)[0];
        return {
          id: `dug-out:${id}`,
          check: 'dug out',
          severity: 'note' as const,
          stage: 'load' as const,
          subject: { kind: 'thing' as const, id },
          message: `${thing.name} lies under ${over.name} in ${spot.name}.`,
          reason: 'What is wanted first belongs nearest the mouth, or the bag is emptied in the rain for it.',
          figures: [],
          fixes: better ? [moveFix(thing, better)] : [],
        };
      }),
    ),
};
