// npm run screenshots: one current picture of each main view, from the demo, for docs/screenshots.
import type { Page } from '@playwright/test';
import { DEMO_TRIP_ID } from '@/db/demo';
import { withApp } from './lib/app';
import { launchBrowser } from './lib/browser';
import { exitOn } from './lib/say';

withApp(async ({ url }) => {
  const browser = await launchBrowser();
  const open = async (options: Parameters<typeof browser.newContext>[0]): Promise<Page> => {
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })
    ).newPage();
    await page.goto(`${url}/welcome`);
    await page.getByRole('button', { name: 'Open the demo trip' }).click();
    await page.waitForURL(`${url}/`);
    return page;
  };
  const visit = (page: Page, stage: string) =>
    page.goto(`${url}/trips/${DEMO_TRIP_ID}/${stage}`, { waitUntil: 'networkidle' });
  const shoot = (page: Page, name: string) => page.screenshot({ path: `docs/screenshots/${name}.png` });

  const desk = await open({});
  await visit(desk, 'load');
  await shoot(desk, 'load-floor');
  await desk.getByRole('button', { name: 'Load for me' }).first().click();
  await desk.getByText(/things moved/).waitFor({ timeout: 60_000 });
  await desk.getByRole('button', { name: /^L Seat pack/ }).click();
  await desk.getByRole('option', { name: /Down quilt/ }).click();
  await shoot(desk, 'load');
  await visit(desk, 'trip');
  await shoot(desk, 'trip');
  await visit(desk, 'bike');
  await shoot(desk, 'bike');
  await visit(desk, 'kit');
  await shoot(desk, 'kit');
  const dark = await open({ colorScheme: 'dark' });
  await visit(dark, 'load');
  await dark.getByRole('button', { name: /^F Half frame bag/ }).click();
  await shoot(dark, 'load-dark');
  const phone = await open({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await visit(phone, 'load');
  await shoot(phone, 'load-phone');
  await browser.close();
}).catch(exitOn);
