import { randomUUID } from 'node:crypto';
import { insertPlan, readPlan } from '@/db/plans';
import { readFile, writeFile } from 'node:fs/promises';
import { emptyPlan } from '@/core/plan/plan';
import { accessible, expect, pool, saved, test } from './journey';

const csv = (text: string, name = 'kit.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('CSV in and out: columns matched, faults named, good rows taken, and formulas kept from running', async ({
  page,
  rider,
}) => {
  await rider.open('kit');
  await page.getByRole('button', { name: 'Import CSV' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import a kit list' });
  const choose = async (file: ReturnType<typeof csv>) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      dialog.getByRole('button', { name: /file/i }).first().click(),
    ]);
    await chooser.setFiles(file);
  };
  await choose(csv(''));
  await expect(dialog.getByRole('alert')).toContainText('The file is empty');
  await choose(csv('x'.repeat(21 * 1024 * 1024), 'huge.csv'));
  await expect(dialog.getByRole('alert')).toContainText('huge.csv has 21 MB');

  await choose(csv('Item;Weight (oz);Shade;Notes\n=1+1 lamp;3,5;blue;x\nHeavy;-4;red;y\nPaperback;7;;\n'));
  await expect(dialog.getByText('Columns are separated by semicolons.')).toBeVisible();
  await expect(dialog.getByLabel('Item')).toHaveValue('name');
  await expect(dialog.getByLabel('Weight (oz)')).toHaveValue('mass');
  await expect(dialog.getByLabel('Shade')).toHaveValue('');
  await expect(dialog.getByRole('row', { name: /^3 Heavy/ })).toContainText('mass: "-4" is below zero');
  await expect(dialog.getByRole('row', { name: /^4 Paperback/ })).toContainText('changes: 198 g');
  await expect(dialog.getByText('1 new, 1 changed, 1 with faults left out.')).toBeVisible();
  await accessible(page);
  // The rider corrects a column, and every row is understood anew.
  await dialog.getByLabel('Weight (oz)').selectOption('volume');
  await expect(dialog.getByRole('row', { name: /^2 =1\+1 lamp/ })).toContainText('guessed');
  await dialog.getByLabel('Weight (oz)').selectOption('mass');
  await dialog.getByRole('button', { name: 'Take 2 rows' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText('75 things')).toHaveCount(2);
  await saved(page);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('plateau-and-river-loop-kit.csv');
  const text = await readFile(await download.path(), 'utf8');
  expect(text).toContain("'=1+1 lamp");
  expect(text.split('\r\n')).toHaveLength(77);

  await page.getByRole('button', { name: 'Undo: 2 things into the kit' }).click();
  await expect(page.getByText('74 things')).toHaveCount(2);
});

test.describe('from nothing', () => {
  test.use({ plan: async ({}, use) => use(emptyPlan('Overnight')) });

  test('an empty trip leads on: bike, bag, thing, loaded; and the figures understand any unit', async ({
    page,
    rider,
  }) => {
    await rider.open('load');
    await expect(page.getByText('There are no bags to load')).toBeVisible();
    await page.getByRole('link', { name: 'Add bags to the bike' }).click();
    await page.getByRole('button', { name: 'I have its figures or a tape' }).click();
    await page.getByRole('tab', { name: 'Bags' }).click();
    await page.getByRole('button', { name: 'Add a bag' }).click();
    const mass = page.getByRole('textbox', { name: 'Own mass, empty' });
    await mass.fill('1 lb 14 oz');
    await expect(page.getByText('Understood: 850 g')).toBeVisible();
    await mass.press('Enter');
    await expect(mass).toHaveValue('850 g');
    await mass.fill('900 kg');
    await expect(page.getByText('At most 60000 g; check the unit.')).toBeVisible();
    await mass.press('Escape');
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Kit/ }).click();
    await expect(page.getByText('The kit is empty', { exact: true }).first()).toBeVisible();
    await accessible(page);
    const add = page.getByRole('textbox', { name: 'Add a thing' });
    await add.fill('Warm quilt -680 g 4.2 l');
    await add.press('Enter');
    await expect(page.getByText('Nothing weighs or takes -680 g.')).toBeVisible();
    await accessible(page);
    await add.fill('Warm quilt 680 g 4.2 l');
    await add.press('Enter');
    await expect(page.getByText('1 thing, 680 g with water')).toBeVisible();
    await expect(page.getByRole('row', { name: /Warm quilt sleep 1 680 g 4.20 l/ })).toBeVisible();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Load/ }).click();
    await page.getByRole('button', { name: 'Load for me' }).first().click();
    await expect(page.getByRole('row', { name: /Seat pack/ })).toContainText('4.42 l');
    await saved(page);
  });
});

