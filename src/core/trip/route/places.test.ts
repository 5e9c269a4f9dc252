import { demoPlan } from '@/core/demo/plan';
import { parseGeojson, writeGeojson } from './geojson';
import { parseGpx } from './gpx';
import { parsePlacesCsv } from './placesCsv';
import { placesFrom } from './makeRoute';
import { writeGpx } from './writeGpx';

const route = demoPlan().route!;
const hoursOf = (places: readonly { name: string; hours?: string | undefined }[]) =>
  places.flatMap(({ name, hours }) => (hours ? [[name, hours]] : []));
const own = route.places.flatMap(({ name, hours }) => (hours ? [[name, hours.text]] : []));

test('opening hours come back from both formats as they were written', () => {
  expect(own.length).toBeGreaterThan(3);
  const gpx = parseGpx(writeGpx(route, [{ name: 'all', fromM: 0, toM: route.lengthM }]));
  expect(gpx.ok && hoursOf(gpx.value.waypoints)).toEqual(own);
  const json = parseGeojson(writeGeojson(route));
  expect(json.ok && hoursOf(json.value.waypoints)).toEqual(own);
});

test('hours that cannot be read are kept in the note', async () => {
  const [place] = await placesFrom(
    [{ name: 'Shop', lat: 45, lon: -30, kind: 'shop', note: 'Bread.', hours: 'when the flag is up' }],
    () => 'one',
    () => Promise.resolve(null),
  );
  expect(place).toMatchObject({ hours: null, note: 'Bread. Open: when the flag is up' });
});

test('a table of places: headings in any order, kinds by word, a row that cannot be read is named', () => {
  const read = parsePlacesCsv(
    'Longitude;Latitude;Name;Type;Opening hours\n-30;45;Well;drinking water;\n-30,01;45,02;Bakery;bakery;Mo-Sa 07:00-12:00\nfar;away;Nowhere;hut;\n',
  );
  expect(read.ok && read.value.waypoints).toEqual([
    { name: 'Well', lat: 45, lon: -30, kind: 'water', note: '' },
    { name: 'Bakery', lat: 45.02, lon: -30.01, kind: 'shop', note: '', hours: 'Mo-Sa 07:00-12:00' },
  ]);
  expect(read.ok && read.value.leftOut).toEqual(['Row 4 has no latitude and longitude that can be read.']);
});

test.each([
  ['name,kind\nWell,water', /lat and lon/],
  ['', /lat and lon/],
  ['lat,lon\n95,0', /no place/],
])('%j is no table of places', (text, message) => {
  const read = parsePlacesCsv(text);
  expect(read.ok ? '' : read.error).toMatch(message);
});
