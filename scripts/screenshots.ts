// npm run screenshots: one current picture of each main view, from the demo, for docs/screenshots.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { DEMO_TRIP_ID } from '@/db/demo';
import { withApp } from './lib/app';
import { launchBrowser, visit as visitPage } from './lib/browser';
import { exitOn } from './lib/say';
import { poppler } from './lib/system';

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
  await shoot(desk, 'load-floor');
  await desk.getByRole('button', { name: 'Load for me' }).first().click();
  await desk.getByText(/things? moved/).waitFor({ timeout: 60_000 });
  await desk.getByRole('button', { name: /^L Seat pack/ }).click();
  await desk.getByRole('option', { name: /Down quilt/ }).click();
  await shoot(desk, 'load');
  // The same at a taller window, so that no list is cut.
  await desk.setViewportSize({ width: 1280, height: 1400 });
  await desk.getByRole('button', { name: /^F Half frame bag/ }).click();
  await desk.getByRole('region', { name: 'Inside Half frame bag' }).screenshot({
    path: 'docs/screenshots/load-section.png',
  });
  await desk.setViewportSize({ width: 1280, height: 800 });
  const list = await desk.context().newPage();
  await visitPage(list, `${url}/lists/${DEMO_TRIP_ID}`);
  await shoot(list, 'list');
  await list.close();
  await desk.getByRole('button', { name: /^Compare with the load/ }).click();
  await desk.getByRole('region', { name: 'Two loads compared' }).waitFor();
  await shoot(desk, 'load-compared');
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
  await desk.getByText('Front', { exact: true }).click();
  await desk.getByRole('group', { name: /from the front/ }).waitFor();
  await shoot(desk, 'bike-front');
  await desk.getByText('Side', { exact: true }).click();
  await desk.getByRole('tab', { name: 'Frame bag' }).click();
  await desk.getByRole('region', { name: 'Frame bag from the triangle' }).waitFor();
  await shoot(desk, 'bike-frame-bag');
  const template = await desk.request.get(
    `${url}/api/trips/${DEMO_TRIP_ID}/bags/frame/template?format=pdf&paper=a4`,
  );
  const scratch = mkdtempSync(path.join(tmpdir(), 'gorvin-template-'));
  writeFileSync(path.join(scratch, 'template.pdf'), await template.body());
  poppler();
  execFileSync('pdftoppm', [
    ...['-png', '-r', '80', '-f', '1', '-l', '1', '-singlefile'],
    ...[path.join(scratch, 'template.pdf'), 'docs/screenshots/template'],
  ]);
  rmSync(scratch, { recursive: true });
  const tall = await open({ viewport: { width: 1280, height: 1900 } });
  await visit(tall, 'bike');
  await tall.getByRole('tab', { name: 'Set-ups' }).click();
  await tall.getByRole('button', { name: 'Compare Small frame, big wheels' }).click();
  await tall.getByRole('table', { name: 'Figures of both' }).waitFor();
  await shoot(tall, 'bike-compare');
  await visit(desk, 'kit');
  await shoot(desk, 'kit');
  const dark = await open({ colorScheme: 'dark' });
  await visit(dark, 'load');
  await dark.getByRole('button', { name: /^F Half frame bag/ }).click();
  await shoot(dark, 'load-dark');
  const phone = await open({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await visit(phone, 'load');
  await shoot(phone, 'load-phone');
  await visit(phone, 'pack');
  for (let i = 0; i < 3; i += 1) await phone.getByRole('button', { name: 'Packed', exact: true }).click();
  await shoot(phone, 'pack-phone');
  await visit(desk, 'pack');
  await shoot(desk, 'pack');
  // Last, since it changes the trip.
  await visit(desk, 'trip');
  const fellows = desk.getByRole('region', { name: 'Fellow riders' });
  await fellows.getByLabel('Who rides along').fill('Robin');
  await fellows.getByRole('button', { name: 'Take along' }).click();
  await desk.getByText('Saved', { exact: true }).waitFor();
  await visit(desk, 'load');
  await desk.getByRole('option', { name: /Folding chair/ }).click();
  await desk.getByText('Wishes', { exact: true }).click();
  await desk.getByLabel('Carried by').selectOption('whoever has room');
  await desk.getByRole('button', { name: 'Load for me' }).first().click();
  await desk.getByText(/things? moved/).waitFor({ timeout: 60_000 });
  await desk.getByText('Wishes', { exact: true }).click();
  await desk.getByRole('button', { name: /Robin's bike/ }).click();
  await shoot(desk, 'load-riders');
  await browser.close();
}).catch(exitOn);
