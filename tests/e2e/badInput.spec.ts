import type { Locator, Page } from '@playwright/test';
import { expect, saved, test } from './journey';

/** What riders type by mistake, into any field. */
const TYPED = ['', '-5', '1000000000', 'x\u0000 5 parsec😀'];

/** Every field of a region takes each text, or refuses it beside the field and keeps what it had. Gives the number refused. */
async function tryEverything(page: Page, region: Locator): Promise<number> {
  await expect(region.getByRole('textbox').first()).toBeVisible();
  const count = await region.getByRole('textbox').count();
  expect(count).toBeGreaterThan(0);
  let refused = 0;
  for (let i = 0; i < count; i++) {
    const field = region.getByRole('textbox').nth(i);
    if (!(await field.isVisible()) || !(await field.isEditable())) continue;
    if ((await field.getAttribute('type')) !== 'text' && (await field.getAttribute('type')) !== null)
      continue;
    const before = await field.inputValue();
    for (const text of TYPED) {
      await field.fill(text);
      await field.press('Enter');
      if ((await field.getAttribute('aria-invalid')) !== 'true') continue;
      refused++;
      const message = await field.getAttribute('aria-describedby');
      expect(message, `${await name(field)} refuses "${text}" without a word`).toBeTruthy();
      const words = await page.locator(`#${message!.trim().split(/ +/).join(', #')}`).allTextContents();
      expect(words.join(' '), await name(field)).not.toMatch(
        /change\.|edit\.|Invalid|expected|NaN|undefined/,
      );
      await field.press('Escape');
    }
    await field.fill(before);
    await field.press('Enter');
    await field.press('Escape');
  }
  // Whatever was taken, the server takes too: nothing waits, and no notice stands over the page.
  await saved(page);
  await expect(page.getByRole('alert').filter({ hasText: /\w/ })).toHaveCount(0);
  return refused;
}

const name = (field: Locator) =>
  field.evaluate((element: HTMLInputElement) => element.labels?.[0]?.textContent ?? element.ariaLabel ?? '');

test('whatever is typed into the fields of trip, bike, bag and thing is taken or refused beside the field', async ({
  page,
  rider,
}) => {
  test.setTimeout(300_000);
  await rider.open('trip');
  expect(await tryEverything(page, page.getByRole('main'))).toBeGreaterThan(10);

  await rider.open('kit');
  await page.getByRole('button', { name: 'Down quilt' }).click();
  const fields = page.getByRole('row').filter({ has: page.getByRole('textbox', { name: 'Mass' }) });
  expect(await tryEverything(page, fields)).toBeGreaterThan(10);

  await rider.open('bike');
  await page.getByRole('button', { name: /^L ?M? Seat pack/ }).click();
  const bag = page.getByRole('listitem').filter({ has: page.getByRole('textbox', { name: 'Mass' }) });
  expect(await tryEverything(page, bag)).toBeGreaterThan(10);
  await page.getByRole('tab', { name: 'Figures' }).click();
  expect(await tryEverything(page, page.getByRole('tabpanel'))).toBeGreaterThan(10);
  await page.reload();
  await saved(page);
  await expect(page.getByRole('heading', { name: 'Bike' })).toBeVisible();
});
