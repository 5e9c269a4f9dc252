import { logOf, missedNames, reviewAnswers } from '@/core/entries/entry';
import { conditionsOf } from '@/core/facts/conditions';
import { factsOf } from '@/core/facts/facts';
import { rideOf } from '@/core/facts/ride';
import { SYSTEMS, thingMassG, type System } from '@/core/kit/thing';
import { planOf } from '@/core/plan/riders';
import { TROUBLE_WORDS } from './logWords';
import type { Ridden } from './ridden';

/** One trip for a comparison with another: what was taken, how it was carried, and how it went. */
export interface TripSummary {
  tripId: string;
  name: string;
  startDate: string | null;
  nights: number;
  things: number;
  bySystemG: Record<System, number>;
  kitG: number;
  bikeLoadedG: number;
  usedMl: number;
  capacityMl: number;
  coldestC: number;
  warmestC: number;
  rain: string;
  lengthM: number | null;
  tailMomentKgM: number | null;
  unused: string[];
  missed: string[];
  trouble: string[];
}

/** A trip as it set out, with what its log and review say. */
export function tripSummary({ tripId, name, plan, entries }: Ridden): TripSummary {
  const facts = factsOf(planOf(plan, null));
  const { totals, handling, home } = facts;
  const left = new Set(home);
  const taken = plan.things.filter((thing) => !left.has(thing));
  const conditions = conditionsOf(facts);
  const answers = reviewAnswers(entries);
  const bySystemG = Object.fromEntries(SYSTEMS.map((system) => [system, 0])) as Record<System, number>;
  for (const thing of taken) bySystemG[thing.system] += thingMassG(thing);
  return {
    tripId,
    name,
    startDate: plan.trip.startDate,
    nights: plan.trip.nights,
    things: taken.length,
    bySystemG,
    kitG: taken.reduce((sum, thing) => sum + thingMassG(thing), 0),
    bikeLoadedG: totals.bikeLoadedG,
    usedMl: totals.usedMl,
    capacityMl: totals.capacityMl,
    coldestC: conditions.coldestC,
    warmestC: conditions.warmestC,
    rain: conditions.rain,
    lengthM: rideOf(facts)?.line.lengthM ?? null,
    tailMomentKgM: handling?.tailMomentKgM ?? null,
    unused: taken.filter(({ id }) => answers.get(id) === 'unused').map((thing) => thing.name),
    missed: missedNames(entries),
    trouble: logOf(entries).flatMap(({ what, bagId, trouble, day }) => {
      const bag = plan.bags.find(({ id }) => id === bagId);
      return what === 'trouble' && bag && trouble
        ? [`${bag.name} ${TROUBLE_WORDS[trouble]}, day ${day}`]
        : [];
    }),
  };
}
