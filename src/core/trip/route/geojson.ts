import { z } from 'zod';
import { fail, ok, type Result } from '@/core/result';
import { isOnEarth, MOST_POINTS, placeKindOf, type Imported } from './imported';
import { lineOf, nameFrom, noteFrom, type Route } from './route';

const position = z.tuple([z.number(), z.number()], z.number());
const geometry = z.discriminatedUnion('type', [
  z.object({ type: z.literal('Point'), coordinates: position }),
  z.object({ type: z.literal('MultiPoint'), coordinates: z.array(position) }),
  z.object({ type: z.literal('LineString'), coordinates: z.array(position).max(MOST_POINTS) }),
  z.object({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position).max(MOST_POINTS)) }),
]);
const feature = z.object({
  type: z.literal('Feature'),
  properties: z.record(z.string(), z.unknown()).nullable().optional(),
  geometry: z.unknown(),
});
const collection = z.object({ type: z.literal('FeatureCollection'), features: z.array(feature) });

const word = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Reads GeoJSON (RFC 7946): lines as tracks, points as waypoints; what is neither is named as left out. */
export function parseGeojson(text: string): Result<Imported> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return fail(`The file is not whole: ${(error as Error).message}.`);
  }
  const whole = z.union([collection, feature]).safeParse(value);
  const features = whole.success
    ? 'features' in whole.data
      ? whole.data.features
      : [whole.data]
    : [{ type: 'Feature' as const, properties: null, geometry: value }];
  const result: Imported = { name: '', tracks: [], waypoints: [], leftOut: [] };
  for (const { properties, geometry: raw } of features) {
    const shape = geometry.safeParse(raw);
    const name = word(properties?.name);
    if (!shape.success) {
      result.leftOut.push(`${name || 'A feature'} is neither a line nor a point.`);
      continue;
    }
    const { type, coordinates } = shape.data;
    if (type === 'LineString' || type === 'MultiLineString')
      for (const line of type === 'LineString' ? [coordinates] : coordinates) {
        const kept = line.filter(([lon, lat]) => isOnEarth(lat, lon));
        if (kept.length < line.length)
          result.leftOut.push(
            `${line.length - kept.length} points of ${name || 'a line'} are nowhere on the earth.`,
          );
        if (kept.length < 2) continue;
        result.tracks.push({
          name: nameFrom(name, ''),
          lat: kept.map(([, lat]) => lat),
          lon: kept.map(([lon]) => lon),
          heightM: kept.map(([, , height]) => height ?? NaN),
        });
      }
    else
      for (const [lon, lat] of type === 'Point' ? [coordinates] : coordinates)
        if (isOnEarth(lat, lon))
          result.waypoints.push({
            name: nameFrom(name, 'Place'),
            lat,
            lon,
            kind: placeKindOf(word(properties?.symbol), word(properties?.type), name),
            note: noteFrom(word(properties?.note ?? properties?.description)),
            ...(word(properties?.opening_hours) && {
              hours: noteFrom(word(properties?.opening_hours)).slice(0, 255),
            }),
          });
  }
  if (result.tracks.length === 0 && result.waypoints.length === 0)
    return fail('There is no line or point in this file.');
  return ok(result);
}

/** The route as GeoJSON: its line with heights, and its places. */
export function writeGeojson(route: Route): string {
  const { lat, lon, height } = lineOf(route);
  const features = [
    {
      type: 'Feature',
      properties: { name: route.name },
      geometry: {
        type: 'LineString',
        coordinates: Array.from(lat, (value, i) => [lon[i], value, Math.round(10 * height[i]!) / 10]),
      },
    },
    ...route.places.map(({ name, kind, note, hours, lat, lon }) => ({
      type: 'Feature',
      properties: { name, type: kind, note, ...(hours && { opening_hours: hours.text }) },
      geometry: { type: 'Point', coordinates: [lon, lat] },
    })),
  ];
  return `${JSON.stringify({ type: 'FeatureCollection', features })}\n`;
}
