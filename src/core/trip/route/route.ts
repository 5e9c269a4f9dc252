import { z } from 'zod';
import { idSchema, nameSchema } from '@/core/units/measures';
import { cutTo, isOneLine, plainText } from '@/core/units/text';
import { decodeDeltas, encodeDeltas } from './deltas';
import { hoursSchema } from './hours';
import { cleanHeights, climbOf, type Climb } from './elevation';

/** What the ground is like; sets how hard it rolls and how fast it is ridden down (methods, section 6). */
export const GROUNDS = ['asphalt', 'fine gravel', 'rough gravel', 'trail', 'soft'] as const;
export type Ground = (typeof GROUNDS)[number];

export const PLACE_KINDS = [
  'water',
  'shop',
  'café',
  'campsite',
  'hut',
  'hotel',
  'wild camp',
  'socket',
  'station',
  'bike repair',
  'pharmacy',
  'medical help',
  'other',
] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export const WATERS = ['reliable', 'seasonal', 'doubtful'] as const;

export const placeSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(PLACE_KINDS),
  lat: z.number().min(-90).max(90),
  lon: z.number().min(-180).max(180),
  note: z.string().max(500).refine(isOneLine, 'A note is one line of plain text.').default(''),
  /** Of water: whether it can be relied upon. */
  water: z.enum(WATERS).default('reliable'),
  /** Null where it is not known, or nothing that opens. */
  hours: z.union([hoursSchema, z.null()]).default(null),
});
export type Place = z.infer<typeof placeSchema>;

export const ROUTE_LIMITS = { lengthM: 2_000_000, places: 1000, stretches: 500, stops: 30 } as const;

const alongM = z.number().min(0).max(ROUTE_LIMITS.lengthM);
const coded = (most: number) =>
  z
    .string()
    .max(most, 'The route is too long.')
    .refine((text) => decodeDeltas(text) !== null, 'The route cannot be read.');

const bareRouteSchema = z.object({
  name: nameSchema,
  /** The line at even steps: hundred-thousandths of a degree, and decimetres of height, each coded by `encodeDeltas`. */
  lat: coded(700_000),
  lon: coded(700_000),
  height: coded(700_000),
  lengthM: z.number().positive().max(ROUTE_LIMITS.lengthM, 'A route has at most 2000 km.'),
  heightsFrom: z.enum(['the file', 'the elevation service']),
  /** As it came, before it was cleaned. */
  recorded: z.object({ points: z.int().min(2), climbM: z.number().min(0), descentM: z.number().min(0) }),
  /** Where the ground changes, and to what; before the first, as the trip says. */
  stretches: z.array(z.object({ fromM: alongM, ground: z.enum(GROUNDS) })).max(ROUTE_LIMITS.stretches),
  places: z.array(placeSchema).max(ROUTE_LIMITS.places, 'A route has at most 1000 places.'),
  /** Where each day but the last ends; null lets them be suggested. */
  stops: z.union([z.array(alongM).max(ROUTE_LIMITS.stops), z.null()]),
  /** Minutes after midnight at which the days begin. */
  startMin: z.int().min(0).max(1439).default(510),
  /** Of the first day alone, where it begins later: the train comes in. */
  firstStartMin: z.union([z.int().min(0).max(1439), z.null()]).default(null),
  /** Of the last day, when it has to end: the train leaves. */
  endByMin: z.union([z.int().min(0).max(1439), z.null()]).default(null),
  timeZone: z.string().max(60).refine(isTimeZone, 'This time zone does not exist.').default('UTC'),
});

/** A way to ride, at even steps, with what lies along it. */
export const routeSchema = bareRouteSchema.refine(
  ({ lat, lon, height }) => {
    const [a, b, c] = [lat, lon, height].map((text) => decodeDeltas(text)?.length);
    return a !== undefined && a >= 2 && a === b && b === c;
  },
  { message: 'The line of the route does not have as many heights as points.' },
);
export type Route = z.infer<typeof routeSchema>;
/** What is changed of a route without bringing a new line. */
export const routePatchSchema = z.object({
  name: bareRouteSchema.shape.name.optional(),
  stretches: bareRouteSchema.shape.stretches.optional(),
  places: bareRouteSchema.shape.places.optional(),
  stops: bareRouteSchema.shape.stops.optional(),
  startMin: bareRouteSchema.shape.startMin.unwrap().optional(),
  firstStartMin: bareRouteSchema.shape.firstStartMin.unwrap().optional(),
  endByMin: bareRouteSchema.shape.endByMin.unwrap().optional(),
  timeZone: bareRouteSchema.shape.timeZone.unwrap().optional(),
});
export type RoutePatch = z.infer<typeof routePatchSchema>;

export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** A route's line, decoded: everything has the same length, and point i is i · stepM along. */
export interface Line {
  lat: Float64Array;
  lon: Float64Array;
  /** Metres, cleaned. */
  height: Float64Array;
  stepM: number;
  lengthM: number;
  cleaned: Climb;
}

const DEGREE = 1e5;
const lines = new WeakMap<Route, Line>();
const known = new Map<string, Line>();

/** The line of a route; the same object while the line is the same, whatever else of the route changes. */
export function lineOf(route: Route): Line {
  let line = lines.get(route);
  if (!line) lines.set(route, (line = decodedLine(route)));
  return line;
}

function decodedLine(route: Route): Line {
  const key = `${route.lengthM} ${route.lat} ${route.lon} ${route.height}`;
  const found = known.get(key);
  if (found) return found;
  const lat = Float64Array.from(decodeDeltas(route.lat)!, (value) => value / DEGREE);
  const lon = Float64Array.from(decodeDeltas(route.lon)!, (value) => value / DEGREE);
  const stepM = route.lengthM / (lat.length - 1);
  const height = cleanHeights(
    Float64Array.from(decodeDeltas(route.height)!, (value) => value / 10),
    stepM,
  );
  const line = { lat, lon, height, stepM, lengthM: route.lengthM, cleaned: climbOf(height) };
  // A page shows one route; a server a few.
  if (known.size >= 8) known.delete(known.keys().next().value!);
  known.set(key, line);
  return line;
}

/** Codes a line, heights as they were before cleaning. */
export function codedLine({
  lat,
  lon,
  heightM,
}: {
  lat: Float64Array;
  lon: Float64Array;
  heightM: Float64Array;
}): Pick<Route, 'lat' | 'lon' | 'height'> {
  const coded = (values: Float64Array, scale: number) =>
    encodeDeltas(Array.from(values, (value) => Math.round(value * scale)));
  return { lat: coded(lat, DEGREE), lon: coded(lon, DEGREE), height: coded(heightM, 10) };
}

/** One line of plain text from a file, or what stands in for none. */
export const nameFrom = (text: string | undefined, fallback: string): string =>
  oneLine(text ?? '', 120) || fallback;
export const noteFrom = (text: string): string => oneLine(text, 500);

const oneLine = (text: string, most: number): string =>
  cutTo(plainText(text.replace(/\s+/g, ' ')).trim(), most);
