import type { Page } from '@playwright/test';
import { accessible, expect, saved, test } from './journey';

const day = (page: Page, n: number) => page.getByRole('region', { name: `Day ${n}`, exact: true });
const view = (page: Page, name: string) => page.getByText(name, { exact: true }).click();

test('a menu is filled, a dinner locked, the menu filled again; undo brings the old one back', async ({
  page,
  rider,
}) => {
  await rider.open('provisions');
  await expect(day(page, 1).getByRole('list', { name: 'Dinner, day 1' })).toContainText('Dinners, dried');
  await accessible(page);
  await day(page, 1).getByRole('button', { name: 'More for Dinners, dried' }).click();
  await page.getByRole('menuitem', { name: 'Lock: keep it when the menu is filled' }).click();
  await expect(day(page, 1).getByLabel('locked')).toBeVisible();
  await page.getByRole('combobox', { name: 'Choose for' }).selectOption('least money');
  await page.getByRole('button', { name: 'Fill the menu for me' }).click();
  await expect(page.getByText(/A menu that meets every wish/)).toBeVisible({ timeout: 20_000 });
  await expect(day(page, 1).getByRole('list', { name: 'Dinner, day 1' })).toContainText('Dinners, dried');
  await expect(
    day(page, 2).getByRole('list', { name: 'Breakfast, day 2' }).getByRole('listitem'),
  ).not.toHaveCount(0);
  await expect(
    page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Provisions/ }),
  ).toContainText(/9[5-9]|10[0-5] % of the food/);
  await page.getByRole('button', { name: 'Undo: Menu filled' }).click();
  await expect(day(page, 2).getByRole('list', { name: 'Breakfast, day 2' })).toContainText('Breakfast oats');
  await saved(page);
});

test('a menu by hand: a food from the pantry, a portion fewer, a day copied; a day too short is said', async ({
  page,
  rider,
}) => {
  await rider.open('provisions');
  await day(page, 3).getByRole('button', { name: 'Add to lunch of day 3' }).click();
  await page.getByRole('combobox', { name: 'Food for lunch of day 3' }).fill('salami');
  await page.getByRole('option', { name: /Salami/ }).click();
  await expect(day(page, 3).getByRole('list', { name: 'Lunch, day 3' })).toContainText('Salami');
  await day(page, 2).getByRole('button', { name: 'One portion fewer of Dinners, dried' }).click();
  await expect(day(page, 2).getByRole('list', { name: 'Dinner, day 2' }).getByRole('listitem')).toHaveCount(
    0,
  );
  await expect(
    page.getByRole('listitem').filter({ hasText: /Day 2 is \d+ kcal short of food/ }),
  ).toBeVisible();
  await day(page, 1).getByRole('button', { name: 'Copy day 1' }).click();
  await page.getByRole('menuitem', { name: 'Eat the same on day 2' }).click();
  await expect(day(page, 2).getByRole('list', { name: 'Dinner, day 2' })).toContainText('Chocolate');
  await saved(page);
});

test('water: the plan says where to fill; a source that may be dry is not counted on, and the plan adapts', async ({
  page,
  rider,
}) => {
  await rider.open('provisions');
  await view(page, 'Water');
  const plan = page.getByRole('region', { name: 'Water plan' });
  await expect(plan).toContainText(/Set out with .* leave Meadow tap with/);
  await expect(plan.getByRole('img', { name: /Water on board along 99\.4 km/ })).toBeVisible();
  await accessible(page);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Trip/ }).click();
  await page.getByRole('button', { name: 'Change Meadow tap' }).click();
  const form = page.getByRole('form', { name: 'Change Meadow tap' });
  await form.getByRole('combobox', { name: 'The water is' }).selectOption('doubtful');
  await page.keyboard.press('Escape');
  await form
    .getByRole('button', { name: /Save|Keep|Change/ })
    .first()
    .click();
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: /Provisions/ })
    .click();
  await view(page, 'Water');
  await expect(plan).not.toContainText('leave Meadow tap with');
  await expect(page.getByRole('region', { name: 'Water you cannot count on' })).toContainText('Meadow tap');
  await saved(page);
});

