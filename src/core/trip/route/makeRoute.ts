import { fail, ok, type Result } from '@/core/result';
import { climbOf } from './elevation';
import type { ImportedTrack, Waypoint } from './imported';
import { resample } from './resample';
import type { Hours } from './hours';
import { codedLine, nameFrom, noteFrom, ROUTE_LIMITS, routeSchema, type Place, type Route } from './route';

/** Gives the heights of points, in metres: what the elevation service answers. */
export type Heights = (lat: Float64Array, lon: Float64Array) => Promise<Float64Array>;

/**
 * A route from the tracks of a file, in the order in which they are ridden: joined, at even steps, with the heights of the file or, where
 * these have gaps, of the elevation service.
 *
 * @param makeId for each place
 * @param timeZoneAt of a place, by its latitude and longitude
 * @param readHours reads opening hours; null where they cannot be read, which then stay in the note
 */
export async function makeRoute(
  tracks: readonly ImportedTrack[],
  waypoints: readonly Waypoint[],
  heights: Heights,
  makeId: () => string,
  timeZoneAt: (lat: number, lon: number) => string = () => 'UTC',
  readHours: ReadHours = () => Promise.resolve(null),
): Promise<Result<Route>> {
  const joined: ImportedTrack = { name: '', lat: [], lon: [], heightM: [] };
  for (const { lat, lon, heightM } of tracks)
    for (let i = 0; i < lat.length; i += 1) {
      joined.lat.push(lat[i]!);
      joined.lon.push(lon[i]!);
      joined.heightM.push(heightM[i]!);
    }
  if (joined.lat.length < 2) return fail('A route needs at least two points.');
  const line = resample(joined);
  if (line.lengthM < 100) return fail('The route is shorter than 100 m: all its points are in one place.');
  if (line.lengthM > ROUTE_LIMITS.lengthM)
    return fail(
      `The route is ${Math.round(line.lengthM / 1000)} km long; at most 2000 km are planned at once.`,
    );
  const own = joined.heightM.filter((height) => !Number.isNaN(height));
  let heightsFrom: Route['heightsFrom'] = 'the file';
  let recorded = climbOf(own);
  if (line.heightM.some(Number.isNaN)) {
    line.heightM = await heights(line.lat, line.lon);
    heightsFrom = 'the elevation service';
    recorded = climbOf(line.heightM);
  }
  const route = routeSchema.safeParse({
    name: nameFrom(
      tracks.map(({ name }) => name).find((name) => name !== ''),
      'Route',
    ),
    ...codedLine(line),
    lengthM: line.lengthM,
    heightsFrom,
    recorded: { points: joined.lat.length, ...recorded },
    stretches: [],
    places: await placesFrom(waypoints, makeId, readHours),
    stops: null,
    timeZone: timeZoneAt(line.lat[0]!, line.lon[0]!),
  });
  return route.success ? ok(route.data) : fail(route.error.issues[0]?.message ?? 'The route cannot be read.');
}

/** Reads opening hours as they are written; null where they cannot be read. */
export type ReadHours = (text: string) => Promise<Hours | null>;

/** Places of waypoints. Hours that cannot be read are kept in the note, so that nothing of the file is lost. */
export const placesFrom = (
  waypoints: readonly Waypoint[],
  makeId: () => string,
  readHours: ReadHours,
): Promise<Place[]> =>
  Promise.all(
    waypoints.map(async ({ kind, name, lat, lon, note, hours: text }): Promise<Place> => {
      const hours = text ? await readHours(text) : null;
      return {
        id: makeId(),
        name,
        kind,
        lat,
        lon,
        note: hours || !text ? note : noteFrom(`${note} Open: ${text}`),
        water: 'reliable',
        hours,
      };
    }),
  );
