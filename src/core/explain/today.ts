import { enoughOf } from '@/core/enough/enough';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import { menuOf, type Planned } from '@/core/facts/food';
import { rideOf, type PlaceOnRoute, type RideDay } from '@/core/facts/ride';
import { RESERVE_L, waterPlan } from '@/core/facts/water';

/** What a rider asks on the way. */
export interface Today {
  day: RideDay | null;
  /** The next places of the day's way, the nearest first. */
  next: { each: PlaceOnRoute; inM: number }[];
  /** To the next water that can be relied on; null where none is known. */
  water: { to: string; inM: number; neededL: number; leaveWithL: number | null } | null;
  /** Meals of the day, and of riding food what is left for the rest of the way. */
  food: Planned[];
  /** Minutes after midnight: sunset, and the end of civil twilight. */
  sunsetMin: number | null;
  duskMin: number | null;
  /** Left of the day's way, in metres and seconds with stops. */
  leftM: number;
  leftS: number;
}

const SHOWN = 4;

/**
 * Today at a glance.
 *
 * @param dayNumber 1 for the first
 * @param alongM where the rider is along the route; null at the beginning of the day
 */
export function todayOf(facts: Facts, dayNumber: number, alongM: number | null): Today {
  const ride = rideOf(facts);
  const day = ride?.days[dayNumber - 1] ?? null;
  const food = menuOf(facts).days[dayNumber - 1]?.planned ?? [];
  const nothing = { day, next: [], water: null, food, sunsetMin: null, duskMin: null, leftM: 0, leftS: 0 };
  if (!ride || !day) return nothing;
  const at = Math.min(Math.max(alongM ?? day.fromM, day.fromM), day.toM);
  const share = (day.toM - at) / Math.max(1, day.toM - day.fromM);
  const plan = waterPlan(ride, conditionsOf(facts), enoughOf(facts).taken);
  const leg = plan?.legs.find(({ fromM, toM }) => at >= fromM - 1 && at < toM);
  const fill = plan?.outcome.ok
    ? plan.outcome.plan.fills.find(({ at: index }) => plan.legs[index] === leg)
    : undefined;
  return {
    day,
    next: ride.places
      .filter((each) => each.alongM > at + 50 && each.alongM <= day.toM + 1000)
      .slice(0, SHOWN)
      .map((each) => ({ each, inM: each.alongM - at })),
    water:
      leg && plan
        ? {
            to: plan.legs[plan.legs.indexOf(leg) + 1]?.source?.place.name ?? 'the end',
            inM: leg.toM - at,
            neededL: leg.demandL * ((leg.toM - at) / Math.max(1, leg.toM - leg.fromM)) + RESERVE_L,
            leaveWithL: fill?.leavesWithL ?? null,
          }
        : null,
    food,
    sunsetMin: day.sunsetMin,
    duskMin: day.duskMin,
    leftM: day.toM - at,
    leftS: share * day.totalS,
  };
}
