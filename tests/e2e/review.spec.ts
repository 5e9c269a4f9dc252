import type { Page } from '@playwright/test';
import { accessible, expect, put, saved, test } from './journey';

const view = (page: Page, name: string) => page.getByText(name, { exact: true }).click();
const setOut = async (page: Page, tripId: string) => {
  const answer = await page.request.put(`/api/trips/${tripId}/departure`, {
    headers: { origin: new URL(page.url()).origin },
  });
  expect(answer.ok()).toBe(true);
};
const another = async (page: Page, tripId: string, name: string): Promise<string> => {
  const made = await page.request.post('/api/trips', {
    headers: { origin: new URL(page.url()).origin },
    data: { from: 'trip', tripId, name },
  });
  return ((await made.json()) as { tripId: string }).tripId;
};

test('two trips are ridden and reviewed; the next list differs, with the reasons, and what was learned is planned with', async ({
  page,
  rider,
}) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Paperback']);
  await rider.open('ride');
  const trips = [rider.tripId, await another(page, rider.tripId, 'The second one')];
  for (const tripId of trips) {
    await setOut(page, tripId);
    await page.goto(`/trips/${tripId}/ride`);
    const log = page.getByRole('region', { name: 'Log', exact: true });
    for (let k = 0; k < 2; k += 1) {
      await log.getByRole('button', { name: 'Drank', exact: true }).click();
      await log.getByRole('button', { name: '1.50 l', exact: true }).click();
    }
    await log.getByRole('button', { name: 'Gas left' }).click();
    const left = log.getByRole('textbox', { name: 'Or it weighs' });
    await left.fill('165');
    await left.press('Enter');
    await expect(log.getByRole('listitem').filter({ hasText: 'Gas left in Gas canister: 67 g' })).toHaveCount(
      1,
    );
    await page.goto(`/trips/${tripId}/review`);
    await page.getByRole('combobox', { name: 'Paperback was' }).selectOption('unused');
    await page.getByRole('button', { name: 'Keep these answers' }).click();
    await expect(page.getByText('Every thing has an answer.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Missed' }).fill('Warm mittens');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('region', { name: 'Missed' })).toContainText('Warm mittens');
    await expect(page.getByText('kept on this phone')).toHaveCount(0);
  }
  await accessible(page);

  const next = await another(page, rider.tripId, 'The third one');
  await page.goto(`/trips/${next}/review`);
  await view(page, 'Next time');
  const leave = page.getByRole('region', { name: 'Leave at home' });
  await expect(leave).toContainText('Paperback Unused on 2 trips of 2.');
  await expect(leave).not.toContainText('First aid pouch');
  await leave.getByRole('button', { name: 'Leave Paperback' }).click();
  const take = page.getByRole('region', { name: 'Take along' });
  await expect(take).toContainText('You missed it.');
  await accessible(page);
  await view(page, 'What you learned');
  const rates = page.getByRole('region', { name: 'Rates' });
  await expect(rates).toContainText('from 2 trips');
  const drinking = rates.getByRole('row', { name: /^Drinking/ });
  await expect(drinking).toContainText(/planned with \d\.\d\d/);
  const gas = rates.getByRole('row', { name: /^Gas/ });
  await expect(gas).toContainText(/planned with 0\.\d\d/);
  await accessible(page);
  // Rejected here, it is not taken over by the trip after this one either.
  const kept = page.waitForResponse((response) => response.url().endsWith('/api/learned'));
  await rates.getByRole('button', { name: 'Use the usual for Drinking' }).click();
  await expect(rates.getByRole('button', { name: /^Plan with .* for Drinking/ })).toBeVisible();
  await kept;
  await saved(page);
  const fourth = await another(page, rider.tripId, 'The fourth one');
  await page.goto(`/trips/${fourth}/review`);
  await view(page, 'What you learned');
  await expect(gas).toContainText(/planned with 0\.\d\d/);
  await expect(drinking).not.toContainText('planned with');
  await rates.getByRole('button', { name: /^Plan with .* for Drinking/ }).click();
  await expect(drinking).toContainText(/planned with \d\.\d\d/);
  await view(page, 'Compare trips');
  await expect(page.getByRole('region', { name: 'Side by side' })).toContainText('Warm mittens');
  await accessible(page);
  await saved(page);
});

test('practice: a load by hand is scored against the loader, with the moves that would gain most', async ({
  page,
  rider,
}) => {
  await put(rider.tripId, 'Seat pack', ['Tent poles', 'Pillow']);
  await rider.open('review');
  await view(page, 'Practice');
  await page.getByRole('combobox', { name: 'Level' }).selectOption('sleep and shelter');
  await expect(page.getByText('2 of 11 things are packed.')).toBeVisible();
  await page.getByRole('button', { name: 'Score my load' }).click();
  const score = page.getByRole('status', { name: 'Score' });
  await expect(score).toContainText(/^\d+ of 100/, { timeout: 40_000 });
  await expect(score.getByRole('listitem')).toHaveCount(3);
  await accessible(page);
  await page.getByRole('button', { name: 'Put everything on the floor' }).click();
  await expect(page.getByText('0 of 11 things are packed.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Score my load' })).toBeDisabled();
});

test('the days go to the head unit; a trip without a route says what it needs', async ({ page, rider }) => {
  await rider.open('ride');
  await page.getByRole('button', { name: 'Put the days on it' }).click();
  await expect(page.getByText('All days are on the head unit.')).toBeVisible();
  await accessible(page);
  await page.getByRole('combobox', { name: 'Where you are' }).selectOption({ label: 'Rim café' });
  await expect(page.getByRole('list', { name: 'Next places' })).not.toContainText('Village shop');
  await page.getByRole('combobox', { name: 'Day' }).selectOption('3');
  await expect(page.getByRole('region', { name: 'Today' })).toContainText('32.8 km to go');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('the log comes first, targets are large, nothing scrolls sideways', async ({ page, rider }) => {
    await rider.open('ride');
    const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(await sideways()).toBeLessThanOrEqual(0);
    const small = await page.evaluate(
      () =>
        [...document.querySelectorAll('section[aria-label="Log"] button')].filter(
          (each) => each.getBoundingClientRect().height < 44,
        ).length,
    );
    expect(small).toBe(0);
    await page.goto(page.url().replace('/ride', '/review'));
    for (const name of ['What you learned', 'Next time', 'Compare trips', 'Practice', 'What was used']) {
      await view(page, name);
      expect(await sideways()).toBeLessThanOrEqual(0);
    }
  });
});
