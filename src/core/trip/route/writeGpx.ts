import { cutTo } from '@/core/units/text';
import { lineOf, type Route } from './route';

const ESCAPES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
};
const escaped = (text: string): string =>
  text
    .replace(/[&<>"']/g, (letter) => ESCAPES[letter]!)
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '');

/** A part of a route that is written as one track. */
export interface Leg {
  name: string;
  fromM: number;
  toM: number;
}

/**
 * The route as GPX 1.1: every place as a waypoint, and one track for the whole or one for each day.
 *
 * @param legs the tracks to write; each takes the points from its start to its end
 * @param limits of a device: so many points in a track, evenly left out, and so many letters in a name
 */
export function writeGpx(
  route: Route,
  legs: readonly Leg[],
  limits: { points: number; nameLetters: number } = { points: Infinity, nameLetters: 120 },
): string {
  const { lat, lon, height, stepM } = lineOf(route);
  const degrees = (value: number) => value.toFixed(6);
  const waypoints = route.places.map(
    (place) =>
      `  <wpt lat="${degrees(place.lat)}" lon="${degrees(place.lon)}">\n    <name>${escaped(cutTo(place.name, limits.nameLetters))}</name>${
        place.hours ? `\n    <cmt>Open: ${escaped(place.hours.text)}</cmt>` : ''
      }${
        place.note ? `\n    <desc>${escaped(place.note)}</desc>` : ''
      }\n    <sym>${escaped(place.kind)}</sym>\n    <type>${escaped(place.kind)}</type>\n  </wpt>`,
  );
  const tracks = legs.map(({ name, fromM, toM }) => {
    const points: string[] = [];
    const first = Math.ceil(fromM / stepM - 1e-6);
    const last = Math.min(lat.length - 1, Math.floor(toM / stepM + 1e-6));
    const every = Math.max(1, Math.ceil((last - first) / (limits.points - 1)));
    for (let i = first; i <= last; i = i < last ? Math.min(last, i + every) : i + 1)
      points.push(
        `      <trkpt lat="${degrees(lat[i]!)}" lon="${degrees(lon[i]!)}"><ele>${height[i]!.toFixed(1)}</ele></trkpt>`,
      );
    return `  <trk>\n    <name>${escaped(cutTo(name, limits.nameLetters))}</name>\n    <trkseg>\n${points.join('\n')}\n    </trkseg>\n  </trk>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Gorvin" xmlns="http://www.topografix.com/GPX/1/1" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="http://www.topografix.com/GPX/1/1 http://www.topografix.com/GPX/1/1/gpx.xsd">
  <metadata>
    <name>${escaped(route.name)}</name>
  </metadata>
${[...waypoints, ...tracks].join('\n')}
</gpx>
`;
}
