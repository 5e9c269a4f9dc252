import type { Edit } from '@/core/plan/edit';
import type { Fellow, Plan, Wish } from '@/core/plan/plan';
import { fellowOf, type RiderId } from '@/core/plan/riders';

/** The wishes after saying who carries a thing: a rider, or `any` of them. */
export function carriedBy(wishes: readonly Wish[], thingId: string, by: RiderId | 'any'): Wish[] {
  const others = wishes.filter(
    (wish) => !((wish.kind === 'shared' || wish.kind === 'theirs') && wish.thingId === thingId),
  );
  if (by === null) return others;
  return [...others, by === 'any' ? { kind: 'shared', thingId } : { kind: 'theirs', thingId, fellowId: by }];
}

/** Says who carries things: one rider, or `any` of them, which shares the things. */
export const handTo = (
  { wishes }: Pick<Plan, 'wishes'>,
  thingIds: readonly string[],
  by: RiderId | 'any',
): Edit => ({
  kind: 'set wishes',
  wishes: thingIds.reduce<Wish[]>((kept, id) => carriedBy(kept, id, by), wishes),
});

/**
 * Takes a fellow rider along, with bike and bags, and with the kit and the load of their own plan where that is known:
 * their things are theirs until they are shared.
 *
 * @param theirs their plan, with ids that this plan does not know; their own fellows stay behind
 */
export function joinEdit(
  plan: Plan,
  { id, name, share }: Pick<Fellow, 'id' | 'name' | 'share'>,
  theirs: Plan,
): Edit {
  const { rider, bike, bags, things, load } = theirs;
  const own = new Set(bags.flatMap((bag) => bag.compartments.map((compartment) => compartment.id)));
  return {
    kind: 'several',
    label: `${name} rides along`,
    edits: [
      { kind: 'set fellows', fellows: [...plan.fellows, { id, name, share, rider, bike, bags }] },
      { kind: 'put things', things },
      {
        kind: 'set wishes',
        wishes: [
          ...plan.wishes,
          ...things.map((thing): Wish => ({ kind: 'theirs', thingId: thing.id, fellowId: id })),
        ],
      },
      { kind: 'place', moves: load.filter(({ to }) => to === 'home' || own.has(to.compartmentId)) },
    ],
  };
}

/** Takes a fellow off the trip. What was theirs goes with them; what is shared comes back to the floor. */
export function leaveEdit(plan: Plan, fellowId: string): Edit {
  const theirs = plan.wishes.flatMap((wish) =>
    wish.kind === 'theirs' && wish.fellowId === fellowId ? [wish.thingId] : [],
  );
  const known = theirs.filter((id) => plan.things.some((thing) => thing.id === id));
  const fellow = fellowOf(plan, fellowId);
  return {
    kind: 'several',
    label: `${fellow?.name ?? 'Fellow rider'} stays at home`,
    edits: [
      { kind: 'set fellows', fellows: plan.fellows.filter(({ id }) => id !== fellowId) },
      { kind: 'remove things', ids: known },
      {
        kind: 'set wishes',
        wishes: plan.wishes.filter((wish) => !(wish.kind === 'theirs' && wish.fellowId === fellowId)),
      },
    ],
  };
}
