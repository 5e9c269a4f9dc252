import { logOf, type Logged } from '@/core/entries/entry';
import { enoughOf } from '@/core/enough/enough';
import { conditionsOf } from '@/core/facts/conditions';
import { factsOf, type Facts } from '@/core/facts/facts';
import { needsOf } from '@/core/facts/food';
import { rideOf } from '@/core/facts/ride';
import { specOf } from '@/core/kit/specs';
import { portionOf } from '@/core/menu/portion';
import { purposesOf } from '@/core/needs/purposes';
import type { Rider } from '@/core/plan/plan';
import { planOf } from '@/core/plan/riders';
import { BASE_L_PER_H, MORE_L_PER_C } from '@/core/water/drinking';
import { normalMean, type Uncertain } from './normalMean';
import type { Ridden } from './ridden';

export const RATES = ['drinking', 'eating', 'gas', 'charge', 'pace'] as const;
export type RateName = (typeof RATES)[number];

/** A rate as it is usual, as it was seen, and as it is learned. */
export interface Rate {
  rate: RateName;
  unit: string;
  prior: Uncertain;
  seen: (Uncertain & { tripId: string; trip: string })[];
  learned: Uncertain;
}

type RateField = 'drinkLPerH' | 'eatShare' | 'fuelShare' | 'chargeShare' | 'paceShare';

interface RateRule {
  unit: string;
  /** Where a plan keeps it; null there is the usual. */
  field: RateField;
  prior: Uncertain;
  /** Of one trip's mean: what is not logged, and days that differ. */
  error: number;
  /** What one trip shows; null where its log says too little. */
  observe: (trip: Trip) => number | null;
}

interface Trip {
  facts: Facts;
  rider: Rider;
  log: readonly Logged[];
}

const OF_CALCULATED = 'of what is calculated';

/** All rates but drinking are shares of what the plan calculates without them. */
export const RATE_RULES: Readonly<Record<RateName, RateRule>> = {
  drinking: {
    unit: 'l/h at 10 °C',
    field: 'drinkLPerH',
    prior: { value: BASE_L_PER_H, error: 0.15 },
    error: 0.12,
    observe: drinking,
  },
  eating: {
    unit: OF_CALCULATED,
    field: 'eatShare',
    prior: { value: 1, error: 0.15 },
    error: 0.1,
    observe: eating,
  },
  gas: {
    unit: OF_CALCULATED,
    field: 'fuelShare',
    prior: { value: 1, error: 0.25 },
    error: 0.2,
    observe: gas,
  },
  charge: {
    unit: OF_CALCULATED,
    field: 'chargeShare',
    prior: { value: 1, error: 0.3 },
    error: 0.2,
    observe: charge,
  },
  pace: {
    unit: 'of the calculated time',
    field: 'paceShare',
    prior: { value: 1, error: 0.15 },
    error: 0.08,
    observe: pace,
  },
};

/**
 * What trips teach of a rider: each rate a prior updated with one observation a trip, from entries and the plan as it set out, and so the same
 * whatever becomes of the things since (methods, section 18). What the plan of a trip had taken over already makes no difference.
 */
export function learnedRates(trips: readonly Ridden[]): Rate[] {
  const known = trips.map(({ tripId, name, plan, entries }) => {
    const facts = factsOf(planOf(plan, null));
    const dayCount = rideOf(facts)?.days.length ?? plan.trip.nights + 1;
    const log = logOf(entries).filter(({ day }) => day <= dayCount);
    return { tripId, trip: name, own: { facts, rider: plan.rider, log } };
  });
  return RATES.map((rate): Rate => {
    const { unit, prior, error, observe } = RATE_RULES[rate];
    const seen = known.flatMap(({ tripId, trip, own }) => {
      const value = observe(own);
      return value === null ? [] : [{ value, error, tripId, trip }];
    });
    return { rate, unit, prior, seen, learned: normalMean(prior, seen) };
  });
}

