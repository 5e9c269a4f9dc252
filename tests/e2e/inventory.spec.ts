import type { Page } from '@playwright/test';
import { accessible, expect, pool, test } from './journey';

const row = (page: Page, name: string) =>
  page.getByRole('grid', { name: 'Inventory' }).getByRole('row').filter({ hasText: name });
const settled = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);

test('rows pasted from a spreadsheet, changed together, undone, and each cell by the keyboard', async ({
  page,
  rider,
}) => {
  await page.goto('/inventory');
  const grid = page.getByRole('grid', { name: 'Inventory' });
  await expect(grid).toHaveAttribute('aria-rowcount', '75');
  const rows = Array.from({ length: 200 }, (_, i) => `Pasted thing ${i + 1}\t${50 + i}\tluxuries`);
  const text = ['Name\tMass (g)\tSystem', ...rows, 'Broken\theavy\tluxuries', '=1+1\t20\ttools'].join('\n');
  await page.evaluate((pasted) => {
    const data = new DataTransfer();
    data.setData('text/plain', pasted);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  }, text);
  const dialog = page.getByRole('dialog', { name: 'Import a kit list' });
  await expect(dialog.getByText('201 new, 0 changed, 1 with faults left out.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take 201 rows' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '276');

  await page.getByRole('textbox', { name: 'Find' }).fill('pasted');
  await expect(grid).toHaveAttribute('aria-rowcount', '201');
  await page.getByRole('checkbox', { name: 'Choose all that are shown' }).check();
  const chosen = page.getByRole('group', { name: 'The chosen things' });
  await expect(chosen).toContainText('200 chosen');
  await chosen.getByRole('combobox', { name: 'Set the system of the chosen' }).selectOption('tools');
  await expect(row(page, 'Pasted thing 1').first()).toContainText('tools');
  await settled(page);
  await page.getByRole('button', { name: 'Undo: 200 things changed' }).click();
  await expect(row(page, 'Pasted thing 1').first()).toContainText('luxuries');
  await settled(page);

  await page.getByRole('textbox', { name: 'Find' }).fill('pasted thing 7');
  // Every number up to 200 with a 7 in it.
  await expect(grid).toHaveAttribute('aria-rowcount', '39');
  await row(page, 'Pasted thing 7')
    .first()
    .getByRole('gridcell', { name: 'Pasted thing 7', exact: true })
    .click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  const mass = grid.getByRole('textbox', { name: /^Mass of Pasted thing 7/ });
  for (const wrong of ['1.2.3 kg', 'heavy', '-5 g', '1 lb 20 oz']) {
    await mass.fill(wrong);
    await mass.press('Enter');
    await expect(grid.getByRole('alert')).toBeVisible();
  }
  await mass.fill('1 lb 2 oz');
  await mass.press('Enter');
  await expect(row(page, 'Pasted thing 7').first()).toContainText('510 g');
  await settled(page);
  await page.keyboard.press('Control+z');
  await expect(row(page, 'Pasted thing 7').first()).toContainText('56 g');
  await settled(page);
  await accessible(page);
  const { rows: kept } = await pool.query(
    `select count(*)::int as count, count(distinct system)::int as systems from thing where account_id = $1 and name like 'Pasted%'`,
    [rider.accountId],
  );
  expect(kept[0]).toEqual({ count: 200, systems: 1 });
});

test.describe('estimates', () => {
  test.use({
    plan: async ({ plan }, use) =>
      use({ ...plan, things: plan.things.map((thing) => ({ ...thing, massSource: 'estimate' as const })) }),
  });

  test('ten things weighed with the keyboard alone, one of them in ounces, and a trip that is open is told', async ({
    page,
    rider,
    context,
  }) => {
    const trip = await context.newPage();
    await trip.goto(`/trips/${rider.tripId}/kit`);
    await expect(trip.getByRole('row', { name: /Down quilt/ })).toContainText('≈ 680 g');

    await page.goto('/inventory');
    await page.getByRole('textbox', { name: 'Find' }).fill('');
    await page.getByRole('button', { name: 'Weigh things' }).press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Weigh things' });
    const { rows: things } = await pool.query(
      'select name, mass_g from thing where account_id = $1 order by lower(name), id limit 10',
      [rider.accountId],
    );
    for (const [i, { name, mass_g: massG }] of things.entries()) {
      await expect(dialog.getByText(name, { exact: true })).toBeVisible();
      await expect(dialog.getByRole('textbox', { name: 'The scale shows' })).toBeFocused();
      // The third scale reading is in ounces, and typed without its unit.
      await page.keyboard.type(i === 2 ? (massG / 28.3495).toFixed(2) : String(massG + 3));
      await page.keyboard.press('Enter');
      if (i === 2) {
        await expect(dialog.getByRole('alert')).toContainText('in ounces it would be');
        await page.keyboard.press('Enter');
      }
    }
    await expect(dialog.getByText('11 of 74')).toBeVisible();
    await page.keyboard.press('Escape');
    await settled(page);
    const { rows: weighed } = await pool.query(
      `select count(*)::int as count from thing where account_id = $1 and mass_source = 'kitchen scale'`,
      [rider.accountId],
    );
    expect(weighed[0]?.count).toBe(10);
    const third = await pool.query('select mass_g from thing where account_id = $1 and name = $2', [
      rider.accountId,
      things[2].name,
    ]);
    expect(Math.abs(third.rows[0].mass_g - things[2].mass_g)).toBeLessThan(0.5);
    await expect(trip.getByRole('row', { name: /^Burner/ })).toContainText('100 g');
  });

  test('what is worth weighing decides a verdict: weighed on the simulated scale, nothing more is asked', async ({
    page,
    rider,
  }) => {
    // One thing alone in a bag whose limit it nearly reaches.
    await pool.query(`update bag set limit_g = 720 where account_id = $1 and name = 'Seat pack'`, [
      rider.accountId,
    ]);
    await pool.query(
      `insert into load_entry (account_id, trip_id, thing_id, compartment_id)
       select trip_thing.account_id, trip_id, thing.id, bag.compartments -> 0 ->> 'id'
         from trip_thing join thing on thing.account_id = trip_thing.account_id and thing.id = thing_id
              join bag on bag.account_id = thing.account_id and bag.name = 'Seat pack'
        where trip_id = $1 and thing.name = 'Down quilt'`,
      [rider.tripId],
    );
    await pool.query(`update thing set volume_source = 'tape' where account_id = $1`, [rider.accountId]);
    await pool.query(`update trip set revision = revision + 1 where id = $1`, [rider.tripId]);
    await rider.open('kit');
    await page.getByText('Worth measuring: Down quilt').click();
    await expect(
      page.getByText('Weighing Down quilt decides whether Seat pack is over its limit.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Weigh things' }).click();
    const dialog = page.getByRole('dialog', { name: 'Weigh things' });
    await expect(dialog.getByText('Down quilt', { exact: true })).toBeVisible();
    await dialog.getByRole('button', { name: 'Use the simulated scale' }).click();
    await expect(dialog.getByText('steady: press Enter')).toBeVisible();
    await dialog.getByRole('textbox', { name: 'The scale shows' }).press('Enter');
    await expect(dialog.getByText('2 of 74')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('No measurement could change a verdict')).toBeVisible();
    // The simulated quilt is heavier than was thought.
    await expect(
      page.getByRole('listitem').filter({ hasText: /Seat pack is \d+ g over the limit/ }),
    ).toBeVisible();
  });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('name, mass and condition without scrolling sideways; a wish says what is owned already; a trip takes from it', async ({
    page,
    rider,
  }) => {
    await page.goto('/inventory');
    await page.getByRole('textbox', { name: 'Add a thing' }).fill('Rain jacket 210 g');
    await page.keyboard.press('Enter');
    const panel = page.getByRole('region', { name: 'Rain jacket' });
    await panel.getByText('Measure its volume').click();
    await panel
      .getByRole('combobox', { name: 'As it is packed, it is' })
      .selectOption('part of a sack or bag');
    await panel.getByRole('textbox', { name: 'The sack or bag holds' }).fill('2 l');
    await panel.getByRole('textbox', { name: 'It fills, %' }).fill('40');
    await panel.getByRole('button', { name: 'Take 0.80 l for Rain jacket' }).click();
    await expect(panel.getByRole('textbox', { name: 'Fully compressed' })).toHaveValue('0.80 l');
    await panel.getByRole('checkbox', { name: 'Still to get' }).check();
    await panel.getByRole('textbox', { name: 'Price' }).fill('120');
    await page.keyboard.press('Enter');
    await expect(page.getByText('1 to get, 120.00 in all')).toBeVisible();
    const sideways = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(sideways).toBeLessThanOrEqual(0);
    await settled(page);
    await accessible(page);

    await rider.open('kit');
    await page.getByRole('button', { name: 'From the inventory' }).click();
    const dialog = page.getByRole('dialog', { name: 'From the inventory' });
    await dialog.getByRole('textbox', { name: /Find a thing/ }).fill('rain');
    await expect(dialog.getByRole('listitem')).toContainText('still to get');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Rain jacket is still to be bought or borrowed.' }),
    ).toHaveCount(1);
  });
});
