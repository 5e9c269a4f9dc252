import type { Page } from '@playwright/test';
import { accessible, expect, saved, test } from './journey';

const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();
const findings = (page: Page) =>
  page.getByRole('complementary', { name: 'Consequences' }).getByRole('list').getByRole('listitem');
const fill = async (page: Page, name: string | RegExp, value: string) => {
  const field = page.getByRole('textbox', { name });
  await field.fill(value);
  await field.press('Enter');
  return field;
};

test.describe('with no bike yet', () => {
  test.use({
    plan: async ({ plan }, use) => use({ ...plan, bike: null, bags: [], load: [] }),
  });

  test('a bike by tape alone: the drawing follows, and what closes no triangle is named at its field', async ({
    page,
    rider,
  }) => {
    await rider.open('bike');
    await page.getByRole('button', { name: 'I have its figures or a tape' }).click();
    await expect(page.getByText('defaults of an average bike')).toBeVisible();
    const take = page.getByRole('button', { name: 'Take these measures' });
    // The field shows on the drawing where to measure.
    await page.getByLabel('Along the top tube, inside').focus();
    await expect(page.locator('[data-measure="topMm"]')).toBeVisible();
    await fill(page, 'Along the top tube, inside', '515');
    await fill(page, 'Along the head tube, inside', '6.5 cm');
    await fill(page, 'Along the down tube, inside', '593');
    await fill(page, 'Along the seat tube, inside', '44.5 cm');
    await expect(take).toBeDisabled();
    const diagonal = await fill(page, /^From the corner of seat and top tube/, '880');
    await expect(page.getByText(/the diagonal lies between 452 and 578 mm/)).toBeVisible();
    await expect(take).toBeDisabled();
    await diagonal.fill('531');
    await diagonal.press('Enter');
    await take.click();
    await expect(page.getByText(/≈ 57\d mm, from your tape/)).toBeVisible();
    await fill(page, 'Saddle rails straight down to the rear tyre', '14 in');
    await expect(page.getByText(/Bottom bracket below the rear axle/)).toBeVisible();
    await saved(page);
    await page.reload();
    await tab(page, 'Figures');
    await expect(page.getByRole('textbox', { name: 'Along the top tube, inside' })).toHaveValue('515 mm');
    await accessible(page);
  });
});

test('a unit that slipped is asked about, impossible figures refused, and the drawing keeps the last good one', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await tab(page, 'Figures');
  const wheels = () =>
    page.locator('svg circle').evaluateAll((all) => all.map((one) => one.getAttribute('cx')));
  const before = await wheels();
  const chainstay = await fill(page, 'Chainstay length', '44');
  const other = page.getByRole('button', { name: '44 cm' });
  await expect(other).toBeVisible();
  await other.click();
  await expect(chainstay).toHaveValue('440 mm');
  const taken = await wheels();
  expect(taken).not.toEqual(before);
  await chainstay.fill('-435');
  await expect(page.getByText('At least 350 mm.')).toBeVisible();
  await chainstay.fill('0');
  await chainstay.press('Enter');
  expect(await wheels()).toEqual(taken);
  await chainstay.fill('17 5/8');
  await expect(page.getByText(/is not a/)).toBeVisible();
  await chainstay.fill('44.5 cm');
  await chainstay.press('Enter');
  await expect.poll(wheels).not.toEqual(taken);
  // Emptied, it is a default again, and says so.
  await chainstay.fill('');
  await chainstay.press('Enter');
  await expect(page.getByText('≈ 435 mm, a default')).toBeVisible();
  await saved(page);
});

test('a bag is slid by pointer and by arrow keys; its gap follows, a fix frees it, undo brings it back', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  const can = page.getByRole('slider', { name: 'Down tube can, along its place' });
  const near = findings(page).filter({ hasText: 'Down tube can comes within 12 mm of the front tyre' });
  await expect(near).toBeVisible();
  await can.focus();
  await page.keyboard.press('ArrowDown');
  await expect(can).toHaveAttribute('aria-valuenow', '-5');
  await expect(near).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Down tube can changed' }).click();
  await expect(near).toBeVisible();

  const box = (await can.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 20, box.y + box.height / 2 + 20, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await can.getAttribute('aria-valuenow'))).toBeLessThan(-20);
  await page.getByRole('button', { name: 'Undo: Down tube can changed' }).click();
  await near.getByRole('button', { name: /^Slide Down tube can/ }).click();
  await expect(near).toHaveCount(0);
  await saved(page);
});

