import type { Rain, Sleeping, Trip } from './trip';

/** What one day brings. Null is not known: both need a place, which a trip does not have yet. */
export interface DayConditions {
  /** 1 for the first. */
  day: number;
  warmestC: number;
  rain: Rain;
  windKmh: number | null;
  daylightMin: number | null;
}

export interface NightConditions {
  /** 1 for the night after the first day. */
  night: number;
  coldestC: number;
  sleeping: Sleeping;
}

/**
 * What a trip brings: everything that judgements of warmth, water, clothes and dryness read, however it became known. As
 * typed for the trip as a whole, every day and night is as bad as the worst one; days and weather of a route will fill in
 * the same fields.
 */
export interface Conditions {
  days: readonly DayConditions[];
  nights: readonly NightConditions[];
  /** Over all days and nights; without a night the coldest is that of the trip. */
  coldestC: number;
  warmestC: number;
  rain: Rain;
  /** Whether any night is slept outside, or in a tent. */
  sleepsOutside: boolean;
}

const OUTSIDE: ReadonlySet<Sleeping> = new Set(['tent', 'bivvy', 'tarp', 'hammock']);

const known = new WeakMap<Trip, Conditions>();

/**
 * The conditions of a trip; the same object for the same trip.
 *
 * @example conditionsOf({ nights: 2, nightMinimumC: 3, … }).nights.map(({ coldestC }) => coldestC) // [3, 3]
 */
export function conditionsOf(trip: Trip): Conditions {
  let conditions = known.get(trip);
  if (!conditions) known.set(trip, (conditions = findConditions(trip)));
  return conditions;
}

function findConditions({ nights, sleeping, nightMinimumC, dayMaximumC, rain }: Trip): Conditions {
  return {
    days: Array.from({ length: nights + 1 }, (_, i) => ({
      day: i + 1,
      warmestC: dayMaximumC,
      rain,
      windKmh: null,
      daylightMin: null,
    })),
    nights: Array.from({ length: nights }, (_, i) => ({ night: i + 1, coldestC: nightMinimumC, sleeping })),
    coldestC: nightMinimumC,
    warmestC: dayMaximumC,
    rain,
    sleepsOutside: nights > 0 && OUTSIDE.has(sleeping),
  };
}
