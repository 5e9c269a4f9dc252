import type { Place } from '@/core/bag/bag';
import { PLACES } from '@/core/bag/bag';
import type { Setup } from '@/core/commands/putOnTrip';
import type { Finding } from '@/core/checks/finding';
import type { Formatter } from '@/core/units/format';
import { evaluate } from './evaluate';
import type { Plan } from '@/core/plan/plan';

/** One set-up's figures, on the trip at hand with nothing loaded. */
export interface SetupFacts {
  name: string;
  bikeName: string;
  litresMl: Partial<Record<Place, number>>;
  limitsG: Partial<Record<Place, number>>;
  totalMl: number;
  bagsG: number;
  bikeG: number;
  /** Sum of what all bags may carry. */
  limitG: number;
  limitAssumed: boolean;
  findings: Finding[];
}

/** A trip with another bike and other bags, and nothing loaded. */
export const withSetup = (plan: Plan, { bike, bags }: Pick<Plan, 'bike' | 'bags'>): Plan => ({
  ...plan,
  bike,
  bags,
  load: [],
});

/** What one set-up offers and what is wrong with it, judged by the stage Bike's checks alone. */
export function setupFacts(plan: Plan, setup: Setup, format: Formatter): SetupFacts {
  const evaluation = evaluate(withSetup(plan, setup), format);
  const litresMl: SetupFacts['litresMl'] = {};
  const limitsG: SetupFacts['limitsG'] = {};
  for (const { bag, capacityMl } of evaluation.spots)
    litresMl[bag.place] = (litresMl[bag.place] ?? 0) + capacityMl;
  for (const { bagId, limitG } of evaluation.bags) {
    const { place } = setup.bags.find(({ id }) => id === bagId)!;
    limitsG[place] = (limitsG[place] ?? 0) + limitG;
  }
  return {
    name: setup.name,
    bikeName: setup.bike.name,
    litresMl,
    limitsG,
    totalMl: evaluation.totals.capacityMl,
    bagsG: setup.bags.reduce((sum, { massG }) => sum + massG, 0),
    bikeG: setup.bike.massG,
    limitG: evaluation.bags.reduce((sum, { limitG }) => sum + limitG, 0),
    limitAssumed: evaluation.bags.some(({ limitAssumed }) => limitAssumed),
    findings: evaluation.findings.filter(({ stage }) => stage === 'bike'),
  };
}

/** Places that either of two set-ups uses, in the order of places. */
export const placesOf = (a: SetupFacts, b: SetupFacts): Place[] =>
  PLACES.filter((place) => a.litresMl[place] !== undefined || b.litresMl[place] !== undefined);
