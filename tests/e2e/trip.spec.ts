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

    const days = page.getByRole('table', { name: 'Days' }).getByRole('row');
    await expect(days).toHaveCount(4);
    await expect(stage).toContainText('3 days');
    await expect(
      page.getByRole('region', { name: 'Map of the route' }).locator('.leaflet-tile-loaded').first(),
    ).toBeVisible();
    await expect(days.nth(1)).toContainText('Plateau meadow');
    await expect(page.getByRole('table', { name: 'Places' })).toContainText('Chapel well');
    await accessible(page);

    const first = await days.nth(1).getByRole('cell').first().textContent();
    await page.getByRole('button', { name: 'End day 1 1.0 km later' }).focus();
    await page.keyboard.press('Enter');
    await expect(days.nth(1)).toContainText('no known place');
    await expect(days.nth(1).getByRole('cell').first()).toHaveText(
      `${(parseFloat(first!) + 1).toFixed(1)} km`,
    );
    await expect(page.getByText('The days end where you set them.')).toBeVisible();
    // With keys along the profile: the ground from there on.
    await page.getByRole('slider', { name: 'Along the route' }).focus();
    for (let i = 0; i < 5; i += 1) await page.keyboard.press('PageUp');
    await page.getByRole('combobox', { name: 'Ground from here on' }).selectOption('soft');
    await expect(page.getByRole('button', { name: 'Undo: Route: stretches' })).toBeEnabled();
    // One more place, where the cursor is; and a train that comes in late.
    await page.getByRole('combobox', { name: 'What is there' }).selectOption('hut');
    await page.getByRole('textbox', { name: 'Called' }).fill('Forester’s hut');
    await page.getByRole('button', { name: /^Add a place at/ }).click();
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
    await expect(days).toHaveCount(4);
  });
});

test('a heavier load arrives later', async ({ page, rider }) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Pillow']);
  await rider.open('trip');
  const arrives = page.getByRole('table', { name: 'Days' }).getByRole('row').nth(2).getByRole('cell').nth(3);
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
