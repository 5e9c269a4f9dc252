import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { fail, ok, type Result } from '@/core/result';
import { isOnEarth, MOST_POINTS, placeKindOf, type Imported, type ImportedTrack } from './imported';
import { nameFrom, noteFrom } from './route';

/** Nested deeper than any GPX. */
const MOST_DEPTH = 50;
const CHUNK = 200_000;

interface Point {
  lat: number;
  lon: number;
  heightM: number;
  name: string;
  sym: string;
  type: string;
  desc: string;
  cmt: string;
}

/**
 * Reads GPX 1.0 and 1.1: tracks (their segments joined), routes and waypoints. A streaming parser that knows no entities but the five of
 * XML, so that a file cannot make itself larger. An error names the line.
 *
 * @param onProgress told how much is done, from 0 to 1
 * @example parseGpx('<gpx><trk><trkseg><trkpt lat="1" lon="2"/>…').value.tracks[0].lat // [1, …]
 */
export function parseGpx(
  text: string,
  onProgress: (done: number) => void = () => undefined,
): Result<Imported> {
  const result: Imported = { name: '', tracks: [], waypoints: [], leftOut: [] };
  const parser = new SaxesParser();
  const path: string[] = [];
  let problem: string | null = null;
  let track: ImportedTrack | null = null;
  let point: Point | null = null;
  let words = '';
  let points = 0;
  let elsewhere = 0;
  const at = () => `line ${parser.line}`;
  const stop = (sentence: string) => {
    problem ??= sentence;
  };
  const number = (value: string | undefined) =>
    value === undefined || value.trim() === '' ? NaN : Number(value);

  parser.on('error', (error) =>
    stop(`The file is not whole: ${error.message.replace(/^\d+:\d+: /, '')} (${at()}).`),
  );
  parser.on('opentag', ({ name, attributes }: SaxesTagPlain) => {
    const tag = name.replace(/^.*:/, '');
    if (path.length === 0 && tag !== 'gpx') stop(`This is no GPX file: it begins with <${tag}> (${at()}).`);
    path.push(tag);
    if (path.length > MOST_DEPTH) stop(`The file is nested too deeply (${at()}).`);
    words = '';
    if (tag === 'trk' || tag === 'rte') track = { name: '', lat: [], lon: [], heightM: [] };
    else if (tag === 'trkpt' || tag === 'rtept' || tag === 'wpt') {
      const [lat, lon] = [number(attributes.lat), number(attributes.lon)];
      points += 1;
      if (points > MOST_POINTS) stop(`The file has more than ${MOST_POINTS} points.`);
      if (Number.isNaN(lat) || Number.isNaN(lon))
        stop(`A point without a latitude and a longitude that can be read (${at()}).`);
      else if (!isOnEarth(lat, lon)) elsewhere += 1;
      point = { lat, lon, heightM: NaN, name: '', sym: '', type: '', desc: '', cmt: '' };
    }
  });
  parser.on('text', (text) => (words += text));
  parser.on('cdata', (text) => (words += text));
  parser.on('closetag', () => {
    const tag = path.pop()!;
    const text = words.trim();
    words = '';
    if (point) {
      if (tag === 'ele') point.heightM = number(text);
      else if (tag === 'name' || tag === 'sym' || tag === 'type' || tag === 'desc' || tag === 'cmt')
        point[tag] = text;
      else if (tag === 'trkpt' || tag === 'rtept') {
        if (track && isOnEarth(point.lat, point.lon)) {
          track.lat.push(point.lat);
          track.lon.push(point.lon);
          track.heightM.push(Math.abs(point.heightM) < 9500 ? point.heightM : NaN);
        }
        point = null;
      } else if (tag === 'wpt') {
        const { lat, lon, name, sym, type, desc, cmt } = point;
        const hours = /^(?:open|opening hours):\s*(.+)$/i.exec(noteFrom(cmt))?.[1];
        if (isOnEarth(lat, lon))
          result.waypoints.push({
            name: nameFrom(name, 'Place'),
            lat,
            lon,
            kind: placeKindOf(sym, type, name),
            note: noteFrom(desc),
            ...(hours && { hours: hours.slice(0, 255) }),
          });
        point = null;
      }
      return;
    }
    if (tag === 'name' && track) track.name = nameFrom(text, '');
    else if (tag === 'name' && result.name === '') result.name = nameFrom(text, '');
    else if ((tag === 'trk' || tag === 'rte') && track) {
      if (track.lat.length >= 2) result.tracks.push(track);
      else result.leftOut.push(`${track.name || 'A track'} has fewer than two points.`);
      track = null;
    }
  });

  for (let i = 0; i < text.length && problem === null; i += CHUNK) {
    parser.write(text.slice(i, i + CHUNK));
    onProgress(Math.min(1, (i + CHUNK) / text.length));
  }
  if (problem === null) parser.close();
  if (problem !== null) return fail(problem);
  if (elsewhere > 0)
    result.leftOut.push(
      `${elsewhere === 1 ? 'One point is' : `${elsewhere} points are`} nowhere on the earth, or at 0/0.`,
    );
  if (result.tracks.length === 0 && result.waypoints.length === 0)
    return fail('There is no track, route or waypoint in this file.');
  return ok(result);
}
