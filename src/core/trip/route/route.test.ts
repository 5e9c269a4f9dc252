import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { decodeDeltas, encodeDeltas } from './deltas';
import { cleanHeights, climbOf } from './elevation';
import { distanceM, nearestOnLine } from './geo';
import { parseGeojson, writeGeojson } from './geojson';
import { parseGpx } from './gpx';
import { placeKindOf } from './imported';
import { makeRoute } from './makeRoute';
import { resample } from './resample';
import { lineOf, routeSchema, type Route } from './route';
import { writeGpx } from './writeGpx';

const noHeights = () => Promise.reject(new Error('not asked for'));
let ids = 0;
const makeId = () => `place-${(ids += 1)}`;

/** Due north along a meridian, a point every 50 m. */
const north = (heights: readonly number[]) => ({
  name: 'North',
  lat: heights.map((_, i) => 48 + (i * 50) / 111_195),
  lon: heights.map(() => 9),
  heightM: [...heights],
});

async function routeOf(gpx: string): Promise<Route> {
  const parsed = parseGpx(gpx);
  if (!parsed.ok) throw new Error(parsed.error);
  const { tracks, waypoints } = parsed.value;
  const made = await makeRoute(tracks, waypoints, noHeights, makeId);
  if (!made.ok) throw new Error(made.error);
  return made.value;
}

test('climb of the worked example in methods, section 6', () => {
  expect(climbOf([100, 101, 100, 102, 100, 110, 109, 111, 105, 104, 112])).toEqual({
    climbM: 19,
    descentM: 7,
  });
  expect(climbOf([100, 102, 100, 102, 100])).toEqual({ climbM: 0, descentM: 0 });
});

test('cleaning removes a spike, keeps a steady slope, and never adds climb to a flat track', () => {
  const slope = Array.from({ length: 200 }, (_, i) => 100 + i);
  expect(climbOf(cleanHeights(slope, 20)).climbM).toBeCloseTo(199, 6);
  const spiked = slope.map((height, i) => (i === 90 ? height + 80 : height));
  expect(climbOf(cleanHeights(spiked, 20)).climbM).toBeCloseTo(199, 0);
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1.4, max: 1.4, noNaN: true }), { minLength: 2, maxLength: 300 }),
      fc.integer({ min: 5, max: 60 }),
      (jitter, stepM) => {
        const { climbM, descentM } = climbOf(cleanHeights(jitter, stepM));
        expect(climbM + descentM).toBe(0);
      },
    ),
    { seed: 6 },
  );
});

test('numbers coded as text come back, and other text is refused', () => {
  // By hand: differences 10, 2, −1; zigzag 20, 4, 1; letters 63 further on.
  expect(encodeDeltas([10, 12, 11])).toBe('SC@');
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -18_000_000, max: 18_000_000 })), (values) => {
      expect([...decodeDeltas(encodeDeltas(values))!]).toEqual(values);
    }),
    { seed: 7 },
  );
  for (const broken of ['!', '_', '____________', 'I_']) expect(decodeDeltas(broken)).toBeNull();
});

test('distances and nearest points, across the antimeridian too', () => {
  expect(distanceM(48, 9, 49, 9)).toBeCloseTo(111_195, 0);
  expect(distanceM(0, 179.5, 0, -179.5)).toBeCloseTo(111_195, 0);
  const lat = [48, 48.01, 48.02];
  const lon = [9, 9, 9];
  const { alongM, offM } = nearestOnLine(lat, lon, 1111.95, 48.015, 9.01);
  expect(alongM).toBeCloseTo(1.5 * 1111.95, 0);
  expect(offM).toBeCloseTo(0.01 * 111_195 * Math.cos((48.015 * Math.PI) / 180), 0);
  const crossing = resample({ lat: [0, 0], lon: [179.9, -179.9], heightM: [0, 0] }, 1000);
  expect(crossing.lengthM).toBeCloseTo(22_239, 0);
  expect(crossing.lon.every((value) => Math.abs(value) > 179.8)).toBe(true);
});

