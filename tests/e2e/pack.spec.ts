import { accessible, awaitLife, expect, pool, put, test } from './journey';

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('one thing after the other: ticked off, put off, moved elsewhere, left at home; without a network too', async ({
    page,
    rider,
    context,
  }) => {
    // A few things in two bags; the rest is on the floor.
    await put(rider.tripId, 'Seat pack', ['Down quilt', 'Pillow']);
    await put(rider.tripId, 'Bar roll', ['Tent poles', 'Ground sheet', 'Mug']);
    await rider.open('pack');
    const progress = page.getByText(/of \d+ packed/);
    const next = page.getByRole('region', { name: 'Next' });
    await expect(progress).toHaveText('0 of 5 packed');
    await expect(next).toContainText('Bar roll');
    await accessible(page);

    // Tent poles are deepest; what cannot be found waits until the others are in.
    await expect(next).toContainText('Tent poles');
    await next.getByRole('button', { name: 'find it now' }).click();
    await expect(next).not.toContainText('Tent poles');

    await context.setOffline(true);
    await next.getByRole('button', { name: 'Packed' }).click();
    await next.getByRole('button', { name: 'Packed' }).click();
    await expect(progress).toHaveText('2 of 5 packed');
    await expect(page.getByText('2 entries kept on this phone')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('kept on this phone')).toHaveCount(0);

    // What does not fit goes elsewhere, and the steps follow.
    const bag = page.getByRole('region', { name: 'Seat pack', exact: false }).first();
    await expect(bag).toContainText('Pillow');
    while (!(await next.textContent())!.includes('Pillow'))
      await next.getByRole('button', { name: 'find it now' }).click();
    await next.getByRole('button', { name: 'fit', exact: false }).click();
    await next.getByRole('group', { name: 'Where else' }).getByRole('button').first().click();
    await expect(bag).not.toContainText('Pillow');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(bag).toContainText('Pillow');

    // Two letters say where a thing is.
    await page.getByRole('textbox', { name: 'Where is' }).fill('qu');
    await expect(page.getByRole('list', { name: 'Found' })).toContainText('Down quilt: Seat pack, main');

    await page.reload();
    await expect(progress).toHaveText('2 of 5 packed');
    const { rows } = await pool.query('select count(*)::int as count from entry where trip_id = $1', [
      rider.tripId,
    ]);
    expect(rows[0].count).toBe(2);
  });
});

test('two browsers on one checklist agree, and a tick is removed by hand', async ({
  page,
  rider,
  browser,
  baseURL,
}) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Pillow']);
  await rider.open('pack');
  const second = await (await browser.newContext({ baseURL })).newPage();
  awaitLife(second);
  await rider.signIn(second);
  await second.goto(page.url());
  await page.getByRole('checkbox', { name: /Pillow/ }).check();
  await expect(page.getByText('1 of 2 packed')).toBeVisible();
  await second.getByRole('checkbox', { name: /Down quilt/ }).check();
  await expect(second.getByText('2 of 2 packed')).toBeVisible();
  await expect(second.getByText('Everything is packed')).toBeVisible();
  // The packed bag on the scale: far off it asks, near it corrects what was uncertain.
  const scale = second.getByRole('textbox', { name: 'Seat pack, packed, weighs' });
  await scale.fill('2.9 kg');
  await scale.press('Enter');
  await expect(second.getByText(/too much to be chance/)).toBeVisible();
  await second.getByRole('button', { name: 'Read the scale for Seat pack' }).click();
  await expect(scale).toHaveValue(/1\.\d+ kg/);
  await expect(second.getByText('As planned, within what was uncertain.')).toBeVisible();
  // What the simulated scale shows wavers; this is off by enough to correct something.
  await scale.fill('1.22 kg');
  await scale.press('Enter');
  await second.getByRole('button', { name: 'Correct the masses by it' }).click();
  await expect(second.getByRole('button', { name: 'Undo: Seat pack weighed' })).toBeEnabled();
  await second.getByRole('checkbox', { name: /Pillow/ }).uncheck();
  await second.reload();
  await expect(second.getByText('1 of 2 packed')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: /Pillow/ })).not.toBeChecked();
  await expect(page.getByRole('checkbox', { name: /Down quilt/ })).toBeChecked();
});

