import { conditionsOf } from '@/core/facts/conditions';
import { listed, type Check } from './finding';

/** Food in more than so many bags cannot be hung or carried away in one go. */
const MOST_BAGS = 2;

/** Everything that smells of food, spread over many bags: to be hung or carried away it should be in one or two. */
export const scented: Check = {
  id: 'scented',
  stage: 'load',
  judges: 'trip',
  run(facts) {
    const { compartments } = facts;
    if (!conditionsOf(facts).sleepsOutside) return [];
    const bags = new Map<string, string>();
    for (const { spot, things } of compartments)
      if (things.some(({ system }) => system === 'food')) bags.set(spot.bag.id, spot.bag.name);
    if (bags.size <= MOST_BAGS) return [];
    return [
      {
        severity: 'note',
        message: `Food is in ${bags.size} bags: ${listed([...bags.values()], 4)}.`,
        reason:
          'Where animals come for food, all that smells goes away from the tent at night. In one or two bags that is quickly done. The land manager’s rule comes first.',
        figures: [{ label: 'bags with food', value: bags.size, unit: 'pieces' }],
      },
    ];
  },
};
