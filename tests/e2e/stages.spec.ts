import { accessible, expect, figure, saved, test } from './journey';

test('bags are hung, measured, divided and taken off; the drawing and the litres follow', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await page.getByRole('combobox', { name: 'Place of the new bag' }).selectOption('pannier');
  await page.getByRole('button', { name: 'Add a bag' }).click();
  const bag = page
    .getByRole('region', { name: 'Bags' })
    .getByRole('listitem')
    .filter({ hasText: 'Left pannier' });
  await expect(bag).toContainText('carries 6.00 kg');
  await expect(page.getByText('12 bags, 55.6 l')).toBeVisible();

  await bag.getByRole('textbox', { name: 'Height inside' }).fill('12 in');
  await page.keyboard.press('Enter');
  await expect(bag.getByText('By its measures 14.1 l')).toBeVisible();
  await bag.getByRole('textbox', { name: 'Litres printed on it' }).fill('13');
  await page.keyboard.press('Enter');
  await expect(bag.locator('button[aria-expanded]')).toContainText('13.0 l');

  await bag.getByRole('button', { name: 'Add a compartment' }).click();
  await expect(bag.getByRole('heading', { name: 'Compartment: pocket' })).toBeVisible();
  await bag.getByRole('textbox', { name: 'Greatest load' }).fill('');
  await page.keyboard.press('Enter');
  await expect(bag.locator('button[aria-expanded]')).toContainText('carries ≈ 2.00 kg');
  await accessible(page);

  await bag.getByRole('button', { name: 'Take Left pannier off the bike' }).click();
  await expect(page.getByText('11 bags, 39.8 l')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: Left pannier removed' }).click();
  await expect(page.getByText('12 bags')).toHaveCount(2);
  await saved(page);
});

test('an outline that crosses itself is refused at the field, and the drawing keeps the last good one', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await page.getByRole('button', { name: /^F G Half frame bag/ }).click();
  const corners = page.getByRole('textbox', { name: /^Corners/ }).first();
  const before = await page.locator('svg polygon').count();
  await corners.fill('0 0; 100 100; 100 0; 0 100');
  await expect(page.getByText('The outline crosses itself')).toBeVisible();
  await corners.press('Enter');
  expect(await page.locator('svg polygon').count()).toBe(before);
  await corners.press('Escape');
  await expect(corners).toHaveValue(/^0 0; 34 -112;/);
});

test('figures that cannot belong to one bike are named, with the one to look at first', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await page.getByRole('tab', { name: 'Figures' }).click();
  const fork = page.getByRole('textbox', { name: /Fork length/ });
  await fork.fill('410');
  await fork.press('Enter');
  const finding = page.getByRole('complementary').getByRole('listitem').filter({ hasText: 'front axle' });
  await expect(finding).toContainText('Look first at fork length (410; 51');
  await expect(
    page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Bike/ }),
  ).toContainText(/look|stop/);
  await fork.fill('9 in');
  await expect(page.getByText('At least 300 mm.')).toBeVisible();
});

test('units change everywhere at once, and are still so after a reload', async ({ page, rider }) => {
  await rider.open('kit');
  await expect(page.getByRole('row', { name: /Down quilt/ })).toContainText('680 g');
  await page.getByRole('button', { name: 'More' }).click();
  const saved = page.waitForResponse((response) => response.url().endsWith('/api/account'));
  await page.getByText('Imperial').click();
  await expect(page.getByRole('row', { name: /Down quilt/ })).toContainText('1 lb 8.0 oz');
  await saved;
  await expect(figure(page, 'Loaded bike')).toHaveText('34.4 lb');
  await page.reload();
  await expect(page.getByRole('row', { name: /Down quilt/ })).toContainText('1 lb 8.0 oz');
  await page.getByRole('button', { name: 'Down quilt' }).click();
  const mass = page.getByRole('textbox', { name: 'Mass of one' });
  await mass.fill('25');
  await expect(page.getByText('Understood: 1 lb 9.0 oz')).toBeVisible();
});

