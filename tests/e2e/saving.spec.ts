import { awaitLife, expect, pool, saved, test } from './journey';

test('two tabs: the stale one is told, reloads its view, and loses nothing that was typed', async ({
  page,
  rider,
  context,
}) => {
  // As after a break of the connection: what happens elsewhere is not heard of at once.
  await page.route('**/events', (route) => route.abort());
  await rider.open('trip');
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('textbox', { name: 'Coldest, night 1' }).fill('37 °F');
  await other.keyboard.press('Enter');
  await saved(other);

  const name = page.getByRole('textbox', { name: 'Name' });
  await page.getByRole('combobox', { name: 'Sleeping in a' }).selectOption('bivvy');
  const notice = page.getByRole('alert').filter({ hasText: 'changed in another tab' });
  await expect(notice).toContainText('Trip: weather');
  await expect(notice).toContainText('1 change');
  await name.fill('Plateau, typed meanwhile');
  await notice.getByRole('button', { name: 'Load it and reapply mine' }).click();
  await expect(notice).toHaveCount(0);
  await saved(page);
  await expect(name).toHaveValue('Plateau, typed meanwhile');
  await expect(page.getByRole('textbox', { name: 'Coldest, night 1' })).toHaveValue('2.8 °C');
  const { rows } = await pool.query('select sleeping, weather, name from trip where id = $1', [rider.tripId]);
  expect(rows[0]).toMatchObject({ sleeping: 'bivvy', name: 'Plateau, typed meanwhile' });
  expect(rows[0].weather[0].minC).toBeCloseTo(2.78, 1);
});

test('what is changed in one tab shows in another at once, on another trip of the same kit too; and so does its end', async ({
  page,
  rider,
  context,
  baseURL,
}) => {
  await rider.open('trip');
  const headers = { origin: baseURL! };
  const made = await page.request.post('/api/trips', {
    headers,
    data: { from: 'trip', tripId: rider.tripId, name: 'The same kit' },
  });
  const { tripId } = (await made.json()) as { tripId: string };
  const other = await context.newPage();
  await other.goto(`/trips/${tripId}/kit`);
  await expect(other.getByRole('row', { name: /Paperback/ })).toContainText('176 g');

  await page.goto(`/trips/${rider.tripId}/kit`);
  await page.getByRole('button', { name: 'Paperback' }).click();
  await page.getByRole('textbox', { name: 'Mass of one' }).fill('333 g');
  await page.keyboard.press('Enter');
  await expect(other.getByRole('row', { name: /Paperback/ })).toContainText('333 g');
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();

  expect((await page.request.delete(`/api/trips/${tripId}`, { headers })).status()).toBe(200);
  await expect(other.getByRole('alert').filter({ hasText: 'not there any more' })).toBeVisible();
  await expect(other.getByRole('row', { name: /Paperback/ })).toContainText('333 g');
});

test('a server that fails loses no edit: it is kept over a reload, said to be unsaved, and sent again', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  let failing = true;
  await page.route('**/changes', (route) =>
    failing
      ? route.fulfill({ status: 500, json: { error: 'Something failed on the server.' } })
      : route.continue(),
  );
  await page.getByRole('option', { name: /Paperback/ }).click();
  await page.keyboard.press('-');
  await expect(page.getByText('Not saved yet: 1 change')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Paperback');
  page.on('dialog', (dialog) => dialog.accept());
  await page.reload();
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Paperback');
  await expect(page.getByText('Not saved yet: 1 change')).toBeVisible();
  failing = false;
  await page.getByRole('button', { name: 'Try now' }).click();
  await saved(page);
  const { rows } = await pool.query('select compartment_id from load_entry where trip_id = $1', [
    rider.tripId,
  ]);
  expect(rows).toEqual([{ compartment_id: null }]);
});

test('one account never sees or changes what is another one’s', async ({ rider, browser, baseURL }) => {
  await rider.open('trip');
  const stranger = await browser.newContext({ baseURL });
  const theirs = await stranger.newPage();
  awaitLife(theirs);
  await theirs.goto('/welcome');
  await theirs.getByRole('button', { name: 'Open the demo trip' }).click();
  await expect(theirs.getByRole('list', { name: 'Trips' })).toBeVisible();
  const response = await theirs.goto(`/trips/${rider.tripId}/trip`);
  expect(response!.status()).toBe(404);
  await expect(theirs.getByText('There is nothing at this address')).toBeVisible();
  const origin = { origin: baseURL! };
  for (const url of [
    `/api/trips/${rider.tripId}`,
    `/api/trips/${rider.tripId}/plan`,
    `/api/trips/${rider.tripId}/kit`,
  ]) {
    expect((await theirs.request.get(url)).status()).toBe(404);
  }
  const change = {
    revision: 0,
    change: { id: 'x', op: 'edit', edit: { kind: 'set trip', patch: { name: 'Mine' } } },
  };
  const post = (headers: Record<string, string>, data: unknown = change) =>
    theirs.request.post(`/api/trips/${rider.tripId}/changes`, { headers, data });
  expect((await post(origin)).status()).toBe(404);
  expect((await post({ origin: 'http://elsewhere.example' })).status()).toBe(403);
  expect(
    (
      await post(origin, { revision: 0, change: { id: 'x', op: 'edit', edit: { kind: 'drop tables' } } })
    ).status(),
  ).toBe(422);
  expect((await theirs.request.delete(`/api/trips/${rider.tripId}`, { headers: origin })).status()).toBe(404);
  await stranger.close();
});
