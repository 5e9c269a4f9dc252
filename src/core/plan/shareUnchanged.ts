import type { Plan } from './plan';

/**
 * A plan in which whatever is as it was in an earlier one is that one's own object: things, bags and their compartments.
 * A plan that came over a wire or from another thread is made of new objects throughout, and what is remembered for an
 * object (how sets of things lie, shapes of compartments) would all be found again.
 *
 * @returns equal to `plan`
 * @example shareUnchanged(structuredClone(plan), plan).things[0] === plan.things[0]
 */
export function shareUnchanged(plan: Plan, earlier: Plan | null): Plan {
  if (!earlier) return plan;
  return {
    ...plan,
    things: share(plan.things, earlier.things),
    bags: share(plan.bags, earlier.bags).map((bag) => {
      const was = earlier.bags.find(({ id }) => id === bag.id);
      return !was || was === bag ? bag : { ...bag, compartments: share(bag.compartments, was.compartments) };
    }),
  };
}

/** Plans are JSON values, so what is written alike is alike. */
function share<Part extends { id: string }>(parts: readonly Part[], earlier: readonly Part[]): Part[] {
  const byId = new Map(earlier.map((part) => [part.id, part]));
  return parts.map((part) => {
    const was = byId.get(part.id);
    return was && JSON.stringify(was) === JSON.stringify(part) ? was : part;
  });
}