test('a track at even steps keeps its ends, its length and its heights', () => {
  const heights = Array.from({ length: 101 }, (_, i) => 100 + 2 * i);
  const { lat, heightM, stepM, lengthM } = resample(north(heights), 20);
  expect(lengthM).toBeCloseTo(5000, 0);
  expect(stepM).toBeCloseTo(20, 3);
  expect([heightM[0], heightM.at(-1)]).toEqual([100, 300]);
  expect(lat.at(-1)).toBeCloseTo(48 + 5000 / 111_195, 9);
  expect(heightM[5]).toBeCloseTo(104, 3);
});

const GPX = `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><metadata><name>Loop &amp; back</name></metadata>
<wpt lat="48.01" lon="9.001"><name>Upper spring</name><sym>Drinking Water</sym><desc>behind the chapel</desc></wpt>
<wpt lat="48.02" lon="9.0"><name>Meadow</name><type>Campsite</type></wpt>
<trk><name>Day one</name><trkseg>
${Array.from({ length: 120 }, (_, i) => `<trkpt lat="${48 + i / 4000}" lon="9"><ele>${200 + i}</ele></trkpt>`).join('\n')}
</trkseg></trk></gpx>`;

test('a GPX file is read with its waypoints, and what is written is read back', async () => {
  const route = await routeOf(GPX);
  expect(route).toMatchObject({
    name: 'Day one',
    heightsFrom: 'the file',
    recorded: { points: 120, climbM: 119 },
  });
  expect(route.places).toMatchObject([
    { name: 'Upper spring', kind: 'water', note: 'behind the chapel' },
    { name: 'Meadow', kind: 'campsite' },
  ]);
  expect(lineOf(route).cleaned.climbM).toBeCloseTo(119, -1);
  const again = await routeOf(writeGpx(route, [{ name: 'All', fromM: 0, toM: route.lengthM }]));
  expect(again.lengthM).toBeCloseTo(route.lengthM, 0);
  expect(again.places.map(({ id: _id, ...place }) => place)).toEqual(
    route.places.map(({ id: _id, ...place }) => place),
  );
  const asGeojson = parseGeojson(writeGeojson(route));
  expect(asGeojson.ok && asGeojson.value.waypoints.map(({ kind }) => kind)).toEqual(['water', 'campsite']);
  // Two days: together as many points as the whole, the shared one twice.
  const half = route.lengthM / 2;
  const days = parseGpx(
    writeGpx(route, [
      { name: '1', fromM: 0, toM: half },
      { name: '2', fromM: half, toM: route.lengthM },
    ]),
  );
  expect(days.ok && days.value.tracks.map(({ name }) => name)).toEqual(['1', '2']);
});

test.each([
  ['truncated', GPX.slice(0, 900), /not whole.*line \d+/],
  [
    'an entity bomb',
    `<!DOCTYPE gpx [<!ENTITY a "ha"><!ENTITY b "&a;&a;">]><gpx><trk><name>&b;</name></trk></gpx>`,
    /not whole|no track/,
  ],
  ['another format', '<kml></kml>', /no GPX file: it begins with <kml> \(line 1\)/],
  [
    'a point without a latitude',
    '<gpx><trk><trkseg><trkpt lon="1"/></trkseg></trk></gpx>',
    /without a latitude.*line 1/,
  ],
  [
    'a single point',
    '<gpx><trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk></gpx>',
    /no track, route or waypoint/,
  ],
  ['nothing', '', /not whole|no track/],
])('%s is refused with a reason', (_name, text, reason) => {
  const parsed = parseGpx(text);
  expect(parsed.ok ? '' : parsed.error).toMatch(reason);
});

