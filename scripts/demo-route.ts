// npx tsx scripts/demo-route.ts: draws the demo's route over the invented region and writes src/core/demo/route.ts.
import { writeFileSync } from 'node:fs';
import { makeRoute } from '@/core/trip/route/makeRoute';
import type { PlaceKind } from '@/core/trip/route/route';
import { readHours } from '@/workers/readHours';
import { fromKm, heightAt, REGION, riverNorthKm } from '@/standins/terrain';

/** Kilometres east and north of the region's middle; null: on the river's bank, so far east. */
const CORNERS: readonly (readonly [east: number, north: number | null])[] = [
  ...([
    [9, null],
    [8.2, null],
    [7.2, null],
  ] as const),
  ...([
    [6.6, 1.2],
    [7.6, 3.4],
    [6.2, 5.2],
    [7.2, 7.6],
    [5.4, 9.8],
    [2.6, 10.6],
    [0.6, 9.2],
  ] as const),
  ...([
    [-1.2, 7.2],
    [-3.6, 8.4],
    [-5.8, 7.4],
    [-7.4, 9.6],
    [-10.2, 9.4],
    [-12.4, 7.2],
    [-14.8, 7.8],
  ] as const),
  ...([
    [-16.6, 5.6],
    [-15.4, 3.2],
    [-16.8, 0.8],
    [-15.2, -1.6],
  ] as const),
  ...([
    [-14, null],
    [-12.6, null],
    [-11, null],
    [-9.4, null],
    [-8, null],
    [-6.4, null],
  ] as const),
  ...([
    [-5, -8.8],
    [-3.2, -10.8],
    [-0.8, -10.2],
    [1.2, -11.6],
    [3.4, -10.2],
  ] as const),
  ...([
    [4.6, null],
    [6, null],
    [7.4, null],
    [9, null],
  ] as const),
];
/** Along the way as a share of its length, and how many metres to the side. */
const PLACES: readonly [
  at: number,
  sideM: number,
  kind: PlaceKind,
  name: string,
  note: string,
  hours?: string,
][] = [
  [0, 60, 'station', 'Valley halt', 'Trains every two hours'],
  [0.03, 40, 'shop', 'Village shop', 'Bread, cheese, gas', 'Mo-Fr 07:30-18:30; Sa 08:00-13:00'],
  [0.035, 90, 'water', 'Village fountain', ''],
  [0.12, 150, 'water', 'Spring below the rim', 'A pipe by the track'],
  [0.2, 700, 'café', 'Rim café', '', 'Mo-Su 10:00-18:00'],
  [0.29, 120, 'campsite', 'Plateau meadow', 'Toilets, no shower'],
  [0.295, 250, 'water', 'Meadow tap', ''],
  [0.36, 300, 'shop', 'Farm shop', 'Eggs, milk, bread', 'Mo-Fr 09:00-12:00,14:00-18:00'],
  [0.52, 200, 'water', 'Cattle trough', 'Treat it; may be dry'],
  [0.6, 180, 'water', 'Chapel well', ''],
  [0.67, 80, 'campsite', 'River bend', 'By the water, kitchen shelter'],
  [0.672, 130, 'water', 'River bend tap', ''],
  [0.68, 500, 'hut', 'Ferry hut', 'Six places'],
  [0.74, 150, 'bike repair', 'Mill workshop', '', 'Mo-Fr 08:00-17:00'],
  [0.745, 250, 'pharmacy', 'Mill village pharmacy', '', 'Mo-Sa 08:30-12:30'],
  [0.75, 200, 'station', 'Mill village station', ''],
  [0.88, 220, 'water', 'Wayside spring', ''],
];

function spline(points: readonly (readonly [number, number])[], perKm: number): [number, number][] {
  const result: [number, number][] = [];
  for (let i = 0; i < points.length - 1; i += 1) {
    const [a, b, c, d] = [
      points[Math.max(0, i - 1)]!,
      points[i]!,
      points[i + 1]!,
      points[Math.min(points.length - 1, i + 2)]!,
    ];
    const steps = Math.ceil(Math.hypot(c[0] - b[0], c[1] - b[1]) * perKm);
    for (let k = 0; k < steps; k += 1) {
      const t = k / steps;
      const at = (n: 0 | 1) =>
        0.5 *
        (2 * b[n] +
          (c[n] - a[n]) * t +
          (2 * a[n] - 5 * b[n] + 4 * c[n] - d[n]) * t * t +
          (3 * b[n] - a[n] - 3 * c[n] + d[n]) * t ** 3);
      result.push([at(0), at(1)]);
    }
  }
  result.push([...points.at(-1)!]);
  return result;
}

const corners = CORNERS.map(([east, north]) => [east, north ?? riverNorthKm(east) + 0.35] as const);
// Tracks do not run straight: they wind around what is in the way, most where it is steep.
const line = spline(corners, 30).map(([x, y], i): [number, number] => [
  x + 0.07 * Math.sin(i / 7) + 0.04 * Math.sin(i / 2.7),
  y + 0.07 * Math.cos(i / 5.3) + 0.04 * Math.sin(i / 3.1 + 1),
]);
const points = line.map(([x, y]) => fromKm(x, y));
const waypoints = PLACES.map(([at, sideM, kind, name, note, hours]) => {
  const i = Math.min(line.length - 2, Math.round(at * (line.length - 1)));
  const [[x, y], [nextX, nextY]] = [line[i]!, line[i + 1]!];
  const long = Math.hypot(nextX - x, nextY - y);
  const [lat, lon] = fromKm(
    x - ((nextY - y) / long) * (sideM / 1000),
    y + ((nextX - x) / long) * (sideM / 1000),
  );
  const rounded = (value: number) => Math.round(value * 1e5) / 1e5;
  return { kind, name, note, lat: rounded(lat), lon: rounded(lon), ...(hours && { hours }) };
});
let ids = 0;
const made = await makeRoute(
  [
    {
      name: 'Plateau and river loop',
      lat: points.map(([lat]) => lat),
      lon: points.map(([, lon]) => lon),
      heightM: points.map(([lat, lon]) => heightAt(lat, lon)),
    },
  ],
  waypoints,
  () => Promise.reject(new Error('has heights')),
  () => `place-${(ids += 1)}`,
  () => REGION.timeZone,
  async (text) => {
    const read = await readHours(text, '2027-04-16');
    if (!read.ok) throw new Error(read.error);
    return read.value;
  },
);
if (!made.ok) throw new Error(made.error);
const { lengthM } = made.value;
const route = {
  ...made.value,
  stretches: [
    { fromM: 0, ground: 'asphalt' },
    { fromM: Math.round(0.05 * lengthM), ground: 'fine gravel' },
    { fromM: Math.round(0.31 * lengthM), ground: 'rough gravel' },
    { fromM: Math.round(0.44 * lengthM), ground: 'trail' },
    { fromM: Math.round(0.5 * lengthM), ground: 'fine gravel' },
    { fromM: Math.round(0.86 * lengthM), ground: 'asphalt' },
  ],
  places: made.value.places.map((place) =>
    place.name === 'Cattle trough' ? { ...place, water: 'doubtful' } : place,
  ),
  firstStartMin: 630,
};
writeFileSync(
  'src/core/demo/route.ts',
  `import type { Route } from '@/core/trip/route/route';\n\n/** The demo's way, drawn by scripts/demo-route.ts. */\nexport const DEMO_ROUTE: Route = ${JSON.stringify(route, null, 2)};\n`,
);