test('the kit is sorted, narrowed, changed, split and cut down', async ({ page, rider }) => {
  await rider.open('kit');
  const rows = page.getByRole('table', { name: 'The kit' }).getByRole('row');
  await page.getByRole('button', { name: 'Mass', exact: true }).click();
  await expect(rows.nth(1)).toContainText('Tent inner and fly');
  await page.getByRole('combobox', { name: 'Show only the system' }).selectOption('tools');
  await expect(rows).toHaveCount(11);
  await page.getByRole('textbox', { name: 'Show only things named' }).fill('levers');
  await expect(rows).toHaveCount(2);

  await page.getByRole('button', { name: 'Tyre levers' }).click();
  await page.getByRole('button', { name: 'Split in two' }).click();
  await expect(page.getByRole('button', { name: 'Tyre levers (rest)' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Tyre levers' }).click();
  await expect(page.getByRole('button', { name: 'Tyre levers', exact: true })).toHaveCount(0);
  await page.getByRole('textbox', { name: 'Show only things named' }).fill('nothing like it');
  await expect(page.getByText('Nothing with that name in that system.')).toBeVisible();
  await saved(page);
});

test('the trip’s figures are judged: a night warmer than the day is questioned, and rain changes the findings', async ({
  page,
  rider,
}) => {
  await rider.open('trip');
  await page.getByRole('button', { name: 'One figure for the whole trip' }).click();
  const night = page.getByRole('textbox', { name: 'Coldest night expected' });
  await night.fill('30 °C');
  await night.press('Enter');
  await expect(page.getByText('Warmer than the warmest day.')).toBeVisible();
  await expect(night).toHaveValue('30 °C');
  await night.fill('3');
  await night.press('Enter');
  await expect(page.getByText('Warmer than the warmest day.')).toHaveCount(0);
  const nights = page.getByRole('textbox', { name: 'Nights' });
  await nights.fill('999');
  await expect(page.getByText('0 to 30 nights.')).toBeVisible();
  await expect(nights).toHaveValue('999');
  await night.fill('warm');
  await expect(page.getByText('"warm" is not a temperature')).toBeVisible();
  await night.press('Escape');
  await nights.fill('3');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('4 days');
  await saved(page);
});

test('trips: another with the same kit, deleted after asking, and a loader that cannot start says why', async ({
  page,
  rider,
}) => {
  await rider.open('trip');
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Plateau and river loop' }).click();
  await page.getByRole('menuitem', { name: 'Another trip with this kit' }).click();
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Plateau and river loop, again');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page).toHaveURL(/\/trip$/);
  await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('74 things');
  await page.goto('/');
  const list = page.getByRole('list', { name: 'Trips' }).getByRole('listitem');
  await expect(list).toHaveCount(2);
  await page.getByRole('button', { name: 'More for Plateau and river loop, again' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('dialog')).toContainText('cannot be undone');
  await page.getByRole('button', { name: 'Delete Plateau and river loop, again' }).click();
  await expect(list).toHaveCount(1);

  await page.getByRole('link', { name: 'New trip' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Bare');
  await page.getByRole('button', { name: 'Begin with an empty list' }).click();
  await expect(page).toHaveURL(/\/bike$/);
  await page.keyboard.press('Control+k');
  await page.getByRole('textbox', { name: 'Find' }).fill('load for me');
  await page.keyboard.press('Enter');
  await expect(page.getByText('There are no bags to load')).toBeVisible();
});

test('the search palette finds stages, bags and commands by a few letters', async ({ page, rider }) => {
  await rider.open('trip');
  await page.getByRole('button', { name: /Find/ }).click();
  const find = page.getByRole('textbox', { name: 'Find' });
  await find.fill('seat pack');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/load$/);
  await expect(page.getByRole('region', { name: 'Inside Seat pack' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await find.fill('no such thing at all');
  await expect(page.getByText('Nothing with that name on this trip')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(find).toBeHidden();
  await page.keyboard.press('Control+k');
  await find.fill('imperial');
  await page.keyboard.press('Enter');
  await expect(figure(page, 'Loaded bike')).toHaveText('34.4 lb');
});
