import { thingMassG, type Thing } from '@/core/kit/thing';
import type { Facts } from '@/core/plan/facts';
import type { Formatter } from '@/core/units/format';
import { obstacleFor } from './rules';
import type { Spot } from './spots';
import { neededMl } from './volume';

/** What would happen if a thing went in a compartment as it is now, in a few words. */
export interface Offer {
  spot: Spot;
  fits: boolean;
  words: string;
}

/** Every compartment for one thing: where it fits now, and what stands in the way where it does not. */
export function offersFor(facts: Facts, thing: Thing, format: Formatter): Offer[] {
  const here = facts.compartmentOf.get(thing.id);
  return facts.spots.map((spot) => {
    const offer = (fits: boolean, words: string): Offer => ({ spot, fits, words });
    if (spot.id === here) return offer(true, 'is here');
    const obstacle = obstacleFor(thing, spot);
    if (obstacle?.kind === 'open to rain') return offer(false, 'open to rain');
    if (obstacle) return offer(false, `${format.length(obstacle.byMm)} ${obstacle.kind}`);
    const compartment = facts.byCompartment.get(spot.id)!;
    const short = compartment.neededMl + neededMl(thing) - spot.capacityMl;
    if (short > 0) return offer(false, `${format.volume(short)} short of room`);
    const bag = facts.byBag.get(spot.bag.id)!;
    const sameBag = here !== undefined && facts.byCompartment.get(here)?.spot.bag.id === spot.bag.id;
    const over = bag.contentsG + (sameBag ? 0 : thingMassG(thing)) - bag.limitG;
    if (over > 0) return offer(false, `${format.mass(over)} over its limit`);
    return offer(true, `${format.volume(-short)} left over`);
  });
}
