import { launchBrowser } from './lib/browser';
import { DEMO_TRIP_ID } from '@/db/demo';
const url = 'http://127.0.0.1:4100';
const browser = await launchBrowser();
const page = await (
  await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
).newPage();
await page.goto(`${url}/welcome`);
await page.getByRole('button', { name: 'Open the demo trip' }).click();
await page.waitForURL(`${url}/`);
await page.goto(`${url}/trips/${DEMO_TRIP_ID}/bike`, { waitUntil: 'networkidle' });
console.log(await page.getByRole('tab').allInnerTexts());
await page.getByRole('tab', { name: 'Tyres' }).click();
await page.getByLabel('Least printed on the tyre').fill('3.5 bar');
await page.keyboard.press('Tab');
await page.waitForTimeout(800);
await page.screenshot({ path: '/tmp/look-tyres.png' });
await page.keyboard.press('Control+z');
await page.waitForTimeout(800);
await page.goto(`${url}/`);
await page.screenshot({ path: '/tmp/look-home.png' });
console.log(await page.getByRole('button').allInnerTexts());
await browser.close();
process.exit(0);
