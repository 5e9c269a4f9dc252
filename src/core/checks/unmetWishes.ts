import type { Wish } from '@/core/plan/plan';
import type { Facts } from '@/core/facts/facts';
import type { Check, Judgement } from './finding';

/** Wishes for the load that it does not keep, and those that contradict what is pinned. */
export const unmetWishes: Check = {
  id: 'wishes',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.plan.wishes.flatMap((wish, index): Judgement[] => {
      const trouble = troubleWith(facts, wish);
      if (!trouble) return [];
      const [subject] = 'thingIds' in wish ? wish.thingIds : [wish.thingId];
      return [
        {
          about: `${wish.kind} ${index}`,
          severity: 'check',
          subject: subject!,
          message: trouble,
          reason: 'You asked for it so. Load for me keeps wishes unless a pin contradicts them.',
          fixes: () => [
            { label: 'Load for me', action: 'load for me' },
            {
              label: 'Drop this wish',
              edit: { kind: 'set wishes', wishes: facts.plan.wishes.filter((other) => other !== wish) },
            },
          ],
        },
      ];
    }),
};

function troubleWith({ thingById, compartmentOf, byCompartment }: Facts, wish: Wish): string | null {
  const nameOf = (id: string) => thingById.get(id)?.name;
  const spotOf = (id: string) => byCompartment.get(compartmentOf.get(id) ?? '')?.spot;
  // Who carries a thing is not judged here: an exchange by hand is the riders' own affair.
  if (wish.kind === 'shared' || wish.kind === 'theirs') return null;
  if (wish.kind === 'never')
    return compartmentOf.get(wish.thingId) === wish.compartmentId
      ? `${nameOf(wish.thingId)} is in ${spotOf(wish.thingId)!.name}, where you never want it.`
      : null;
  const [a, b] = wish.thingIds;
  const [at, other] = [spotOf(a), spotOf(b)];
  // Only of things that are there and placed.
  if (!at || !other) return null;
  if (wish.kind === 'together')
    return at.id === other.id
      ? null
      : `${nameOf(a)} and ${nameOf(b)} belong together, and lie in ${at.name} and ${other.name}.`;
  const sides = new Set([at.bag.side, other.bag.side]);
  const paired = at.bag.place === other.bag.place && sides.has('left') && sides.has('right');
  return paired ? null : `${nameOf(a)} and ${nameOf(b)} are a pair, and are not one on each side.`;
}
