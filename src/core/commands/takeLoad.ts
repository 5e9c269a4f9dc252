import type { Edit } from '@/core/plan/edit';
import type { LoadEntry, Plan } from '@/core/plan/plan';
import { allCompartments } from '@/core/plan/riders';

/** The entries of a kept load whose thing and compartment are still there. */
export function standing(plan: Plan, load: readonly LoadEntry[]): LoadEntry[] {
  const things = new Set(plan.things.filter(({ carry }) => carry === 'bike').map(({ id }) => id));
  const compartments = allCompartments(plan);
  return load.filter(
    ({ thingId, to }) => things.has(thingId) && (to === 'home' || compartments.has(to.compartmentId)),
  );
}

/** Puts everything back to where it was in a kept load, as one step; what that load does not name goes to the floor. */
export function takeLoad(plan: Plan, load: readonly LoadEntry[]): Edit {
  const entries = new Map(standing(plan, load).map((entry) => [entry.thingId, entry]));
  const moves = plan.things
    .filter(({ carry, inside }) => carry === 'bike' && inside === null)
    .map(({ id }) => {
      const entry = entries.get(id);
      return entry
        ? { thingId: id, to: entry.to, pinned: entry.pinned }
        : { thingId: id, to: 'floor' as const };
    });
  return { kind: 'several', label: 'Take the kept load', edits: [{ kind: 'place', moves }] };
}
