import { tripConditions, type Conditions, type DayPlace } from '@/core/trip/conditions';
import type { Facts } from './facts';
import { rideOf, type Ride } from './ride';

const known = new WeakMap<Ride, DayPlace[]>();

/** Where each day of a ride takes the rider; the same objects for the same ride. */
function placesOf(ride: Ride): DayPlace[] {
  let places = known.get(ride);
  if (!places) {
    const { height, stepM } = ride.line;
    places = ride.days.map(({ fromM, toM, sunriseMin, sunsetMin }): DayPlace => {
      const [from, to] = [Math.round(fromM / stepM), Math.round(toM / stepM)];
      let [lowestM, highestM] = [Infinity, -Infinity];
      for (let i = from; i <= to; i += 1) {
        lowestM = Math.min(lowestM, height[i]!);
        highestM = Math.max(highestM, height[i]!);
      }
      return {
        lowestM,
        highestM,
        campM: height[to]!,
        daylightMin: sunriseMin === null || sunsetMin === null ? null : sunsetMin - sunriseMin,
      };
    });
    known.set(ride, places);
  }
  return places;
}

/**
 * What the trip brings where its route goes: what every check of warmth, water or clothes reads, never a figure of the trip
 * itself.
 */
export function conditionsOf(facts: Pick<Facts, 'plan' | 'totals' | 'view'>): Conditions {
  const ride = rideOf(facts);
  return tripConditions(facts.plan.trip, ride && placesOf(ride));
}
