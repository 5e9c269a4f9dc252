import type { Thing } from '@/core/kit/thing';
import { holdersOf } from '@/core/kit/nests';
import { compartmentName } from './edit';
import type { Plan } from './plan';

/** Where each placed thing is; what is packed inside another is where that is. */
export function compartmentsOf(plan: Plan): Map<string, string> {
  const holders = holdersOf(plan.things);
  const at = new Map(
    plan.load.flatMap(({ thingId, to }) => (to === 'home' ? [] : [[thingId, to.compartmentId] as const])),
  );
  return new Map(
    plan.things.flatMap(({ id }) => {
      const compartment = at.get(holders.get(id) ?? id);
      return compartment === undefined ? [] : [[id, compartment] as const];
    }),
  );
}

/**
 * Says where things are: "worn", "Seat pack", "Robin: seat pack", "left at home", "on the floor".
 *
 * @example whereIn(plan)(quilt) // 'Seat pack, main'
 */
export function whereIn(plan: Plan): (thing: Thing) => string {
  const compartments = compartmentsOf(plan);
  const home = new Set(plan.load.filter(({ to }) => to === 'home').map(({ thingId }) => thingId));
  return (thing) => {
    if (thing.carry === 'worn') return 'worn';
    const compartment = compartments.get(thing.id);
    if (compartment) return compartmentName(plan, compartment);
    return home.has(thing.id) ? 'left at home' : 'on the floor';
  };
}