test('plan files: saved, opened as a new trip, and refused with reasons', async ({ page, rider }) => {
  await rider.open('trip');
  await page.getByRole('button', { name: 'More' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Save the plan as a file' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  await page.goto('/');
  const open = async (content: string) => {
    const file = content.startsWith('/')
      ? content
      : { name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(content) };
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open a plan file' }).click(),
    ]);
    await chooser.setFiles(file);
  };
  await open(text.slice(0, text.indexOf('"bags"') + 3));
  await expect(page.getByRole('alert').filter({ hasText: 'breaks off' })).toBeVisible();
  await open(JSON.stringify({ ...JSON.parse(text), version: 9 }));
  await expect(page.getByRole('alert').filter({ hasText: 'later Gorvin' })).toBeVisible();
  // Over 50 MB a file is handed to the browser by its path.
  const huge = test.info().outputPath('huge.json');
  await writeFile(huge, ' '.repeat(50 * 1024 * 1024));
  await open(huge);
  await expect(page.getByRole('alert').filter({ hasText: '50 MB' })).toBeVisible();
  await open(text);
  await expect(page).toHaveURL(/\/load$/);
  await expect(page.getByText('67 things are still on the floor')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Trips' }).getByRole('listitem')).toHaveCount(2);
});

for (const [where, viewport] of [
  ['at a desk', { width: 1280, height: 800 }],
  ['on a phone', { width: 390, height: 844 }],
] as const) {
  test.describe(where, () => {
    test.use({ viewport });

    test('the fields of a thing have their room before they come, and are all in view', async ({
      page,
      rider,
    }) => {
      await rider.open('kit');
      let letThrough = () => undefined as void;
      const wait = new Promise<void>((done) => (letThrough = done));
      await page.route('**/*.js', async (route) => {
        await wait;
        await route.continue();
      });
      await page.getByRole('button', { name: 'Inflation sack' }).click();
      const room = page.locator('[aria-busy="true"]');
      await expect(room).toBeVisible();
      // All of it, or where it is taller than the screen, nine tenths of what a screen can show.
      const { height } = (await room.boundingBox())!;
      await expect(room).toBeInViewport({ ratio: Math.min(0.99, (0.9 * viewport.height) / height) });
      const next = page.getByRole('button', { name: 'Pillow', exact: true });
      const fields = page.getByRole('row').filter({ has: page.getByLabel('Mass of one') });
      const below = async () => (await next.boundingBox())!.y;
      const before = await below();
      letThrough();
      await expect(fields).toBeVisible();
      expect(Math.abs((await below()) - before)).toBeLessThan(3);
      for (const field of await fields.getByRole('combobox').all()) {
        const { x, width } = (await field.boundingBox())!;
        expect(x).toBeGreaterThan(0);
        expect(x + width).toBeLessThanOrEqual(viewport.width);
      }
    });
  });
}

test('a decision is of this trip, a mass of every trip; what is taken off all trips waits until it is deleted', async ({
  page,
  rider,
}) => {
  const other = randomUUID();
  const { plan } = (await readPlan(pool, rider.accountId, rider.tripId))!;
  await insertPlan(pool, rider.accountId, other, { ...plan, trip: { ...plan.trip, name: 'Later trip' } });
  await rider.open('kit');
  await page.getByRole('button', { name: 'Mug', exact: true }).click();
  await page.getByLabel('Mass of one').fill('91 g');
  await page.keyboard.press('Enter');
  await page.getByText('On this trip: how much needed').click();
  await page.getByRole('combobox', { name: 'Needed', exact: true }).selectOption('must');
  await saved(page);
  await accessible(page);
  const mugOn = async (trip: string) =>
    (await readPlan(pool, rider.accountId, trip))!.plan.things.find(({ name }) => name === 'Mug');
  expect(await mugOn(rider.tripId)).toMatchObject({ massG: 91, need: 'must' });
  expect(await mugOn(other)).toMatchObject({ massG: 91, need: 'nice' });

  await page.getByRole('button', { name: 'Remove Mug' }).click();
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'On no trip' })).toHaveCount(0);
  await page.getByRole('button', { name: 'More for Later trip' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Delete Later trip' }).click();
  const unused = page.getByRole('region', { name: 'On no trip' });
  await expect(unused).toContainText('You own 1 thing that no trip and no set-up uses.');
  await unused.getByText('Show them').click();
  await accessible(page);
  await unused.getByRole('button', { name: 'Delete Mug' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete Mug' }).click();
  await expect(unused).toHaveCount(0);
});