test.describe('on a loaded bike', () => {
  test.use({
    plan: async ({ plan }, use) => {
      const bag = (name: string) => plan.bags.find((each) => each.name === name)!.compartments[0]!.id;
      const put = (thing: string, to: string) => ({
        thingId: plan.things.find(({ name }) => name === thing)!.id,
        to: { compartmentId: bag(to) },
        pinned: false,
      });
      await use({
        ...plan,
        load: [
          put('Bottle, frame', 'Bottle cage'),
          put('Bottle, stem', 'Right stem bag'),
          put('Soft flask for the dry stretch', 'Left fork bag'),
          put('Nuts and dried fruit', 'Seat pack'),
        ],
      });
    },
  });

  test('the moment from setting out to the second morning: drawing, bags, figures and findings follow', async ({
    page,
    rider,
  }) => {
    await rider.open('load');
    const moment = page.getByRole('combobox', { name: 'Moment' });
    await expect(moment).toHaveValue('start');
    const flaskBag = page.getByRole('row', { name: /Left fork bag/ });
    await expect(flaskBag).toContainText('1.04 kg');
    await page.getByRole('button', { name: 'The next moment' }).click();
    await page.getByRole('button', { name: 'The next moment' }).click();
    await expect(moment.locator('option:checked')).toHaveText('Day 2, leaving Plateau meadow');
    await expect(flaskBag).not.toContainText('1.04 kg');
    await page.getByRole('button', { name: 'Heaviest' }).click();
    await expect(moment).toHaveValue('start');
    await accessible(page);
    await page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: /Provisions/ })
      .click();
    await view(page, 'Load on the way');
    const table = page.getByRole('table', { name: 'Load at each moment' });
    await expect(table.getByRole('row')).toHaveCount(7);
    await accessible(page);
    await table.getByRole('link', { name: 'Day 3, the end' }).click();
    await expect(page.getByRole('combobox', { name: 'Moment' }).locator('option:checked')).toHaveText(
      'Day 3, the end',
    );
  });
});

test('the plan to take along: by hour, for someone at home; bad requests say what to ask for', async ({
  page,
  rider,
}) => {
  await rider.open('provisions');
  await view(page, 'Fuel and power');
  await expect(page.getByRole('region', { name: 'Fuel', exact: true })).toContainText(
    /g of gas for 2\.3 l of boiling/,
  );
  await expect(page.getByRole('region', { name: 'Power', exact: true })).toContainText('The charge lasts');
  await accessible(page);
  await view(page, 'To take along');
  await expect(page.getByRole('region', { name: 'For someone at home' })).toContainText(
    'If you hear nothing',
  );
  await accessible(page);
  const get = (as: string) => page.request.get(`/api/trips/${rider.tripId}/along?as=${as}`);
  expect(await (await get('calendar')).text()).toContain('BEGIN:VEVENT');
  expect(await (await get('home.txt')).text()).toContain('If you hear nothing');
  expect((await get('home.pdf')).headers()['content-type']).toBe('application/pdf');
  // One card for each of the three days.
  const cards = await (await get('days.pdf')).body();
  expect(cards.toString('latin1').match(/\/Type \/Page\n/g)).toHaveLength(3);
  expect((await get('everything')).status()).toBe(422);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('all stages in a list, the menu without scrolling sideways, targets large enough', async ({
    page,
    rider,
  }) => {
    await rider.open('provisions');
    const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(await sideways()).toBeLessThanOrEqual(0);
    const small = await page.evaluate(
      () =>
        [...document.querySelectorAll('section[aria-label^="Day"] button')].filter((each) => {
          const { width, height } = each.getBoundingClientRect();
          return width < 44 || height < 44;
        }).length,
    );
    expect(small).toBe(0);
    await view(page, 'Water');
    expect(await sideways()).toBeLessThanOrEqual(0);
    await page.getByRole('button', { name: 'All stages' }).click();
    await page.getByRole('menuitem', { name: /Bike/ }).click();
    await expect(page.getByRole('heading', { name: 'Bike', level: 1 })).toBeAttached();
  });
});
