import { DEMO_TRIP_ID } from '@/db/demo';
import { launchBrowser } from './lib/browser';
const url = process.env.URL ?? 'http://127.0.0.1:4100';
const what = process.argv[2] ?? 'load';
const browser = await launchBrowser();
const ctx = await browser.newContext({
  viewport: what === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  reducedMotion: 'reduce',
});
const page = await ctx.newPage();
await page.goto(`${url}/welcome`);
await page.getByRole('button', { name: 'Open the demo trip' }).click();
await page.waitForURL(`${url}/`);
const visit = (stage: string) =>
  page.goto(`${url}/trips/${DEMO_TRIP_ID}/${stage}`, { waitUntil: 'networkidle' });
await visit('load');
if (what !== 'bike') {
  await page
    .getByRole('button', { name: /^Load for me/ })
    .first()
    .click();

  await page.waitForTimeout(7000);
}
if (what === 'bike') {
  await visit('bike');
  await page
    .getByRole('tab', { name: /Tyres/ })
    .click()
    .catch(() => {});
}
await page.screenshot({ path: `/tmp/look-${what}.png` });
if (what === 'load') {
  await page
    .getByText('What limits it')
    .click()
    .catch(() => {});
  await page.getByRole('button', { name: /^L Seat pack/ }).click();
  await page.screenshot({ path: '/tmp/look-load2.png' });
}
await browser.close();
process.exit(0);