test('the library tries each bag on this bike before it is added; the front view shows widths', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await page.getByRole('combobox', { name: 'Place of the new bag' }).selectOption('bar roll');
  await page.getByRole('button', { name: 'From the library' }).click();
  const table = page.getByRole('table', { name: 'Bags for the place bar roll' });
  await expect(table.getByRole('row', { name: /Bar roll, large/ })).toContainText('stop');
  await expect(table.getByRole('row', { name: /Bar roll for drop bars/ })).toContainText('hangs free');
  await expect(page.getByText('One of these in place of Bar roll')).toBeVisible();
  await accessible(page);
  await table.getByRole('button', { name: 'Swap in Bar roll, large' }).click();
  await expect(findings(page).filter({ hasText: 'Bar roll, large is 60 mm too long' })).toBeVisible();
  await page.getByText('Front', { exact: true }).click();
  await expect(page.getByRole('group', { name: 'Steel hardtail from the front, to scale' })).toBeVisible();
  await expect(page.getByText('free for hands 520 mm')).toBeVisible();
});

test('a frame bag is cut from the triangle, hung, and its template comes as PDF, SVG, DXF and a measuring sheet', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await tab(page, 'Frame bag');
  const result = page.getByRole('region', { name: 'Frame bag from the triangle' }).getByRole('status');
  await expect(result).toContainText(/^3\.\d\d l/);
  await fill(page, 'Depth under the top tube', '140');
  await expect(result).toContainText(/^[34]\.\d\d l/);
  await fill(page, 'Width at the rear, by the knees', '150');
  await expect(result).toContainText('Your knees leave 105 mm at the rear');
  await fill(page, 'Width at the rear, by the knees', '52');
  await page.getByText('Full triangle').click();
  await expect(result).toContainText('3 cage bolts against it');
  await fill(page, 'Set back from the top tube', '300');
  await fill(page, 'Set back from the down tube', '300');
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing is left' })).toBeVisible();
  await fill(page, 'Set back from the top tube', '3');
  await fill(page, 'Set back from the down tube', '5');
  await accessible(page);
  await page.getByRole('button', { name: 'Cut Half frame bag to this' }).click();
  await expect(findings(page).filter({ hasText: 'Half frame bag displaces bottle cage' })).toBeVisible();
  await findings(page)
    .filter({ hasText: 'Half frame bag displaces bottle cage' })
    .getByRole('button', { name: /Make it a half bag/ })
    .click();
  await expect(findings(page).filter({ hasText: 'displaces' })).toHaveCount(0);
  await saved(page);

  const links = page.getByRole('navigation', { name: 'Template of Half frame bag' }).getByRole('link');
  await expect(links).toHaveCount(5);
  const starts = {
    'PDF on A4': '%PDF-',
    'PDF on Letter': '%PDF-',
    SVG: '<?xml',
    DXF: '0\r\nSECTION',
    'Measuring sheet': '%PDF-',
  };
  for (const [words, start] of Object.entries(starts)) {
    const href = await links.filter({ hasText: words }).getAttribute('href');
    const answer = await page.request.get(href!);
    expect(answer.status()).toBe(200);
    expect(answer.headers()['content-disposition']).toMatch(/attachment; filename="/);
    expect((await answer.body()).subarray(0, start.length).toString('latin1')).toBe(start);
  }
  const none = await page.request.get(`/api/trips/${rider.tripId}/bags/none/template?format=pdf`);
  expect(none.status()).toBe(404);
  const odd = await page.request.get((await links.first().getAttribute('href'))!.replace('pdf', 'doc'));
  expect(odd.status()).toBe(422);
});

test('wheel readings from the scale place the centres; the tyres say what to start from', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await tab(page, 'Balance');
  const centres = page.getByRole('table', { name: 'Centres of mass' });
  const turning = page
    .getByRole('table', { name: 'Handling by the fill of bottles' })
    .getByRole('row', { name: /^Turning the bar/ })
    .getByRole('cell');
  // Bare, then with bags hung: heavier to turn.
  await expect(turning.first()).toHaveText('1.00 ×');
  await expect(turning.last()).toHaveText(/^[1-9]\.\d\d ×$/);
  await expect(turning.last()).not.toHaveText('1.00 ×');
  await expect(centres.getByRole('row', { name: /Bare bike/ })).toContainText('a default');
  for (const which of [
    'Front wheel, bike alone',
    'Rear wheel, bike alone',
    'Front wheel, you seated',
    'Rear wheel, you seated',
  ]) {
    await page.getByRole('button', { name: `Read the scale for ${which}` }).click();
    await expect(page.getByRole('textbox', { name: which })).toHaveValue(/kg/);
  }
  await expect(centres.getByRole('row', { name: /Bare bike/ })).toContainText('your readings');
  await expect(centres.getByRole('row', { name: /You/ })).toContainText('your readings');
  await fill(page, 'Rear wheel, you seated', '20 kg');
  await expect(page.getByRole('alert').filter({ hasText: 'The readings put the rider at' })).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Forget the readings' }).click();
  await expect(centres.getByRole('row', { name: /You/ })).toContainText('a default');

  await tab(page, 'Tyres');
  const rear = page.getByRole('table', { name: 'Starting pressures' }).getByRole('row', { name: /rear/ });
  await expect(rear).toContainText('≈ 1.');
  await fill(page, 'Least printed on the tyre', '35 psi');
  await expect(rear).toContainText("raised to the tyre's least");
});

