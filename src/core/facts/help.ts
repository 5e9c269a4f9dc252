import type { Place } from '@/core/trip/route/route';
import { distanceM as between } from '@/core/trip/route/geo';
import { NEAR_M, type Ride, type RideDay } from './ride';

/** Where there are people, a train or a road out. */
const HELP: ReadonlySet<Place['kind']> = new Set([
  'station',
  'medical help',
  'pharmacy',
  'bike repair',
  'shop',
  'café',
  'hotel',
  'hut',
  'campsite',
]);
const STEP_M = 500;

export interface FarFromHelp {
  /** Where on the route one is furthest from help that day. */
  alongM: number;
  /** The nearest place with people from there, and how far it is along the route and off it. */
  place: Place;
  distanceM: number;
  isBack: boolean;
}

/**
 * The point of a day that is furthest from help, and where to turn there. Null where the route knows of no such place.
 *
 * @example 'Day 2 is furthest from help at km 48: 14 km back to the farm shop'
 */
export function farFromHelp({ places, line }: Ride, { fromM, toM }: RideDay): FarFromHelp | null {
  const help = places
    .filter(({ place }) => HELP.has(place.kind))
    .flatMap((each) => {
      const last = line.lat.length - 1;
      const offM = between(each.place.lat, each.place.lon, line.lat[last]!, line.lon[last]!);
      // A loop comes back to what lies at its start.
      return offM < NEAR_M ? [each, { ...each, alongM: line.lengthM, offM }] : [each];
    });
  let worst: FarFromHelp | null = null;
  for (let alongM = fromM; alongM <= toM; alongM += STEP_M) {
    let nearest: FarFromHelp | null = null;
    for (const each of help) {
      const distanceM = Math.abs(each.alongM - alongM) + each.offM;
      if (!nearest || distanceM < nearest.distanceM)
        nearest = { alongM, place: each.place, distanceM, isBack: each.alongM < alongM };
    }
    if (nearest && (!worst || nearest.distanceM > worst.distanceM)) worst = nearest;
  }
  return worst;
}
