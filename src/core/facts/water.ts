import type { Thing } from '@/core/kit/thing';
import type { Conditions } from '@/core/trip/conditions';
import { leastTimeCarry, type CarryOutcome, type WaterSource } from '@/core/water/carry';
import { CAMP_L, drinkingRate } from '@/core/water/drinking';
import { isReliableWater, type PlaceOnRoute, type Ride } from './ride';
import { holdsMl } from './vessels';

/** What must be left when the next source is reached. */
export const RESERVE_L = 0.5;
/** To find the tap, take bottles off, treat and put them back. */
const FIXED_STOP_MIN = 5;
/** A squeezed filter runs so fast. */
const PER_LITRE_MIN = 1.5;
/** To a source beside the route and back, in metres a minute. */
const DETOUR_M_PER_MIN = 200;
const AT_CAMP_M = 1000;
/** Sources closer together are one. */
const SAME_M = 300;

/** A stretch from one source that can be relied on to the next. */
export interface WaterLeg extends WaterSource {
  /** Where it begins; null at the start. */
  source: PlaceOnRoute | null;
  fromM: number;
  toM: number;
}

export interface WaterPlan {
  legs: WaterLeg[];
  capacityL: number;
  outcome: CarryOutcome;
  /** Places that may be dry and would save something if they run. */
  doubtful: PlaceOnRoute[];
}

/**
 * The stretches between sources that can be relied on, each with what is drunk on it and at a camp without water.
 *
 * @param carryMin minutes that one more kilogram costs between two points of the route
 */
export function waterLegs(
  ride: Ride,
  conditions: Conditions,
  carryMin: (fromM: number, toM: number) => number = () => 0,
): WaterLeg[] {
  const sources: (PlaceOnRoute | null)[] = [null];
  for (const each of ride.places.filter(isReliableWater))
    if (each.alongM > (sources.at(-1)?.alongM ?? 0) + SAME_M) sources.push(each);
  return sources.map((source, i): WaterLeg => {
    const fromM = source?.alongM ?? 0;
    const toM = sources[i + 1]?.alongM ?? ride.line.lengthM;
    let demandL = 0;
    ride.days.forEach((day, k) => {
      const [from, to] = [Math.max(fromM, day.fromM), Math.min(toM, day.toM)];
      if (to > from) {
        const share = (to - from) / Math.max(1, day.toM - day.fromM);
        demandL +=
          (drinkingRate(conditions.days[k]!.warmestC, 1, ride.drinkLPerH) * (share * day.movingS)) / 3600;
      }
      const isLast = k === ride.days.length - 1;
      if (!isLast && !day.waterAtEnd && day.toM > fromM && day.toM <= toM) demandL += CAMP_L;
    });
    const isAtCamp = ride.days.some(({ toM: end }) => Math.abs(end - fromM) < AT_CAMP_M);
    return {
      source,
      fromM,
      toM,
      demandL,
      stopMin: source === null || isAtCamp ? 0 : FIXED_STOP_MIN + (2 * source.offM) / DETOUR_M_PER_MIN,
      perLitreMin: source === null ? 0 : PER_LITRE_MIN,
      carryMinPerL: carryMin(fromM, toM),
    };
  });
}

/** Litres that all vessels hold. */
export const capacityL = (taken: readonly Thing[]): number =>
  taken.reduce((sum, thing) => sum + (thing.quantity * holdsMl(thing)) / 1000, 0);

/** Where to fill how much on a ride, with these vessels; null where the route knows of no water. */
export function waterPlan(ride: Ride, conditions: Conditions, taken: readonly Thing[]): WaterPlan | null {
  if (!ride.places.some(({ place }) => place.kind === 'water')) return null;
  // A kilogram costs where it is climbed: by the share of the whole climb, and half of it by the way.
  const { height, stepM } = ride.line;
  const up = new Float64Array(height.length);
  for (let i = 1; i < height.length; i += 1) up[i] = up[i - 1]! + Math.max(0, height[i]! - height[i - 1]!);
  const at = (alongM: number) => up[Math.min(up.length - 1, Math.round(alongM / stepM))]!;
  const whole = Math.max(1, up.at(-1)!);
  const carryMin = (fromM: number, toM: number) =>
    (ride.secondsPerKg / 60) *
    (0.8 * ((at(toM) - at(fromM)) / whole) + 0.2 * ((toM - fromM) / ride.line.lengthM));
  const legs = waterLegs(ride, conditions, carryMin);
  const room = capacityL(taken);
  return {
    legs,
    capacityL: room,
    outcome: leastTimeCarry(legs, RESERVE_L, room),
    doubtful: ride.places.filter(({ place }) => place.kind === 'water' && place.water === 'doubtful'),
  };
}

/**
 * Minutes that each place which may be dry would save if it runs. The plan never relies on one.
 *
 * @returns in the order of the route; null where it is the only way to get through
 */
export function doubtfulSaves(
  ride: Ride,
  conditions: Conditions,
  taken: readonly Thing[],
): { place: PlaceOnRoute; savesMin: number | null }[] {
  const usual = waterPlan(ride, conditions, taken);
  if (!usual) return [];
  return usual.doubtful.map((doubtful) => {
    const places = ride.places.map((each) =>
      each === doubtful ? { ...each, place: { ...each.place, water: 'reliable' as const } } : each,
    );
    const running = waterPlan({ ...ride, places }, conditions, taken)!.outcome;
    return {
      place: doubtful,
      savesMin: running.ok && usual.outcome.ok ? usual.outcome.plan.costMin - running.plan.costMin : null,
    };
  });
}
