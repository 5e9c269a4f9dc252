import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoPlan } from '@/core/demo/plan';
import { writeGpx } from '@/core/trip/route/writeGpx';
import { folderHeadUnit } from './headUnit';

const folder = mkdtempSync(path.join(tmpdir(), 'gorvin-unit-'));
afterAll(() => rmSync(folder, { recursive: true }));

test('a day within the limits of the device: fewer points with both ends, shorter names', async () => {
  const route = demoPlan().route!;
  const unit = folderHeadUnit(folder);
  const leg = { name: 'Day 1 of a loop with a very long name', fromM: 0, toM: route.lengthM };
  const text = writeGpx(route, [leg], { points: 100, nameLetters: 10 });
  expect(await unit.write('day-1.gpx', text)).toEqual({ ok: true, value: undefined });
  const points = [
    ...readFileSync(path.join(folder, 'day-1.gpx'), 'utf8').matchAll(/<trkpt lat="([\d.-]+)"/g),
  ];
  const all = [...writeGpx(route, [leg]).matchAll(/<trkpt lat="([\d.-]+)"/g)];
  expect(points.length).toBeLessThanOrEqual(101);
  expect([points[0]![1], points.at(-1)![1]]).toEqual([all[0]![1], all.at(-1)![1]]);
  expect([...text.matchAll(/<name>([^<]*)<\/name>/g)].slice(1).every(([, name]) => name!.length <= 10)).toBe(
    true,
  );
});

test('one that is full or cannot be reached says so; a file of the same name is replaced', async () => {
  const unit = folderHeadUnit(folder);
  for (let k = readdirSync(folder).length; k < unit.limits.files; k += 1)
    writeFileSync(path.join(folder, `old-${k}.gpx`), '');
  expect(await unit.write('new.gpx', 'x')).toMatchObject({
    ok: false,
    error: expect.stringContaining('full'),
  });
  expect((await unit.write('day-1.gpx', 'again')).ok).toBe(true);
  const nowhere = folderHeadUnit(path.join(folder, 'day-1.gpx', 'inside'));
  expect(await nowhere.write('day.gpx', 'x')).toMatchObject({
    ok: false,
    error: expect.stringContaining('connected'),
  });
});