/** Days on which more was logged than anybody drinks are left out: a slipped unit. */
const MOST_ML_A_DAY = 15_000;

function sumByDay(log: readonly Logged[], what: Logged['what']): Map<number, number> {
  const sums = new Map<number, number>();
  for (const { what: each, day, amount } of log)
    if (each === what && amount !== null) sums.set(day, (sums.get(day) ?? 0) + amount);
  return sums;
}

/** In the hours that it really took, as far as arrivals tell. */
function drinking(trip: Trip): number | null {
  const { facts, rider, log } = trip;
  const ride = rideOf(facts);
  const drunk = [...sumByDay(log, 'drank')].filter(([, ml]) => ml <= MOST_ML_A_DAY);
  if (!ride || drunk.length === 0) return null;
  const { days } = conditionsOf(facts);
  const planned = rider.paceShare ?? 1;
  const slower = (pace(trip) ?? planned) / planned;
  let [litres, hours, warmth] = [0, 0, 0];
  for (const [day, ml] of drunk) {
    const own = (slower * ride.days[day - 1]!.movingS) / 3600;
    litres += ml / 1000;
    hours += own;
    warmth += own * (days[day - 1]!.warmestC - 10);
  }
  return hours > 0 ? litres / hours - (MORE_L_PER_C * warmth) / hours : null;
}

function eating({ facts, rider, log }: Trip): number | null {
  const things = new Map(facts.plan.things.map((thing) => [thing.id, thing]));
  const { days } = needsOf(facts);
  const eatenKJ = new Map<number, number>();
  for (const { what, day, thingId, amount } of log) {
    const thing = what === 'ate' && thingId !== null ? things.get(thingId) : undefined;
    const portion = thing && portionOf(thing);
    if (portion) eatenKJ.set(day, (eatenKJ.get(day) ?? 0) + (amount ?? 1) * portion.energyKJ);
  }
  if (eatenKJ.size === 0) return null;
  let [had, asked] = [0, 0];
  for (const [day, kJ] of eatenKJ) {
    had += kJ;
    asked += days[day - 1]!.needKJ;
  }
  return (had / asked) * (rider.eatShare ?? 1);
}

/** What was in the canisters and is gone, once what is left of each is logged. */
function gas({ facts, rider, log }: Trip): number | null {
  const { fuel, taken } = enoughOf(facts);
  if (!fuel || fuel.neededG === 0) return null;
  let usedG = 0;
  for (const thing of taken) {
    const fuelG = specOf(thing, 'fuelG');
    if (fuelG === null || !purposesOf(thing).includes('fuel')) continue;
    const left = log.findLast(({ what, thingId }) => what === 'gas left' && thingId === thing.id);
    if (left === undefined || left.amount === null) return null;
    usedG += Math.max(0, thing.quantity * fuelG - left.amount);
  }
  return usedG > 0 ? (usedG / fuel.neededG) * (rider.fuelShare ?? 1) : null;
}

function charge({ facts, rider, log }: Trip): number | null {
  const { power } = enoughOf(facts);
  const charged = [...sumByDay(log, 'charged').values()];
  if (!power || charged.length === 0) return null;
  const calculated = power.days.reduce((sum, { used }) => sum + used, 0) / (rider.chargeShare ?? 1);
  return charged.reduce((sum, wh) => sum + wh, 0) / calculated;
}

function pace({ facts, rider, log }: Trip): number | null {
  const ride = rideOf(facts);
  if (!ride) return null;
  let [took, planned] = [0, 0];
  for (const { what, day, amount } of log) {
    if (what !== 'arrived' || amount === null) continue;
    const { startMin, totalS } = ride.days[day - 1]!;
    took += Math.max(0, amount - startMin);
    planned += totalS / 60;
  }
  return planned > 0 && took > 0 ? (took / planned) * (rider.paceShare ?? 1) : null;
}
