import type { Page } from '@playwright/test';
import { accessible, expect, loaded, saved, SEARCHING, test } from './journey';

/** By the rider; what the loader has found ahead is of no use then, so that it is seen at work. */
async function leaveHome(page: Page, name: string) {
  await page.getByRole('option', { name: new RegExp(name) }).click();
  await page.keyboard.press('-');
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText(name);
}

test('one thing too many is settled in two presses', async ({ page, rider }) => {
  await rider.open('load');
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await expect(page.getByText('Leave this behind and the rest fits: Folding chair')).toBeVisible(SEARCHING);
  await expect(page.getByText('Folding chair: A luxury.')).toBeVisible();
  // Undone there is nothing to settle, and what came of it is there again once done again.
  const atHome = page.getByRole('button', { name: 'Leave it at home' });
  await page.getByRole('button', { name: 'Undo: Load for me' }).click();
  await expect(page.getByText(/^\d+ things moved, then undone\.$/)).toBeVisible();
  await expect(atHome).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo: Load for me' }).click();
  await atHome.click();
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('nothing');
  await expect(page.getByRole('navigation', { name: 'Stages' })).not.toContainText('stop');
  await saved(page);
});

test('the best so far can be taken; the load before is compared, and undone in one step', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  await leaveHome(page, 'Paperback');
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await page.getByRole('button', { name: 'Use the best so far' }).click();
  await loaded(page);
  await page.getByRole('button', { name: 'Keep to compare' }).click();

  await page.getByRole('button', { name: /^L Seat pack/ }).click();
  const inside = page.getByRole('listbox', { name: /^In Seat pack, main/ });
  const first = inside.getByRole('option').first();
  const name = (await first.getAttribute('aria-label'))!.split(',')[0]!;
  await first.click();
  await page.keyboard.press('Delete');
  await page.getByRole('button', { name: /^Compare with the load kept/ }).click();
  const comparison = page.getByRole('region', { name: 'Two loads compared' });
  await expect(comparison).toContainText('1 thing lies elsewhere');
  await expect(comparison).toContainText(`${name}: Seat pack, main → on the floor`);
  await expect(comparison.getByRole('row', { name: /^Loaded bike/ })).toContainText('−');
  await comparison.getByRole('button', { name: 'Take the kept one' }).click();
  await expect(inside).toContainText(name);
  await page.getByRole('button', { name: 'Undo: Take the kept load' }).click();
  await expect(inside).not.toContainText(name);
  await saved(page);
});

test('what would let it fit: changes that were tried, and doing one', async ({ page, rider }) => {
  await rider.open('load');
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await page.getByRole('button', { name: 'What would let it fit?' }).click(SEARCHING);
  const told = page.getByText(/Everything goes in with one of these|No single small change/);
  await expect(told).toBeVisible(SEARCHING);
  // Each change that can be done at once is done in one press, and undone in one.
  const doing = page.getByRole('button', { name: /^Do this/ });
  const changes = page.getByRole('listitem').filter({ hasText: /: makes .* of room\./ });
  if (/^No single/.test((await told.textContent())!)) await expect(changes).toHaveCount(0);
  else await expect(changes.first()).toBeVisible();
  // A larger bag is one to look for; what the plan itself can change is done in one press, and undone in one.
  if ((await doing.count()) > 0) {
    await doing.first().click();
    await expect(page.getByRole('button', { name: 'Undo: Load for me' })).toHaveCount(0);
    await page
      .getByRole('button', { name: /^Undo: / })
      .first()
      .click();
    await expect(page.getByRole('button', { name: 'Undo: Load for me' })).toBeVisible();
  }
  await saved(page);
});

test('a bag’s section is a drawing to choose from, and wishes are kept', async ({ page, rider }) => {
  await rider.open('load');
  await page.getByRole('option', { name: /Pot 0.9 l/ }).click();
  await page.keyboard.press('j');
  await page.getByRole('button', { name: /^J Left fork/ }).click();
  const inside = page.getByRole('listbox', { name: 'In Left fork bag, from the mouth to the bottom' });
  await expect(inside.getByRole('option')).toHaveCount(4);
  await expect(inside.getByRole('option', { name: /Gas canister.*inside Pot 0.9 l/ })).toBeVisible();
  // Choosing on the drawing: the pot is the only stiff thing in it.
  await inside.getByRole('option', { name: /Gas canister/ }).click();
  await expect(page.getByText('Packed inside Pot 0.9 l, and goes where that goes.')).toBeVisible();
  await page.getByRole('region', { name: 'Inside Left fork bag' }).locator('rect').click();
  await expect(inside.getByRole('option', { name: /^Pot 0.9 l/ })).toHaveAttribute('aria-selected', 'true');

  await page.getByText('Wishes', { exact: true }).click();
  await page.getByLabel('Never in').selectOption('Left fork bag');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Pot 0.9 l is in Left fork bag, where you never want it.' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Drop', exact: true }).click();
  await expect(page.getByText('where you never want it')).toHaveCount(0);
  await saved(page);
});

