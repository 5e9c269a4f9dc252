import { inOrder, logOf, reviewAnswers, type Answer, type Entry } from '@/core/entries/entry';
import { canSway } from '@/core/bag/bag';
import { conditionsOf } from '@/core/facts/conditions';
import { factsOf } from '@/core/facts/facts';
import { needsOf } from '@/core/facts/food';
import { rideOf } from '@/core/facts/ride';
import { portionOf } from '@/core/menu/portion';
import { planOf } from '@/core/plan/riders';
import type { Plan } from '@/core/plan/plan';
import { BASE_L_PER_H, MORE_L_PER_C } from '@/core/water/drinking';
import { normalMean, type Uncertain } from './normalMean';

/** A trip that was ridden: its plan as it set out, and what was recorded since. */
export interface Ridden {
  tripId: string;
  name: string;
  plan: Plan;
  entries: readonly Entry[];
}

export const RATES = ['drinking', 'eating', 'pace', 'charge'] as const;
export type RateName = (typeof RATES)[number];

/** A rate as it was planned with, seen, and learned. */
export interface Rate {
  rate: RateName;
  unit: string;
  prior: Uncertain;
  seen: (Uncertain & { tripId: string; trip: string })[];
  learned: Uncertain;
}

/** Days on which more was logged than anybody drinks are left out: a slipped unit. */
const MOST_L_A_DAY = 15;
/** Of one trip's mean: what is not logged, and days that differ. */
const ERRORS: Record<RateName, number> = { drinking: 0.12, eating: 0.1, pace: 0.08, charge: 1.5 };
const PRIORS: Record<RateName, Uncertain> = {
  drinking: { value: BASE_L_PER_H, error: 0.15 },
  eating: { value: 1, error: 0.15 },
  pace: { value: 1, error: 0.15 },
  charge: { value: 9, error: 3 },
};
const UNITS: Record<RateName, string> = {
  drinking: 'l/h at 10 °C',
  eating: 'of what the plan asks for',
  pace: 'of the planned time',
  charge: 'Wh a day',
};

/**
 * What trips teach of a rider: each rate a prior updated with one observation a trip, from entries and the plan as it set out, and so the same
 * whatever becomes of the things since (methods, section 18).
 */
export function learnedRates(trips: readonly Ridden[]): Rate[] {
  return RATES.map((rate): Rate => {
    const seen = trips.flatMap((trip) => {
      const value = observe(rate, trip);
      return value === null ? [] : [{ value, error: ERRORS[rate], tripId: trip.tripId, trip: trip.name }];
    });
    const prior = PRIORS[rate];
    return { rate, unit: UNITS[rate], prior, seen, learned: normalMean(prior, seen) };
  });
}

/** What one trip shows of a rate; null where its log says too little. */
function observe(rate: RateName, { plan, entries }: Ridden): number | null {
  const facts = factsOf(planOf(plan, null));
  const log = logOf(entries);
  const ride = rideOf(facts);
  const dayCount = ride?.days.length ?? plan.trip.nights + 1;
  const byDay = (what: string) => {
    const sums = new Map<number, number>();
    for (const { what: each, day, amount } of log)
      if (each === what && amount !== null && day <= dayCount) sums.set(day, (sums.get(day) ?? 0) + amount);
    return sums;
  };
  switch (rate) {
    case 'drinking': {
      const drunk = [...byDay('drank')].filter(([, ml]) => ml <= 1000 * MOST_L_A_DAY);
      if (!ride || drunk.length === 0) return null;
      const { days } = conditionsOf(facts);
      let litres = 0;
      let hours = 0;
      let warmth = 0;
      for (const [day, ml] of drunk) {
        const own = ride.days[day - 1]!.movingS / 3600;
        litres += ml / 1000;
        hours += own;
        warmth += own * (days[day - 1]!.warmestC - 10);
      }
      return hours > 0 ? litres / hours - (MORE_L_PER_C * warmth) / hours : null;
    }
    case 'eating': {
      const things = new Map(plan.things.map((thing) => [thing.id, thing]));
      const { days } = needsOf(facts);
      const eaten = new Map<number, number>();
      for (const { what, day, thingId, amount } of log) {
        const thing = what === 'ate' && thingId !== null ? things.get(thingId) : undefined;
        const portion = thing && portionOf(thing);
        if (portion && day <= days.length)
          eaten.set(day, (eaten.get(day) ?? 0) + (amount ?? 1) * portion.energyKJ);
      }
      if (eaten.size === 0) return null;
      let [had, asked] = [0, 0];
      for (const [day, kJ] of eaten) {
        had += kJ;
        asked += days[day - 1]!.needKJ;
      }
      return had / asked;
    }
    case 'pace': {
      const arrivals = log.filter(
        ({ what, amount, day }) => what === 'arrived' && amount !== null && day <= dayCount,
      );
      if (!ride || arrivals.length === 0) return null;
      let [took, planned] = [0, 0];
      for (const { day, amount } of arrivals) {
        const { startMin, totalS } = ride.days[day - 1]!;
        took += Math.max(0, amount! - startMin);
        planned += totalS / 60;
      }
      return planned > 0 && took > 0 ? took / planned : null;
    }
    case 'charge': {
      const charged = [...byDay('charged').values()];
      return charged.length === 0 ? null : charged.reduce((sum, wh) => sum + wh, 0) / dayCount;
    }
  }
}

