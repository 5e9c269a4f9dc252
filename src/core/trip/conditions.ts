import type { Rain, Sleeping, Trip } from './trip';
import { atHeight, inScenario, LIKELY_RAIN, type WeatherDay } from './weather';

/** What one day brings. Null is not known. */
export interface DayConditions {
  /** 1 for the first. */
  day: number;
  /** At the lowest place of the day, in the afternoon. */
  warmestC: number;
  /** At the highest place of the day, in the early morning: what a start or a descent can meet. */
  coldestC: number;
  rain: Rain;
  /** Per cent. */
  rainChance: number | null;
  rainMm: number | null;
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
 * What a trip brings, in its scenario: everything that judgements of warmth, water, clothes and dryness read, however it became
 * known. As typed for the trip as a whole, every day and night is as bad as the worst one.
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

/** Where a day of the route takes the rider. */
export interface DayPlace {
  lowestM: number;
  highestM: number;
  /** Where it ends. */
  campM: number;
  daylightMin: number | null;
}

const OUTSIDE: ReadonlySet<Sleeping> = new Set(['tent', 'bivvy', 'tarp', 'hammock']);

const withoutRoute = new WeakMap<Trip, Conditions>();
const onRoute = new WeakMap<Trip, { places: readonly DayPlace[]; conditions: Conditions }>();

/**
 * The conditions of a trip; the same object for the same trip and places.
 *
 * @param places of each day of the route; without, temperatures hold wherever the rider is
 * @example tripConditions({ nights: 2, nightMinimumC: 3, … }).nights.map(({ coldestC }) => coldestC) // [3, 3]
 */
export function tripConditions(trip: Trip, places: readonly DayPlace[] | null = null): Conditions {
  if (!places) {
    let conditions = withoutRoute.get(trip);
    if (!conditions) withoutRoute.set(trip, (conditions = findConditions(trip, null)));
    return conditions;
  }
  let known = onRoute.get(trip);
  if (known?.places !== places)
    onRoute.set(trip, (known = { places, conditions: findConditions(trip, places) }));
  return known.conditions;
}

/** The weather of one day, 0 for the first; days beyond those that are known are like the last one. */
function weatherOf({ weather, nightMinimumC, dayMaximumC, rain, scenario }: Trip, index: number): WeatherDay {
  const day = weather?.[Math.min(index, weather.length - 1)] ?? {
    minC: nightMinimumC,
    maxC: dayMaximumC,
    rainChance: rain === 'likely' ? 60 : 10,
    rainMm: 0,
    windKmh: 0,
    heightM: null,
  };
  return inScenario(day, scenario);
}

function findConditions(trip: Trip, places: readonly DayPlace[] | null): Conditions {
  const { nights, sleeping } = trip;
  const byDay = trip.weather !== null && trip.weather.length > 0;
  const all = Array.from({ length: nights + 1 }, (_, i) => {
    const own = weatherOf(trip, i);
    const place = places?.[Math.min(i, places.length - 1)];
    // Typed for the whole trip, a figure is the worst one and not that of some height.
    const fromM = byDay ? (own.heightM ?? place?.campM ?? 0) : 0;
    const at = (celsius: number, toM: number | undefined) =>
      byDay && toM !== undefined ? atHeight(celsius, fromM, toM) : celsius;
    return { own, place, at };
  });
  const days = all.map(({ own, place, at }, i): DayConditions => {
    // A day begins with the end of the night before it.
    const dawn = all[Math.max(0, i - 1)]!;
    return {
      day: i + 1,
      warmestC: at(own.maxC, place?.lowestM),
      coldestC: dawn.at(dawn.own.minC, place?.highestM),
      rain: own.rainChance >= LIKELY_RAIN ? 'likely' : 'unlikely',
      rainChance: byDay ? own.rainChance : null,
      rainMm: byDay ? own.rainMm : null,
      windKmh: byDay ? own.windKmh : null,
      daylightMin: place?.daylightMin ?? null,
    };
  });
  const found = all.slice(0, nights).map(({ own, place, at }, i): NightConditions => ({
    night: i + 1,
    coldestC: at(own.minC, place?.campM),
    sleeping,
  }));
  return {
    days,
    nights: found,
    coldestC: Math.min(
      ...(nights > 0 ? found.map(({ coldestC }) => coldestC) : days.map(({ coldestC }) => coldestC)),
    ),
    warmestC: Math.max(...days.map(({ warmestC }) => warmestC)),
    rain: days.some(({ rain }) => rain === 'likely') ? 'likely' : 'unlikely',
    sleepsOutside: nights > 0 && OUTSIDE.has(sleeping),
  };
}
