import type { Plan } from '@/core/plan/plan';

/** Whether the rider wants a thing never to go in a compartment. */
export const isUnwanted = (plan: Plan, thingId: string, compartmentId: string): boolean =>
  plan.wishes.some(
    (wish) => wish.kind === 'never' && wish.thingId === thingId && wish.compartmentId === compartmentId,
  );

/** Ids that must share a compartment with a thing, and those of pairs: the other one of each. */
export const partnersOf = (plan: Plan, thingId: string, kind: 'together' | 'a side each'): string[] =>
  plan.wishes.flatMap((wish) => {
    if (wish.kind === 'never' || wish.kind !== kind) return [];
    const [a, b] = wish.thingIds;
    return a === thingId ? [b] : b === thingId ? [a] : [];
  });
