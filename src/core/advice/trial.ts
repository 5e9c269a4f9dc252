import type { Bag } from '@/core/bag/bag';
import { placeBags } from '@/core/bag/places';
import type { Facts } from '@/core/facts/facts';
import { clearancesOf } from '@/core/clearance/index';
import { verdictOf, type Clearance, type HungBag } from '@/core/clearance/clearance';

/**
 * Clearances of one bag as it would be: put on the bike, or in the place of the bag with the same id, or of
 * `instead`. What it carries is taken over from the bag it replaces; a new bag is tried full to its limit's half,
 * so that sag is not forgotten.
 *
 * @param change what else would differ: dropper, travel
 */
export function trialClearances(
  facts: Pick<Facts, 'surroundings'>,
  bag: Bag,
  instead: string = bag.id,
  change: Partial<Facts['surroundings']> = {},
): Clearance[] {
  const surroundings = { ...facts.surroundings, ...change };
  const replaced = surroundings.bags.find((hung) => hung.bag.id === instead);
  const others = surroundings.bags.filter((hung) => hung.bag.id !== instead);
  const contentsG = replaced ? replaced.massG - replaced.bag.massG : (bag.limitG ?? 2000) / 2;
  // In its old place in the list: the order decides which of two cages is on the seat tube.
  const at = replaced ? surroundings.bags.indexOf(replaced) : others.length;
  const bags = [
    ...others.slice(0, at).map(({ bag: other }) => other),
    bag,
    ...others.slice(at).map(({ bag: other }) => other),
  ];
  const places = placeBags(surroundings.view, bags, surroundings.build.mounts, { x: 0, z: 0 });
  const hung = bags.map((candidate, i): HungBag => {
    const known = others.find((other) => other.bag === candidate);
    return {
      bag: candidate,
      place: places[i]!,
      massG: known?.massG ?? bag.massG + contentsG,
      tightness: known?.tightness ?? Math.min(1, replaced?.tightness ?? 1),
    };
  });
  return clearancesOf({ ...surroundings, bags: hung }).filter(
    ({ bagId, otherBagId }) => bagId === bag.id || otherBagId === bag.id,
  );
}

const RANK = { free: 0, check: 1, stop: 2 } as const;
const rank = (clearance: Clearance): number => RANK[verdictOf(clearance)];

/**
 * Whether a trial mends one clearance: free of it now, or at least out of the worst where `enough` is `better`,
 * and nothing else of the bag worse than before.
 */
export function mends(
  facts: Pick<Facts, 'clearances'>,
  wanted: Clearance,
  trial: readonly Clearance[],
  enough: 'free' | 'better' = 'free',
): boolean {
  return trial.every((clearance) => {
    const before = facts.clearances.find(({ id }) => id === clearance.id);
    if (clearance.id !== wanted.id) return rank(clearance) <= (before ? rank(before) : 0);
    return enough === 'free' ? rank(clearance) === 0 : rank(clearance) < rank(wanted);
  });
}