test('set-ups: kept, compared, used with one undo, copied and forgotten; another account sees none', async ({
  page,
  rider,
}) => {
  await rider.open('bike');
  await tab(page, 'Set-ups');
  await expect(page.getByText('None saved yet.')).toBeVisible();
  await fill(page, "Save this trip's bike and bags as", 'All bags');
  const table = page.getByRole('table', { name: 'Kept set-ups' });
  await expect(table.getByRole('row', { name: /All bags/ })).toContainText('11');
  await table.getByRole('button', { name: 'Copy All bags' }).click();
  const copy = table.getByRole('row', { name: /All bags, copy/ });
  await expect(copy).toContainText('Steel hardtail, copy');

  // A bag fewer on the trip; the copy keeps all of its own.
  await tab(page, 'Bags');
  await page.getByRole('button', { name: /^B Front pouch/ }).click();
  await page.getByRole('button', { name: 'Take Front pouch off the bike' }).click();
  await tab(page, 'Set-ups');
  await table.getByRole('button', { name: 'Compare All bags, copy' }).click();
  const figures = page.getByRole('table', { name: 'Figures of both' });
  await expect(figures.getByRole('row', { name: /^bar bag/ })).toContainText('–');
  await expect(figures.getByRole('row', { name: /^bar bag/ })).toContainText('3.08 l, carries 1.50 kg');
  await accessible(page);
  await table.getByRole('button', { name: 'Use All bags, copy' }).click();
  await expect(page.getByText('Steel hardtail, copy, 13.4 kg; 11 bags')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: Set-up: All bags, copy' }).click();
  await expect(page.getByText('Steel hardtail, 13.4 kg; 10 bags')).toBeVisible();
  await saved(page);
  await table.getByRole('button', { name: 'Forget All bags, copy' }).click();
  await table.getByRole('button', { name: 'Yes, forget All bags, copy' }).click();
  await expect(copy).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('Steel hardtail, 13.4 kg; 10 bags')).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('every tab of the bike fits the screen', async ({ page, rider }) => {
    await rider.open('bike');
    for (const name of ['Bags', 'Figures', 'Build and you', 'Balance', 'Tyres', 'Frame bag', 'Set-ups']) {
      await tab(page, name);
      await expect(page.getByRole('tabpanel')).toBeVisible();
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect({ name, wide }).toEqual({ name, wide: 390 });
    }
  });
});

test('build, mounts and the rider’s own measures decide what is found', async ({ page, rider }) => {
  await rider.open('bike');
  await tab(page, 'Build and you');
  await fill(page, 'Fork travel', '140');
  await expect(findings(page).filter({ hasText: /Down tube can meets the front tyre/ })).toBeVisible();
  await page.getByRole('combobox', { name: 'Fork', exact: true }).selectOption('rigid');
  await expect(findings(page).filter({ hasText: 'Down tube can' })).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Fork travel' })).toHaveCount(0);

  await fill(page, 'Room between the knees', '80');
  await expect(
    findings(page).filter({ hasText: 'Half frame bag is 3 mm wider than your knees leave' }),
  ).toBeVisible();
  await fill(page, 'Room between the knees', '');
  await expect(findings(page).filter({ hasText: 'knees' })).toHaveCount(0);

  const leg = page.getByRole('group', { name: 'Mount 3' });
  await expect(leg.getByRole('combobox', { name: 'Where' })).toHaveValue('left fork leg');
  await leg.getByRole('textbox', { name: "Maker's greatest load" }).fill('1.2 kg');
  await page.keyboard.press('Enter');
  await tab(page, 'Bags');
  await expect(page.getByRole('button', { name: /Left fork bag/ })).toContainText('carries 1.20 kg');
  await tab(page, 'Build and you');
  await page.getByRole('button', { name: 'Remove mount 3' }).click();
  await expect(
    findings(page).filter({ hasText: 'Left fork bag is bolted to a fork leg that has no mount' }),
  ).toBeVisible();
  await page.getByRole('combobox', { name: 'Bar', exact: true }).selectOption('drop');
  await expect(page.getByRole('textbox', { name: 'Flare of the drops' })).toBeVisible();
  await fill(page, 'Free width between levers or drops', '18 in');
  await expect(findings(page).filter({ hasText: /Bar roll is \d+ mm too long/ })).toBeVisible();
  await fill(page, 'Free width between levers or drops', '24 in');
  await expect(findings(page).filter({ hasText: 'too long' })).toHaveCount(0);
  await saved(page);
});
