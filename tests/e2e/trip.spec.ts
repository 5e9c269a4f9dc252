import type { Page } from '@playwright/test';
import { demoPlan } from '@/core/demo/plan';
import { parseGpx } from '@/core/trip/route/gpx';
import { writeGpx } from '@/core/trip/route/writeGpx';
import { accessible, expect, figure, pool, put, saved, test } from './journey';

const route = demoPlan().route!;
const gpx = writeGpx(route, [
  { name: 'Up to the plateau', fromM: 0, toM: 50_000 },
  { name: 'Along the river', fromM: 50_000, toM: route.lengthM },
]);
const file = (name: string, text: string) => ({
  name,
  mimeType: 'application/gpx+xml',
  buffer: Buffer.from(text),
});

/** Each day's row, without what is written below it. */
const dayRows = (page: Page) =>
  page
    .getByRole('table', { name: 'Days' })
    .locator('tbody tr')
    .filter({ has: page.getByRole('rowheader') });

test.describe('without a route', () => {
  test.use({ plan: async ({ plan }, use) => use({ ...plan, route: null }) });

  test('a GPX file becomes a route with days; a day ends where the keys put it; a broken file changes nothing', async ({
    page,
    rider,
  }) => {
    await rider.open('trip');
    const stage = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Trip/ });
    await expect(stage).toContainText('2 nights');
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles(file('broken.gpx', gpx.slice(0, 5000)));
    await expect(page.getByText(/broken\.gpx: The file is not whole.*line \d+/)).toBeVisible();

    await page.locator('input[type=file]').first().setInputFiles(file('loop.gpx', gpx));
    const understood = page.getByRole('region', { name: 'What was understood' });
    await expect(understood.getByRole('checkbox')).toHaveCount(2);
    await expect(understood).toContainText(/Waypoints: .*7 × water/);
    await understood.getByRole('button', { name: 'Take this route' }).click();

    const days = dayRows(page);
    await expect(days).toHaveCount(3);
    await expect(stage).toContainText('3 days');
    await expect(
      page.getByRole('region', { name: 'Map of the route' }).locator('.leaflet-tile-loaded').first(),
    ).toBeVisible();
    await expect(days.nth(0)).toContainText('Plateau meadow');
    await expect(page.getByRole('table', { name: 'Places' })).toContainText('Chapel well');
    await accessible(page);

    const first = await days.nth(0).getByRole('cell').first().textContent();
    await page.getByRole('button', { name: 'End day 1 1.0 km later' }).focus();
    await page.keyboard.press('Enter');
    await expect(days.nth(0)).toContainText('no known place');
    await expect(days.nth(0).getByRole('cell').first()).toHaveText(
      `${(parseFloat(first!) + 1).toFixed(1)} km`,
    );
    await expect(page.getByText('The days end where you set them.')).toBeVisible();
    // With keys along the profile: the ground from there on.
    await page.getByRole('slider', { name: 'Along the route' }).focus();
    for (let i = 0; i < 5; i += 1) await page.keyboard.press('PageUp');
    await page.getByRole('combobox', { name: 'Ground from here on' }).selectOption('soft');
    await expect(page.getByRole('button', { name: 'Undo: Route: stretches' })).toBeEnabled();
    // One more place, where the cursor is; and a train that comes in late.
    await page.getByRole('button', { name: /^Add a place at/ }).click();
    await page.getByRole('combobox', { name: 'What is there' }).selectOption('hut');
    await page.getByRole('textbox', { name: 'Called' }).fill('Forester’s hut');
    await page.getByRole('button', { name: 'Add the place' }).click();
    await expect(page.getByRole('table', { name: 'Places' })).toContainText('Forester’s hut');
    await page.getByRole('button', { name: 'Remove Forester’s hut' }).click();
    await expect(page.getByRole('table', { name: 'Places' })).not.toContainText('Forester’s hut');
    await page.getByLabel('The first day begins at').fill('20:00');
    await expect(
      page.getByRole('listitem').filter({ hasText: /Day 1 arrives at .* after sunset/ }),
    ).toBeVisible();
    await saved(page);

    const saving = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save as GPX' }).click();
    const stream = await (await saving).createReadStream();
    const chunks: Buffer[] = [];
    for await (const chunk of stream) chunks.push(chunk as Buffer);
    const again = parseGpx(Buffer.concat(chunks).toString('utf8'));
    expect(again.ok && again.value.waypoints.length).toBe(route.places.length);

    await page.getByRole('button', { name: 'Remove the route' }).click();
    await expect(stage).toContainText('2 nights');
    await page.getByRole('button', { name: /^Undo: Route removed/ }).click();
    await expect(days).toHaveCount(3);
  });
});

test('a heavier load arrives later', async ({ page, rider }) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Pillow']);
  await rider.open('trip');
  const arrives = dayRows(page).nth(1).getByRole('cell').nth(3);
  const before = await arrives.textContent();
  const mass = await figure(page, 'Loaded bike').textContent();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Kit/ }).click();
  await page.getByRole('button', { name: 'Pillow', exact: true }).click();
  await page.getByRole('textbox', { name: 'Mass of one' }).fill('2 kg');
  await page.keyboard.press('Enter');
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Trip/ }).click();
  await expect(figure(page, 'Loaded bike')).not.toHaveText(mass!);
  const minutes = (text: string | null) => Number(text!.split(':')[0]) * 60 + Number(text!.split(':')[1]);
  expect(minutes(await arrives.textContent())).toBeGreaterThan(minutes(before));
  await saved(page);
  const { rows } = await pool.query('select route is not null as kept from trip where id = $1', [
    rider.tripId,
  ]);
  expect(rows[0].kept).toBe(true);
});

