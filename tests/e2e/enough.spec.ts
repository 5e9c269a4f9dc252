import type { Page } from '@playwright/test';
import { accessible, expect, saved, test } from './journey';

const panel = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
test.describe('a kit with gaps', () => {
  // Six things stay at home that the trip asks for, in weather colder than expected.
  test.use({
    plan: async ({ plan }, use) => {
      const left = ['Silk liner', 'Sun cream', 'Foil blanket', 'Trowel and paper', 'Tyre levers', 'Spoon'];
      await use({
        ...plan,
        trip: { ...plan.trip, scenario: 'colder' },
        load: plan.things
          .filter(({ name }) => left.includes(name))
          .map(({ id }) => ({ thingId: id, to: 'home' as const, pinned: false })),
      });
    },
  });

  test('from warnings to ready through one-press fixes: a liner turns sleep back, what is missing is taken, one need dismissed', async ({
    page,
    rider,
  }) => {
    await rider.open('kit');
    await page.getByText('Is it enough?', { exact: true }).click();
    await expect(panel(page, 'Sleep')).toContainText('stop');
    await expect(panel(page, 'Sleep')).toContainText(/In colder weather: Night 2 is 0\.5 °C colder/);
    await expect(panel(page, 'First aid and hygiene')).toContainText('check');
    await accessible(page);
    await panel(page, 'Sleep').getByRole('button', { name: 'Take Silk liner' }).click();
    await expect(panel(page, 'Sleep')).toContainText(/only 1\.5 °C warmer/);
    await expect(panel(page, 'Sleep')).not.toContainText('stop');
    for (const [where, what] of [
      ['First aid and hygiene', 'Foil blanket'],
      ['First aid and hygiene', 'Trowel and paper'],
      ['First aid and hygiene', 'Sun cream'],
      ['Tools and spares', 'Tyre levers'],
      ['Cook', 'Spoon'],
    ] as const)
      await panel(page, where)
        .getByRole('button', { name: `Take ${what}` })
        .first()
        .click();
    await expect(panel(page, 'First aid and hygiene')).toContainText('ready');
    await expect(panel(page, 'Tools and spares')).toContainText('ready');
    await panel(page, 'Light, power and finding the way')
      .getByRole('button', { name: /This trip needs no way to call for help without coverage/ })
      .click();
    await expect(panel(page, 'Light, power and finding the way')).not.toContainText('without coverage');
    // The forecast turns out as expected.
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Trip/ }).click();
    await page.getByRole('combobox', { name: 'Judge the trip in' }).selectOption('expected');
    const kit = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Kit/ });
    await expect(kit).toContainText('ready');
    await saved(page);
  });
});

test('a rating that is not known is asked for, and what a thing is for can be said', async ({
  page,
  rider,
}) => {
  await rider.open('kit');
  await page.getByRole('button', { name: 'Down quilt', exact: true }).click();
  await page.getByText('What it is for, and its ratings').click();
  await page.getByRole('textbox', { name: 'Limit rating, °C' }).fill('8');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('listitem').filter({ hasText: /Night 2 is .* colder than your sleeping kit/ }),
  ).toBeVisible();
  await page.getByRole('textbox', { name: 'Comfort rating, °C' }).fill('cosy');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Write a number.')).toBeVisible();
  await saved(page);
});

test.describe('with a need that the rider never has', () => {
  test.use({
    plan: async ({ plan }, use) => {
      await use({ ...plan, trip: { ...plan.trip, dismissed: ['insects'] } });
    },
  });

  test('new trips do not ask for it either, until it is asked for again', async ({
    page,
    rider,
    baseURL,
  }) => {
    const dismissedOnNew = async (): Promise<string[]> => {
      const headers = { origin: baseURL! };
      const data = { from: 'nothing', name: 'New' };
      const made = await page.request.post('/api/trips', { headers, data });
      const { tripId } = (await made.json()) as { tripId: string };
      const plan = await (await page.request.get(`/api/trips/${tripId}/plan`)).json();
      return (plan as { trip: { dismissed: string[] } }).trip.dismissed;
    };
    await rider.open('kit');
    await page.getByText('Is it enough?', { exact: true }).click();
    const never = page.getByRole('region', { name: 'Not needed' });
    await expect(never).toContainText('something against insects');
    expect(await dismissedOnNew()).toEqual([]);
    await never.getByRole('button', { name: 'Do not ask on new trips either' }).click();
    await expect(never).toContainText('New trips do not ask for it.');
    expect(await dismissedOnNew()).toEqual(['insects']);
    await accessible(page);
    await never.getByRole('button', { name: 'Ask again' }).click();
    await expect(never).toHaveCount(0);
    await saved(page);
    expect(await dismissedOnNew()).toEqual([]);
  });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('what could be left, without scrolling sideways; one press leaves it', async ({ page, rider }) => {
    await rider.open('kit');
    await page.getByText('Is it enough?', { exact: true }).click();
    const leave = page.getByRole('list', { name: 'What you could leave' });
    await expect(leave.getByRole('listitem').first()).toContainText('Folding chair');
    const sideways = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(sideways).toBeLessThanOrEqual(0);
    await leave.getByRole('button', { name: 'Leave Folding chair at home' }).click();
    await expect(leave).not.toContainText('Folding chair');
    await saved(page);
  });
});
