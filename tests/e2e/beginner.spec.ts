import { accessible, expect, loaded, saved, test } from './journey';
import { emptyPlan } from '@/core/plan/plan';

/** Presses and entries, as a beginner makes them: each press, and each field that is filled. */
class Actions {
  count = 0;
  async do(action: Promise<unknown>): Promise<void> {
    this.count += 1;
    await action;
  }
}

const MINE = [
  'tent 2p',
  'sleeping bag 0',
  'inflatable mat',
  'puffy',
  'rain jacket',
  'spare socks',
  'gas stove',
  'gas canister',
  'pot 0.9 l',
  'spork',
  '2 water bottles',
  '2x tube 29',
  'multitool',
  'mini pump',
  'head torch',
];

test.use({ plan: emptyPlan('Empty') });

test('a beginner: own bike by tape, bags as a set, fifteen things by name, loaded; in fewer than 40 actions', async ({
  page,
  rider,
}) => {
  const actions = new Actions();
  await rider.signIn(page);
  await page.goto('/');
  await actions.do(page.getByRole('link', { name: 'New trip' }).first().click());
  await accessible(page);
  await actions.do(page.getByLabel('Coldest night expected').fill('6'));
  await actions.do(page.getByRole('button', { name: 'Begin with an empty list' }).click());
  await expect(page).toHaveURL(/\/bike$/);

  // Bike: its type, and six measurements by tape, in centimetres.
  await actions.do(page.getByLabel('Frame size').selectOption('M'));
  await actions.do(page.getByRole('button', { name: 'I have its figures or a tape' }).click());
  for (const [label, value] of [
    ['Along the top tube, inside', '50 cm'],
    ['Along the head tube, inside', '7 cm'],
    ['Along the down tube, inside', '60 cm'],
    ['Along the seat tube, inside', '38 cm'],
    ['From the corner of seat and top tube', '53 cm'],
  ] as const)
    await actions.do(
      page
        .getByLabel(label)
        .fill(value)
        .then(() => page.keyboard.press('Enter')),
    );
  await actions.do(page.getByRole('button', { name: 'Take these measures' }).click());
  await actions.do(page.getByRole('button', { name: 'with fork bags' }).click());
  await expect(page.getByRole('region', { name: 'The answer' })).toContainText('nothing to pack yet');
  await actions.do(page.getByRole('button', { name: 'Next: add what you take' }).click());

  // Kit: names only; no mass is typed.
  const add = page.getByRole('textbox', { name: 'Add a thing' });
  await expect(add).toBeVisible();
  for (const [i, name] of MINE.entries()) {
    await actions.do(add.fill(name));
    await add.press('Enter');
    await expect(page.getByText(new RegExp(`^${i + 1} things?, `))).toBeVisible();
  }
  await accessible(page);
  await actions.do(page.getByRole('button', { name: 'Next: load for me' }).click());
  await loaded(page);
  await saved(page);
  await expect(page.getByRole('region', { name: 'The answer' })).toContainText(/fits/);
  expect(actions.count).toBeLessThan(40);

  await page.getByRole('link', { name: 'List by bag' }).click();
  await expect(page.getByRole('heading', { name: 'Overnight: what is in which bag' })).toBeVisible();
  await accessible(page);
  const bag = (thing: string) =>
    page.locator('section', { has: page.getByRole('listitem').filter({ hasText: thing }) });
  for (const heading of await bag('Water bottles').getByRole('heading').all())
    await expect(heading).toContainText(/cage/i);
  // Bedding apart from tools.
  await expect(bag('Sleeping bag 0')).not.toContainText('Multitool');
  await expect(bag('Sleeping bag 0')).not.toContainText('Tube 29');
});

test('the list for a kind of trip: why each is there, what could replace it, ticks, and one press to take it', async ({
  page,
  rider,
}) => {
  await rider.signIn(page);
  await page.goto('/trips/new');
  const list = page.getByRole('region', { name: 'Packing list' });
  await expect(list.getByRole('listitem').filter({ hasText: 'Tent, 1 person' })).toContainText(
    'You sleep in a tent.',
  );
  await page.getByLabel('Sleeping in a').selectOption('hut');
  await expect(list.getByText('Tent, 1 person')).toHaveCount(0);
  await page.getByLabel('Sleeping in a').selectOption('tent');
  await list.getByLabel('Instead of Sleeping bag, 5 °C').selectOption('quilt-5-c');
  await list.getByRole('checkbox', { name: 'Pillow' }).uncheck();
  await page.getByLabel('Coldest night expected').fill('cold');
  await expect(page.getByText('"cold" is not a temperature.')).toBeVisible();
  await page.getByLabel('Coldest night expected').fill('46 °F');
  await page.getByRole('button', { name: 'Take this list', exact: true }).click();
  await expect(page).toHaveURL(/\/bike$/);
  await page.getByRole('button', { name: 'Use this bike' }).click();
  await page.getByRole('button', { name: 'bar, frame and seat' }).click();
  await page.getByRole('button', { name: 'Next: load for me' }).click();
  await loaded(page);
  await saved(page);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Kit/ }).click();
  await expect(page.getByRole('row', { name: /^Quilt, 0 °C/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Pillow/ })).toHaveCount(0);
});

test('what nobody knows is asked for, not invented', async ({ page, rider }) => {
  await rider.open('kit');
  await page.getByRole('textbox', { name: 'Add a thing' }).fill('zebra gizmo');
  await page.keyboard.press('Enter');
  await expect(page.getByText('How big is zebra gizmo? As big as')).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'a shoe' }).click();
  await expect(page.getByRole('row', { name: /Zebra gizmo luxuries 1 ≈ 650 g ≈ 2.00 l/ })).toBeVisible();
});
