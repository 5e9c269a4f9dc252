import { normalDensity, normal } from '@/core/units/normal';
import type { Facts } from '@/core/facts/facts';
import { thingMassErrorG, thingVolumeErrorMl } from '@/core/kit/kinds/errors';
import type { Thing } from '@/core/kit/thing';

/** A measurement that is worth making. */
export interface Measurement {
  thing: Thing;
  what: 'mass' | 'volume';
  /** What it would settle, in words. */
  settles: string;
  /** How much it is worth: the loss it may spare, as a share of the limits concerned. */
  worth: number;
}

export const MOST_MEASUREMENTS = 5;
/** A verdict that turns with a smaller chance is not worth a walk to the scale. */
const LEAST_CHANCE = 0.005;

/**
 * The worth of knowing one part of a sum better, against a limit: σ·(φ(u) − u·Φ(−u)) with u = |d|/σ (methods, section 12; exact for a
 * Gaussian sum and a loss that grows with how far the limit is missed).
 *
 * @param margin between the sum and its limit
 * @param error standard error of the part
 * @example worthOfKnowing(40, 75) // 14.1
 */
export function worthOfKnowing(margin: number, error: number): number {
  if (error <= 0) return 0;
  const u = Math.abs(margin) / error;
  return error * (normalDensity(u) - u * normal(-u));
}

/** A limit that a sum of things has to keep. */
interface Verdict {
  settles: string;
  what: 'mass' | 'volume';
  margin: number;
  limit: number;
  parts: { thing: Thing; error: number }[];
}

function verdictsOf({ compartments, bags, byBag, plan, totals }: Facts): Verdict[] {
  const massPart = (thing: Thing) => ({ thing, error: thing.quantity * thingMassErrorG(thing) });
  const inBag = (bagId: string) =>
    compartments.filter(({ spot }) => spot.bag.id === bagId).flatMap(({ things }) => things);
  const limitG = plan.bike?.greatestTotalG ?? null;
  return [
    ...bags.map(({ bagId, contentsG, limitG }): Verdict => {
      const name = plan.bags.find(({ id }) => id === bagId)!.name;
      return {
        settles: `whether ${name} is over its limit`,
        what: 'mass',
        margin: limitG - contentsG,
        limit: limitG,
        parts: inBag(bagId).map(massPart),
      };
    }),
    ...compartments.flatMap(({ spot, massG, things }): Verdict[] => {
      const own = spot.compartment.limitG;
      // A bag's limit is counted once, by the bag.
      return own === null || byBag.get(spot.bag.id)?.limitG === own
        ? []
        : [
            {
              settles: `whether ${spot.name} is over its limit`,
              what: 'mass',
              margin: own - massG,
              limit: own,
              parts: things.map(massPart),
            },
          ];
    }),
    ...(limitG === null
      ? []
      : [
          {
            settles: 'whether bike, rider and load are over the limit for the whole',
            what: 'mass' as const,
            margin: limitG - totals.rollingG,
            limit: limitG,
            parts: compartments.flatMap(({ things }) => things.map(massPart)),
          },
        ]),
    ...compartments.map(({ spot, neededMl, things }): Verdict => ({
      settles: `whether ${spot.name} closes`,
      what: 'volume',
      margin: spot.capacityMl - neededMl,
      limit: spot.capacityMl,
      parts: things.map((thing) => ({
        thing,
        error: thingVolumeErrorMl(thing, thing.quantity * thing.volumeMl),
      })),
    })),
  ];
}

/**
 * What to measure next: at most five measurements, the most valuable first, and none that could change no verdict. The worth of one is
 * summed over the verdicts that depend on it, each as a share of its limit.
 */
export function measureNext(facts: Facts): Measurement[] {
  const found = new Map<string, Measurement & { best: number }>();
  for (const { settles, what, margin, limit, parts } of verdictsOf(facts))
    for (const { thing, error } of parts) {
      if (limit <= 0 || error <= 0) continue;
      const isMeasured =
        what === 'mass' ? thing.massSource !== 'estimate' : thing.volumeSource !== 'estimate';
      if (isMeasured || normal(-Math.abs(margin) / error) < LEAST_CHANCE) continue;
      const worth = worthOfKnowing(margin, error) / limit;
      const key = `${what} ${thing.id}`;
      const known = found.get(key);
      if (!known) found.set(key, { thing, what, settles, worth, best: worth });
      else {
        known.worth += worth;
        if (worth > known.best) {
          known.best = worth;
          known.settles = settles;
        }
      }
    }
  return [...found.values()]
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_MEASUREMENTS)
    .map(({ best: _best, ...measurement }) => measurement);
}

/** @example 'Weighing the tent decides whether the bar roll is over its limit.' */
export const measurementWords = ({ thing, what, settles }: Measurement): string =>
  `${what === 'mass' ? 'Weighing' : 'Measuring'} ${thing.name} decides ${settles}.`;
