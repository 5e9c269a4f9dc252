import type { Thing } from '@/core/kit/thing';
import type { Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';
import { obstacleFor, staysDry } from '@/core/packing/rules';
import type { Spot } from '@/core/packing/spots';
import { fitWith, massWithContentsG } from './fixes';
import { setOf, troublesBetween } from '@/core/packing/natures';
import { isUnwanted } from '@/core/packing/wishes';
import { companyOf } from './company';

/** What would happen if a thing went in a compartment as it is now, in a few words. */
export interface Offer {
  spot: Spot;
  fits: boolean;
  words: string;
}

/** Every compartment for one thing: where it fits now, and what stands in the way where it does not. */
export const offersFor = (facts: Facts, thing: Thing, format: Formatter): Offer[] =>
  facts.spots.map(offering(facts, thing, format));

/** One compartment for one thing. */
export const offerAt = (facts: Facts, thing: Thing, spot: Spot, format: Formatter): Offer =>
  offering(facts, thing, format)(spot);

function offering(facts: Facts, thing: Thing, format: Formatter): (spot: Spot) => Offer {
  const { contents } = companyOf(facts, thing);
  const massG = massWithContentsG(facts, thing);
  const own = setOf([thing, ...contents], facts.holders);
  const here = facts.compartmentOf.get(thing.id);
  return (spot) => {
    const offer = (fits: boolean, words: string): Offer => ({ spot, fits, words });
    if (spot.id === here) return offer(true, 'is here');
    if ([thing, ...contents].some(({ id }) => isUnwanted(facts.plan, id, spot.id)))
      return offer(false, 'you ruled this bag out');
    const obstacle = obstacleFor(thing, spot);
    if (obstacle?.kind === 'open to rain' || contents.some((one) => !staysDry(one, spot)))
      return offer(false, 'open to rain');
    if (obstacle?.kind === 'falls out')
      return offer(false, spot.bag.place === 'bottle cage' ? 'too thin for a cage' : 'too short for straps');
    if (obstacle?.kind === 'too bulky') return offer(false, 'too bulky for its inside');
    if (obstacle) return offer(false, `${format.length(obstacle.byMm)} ${obstacle.kind}`);
    const fit = fitWith(facts, spot, thing);
    if (fit.noPlace.length > 0) return offer(false, 'no place beside what lies there');
    const short = fit.neededMl - spot.capacityMl;
    if (!fit.closes) return offer(false, `${format.volume(short)} short of room`);
    const bag = facts.byBag.get(spot.bag.id)!;
    const sameBag = here !== undefined && facts.byCompartment.get(here)?.spot.bag.id === spot.bag.id;
    const over = bag.contentsG + (sameBag ? 0 : massG) - bag.limitG;
    if (over > 0) return offer(false, `${format.mass(over)} over its limit`);
    const there = setOf(facts.byCompartment.get(spot.id)!.things, facts.holders);
    const [trouble] = troublesBetween(own, there);
    return offer(true, `${format.volume(-short)} left over${trouble ? `; ${trouble.trouble}` : ''}`);
  };
}
