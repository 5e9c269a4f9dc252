import { isOpen, weekMinute } from '@/core/trip/route/hours';
import type { PlaceOnRoute, Ride } from './ride';

/** Whether a place is open when it is passed; null where that is not known. */
export function isOpenWhenPassed(ride: Ride, { place, day, passMin }: PlaceOnRoute): boolean | null {
  const date = ride.days[day - 1]?.date ?? null;
  if (place.hours === null || date === null) return null;
  return isOpen(place.hours, weekMinute(date, passMin));
}
