import type { Plan } from '@/core/plan/plan';
import { allBags } from '@/core/plan/riders';

/** Why nothing can be loaded, in a sentence. */
export function cannotLoad(plan: Plan): string | null {
  if (allBags(plan).length === 0) return 'There are no bags to load. Add the bags you own on the Bike stage.';
  if (plan.things.every((thing) => thing.carry === 'worn')) {
    return 'There is nothing to load. Lay out your kit on the Kit stage.';
  }
  return null;
}
