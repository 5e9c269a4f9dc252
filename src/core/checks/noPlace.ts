import { moveFix, leaveFix, roomFor } from '@/core/advice/fixes';
import { sizeObstacle } from '@/core/packing/rules';
import { listed, type Check } from './finding';

/** Stiff things that find no place beside the others, although the litres might do. */
export const noPlace: Check = {
  id: 'no place',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, things, fit }) =>
      fit.noPlace.flatMap((id) => {
        const thing = facts.thingById.get(id)!;
        // Too long or too thick for the empty bag is told by its own check.
        if (sizeObstacle(thing, spot)) return [];
        const beside = things.filter(
          (other) => other.id !== id && other.form.kind !== 'soft' && !facts.holders.has(other.id),
        );
        const free = Math.max(0, spot.capacityMl - (fit.neededMl - fit.deadMl));
        return {
          severity: 'stop' as const,
          subject: id,
          message:
            beside.length > 0
              ? `${thing.name} finds no place in ${spot.name} beside ${listed(beside.map(({ name }) => name))}.`
              : `${thing.name} does not lie in ${spot.name}: where it would, the bag is narrower.`,
          reason:
            'Stiff things were laid down as boxes and cylinders along the bag’s axes, in several orders. ' +
            'A turn at an angle may still do: try it with the bag before you trust either answer.',
          figures: [{ label: 'free by litres', value: free, unit: 'ml' as const }],
          fixes: () => [
            ...roomFor(facts, thing).map((place) => moveFix(thing, place)),
            ...(thing.need === 'must' ? [] : [leaveFix(thing)]),
            { label: 'Load for me', action: 'load for me' as const },
          ],
        };
      }),
    ),
};
