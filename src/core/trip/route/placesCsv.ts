import Papa from 'papaparse';
import { fail, ok, type Result } from '@/core/result';
import { isOnEarth, placeKindOf, type Imported } from './imported';
import { nameFrom, noteFrom, PLACE_KINDS, type PlaceKind } from './route';

const COLUMNS: Record<'name' | 'kind' | 'lat' | 'lon' | 'note' | 'hours', readonly string[]> = {
  name: ['name', 'place', 'title'],
  kind: ['kind', 'what', 'type', 'category'],
  lat: ['lat', 'latitude'],
  lon: ['lon', 'lng', 'long', 'longitude'],
  note: ['note', 'notes', 'description', 'comment'],
  hours: ['hours', 'opening hours', 'opening_hours', 'open'],
};

/**
 * Reads a table of places: a heading with at least latitude and longitude, in degrees. A row that cannot be read is left out and
 * named.
 *
 * @example parsePlacesCsv('name,kind,lat,lon\nWell,water,45,-30').value.waypoints[0].kind // 'water'
 */
export function parsePlacesCsv(text: string): Result<Imported> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const heading = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const column = (name: keyof typeof COLUMNS) => heading.findIndex((cell) => COLUMNS[name].includes(cell));
  const [lat, lon] = [column('lat'), column('lon')];
  if (lat < 0 || lon < 0)
    return fail('The first row needs the headings lat and lon (and name, kind, note, hours).');
  const result: Imported = { name: '', tracks: [], waypoints: [], leftOut: [] };
  data.slice(1).forEach((row, i) => {
    const cell = (name: keyof typeof COLUMNS) => row[column(name)]?.trim() ?? '';
    const degrees = (at: number) => (row[at]?.trim() ? Number(row[at].replace(',', '.')) : NaN);
    const [y, x] = [degrees(lat), degrees(lon)];
    if (!isOnEarth(y, x)) {
      result.leftOut.push(`Row ${i + 2} has no latitude and longitude that can be read.`);
      return;
    }
    const own = PLACE_KINDS.find((kind) => kind === cell('kind').toLowerCase());
    const kind: PlaceKind = own ?? placeKindOf('', cell('kind'), cell('name'));
    result.waypoints.push({
      name: nameFrom(cell('name'), kind),
      lat: y,
      lon: x,
      kind,
      note: noteFrom(cell('note')),
      ...(cell('hours') && { hours: noteFrom(cell('hours')).slice(0, 255) }),
    });
  });
  return result.waypoints.length > 0 ? ok(result) : fail('There is no place in this table.');
}
