// npm run screenshots: one current picture of each main view, from the demo, for docs/screenshots.
import type { Page } from '@playwright/test';
import { DEMO_TRIP_ID } from '@/db/demo';
import { withApp } from './lib/app';
import { launchBrowser, visit as visitPage } from './lib/browser';
import { exitOn } from './lib/say';

withApp(async ({ url }) => {
  const browser = await launchBrowser();
  const open = async (options: Parameters<typeof browser.newContext>[0]): Promise<Page> => {
    const page = await (
      await browser.newContext({
        viewport: { width: 1280, height: 800 },
        reducedMotion: 'reduce',
        ...options,
      })
    ).newPage();
    await page.goto(`${url}/welcome`);
    await page.getByRole('button', { name: 'Open the demo trip' }).click();
    await page.waitForURL(`${url}/`);
    return page;
  };
  const visit = (page: Page, stage: string) => visitPage(page, `${url}/trips/${DEMO_TRIP_ID}/${stage}`);
  const shoot = (page: Page, name: string) => page.screenshot({ path: `docs/screenshots/${name}.png` });

  const first = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await visitPage(first, `${url}/welcome`);
  await first.getByText('Sign in, or make an account').click();
  await shoot(first, 'welcome');
  const desk = await open({});
  await visitPage(desk, `${url}/trips/new`);
  await shoot(desk, 'new-trip');
  await visit(desk, 'load');
  await desk.getByRole('button', { name: 'Load for me' }).first().click();
  await desk.getByText(/things? moved/).waitFor({ timeout: 60_000 });
  await desk.getByRole('button', { name: /^L Seat pack/ }).click();
  await desk.getByRole('option', { name: /Down quilt/ }).click();
  await shoot(desk, 'load');
  await visit(desk, 'trip');
  // Until every square of the map is there.
  await desk.waitForFunction(
    () =>
      document.querySelectorAll('.leaflet-tile').length > 0 &&
      document.querySelectorAll('.leaflet-tile:not(.leaflet-tile-loaded)').length === 0,
  );
  await shoot(desk, 'trip');
  await visit(desk, 'bike');
  await shoot(desk, 'bike');
  await desk.getByRole('tab', { name: 'Frame bag' }).click();
  await desk.getByRole('region', { name: 'Frame bag from the triangle' }).waitFor();
  await shoot(desk, 'bike-frame-bag');
  await visit(desk, 'kit');
  await shoot(desk, 'kit');
  await desk.getByText('Is it enough?', { exact: true }).click();
  await desk.getByRole('region', { name: 'Sleep', exact: true }).waitFor();
  await shoot(desk, 'enough');
  await visit(desk, 'provisions');
  await shoot(desk, 'provisions');
  await desk.getByText('Water', { exact: true }).click();
  await desk.getByRole('img', { name: /Water on board/ }).waitFor();
  await shoot(desk, 'water');
  await desk.getByText('Load on the way', { exact: true }).click();
  await desk.getByRole('table', { name: 'Load at each moment' }).waitFor();
  await shoot(desk, 'on-the-way');
  await visit(desk, 'review');
  await desk.getByText('What you learned', { exact: true }).click();
  await desk.getByRole('region', { name: 'Rates' }).waitFor();
  await shoot(desk, 'review');
  const phone = await open({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await visit(phone, 'load');
  await shoot(phone, 'load-phone');
  await visit(phone, 'pack');
  for (let i = 0; i < 3; i += 1) await phone.getByRole('button', { name: 'Packed', exact: true }).click();
  await shoot(phone, 'pack-phone');
  await visitPage(phone, `${url}/trips/plateau-loop-in-june/ride`);
  await phone.getByRole('region', { name: 'Log of day 1' }).waitFor();
  await shoot(phone, 'ride-phone');
  await visit(desk, 'pack');
  await shoot(desk, 'pack');
  await visitPage(desk, `${url}/inventory`);
  await desk.getByRole('gridcell', { name: 'First aid pouch', exact: true }).click();
  await desk.getByRole('region', { name: 'First aid pouch' }).waitFor();
  await shoot(desk, 'inventory');
  // A load that was not thought through: what lies well goes where it does not belong.
  await visit(desk, 'load');
  for (const [thing, bag] of [
    ['multitool', 'a'],
    ['rain jacket', 'f'],
    ['head torch', 'a'],
  ] as const) {
    await desk.keyboard.press('Control+k');
    await desk.getByRole('textbox', { name: 'Find' }).fill(thing);
    await desk.keyboard.press('Enter');
    await desk
      .getByRole('region', { name: 'Thing in hand' })
      .getByText(new RegExp(thing, 'i'))
      .first()
      .waitFor();
    await desk.keyboard.press(bag);
  }
  await visit(desk, 'review');
  await desk.getByText('Practice', { exact: true }).click();
  await desk.getByRole('button', { name: 'Score my load' }).click();
  await desk
    .getByText(/of 100/)
    .first()
    .waitFor({ timeout: 60_000 });
  await shoot(desk, 'practice');
  await visitPage(phone, `${url}/inventory`);
  await phone.getByRole('textbox', { name: 'Find' }).fill('quilt');
  await phone.getByRole('button', { name: 'Weigh things' }).click();
  await phone.getByRole('button', { name: 'Use the simulated scale' }).click();
  await phone.getByText('steady: press Enter').waitFor();
  await shoot(phone, 'weigh-phone');
  await browser.close();
}).catch(exitOn);
