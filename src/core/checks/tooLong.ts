import { moveFix, roomFor } from '@/core/advice/fixes';
import { sizeObstacle } from '@/core/packing/rules';
import type { Check } from './finding';

/** A stiff thing longer or thicker than the inside of its compartment. */
export const tooLong: Check = {
  id: 'too long',
  stage: 'load',
  judges: 'thing',
  run: (facts, format) =>
    facts.compartments.flatMap(({ spot, things }) =>
      things.flatMap((thing) => {
        // What is packed inside another thing lies in that, not here.
        const obstacle = facts.holders.has(thing.id) ? null : sizeObstacle(thing, spot);
        if (!obstacle) return [];
        const word = obstacle.kind === 'too long' ? 'long' : 'thick';
        return {
          severity: 'stop' as const,
          subject: thing.id,
          message: `${thing.name}: ${format.length(obstacle.byMm)} too ${word} for ${spot.name}.`,
          reason: `It measures ${format.length(obstacle.thingMm)} where the inside gives ${format.length(obstacle.insideMm)}.`,
          figures: [
            { label: 'thing', value: obstacle.thingMm, unit: 'mm' as const },
            { label: 'inside', value: obstacle.insideMm, unit: 'mm' as const },
          ],
          fixes: () =>
            roomFor(facts, thing)
              .slice(0, 2)
              .map((place) => moveFix(thing, place)),
        };
      }),
    ),
};
