import type { Thing } from '@/core/kit/thing';
import { thingMassG } from '@/core/kit/thing';
import type { Fix } from '@/core/checks/finding';
import type { Facts } from '@/core/plan/facts';
import { linearPoints } from './costs';
import { BODY_LIMIT_G, obstacleFor } from './rules';
import type { Spot } from './spots';
import { neededMl } from './volume';

/**
 * Compartments that can take a thing now without breaking a hard rule, the best for handling, reach and
 * dryness first.
 */
export function roomFor(facts: Facts, thing: Thing, accepts: (spot: Spot) => boolean = () => true): Spot[] {
  const current = facts.compartmentOf.get(thing.id);
  const massG = thingMassG(thing);
  const bodyG = facts.spots
    .filter((spot) => spot.onBody)
    .reduce((sum, spot) => sum + facts.byCompartment.get(spot.id)!.massG, 0);
  const fits = (spot: Spot): boolean => {
    if (spot.id === current || !accepts(spot) || obstacleFor(thing, spot)) return false;
    const compartment = facts.byCompartment.get(spot.id)!;
    const bag = facts.byBag.get(spot.bag.id)!;
    const already = current === undefined ? undefined : facts.byCompartment.get(current)?.spot;
    const fromSameBag = already?.bag.id === spot.bag.id;
    return (
      compartment.neededMl + neededMl(thing) <= spot.capacityMl &&
      compartment.massG + massG <= (spot.compartment.limitG ?? Infinity) &&
      (fromSameBag || bag.contentsG + massG <= bag.limitG) &&
      (!spot.onBody || already?.onBody || bodyG + massG <= BODY_LIMIT_G)
    );
  };
  const points = (spot: Spot): number => {
    const cost = linearPoints(facts.plan, facts.view, thing, spot);
    return cost.handling + cost.reach + cost.dry;
  };
  return facts.spots
    .filter(fits)
    .map((spot) => ({ spot, points: points(spot) }))
    .sort((a, b) => a.points - b.points)
    .map(({ spot }) => spot);
}

export const moveFix = (thing: Thing, spot: Spot): Fix => ({
  label: `Move ${thing.name} to ${spot.name}`,
  edit: { kind: 'place', moves: [{ thingId: thing.id, to: { compartmentId: spot.id } }] },
});

export const leaveFix = (thing: Thing): Fix => ({
  label: `Leave ${thing.name} at home`,
  edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'home' }] },
});

/**
 * Up to `most` moves out of a compartment that each mend it alone if any does, else the largest help; then the
 * least needed thing to leave.
 *
 * @param excess what must go, in the unit of `share`
 * @param share what moving one thing takes away
 */
export function relieve(
  facts: Facts,
  things: readonly Thing[],
  excess: number,
  share: (thing: Thing) => number,
  most = 2,
): Fix[] {
  const pinned = new Set(facts.plan.load.filter((entry) => entry.pinned).map((entry) => entry.thingId));
  const loose = things.filter((thing) => !pinned.has(thing.id) && share(thing) > 0);
  // What mends it with the least moved comes first; what does not mend it alone, by how much it helps.
  const ranked = [...loose].sort((a, b) => {
    const [enoughA, enoughB] = [share(a) >= excess, share(b) >= excess];
    if (enoughA !== enoughB) return enoughA ? -1 : 1;
    return enoughA ? share(a) - share(b) : share(b) - share(a);
  });
  const fixes: Fix[] = [];
  for (const thing of ranked) {
    if (fixes.length >= most) break;
    const spot = roomFor(facts, thing)[0];
    if (spot) fixes.push(moveFix(thing, spot));
  }
  const order = { nice: 0, should: 1, must: 2 };
  const spare = [...ranked].sort((a, b) => order[a.need] - order[b.need])[0];
  if (spare && spare.need !== 'must') fixes.push(leaveFix(spare));
  return fixes;
}
