import tzlookup from '@photostructure/tz-lookup';
import { expose } from 'comlink';
import { climbOf } from '@/core/trip/route/elevation';
import { distanceM } from '@/core/trip/route/geo';
import { parseGeojson } from '@/core/trip/route/geojson';
import { parseGpx } from '@/core/trip/route/gpx';
import type { Imported, Waypoint } from '@/core/trip/route/imported';
import { makeRoute, placesFrom } from '@/core/trip/route/makeRoute';
import { parsePlacesCsv } from '@/core/trip/route/placesCsv';
import type { Place, Route } from '@/core/trip/route/route';
import type { Hours } from '@/core/trip/route/hours';
import { ok, type Result } from '@/core/result';
import { readHours } from './readHours';

/** What a file holds, as it is shown before it is taken. */
export interface Understood {
  tracks: { name: string; points: number; lengthM: number; climbM: number | null }[];
  waypoints: Waypoint[];
  leftOut: string[];
}

let imported: Imported | null = null;

/** Reads routes off the page's thread, so that a hundred thousand points do not hold up a click. */
const api = {
  read(text: string, onProgress: (done: number) => void): Result<Understood> {
    const begins = text.trimStart()[0];
    const parsed =
      begins === '{'
        ? parseGeojson(text)
        : begins === '<'
          ? parseGpx(text, onProgress)
          : parsePlacesCsv(text);
    if (!parsed.ok) return parsed;
    imported = parsed.value;
    return ok({
      tracks: imported.tracks.map(({ name, lat, lon, heightM }) => {
        const known = heightM.filter((height) => !Number.isNaN(height));
        let lengthM = 0;
        for (let i = 1; i < lat.length; i += 1)
          lengthM += distanceM(lat[i - 1]!, lon[i - 1]!, lat[i]!, lon[i]!);
        return { name, points: lat.length, lengthM, climbM: known.length > 0 ? climbOf(known).climbM : null };
      }),
      waypoints: imported.waypoints,
      leftOut: imported.leftOut,
    });
  },
  /** Makes a route of the tracks with these indices, in this order. */
  async make(indices: number[], date: string): Promise<Result<Route>> {
    const tracks = indices.map((index) => imported!.tracks[index]!);
    return makeRoute(tracks, imported!.waypoints, heights, makeId, tzlookup, hoursOf(date));
  },
  /** The places of a file that has no line. */
  places: (date: string): Promise<Place[]> => placesFrom(imported!.waypoints, makeId, hoursOf(date)),
  /** Makes a route that runs straight from each point to the next. */
  draw: (lat: number[], lon: number[]): Promise<Result<Route>> =>
    makeRoute(
      [{ name: 'Drawn route', lat, lon, heightM: lat.map(() => NaN) }],
      [],
      heights,
      makeId,
      tzlookup,
    ),
  hours: (text: string, date: string): Promise<Result<Hours>> => readHours(text, date),
};
export type RouteWorker = typeof api;

const makeId = () => crypto.randomUUID();
const hoursOf = (date: string) => async (text: string) => {
  const read = await readHours(text, date);
  return read.ok ? read.value : null;
};

const AT_ONCE = 50_000;

async function heights(lat: Float64Array, lon: Float64Array): Promise<Float64Array> {
  const result = new Float64Array(lat.length);
  for (let from = 0; from < lat.length; from += AT_ONCE) {
    const part = (values: Float64Array) => [...values.subarray(from, from + AT_ONCE)];
    const response = await fetch('/api/elevation', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ lat: part(lat), lon: part(lon) }),
    });
    const body = (await response.json()) as { heights?: number[]; error?: string };
    if (!response.ok || !body.heights)
      throw new Error(body.error ?? 'The elevation service does not answer.');
    result.set(body.heights, from);
  }
  return result;
}

expose(api);
