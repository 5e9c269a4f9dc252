import { holdersOf } from '@/core/kit/nests';
import type { Fellow, Plan } from './plan';

/** Whose bike: null is the rider whose plan it is, else the id of a fellow rider. */
export type RiderId = string | null;

/** Everyone whose bike may carry, the rider whose plan it is first. */
export const ridersOf = (plan: Plan): RiderId[] => [null, ...plan.fellows.map(({ id }) => id)];

export const fellowOf = (plan: Plan, rider: RiderId): Fellow | null =>
  plan.fellows.find(({ id }) => id === rider) ?? null;

/**
 * Who may carry each thing: one rider alone, or `any` of them where it is shared. What is packed inside another thing goes
 * with that. A thing said to be a fellow's who no longer comes along is the rider's own again.
 */
export function carriersOf(plan: Plan): Map<string, RiderId | 'any'> {
  const holders = holdersOf(plan.things);
  const said = new Map<string, RiderId | 'any'>();
  for (const wish of plan.wishes) {
    if (wish.kind === 'shared') said.set(wish.thingId, 'any');
    if (wish.kind === 'theirs' && fellowOf(plan, wish.fellowId)) said.set(wish.thingId, wish.fellowId);
  }
  return new Map(plan.things.map(({ id }) => [id, said.get(holders.get(id) ?? id) ?? null]));
}

/**
 * The plan as one rider has it: that rider's bike, bags and measures, and what is or may come on that bike. A shared thing
 * stays in it when another carries it, since its use is shared too.
 *
 * @returns the same plan where nobody else comes along, so that what was computed from it is found again
 */
export function planOf(plan: Plan, rider: RiderId): Plan {
  if (plan.fellows.length === 0) return plan;
  const fellow = fellowOf(plan, rider);
  const carriers = carriersOf(plan);
  const { bike, bags } = fellow ?? plan;
  // Whatever lies on this bike weighs on it, whosever it is.
  const own = new Set(bags.flatMap((bag) => bag.compartments.map(({ id }) => id)));
  const here = new Set(
    plan.load.filter(({ to }) => to !== 'home' && own.has(to.compartmentId)).map(({ thingId }) => thingId),
  );
  return {
    ...plan,
    rider: fellow?.rider ?? plan.rider,
    bike,
    bags,
    things: plan.things.filter(
      ({ id }) => carriers.get(id) === 'any' || carriers.get(id) === rider || here.has(id),
    ),
  };
}

/** Each rider's share of the load, adding up to 1, in the order of `ridersOf`. */
export function sharesOf(plan: Plan): number[] {
  const parts = [1, ...plan.fellows.map(({ share }) => share)];
  const sum = parts.reduce((total, part) => total + part, 0);
  return parts.map((part) => part / sum);
}

/** All bags of all riders. */
export const allBags = ({ bags, fellows }: Pick<Plan, 'bags' | 'fellows'>): Plan['bags'] => [
  ...bags,
  ...fellows.flatMap((fellow) => fellow.bags),
];

/** Ids of all compartments of all riders. */
export const allCompartments = (plan: Pick<Plan, 'bags' | 'fellows'>): Set<string> =>
  new Set(allBags(plan).flatMap((bag) => bag.compartments.map(({ id }) => id)));
