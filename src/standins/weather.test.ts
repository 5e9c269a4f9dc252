import { weatherDaySchema } from '@/core/trip/weather';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tileServer } from './tileServer';
import { simulatedWeather } from './weather';

const days = Array.from({ length: 365 }, (_, day) => ({
  lat: 45,
  lon: -30,
  date: new Date(Date.UTC(2027, 0, 1 + day)).toISOString().slice(0, 10),
}));

test('a year of simulated weather: each day can be taken, summer is warmer than winter, and it is the same when asked again', async () => {
  const year = await simulatedWeather.forecast(days);
  expect(() => weatherDaySchema.array().parse(year)).not.toThrow();
  expect(year.every(({ minC, maxC }) => minC < maxC)).toBe(true);
  const mean = (from: number) => year.slice(from, from + 30).reduce((sum, { maxC }) => sum + maxC / 30, 0);
  expect(mean(190)).toBeGreaterThan(mean(10) + 12);
  const wet = year.filter(({ rainChance }) => rainChance >= 40).length;
  expect(wet).toBeGreaterThan(40);
  expect(wet).toBeLessThan(240);
  expect(await simulatedWeather.forecast(days)).toEqual(year);
});

test('another tile server by configuration: its pictures, its credit, and nothing but pictures', async () => {
  const server = createServer((request, response) => {
    const isPicture = request.url === '/11/3/5.png';
    response.setHeader('content-type', isPicture ? 'image/png' : 'image/svg+xml');
    response.end('tile');
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const tiles = tileServer({
    GORVIN_TILES: `http://127.0.0.1:${port}/{z}/{x}/{y}.png`,
    GORVIN_TILES_CREDIT: 'Survey of the land',
  });
  expect(tiles.credit).toBe('Survey of the land');
  expect((await tiles.tile(11, 3, 5))?.type).toBe('image/png');
  // A drawing could hold a script.
  expect(await tiles.tile(11, 3, 6)).toBeNull();
  server.close();
  expect((await tileServer({}).tile(11, 3, 5))?.type).toBe('image/svg+xml');
});
