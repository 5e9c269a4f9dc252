import type { Thing } from '@/core/kit/thing';
import { thingMassG } from '@/core/kit/thing';
import type { Fix } from './fix';
import type { CompartmentFacts, Facts } from '@/core/facts/facts';
import { BODY_FREE_G, placingPoints } from '@/core/packing/costs';
import type { Fit } from '@/core/fit/fit';
import { knownFit, knownToClose } from '@/core/fit/known';
import { leastRoomMl } from '@/core/fit/split';
import { obstacleFor, staysDry } from '@/core/packing/rules';
import { isUnwanted } from '@/core/packing/wishes';
import { companyOf } from './company';
import type { Spot } from '@/core/packing/spots';

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
  const already = current === undefined ? null : facts.byCompartment.get(current)!.spot;
  const massG = massWithContentsG(facts, thing);
  const leastMl = leastRoomMl(thing);
  const onBodyG = () =>
    facts.compartments.reduce((sum, held) => sum + (held.spot.onBody ? held.massG : 0), 0);
  // Asked for dozens of things after each edit: first what rules out most and costs least.
  const hasRoom = ({ spot, fit, massG: heldG }: CompartmentFacts): boolean => {
    // What does not go in by litres need not be laid down to know it.
    if (spot.id === current || fit.stiffMl + fit.softMl + leastMl > spot.capacityMl) return false;
    if (heldG + massG > (spot.compartment.limitG ?? Infinity)) return false;
    if (spot.onBody && !already?.onBody && onBodyG() + massG > BODY_FREE_G) return false;
    const bag = facts.byBag.get(spot.bag.id)!;
    return already?.bag.id === spot.bag.id || bag.contentsG + massG <= bag.limitG;
  };
  const roomy = facts.compartments.filter((held) => hasRoom(held) && accepts(held.spot));
  if (roomy.length === 0) return [];
  const { together, contents } = companyOf(facts, thing);
  const mayTake = (spot: Spot): boolean => {
    if ([thing, ...contents].some((one) => isUnwanted(facts.plan, one.id, spot.id))) return false;
    if (together.some((id) => (facts.compartmentOf.get(id) ?? spot.id) !== spot.id)) return false;
    return !obstacleFor(thing, spot) && contents.every((one) => staysDry(one, spot));
  };
  const ranked = roomy
    .filter(({ spot }) => mayTake(spot))
    .map(({ spot }) => ({ spot, points: placingPoints(facts.plan, thing, spot) }))
    .sort((a, b) => a.points - b.points);
  const found: Spot[] = [];
  for (const { spot } of ranked.slice(0, MOST_ASKED)) {
    if (found.length >= most) break;
    if (knownToClose(spot.chamber, besides(facts, spot, thing))) found.push(spot);
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
export const fitWith = (facts: Facts, spot: Spot, thing: Thing): Fit =>
  knownFit(spot.chamber, besides(facts, spot, thing));

/** What lies in a compartment by itself, and one thing more, in the order of the kit. */
function besides({ plan, compartmentOf, holders }: Facts, spot: Spot, thing: Thing): Thing[] {
  return plan.things.filter(
    (one) => one.id === thing.id || (compartmentOf.get(one.id) === spot.id && !holders.has(one.id)),
  );
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
