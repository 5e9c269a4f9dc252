import type { Thing } from '@/core/kit/thing';
import { thingMassG } from '@/core/kit/thing';
import type { Fix } from '@/core/checks/finding';
import type { Facts } from '@/core/plan/facts';
import { linearPoints } from './costs';
import type { Fit } from '@/core/fit/fit';
import { knownFit } from '@/core/fit/known';
import { leastRoomMl } from '@/core/fit/split';
import { BODY_LIMIT_G, obstacleFor, staysDry } from './rules';
import { companyOf, isUnwanted } from './wishes';
import type { Spot } from './spots';

/** Compartments asked how things would lie in them; the others are worse places anyway, and each costs. */
const MOST_ASKED = 4;

/**
 * Compartments that can take a thing now without breaking a hard rule, the best for handling, reach and dryness
 * first. How things would lie is asked last and only until enough are found, since it costs the most. What is packed
 * inside another thing goes nowhere by itself.
 *
 * @param most how many are wanted
 */
export function roomFor(
  facts: Facts,
  thing: Thing,
  accepts: (spot: Spot) => boolean = () => true,
  most = 1,
): Spot[] {
  if (facts.holders.has(thing.id)) return [];
  const current = facts.compartmentOf.get(thing.id);
  const { together, contents } = companyOf(facts, thing);
  const massG = massWithContentsG(facts, thing);
  const bodyG = facts.spots
    .filter((spot) => spot.onBody)
    .reduce((sum, spot) => sum + facts.byCompartment.get(spot.id)!.massG, 0);
  const mayTake = (spot: Spot): boolean => {
    if (spot.id === current || !accepts(spot)) return false;
    if ([thing, ...contents].some((one) => isUnwanted(facts.plan, one.id, spot.id))) return false;
    if (together.some((id) => (facts.compartmentOf.get(id) ?? spot.id) !== spot.id)) return false;
    if (obstacleFor(thing, spot) || contents.some((one) => !staysDry(one, spot))) return false;
    const compartment = facts.byCompartment.get(spot.id)!;
    // What does not go in by litres need not be laid down to know it.
    if (compartment.fit.stiffMl + compartment.fit.softMl + leastRoomMl(thing) > spot.capacityMl) return false;
    const bag = facts.byBag.get(spot.bag.id)!;
    const already = current === undefined ? undefined : facts.byCompartment.get(current)?.spot;
    const fromSameBag = already?.bag.id === spot.bag.id;
    return (
      compartment.massG + massG <= (spot.compartment.limitG ?? Infinity) &&
      (fromSameBag || bag.contentsG + massG <= bag.limitG) &&
      (!spot.onBody || already?.onBody || bodyG + massG <= BODY_LIMIT_G)
    );
  };
  const points = (spot: Spot): number => {
    const cost = linearPoints(facts.plan, thing, spot);
    return cost.handling + cost.reach + cost.dry;
  };
  const ranked = facts.spots
    .filter(mayTake)
    .map((spot) => ({ spot, points: points(spot) }))
    .sort((a, b) => a.points - b.points);
  const found: Spot[] = [];
  for (const { spot } of ranked.slice(0, MOST_ASKED)) {
    if (found.length >= most) break;
    if (fitWith(facts, spot, thing).closes) found.push(spot);
  }
  return found;
}

/** Grams that move where a thing moves: its own, and of all that is packed inside it. */
export function massWithContentsG(facts: Facts, thing: Thing): number {
  let massG = thingMassG(thing);
  for (const [id, holder] of facts.holders)
    if (holder === thing.id) massG += thingMassG(facts.thingById.get(id)!);
  return massG;
}

/** How things would lie in a compartment with one more in it. */
export function fitWith(facts: Facts, spot: Spot, thing: Thing): Fit {
  const { things } = facts.byCompartment.get(spot.id)!;
  return knownFit(spot.chamber, [...things.filter(({ id }) => !facts.holders.has(id)), thing]);
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
  const loose = things
    .filter((thing) => !pinned.has(thing.id) && !facts.holders.has(thing.id))
    .map((thing) => ({ thing, part: share(thing) }))
    .filter(({ part }) => part > 0);
  // What mends it with the least moved comes first; what does not mend it alone, by how much it helps.
  const ranked = [...loose].sort((a, b) => {
    const [enoughA, enoughB] = [a.part >= excess, b.part >= excess];
    if (enoughA !== enoughB) return enoughA ? -1 : 1;
    return enoughA ? a.part - b.part : b.part - a.part;
  });
  const fixes: Fix[] = [];
  for (const { thing } of ranked) {
    if (fixes.length >= most) break;
    const spot = roomFor(facts, thing)[0];
    if (spot) fixes.push(moveFix(thing, spot));
  }
  const order = { nice: 0, should: 1, must: 2 };
  const spare = ranked.map(({ thing }) => thing).sort((a, b) => order[a.need] - order[b.need])[0];
  if (spare && spare.need !== 'must') fixes.push(leaveFix(spare));
  return fixes;
}