test('the last minute, the test ride, the card, and setting out; back to planning on the same day', async ({
  page,
  rider,
}) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Pillow']);
  await rider.open('pack');
  // By system, as the kit is laid out.
  await page.getByText('As laid out').click();
  await page
    .getByRole('region', { name: 'sleep' })
    .getByRole('checkbox', { name: /Pillow/ })
    .check();
  await expect(page.getByText('1 of 2 packed')).toBeVisible();
  await page.getByText('Last minute', { exact: true }).click();
  await page.getByRole('checkbox', { name: 'Power bank' }).check();

  await page.getByText('Set out', { exact: true }).first().click();
  const sway = page.getByRole('listitem', { name: 'sway' });
  await sway.getByRole('button', { name: 'Not good' }).click();
  await expect(sway.getByRole('status')).toContainText('Seat pack: Heavy things go to the front');
  await sway.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(sway.getByRole('status')).toHaveCount(0);
  await page.getByRole('listitem', { name: 'rattle' }).getByRole('button', { name: 'Not good' }).click();
  await accessible(page);
  const card = await page.request.get(`/api/trips/${rider.tripId}/card`);
  expect(card.headers()['content-type']).toBe('application/pdf');

  await expect(page.getByText('1 thing is not ticked off.')).toBeVisible();
  await page.getByRole('button', { name: 'Set out all the same' }).click();
  const departure = page.getByRole('note', { name: 'Departure' });
  await expect(departure).toContainText('This trip set out on');
  // The plan stays as it was; what is recorded on the way is still taken.
  await page.getByText('By bag', { exact: true }).click();
  await page.getByRole('button', { name: 'Leave at home' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'has set out' })).toBeVisible();
  await page.getByRole('checkbox', { name: /Down quilt/ }).check();
  await expect(page.getByText('2 of 2 packed')).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 of 2 packed')).toBeVisible();
  await departure.getByRole('button', { name: 'Back to planning' }).click();
  await expect(departure).toHaveCount(0);

  // On the next trip with this bike what was not good is remembered.
  const made = await page.request.post('/api/trips', {
    headers: { origin: new URL(page.url()).origin },
    data: { from: 'trip', tripId: rider.tripId, name: 'The next one' },
  });
  const { tripId } = (await made.json()) as { tripId: string };
  await put(tripId, 'Seat pack', ['Down quilt']);
  await page.goto(`/trips/${tripId}/pack`);
  await page.getByText('Set out', { exact: true }).first().click();
  await expect(page.getByRole('listitem', { name: 'rattle' })).toContainText(
    'On an earlier trip not good: Seat pack.',
  );
  await expect(page.getByRole('listitem', { name: 'sway' })).not.toContainText('earlier');
});

test('what is to do before leaving, by its latest day; ticked, it leaves the page of trips; saved as a calendar', async ({
  page,
  rider,
}) => {
  await rider.open('pack');
  const first = page.getByRole('region', { name: 'By 2027-04-02, 14 days before' });
  await expect(first).toContainText('Reserve a place for the bike on the train');
  await expect(page.getByRole('region', { name: 'By 2027-04-15, the day before' })).toContainText(
    /front \d\.\d bar/,
  );
  await page.goto('/');
  const next = page.getByRole('region', { name: 'Next trip' });
  await expect(next).toContainText('Reserve a place for the bike on the train by 2027-04-02');
  await next.getByRole('link', { name: 'Before leaving' }).click();
  await first.getByRole('checkbox', { name: 'Reserve a place for the bike on the train' }).check();
  await expect(page.getByText(/^1 of \d+ done/)).toBeVisible();
  await accessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as a calendar' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('plateau-and-river-loop-before-leaving.ics');
  await expect
    .poll(async () => {
      const { rows } = await pool.query(
        `select count(*)::int as count from entry where trip_id = $1 and kind = 'done'`,
        [rider.tripId],
      );
      return rows[0].count;
    })
    .toBe(1);
  await page.goto('/');
  await expect(next).not.toContainText('Reserve a place for the bike on the train');
});