/** What was found of a bag that can sway: the tail moments with which it did, and did not. */
export interface SwayFound {
  bagId: string;
  name: string;
  /** The least moment with which it swayed, in kg·m; null where it never did. */
  swayedKgM: number | null;
  /** The greatest with which it was ridden and did not. */
  calmKgM: number | null;
  trips: number;
}

/**
 * Tail moments with which bags swayed on trips and test rides, from the log and the answers.
 *
 * @example ridden with 0.7 calmly and with 0.95 swaying: it sways from between the two on
 */
export function swayFound(trips: readonly Ridden[]): SwayFound[] {
  const found = new Map<string, SwayFound>();
  for (const { plan, entries } of trips) {
    const facts = factsOf(planOf(plan, null));
    const moment = facts.handling?.tailMomentKgM ?? 0;
    if (moment <= 0) continue;
    const swayed = new Set(
      inOrder(entries).flatMap((entry) => {
        if (entry.kind === 'logged' && entry.trouble === 'sways' && entry.bagId !== null)
          return [entry.bagId];
        return entry.kind === 'tested' && entry.check === 'sway' && !entry.isGood && entry.bagId !== null
          ? [entry.bagId]
          : [];
      }),
    );
    const clampX = facts.view.seatpostClamp.x;
    for (const { spot, massG } of facts.compartments) {
      const { bag } = spot;
      if (massG === 0 || spot.onBody || !canSway(bag) || spot.place.centre.x > clampX) continue;
      const own = found.get(bag.id) ?? {
        bagId: bag.id,
        name: bag.name,
        swayedKgM: null,
        calmKgM: null,
        trips: 0,
      };
      if (swayed.has(bag.id)) own.swayedKgM = Math.min(own.swayedKgM ?? Infinity, moment);
      else own.calmKgM = Math.max(own.calmKgM ?? 0, moment);
      found.set(bag.id, { ...own, trips: own.trips + 1 });
    }
  }
  return [...found.values()];
}

/**
 * The moment from which a bag is taken to sway: between the greatest calm one and the least at which it swayed; null where it never swayed.
 *
 * @example swayLimit({ swayedKgM: 0.95, calmKgM: 0.75 }) // 0.85
 */
export const swayLimit = ({ swayedKgM, calmKgM }: Pick<SwayFound, 'swayedKgM' | 'calmKgM'>): number | null =>
  swayedKgM === null ? null : calmKgM !== null && calmKgM < swayedKgM ? (swayedKgM + calmKgM) / 2 : swayedKgM;

/** How one thing did over trips. */
export interface ThingHistory {
  thingId: string;
  name: string;
  /** Trips that took it and said how it did. */
  trips: number;
  used: number;
  last: Answer;
}

/** Each thing over the trips that were reviewed, by its id: it is the same thing on every trip. */
export function thingHistories(trips: readonly Ridden[]): ThingHistory[] {
  const found = new Map<string, ThingHistory>();
  for (const { plan, entries } of trips) {
    const answers = reviewAnswers(entries);
    for (const { id, name } of plan.things) {
      const answer = answers.get(id);
      if (answer === undefined) continue;
      const own = found.get(id) ?? { thingId: id, name, trips: 0, used: 0, last: answer };
      found.set(id, {
        thingId: id,
        name,
        trips: own.trips + 1,
        used: own.used + (answer === 'unused' ? 0 : 1),
        last: answer,
      });
    }
  }
  return [...found.values()];
}