test('a loader that dies is begun again once; then it says so, and the load stands', async ({
  page,
  rider,
}) => {
  // Whatever a worker is made of, it ends at once with an error.
  let begun = 0;
  await page.exposeFunction('begun', () => (begun += 1));
  await page.addInitScript(() => {
    globalThis.Worker = class extends EventTarget {
      onerror: ((event: Event) => void) | null = null;
      constructor() {
        super();
        void (globalThis as unknown as { begun: () => void }).begun();
        setTimeout(() => this.onerror?.(new Event('error')));
      }
      postMessage() {}
      terminate() {}
    } as unknown as typeof Worker;
  });
  await rider.open('load');
  await page.getByRole('option', { name: /Down quilt/ }).click();
  await page.keyboard.press('l');
  await saved(page);
  // A loader is two workers; those that were to be warm have died unnoticed.
  expect(begun).toBe(2);
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'stopped unexpectedly, twice' })).toBeVisible();
  expect(begun).toBe(6);
  await expect(page.getByRole('row', { name: /Seat pack, main/ })).toContainText('4.42 l');
});

test('an edit while the loader works is taken at once, and the loader begins again behind it', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  await leaveHome(page, 'Paper map');
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await expect(page.getByText(/Best load so far/)).toBeVisible();
  await leaveHome(page, 'Paperback');
  await loaded(page);
  // Decided by the rider, not by the loader.
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Paperback');
  await saved(page);
});

test('two ride together: a fellow with the same bike, things shared on the board, loads near the shares', async ({
  page,
  rider,
}) => {
  await rider.open('trip');
  const fellows = page.getByRole('region', { name: 'Fellow riders' });
  await fellows.getByLabel('Who rides along').fill('Robin');
  await fellows.getByRole('button', { name: 'Take along' }).click();
  await expect(fellows.getByRole('row', { name: /Robin/ })).toContainText('50 %');
  await fellows.getByLabel('Share of Robin').selectOption('0.5');
  await expect(fellows.getByRole('row', { name: /Robin/ })).toContainText('33 %');
  await accessible(page);

  await rider.open('load');
  const riders = page.getByRole('group', { name: 'Whose bike' });
  await page.getByRole('option', { name: /Folding chair/ }).click();
  await page.getByText('Wishes', { exact: true }).click();
  await page.getByLabel('Carried by').selectOption('whoever has room');
  // The whole system at once, and back again.
  await page.getByRole('button', { name: 'The same for all of luxuries' }).click();
  await page.getByText('Wishes', { exact: true }).click();
  // Until it is closed, its lists name the same things.
  await expect(page.getByLabel('Carried by')).toHaveCount(0);
  await page.getByRole('option', { name: /Paperback/ }).click();
  await page.getByText('Wishes', { exact: true }).click();
  await expect(page.getByLabel('Carried by')).toHaveValue('any');
  await page.getByRole('button', { name: 'Undo: Wishes for the loader' }).click();
  await expect(page.getByLabel('Carried by')).toHaveValue('');
  await page.getByText('Wishes', { exact: true }).click();
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await loaded(page);
  // Nothing of mine may go on Robin's bike but the chair, and that finds room there.
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('nothing');
  await expect(riders.getByRole('button', { name: /Robin's bike/ })).toContainText(/carries 890 g/);
  await riders.getByRole('button', { name: /Robin's bike/ }).click();
  await expect(page.getByText("for Robin's bike")).toBeVisible();
  await expect(
    page.getByRole('listitem').filter({ hasText: /You carry .* beyond the agreed share/ }),
  ).toBeVisible();
  await accessible(page);
  await saved(page);
  await page.reload();
  await expect(riders).toContainText("Robin's bike");
});