test('a shop that turns out to be closed, and colder weather that brings frost', async ({ page, rider }) => {
  await rider.open('trip');
  const closed = page.getByRole('listitem').filter({ hasText: 'Farm shop is closed when you pass' });
  await expect(closed).toBeVisible();
  await page.getByRole('button', { name: 'Change Farm shop' }).click();
  const form = page.getByRole('form', { name: 'Change Farm shop' });
  await form.getByRole('textbox', { name: 'Open' }).fill('whenever');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText(/These hours cannot be read/)).toBeVisible();
  await form.getByRole('textbox', { name: 'Open' }).fill('Mo-Su 08:00-20:00');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(closed).toHaveCount(0);

  const weather = page.getByRole('table', { name: 'Weather by day' });
  await expect(weather.getByRole('row').nth(2)).toContainText('3 °C');
  const frost = page.getByRole('listitem').filter({ hasText: 'In colder weather: It may freeze at night' });
  await expect(frost).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Judge the trip in' }).selectOption('colder');
  await expect(frost).toBeVisible();
  await page.getByRole('textbox', { name: 'Coldest, night 2' }).fill('8');
  await page.keyboard.press('Enter');
  await expect(frost).toHaveCount(0);
  await page.getByRole('button', { name: 'Ask the weather service' }).click();
  await expect(page.getByText(/The temperatures entered are for \d+ m/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'A plane there or back' }).check();
  await expect(page.getByRole('listitem').filter({ hasText: /cannot go on the plane/ })).toBeVisible();
  await accessible(page);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Judge the trip in' })).toHaveValue('colder');
});

test('a day ends where it is dragged to; a rest day; a train to catch', async ({ page, rider }) => {
  await rider.open('trip');
  const days = dayRows(page);
  await expect(days).toHaveCount(3);
  const profile = page.getByRole('img', { name: 'Heights along the route' });
  await profile.scrollIntoViewIfNeeded();
  const box = (await profile.boundingBox())!;
  const before = parseFloat((await days.nth(0).getByRole('cell').first().textContent())!);
  // Night 1 is that share of the way along; the chart's left edge is where the axis ends.
  const left = 40;
  const at = box.x + left + ((box.width - left - 14) * before) / (route.lengthM / 1000);
  let grip = at;
  for (let x = at - 24; x <= at + 24; x += 4) {
    await page.mouse.move(x, box.y + 60);
    const cursor = await profile.evaluate((canvas) => (canvas.parentElement as HTMLElement).style.cursor);
    if (cursor === 'ew-resize') {
      grip = x;
      break;
    }
  }
  await page.mouse.move(grip, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(grip + 40, box.y + 60, { steps: 4 });
  await page.mouse.up();
  await expect
    .poll(async () => parseFloat((await days.nth(0).getByRole('cell').first().textContent())!))
    .toBeGreaterThan(before + 2);

  await page.getByRole('button', { name: 'Rest day after day 1' }).click();
  await expect(days).toHaveCount(4);
  await expect(days.nth(1)).toContainText('rest day');
  await expect(page.getByRole('textbox', { name: 'Nights' })).toHaveValue('3');
  await page.getByRole('button', { name: 'Undo: Rest day added' }).click();
  await expect(days).toHaveCount(3);

  await page.getByRole('checkbox', { name: 'There is a train to catch on the last day' }).check();
  await page.getByLabel('Be there by').fill('09:00');
  await expect(page.getByRole('listitem').filter({ hasText: /too late for 9:00/ })).toBeVisible();
  await page.getByRole('button', { name: /^Begin the days at/ }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /too late for/ })).toHaveCount(0);
});

test.describe('drawn', () => {
  test.use({ plan: async ({ plan }, use) => use({ ...plan, route: null }) });

  test('a route drawn on the map, and places from a table', async ({ page, rider }) => {
    await rider.open('trip');
    await page.getByRole('button', { name: 'Draw it on the map' }).click();
    const map = page.getByRole('region', { name: 'Map to draw on' });
    await expect(map.locator('.leaflet-tile-loaded').first()).toBeVisible();
    for (const x of [150, 220, 300]) await map.click({ position: { x, y: 120 + x / 5 } });
    await expect(page.getByText(/^3 points, /)).toBeVisible();
    await page.getByRole('button', { name: 'Undo the last point' }).click();
    await expect(page.getByText(/^2 points, /)).toBeVisible();
    await map.click({ position: { x: 330, y: 200 } });
    await page.getByRole('button', { name: 'Take this route' }).click();
    await expect(page.getByRole('table', { name: 'Days' })).toBeVisible();
    await expect(page.getByText('the elevation service')).toBeVisible();
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({
        name: 'places.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(
          'name,kind,lat,lon,hours\nStone well,water,45,-30,\nBakery,shop,45.01,-30,Mo-Sa 07:00-12:00\n',
        ),
      });
    await page.getByRole('button', { name: 'Add these places' }).click();
    const places = page.getByRole('table', { name: 'Places' });
    await expect(places).toContainText('Stone well');
    await expect(places).toContainText('Open Mo-Sa 07:00-12:00');
    await saved(page);
  });
});
