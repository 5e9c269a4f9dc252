import type { Thing } from '@/core/kit/thing';
import type { NeedMet } from './met';

/** Up to so many candidates the fewest are found exactly. */
export const MOST_EXACT = 30;

/**
 * The fewest things that meet every need that is met: a set cover (methods, section 15). Exact for up to 30 things that matter, by trying
 * the things of the need that fewest meet; beyond, greedily, the thing that meets most open needs first.
 *
 * @returns the things, in the order of the kit
 * @example pot for two needs, mug for one of them: the pot alone
 */
export function coverNeeds(needs: readonly NeedMet[]): Thing[] {
  const open = needs.filter(({ things, isDismissed }) => things.length > 0 && !isDismissed);
  const candidates = [...new Set(open.flatMap(({ things }) => things))];
  const chosen =
    candidates.length <= MOST_EXACT ? exactly(open, greedily(open, candidates)) : greedily(open, candidates);
  return candidates.filter((thing) => chosen.has(thing));
}

function greedily(needs: readonly NeedMet[], candidates: readonly Thing[]): Set<Thing> {
  const chosen = new Set<Thing>();
  let open = [...needs];
  while (open.length > 0) {
    let best = candidates[0]!;
    let most = -1;
    for (const thing of candidates) {
      const count = open.filter(({ things }) => things.includes(thing)).length;
      if (count > most) [best, most] = [thing, count];
    }
    chosen.add(best);
    open = open.filter(({ things }) => !things.includes(best));
  }
  return chosen;
}

/** Branches on the open need that fewest things meet; a branch that cannot beat the best so far is not followed. */
function exactly(needs: readonly NeedMet[], incumbent: Set<Thing>): Set<Thing> {
  let best = incumbent;
  const follow = (open: readonly NeedMet[], chosen: readonly Thing[]) => {
    if (open.length === 0) {
      if (chosen.length < best.size) best = new Set(chosen);
      return;
    }
    // Needs that share no thing each take one more: a lower bound.
    const taken = new Set<Thing>();
    let bound = 0;
    for (const { things } of open)
      if (!things.some((thing) => taken.has(thing))) {
        bound += 1;
        for (const thing of things) taken.add(thing);
      }
    if (chosen.length + bound >= best.size) return;
    const need = open.reduce((a, b) => (b.things.length < a.things.length ? b : a));
    for (const thing of need.things)
      follow(
        open.filter(({ things }) => !things.includes(thing)),
        [...chosen, thing],
      );
  };
  follow(needs, []);
  return best;
}