test('points that are nowhere, heights that are no numbers, and files that stand still', async () => {
  const odd = parseGpx(
    GPX.replace('<trkpt lat="48" lon="9">', '<trkpt lat="0" lon="0">').replace(
      '<ele>210</ele>',
      '<ele>NaN</ele>',
    ),
  );
  expect(odd.ok && odd.value.leftOut).toEqual(['One point is nowhere on the earth, or at 0/0.']);
  // One missing height is filled from its neighbours.
  const made = odd.ok ? await makeRoute(odd.value.tracks, [], noHeights, makeId) : null;
  expect(made).toMatchObject({ ok: true, value: { heightsFrom: 'the file' } });
  const still = await makeRoute([north([1, 1])], [], noHeights, makeId);
  expect(still).toMatchObject({ ok: false, error: expect.stringMatching(/shorter than 100 m/) });
  const without = await makeRoute(
    [north(Array.from({ length: 50 }, () => NaN))],
    [],
    async (lat) => lat.map(() => 7),
    makeId,
  );
  expect(without).toMatchObject({ ok: true, value: { heightsFrom: 'the elevation service' } });
});

test('an independent converter reads what is written: every point, height and waypoint', async () => {
  const route = await routeOf(GPX);
  const gpx = writeGpx({ ...route, name: 'Rock & roll <1>' }, [
    { name: 'All', fromM: 0, toM: route.lengthM },
  ]);
  /** As rows of a table, the first of which names the columns. */
  const read = (...filters: string[]) =>
    execFileSync(
      'gpsbabel',
      ['-i', 'gpx', '-f', '-', ...filters.flatMap((filter) => ['-x', filter]), '-o', 'unicsv', '-F', '-'],
      { input: gpx, encoding: 'utf8' },
    )
      .trim()
      .split(/\r?\n/)
      .map((row) => row.split(','));
  const line = lineOf(route);
  const [columns, ...points] = read('nuketypes,waypoints', 'transform,wpt=trk');
  expect(points).toHaveLength(line.lat.length);
  const last = points.at(-1)!;
  expect(Number(last[columns!.indexOf('Latitude')])).toBeCloseTo(line.lat.at(-1)!, 5);
  expect(Number(last[columns!.indexOf('Altitude')])).toBeCloseTo(line.height.at(-1)!, 0);
  const [, ...places] = read('nuketypes,tracks');
  expect(places.map((row) => row[3])).toEqual(['"Upper spring"', '"Meadow"']);
});

test('what a waypoint marks', () => {
  expect(placeKindOf('Drinking Water', '', 'Village')).toBe('water');
  expect(placeKindOf('', '', 'Bicycle shop at the bridge')).toBe('bike repair');
  expect(placeKindOf('Flag, Blue', '', 'Railway station')).toBe('station');
  expect(placeKindOf('café', '', 'Rim')).toBe('café');
  expect(placeKindOf('', '', 'Viewpoint')).toBe('other');
});

test('notes and names of a file become one line of plain text, and nothing else is taken', async () => {
  const line = {
    type: 'LineString',
    coordinates: [
      [9, 48, 1],
      [9, 48.01, 1],
    ],
  };
  const point = { type: 'Point', coordinates: [9, 48] };
  const feature = (geometry: object, properties: object) => ({ type: 'Feature', properties, geometry });
  const note = `two\nlines \u0000${'🏕️'.repeat(400)}`;
  const parsed = parseGeojson(
    JSON.stringify({
      type: 'FeatureCollection',
      features: [feature(line, { name: 'Way' }), feature(point, { name: '\u0000Spring', note })],
    }),
  );
  if (!parsed.ok) throw new Error(parsed.error);
  const made = await makeRoute(parsed.value.tracks, parsed.value.waypoints, noHeights, makeId);
  expect(made.ok && made.value.places[0]!.note).toMatch(/^two lines .*🏕/u);
  if (!made.ok) throw new Error(made.error);
  const place = { ...made.value.places[0]!, note: 'a\u0000b' };
  expect(routeSchema.safeParse({ ...made.value, places: [place] }).success).toBe(false);
});

test('a route whose line is broken is refused by its schema', async () => {
  const route = await routeOf(GPX);
  expect(routeSchema.safeParse({ ...route, height: route.height.slice(0, -1) }).success).toBe(false);
  expect(routeSchema.safeParse({ ...route, timeZone: 'Mars/Olympus' }).success).toBe(false);
});
