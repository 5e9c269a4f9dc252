import type { PlaceKind } from './route';

/** A track or route of a file, point by point. */
export interface ImportedTrack {
  name: string;
  lat: number[];
  lon: number[];
  /** NaN where the file has none. */
  heightM: number[];
}

export interface Waypoint {
  name: string;
  lat: number;
  lon: number;
  kind: PlaceKind;
  note: string;
  /** Opening hours as they were written. */
  hours?: string;
}

/** What a file held, to be looked at before it becomes a route. */
export interface Imported {
  name: string;
  tracks: ImportedTrack[];
  waypoints: Waypoint[];
  /** What was left out, and why; empty where everything was understood. */
  leftOut: string[];
}

/** The most points that are read. */
export const MOST_POINTS = 1_000_000;

/** Words in a waypoint's symbol, type or name that say what is there; the first that is found counts. */
const WORDS: readonly [PlaceKind, RegExp][] = [
  ['campsite', /\bcamp ?(site|ing|ground)\b|\btent\b/],
  ['wild camp', /\b(wild ?camp|bivouac|bivvy)\b/],
  ['hut', /\b(hut|shelter|lodge|bothy)\b/],
  ['hotel', /\b(hotel|hostel|inn|guest ?house|lodging|bed and breakfast|b&b)\b/],
  ['water', /\b(water|drinking|spring|fountain|well|tap)\b/],
  ['café', /\bcaf[eé](?!\p{L})|\b(coffee|restaurant|pub|bar|food)\b/u],
  ['shop', /\b(shop|shopping|store|supermarket|grocery|bakery|market)\b/],
  ['station', /\b(station|train|railway|bus|ferry)\b/],
  ['bike repair', /\b(bike|bicycle|cycle)\b.*\b(repair|shop|workshop)\b|\brepair\b/],
  ['pharmacy', /\b(pharmacy|chemist|drugstore)\b/],
  ['medical help', /\b(hospital|doctor|medical|first aid|clinic)\b/],
  ['socket', /\b(socket|outlet|charging|charge)\b/],
];

/**
 * What a waypoint marks, by its symbol and type, else by its name.
 *
 * @example placeKindOf('Drinking Water', '', 'Village') // 'water'
 */
export function placeKindOf(symbol: string, type: string, name: string): PlaceKind {
  for (const text of [symbol, type, name].map((words) => words.toLowerCase().replace(/[_-]/g, ' '))) {
    // A shop for bicycles is no shop for food.
    if (/\b(bike|bicycle)\b/.test(text) && /\b(shop|repair|workshop)\b/.test(text)) return 'bike repair';
    const found = WORDS.find(([, words]) => words.test(text));
    if (found) return found[0];
  }
  return 'other';
}

/** Whether a point is on the earth; 0/0 is where receivers are that do not know. */
export const isOnEarth = (lat: number, lon: number): boolean =>
  Math.abs(lat) <= 90 && Math.abs(lon) <= 180 && !(lat === 0 && lon === 0);
