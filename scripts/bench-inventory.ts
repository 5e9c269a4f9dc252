// npm run bench:inventory: with 5,000 owned things, from a key to the next paint while filtering and editing.
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { demoPlan } from '@/core/demo/plan';
import { ownedOf } from '@/core/kit/thing';
import { DEMO_ACCOUNT_ID } from '@/db/accounts';
import { addThings } from '@/db/inventory';
import { withApp } from './lib/app';
import { launchBrowser, visit } from './lib/browser';
import { exitOn } from './lib/say';

const THINGS = 5000;
const EDITS = 30;

const percentile = (values: number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

withApp(async ({ url, databaseUrl }) => {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
  const { things } = demoPlan();
  const client = await pool.connect();
  await addThings(
    client,
    DEMO_ACCOUNT_ID,
    Array.from({ length: THINGS }, (_, i) => {
      const thing = things[i % things.length]!;
      return { ...ownedOf(thing), id: randomUUID(), name: `${thing.name} ${i + 1}` };
    }),
  );
  client.release();
  const browser = await launchBrowser();
  const page = await browser.newPage();
  await page.goto(`${url}/welcome`);
  await page.getByRole('button', { name: 'Open the demo trip' }).click();
  await page.waitForURL(`${url}/`);
  await visit(page, `${url}/inventory`);
  // Chromium's own measure of every interaction: from the key to the paint after it.
  await page.evaluate(() => {
    const times: number[] = [];
    (window as unknown as { times: number[] }).times = times;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & { interactionId: number })[])
        if (entry.interactionId > 0 && entry.name === 'keydown') times.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit);
  });
  const taken = () => page.evaluate(() => (window as unknown as { times: number[] }).times.splice(0));
  const painted = () =>
    page.evaluate(
      () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(() => resolve(), 60))),
    );
  const report = async (what: string, keys: number) => {
    const times = await taken();
    // What took less than 16 ms is not reported, and counts as that.
    while (times.length < keys) times.push(16);
    console.log(
      JSON.stringify({
        bench: 'inventory',
        what,
        things: THINGS,
        keys,
        medianMs: percentile(times, 0.5),
        p95Ms: percentile(times, 0.95),
      }),
    );
  };
  const find = page.getByRole('textbox', { name: 'Find' });
  await find.focus();
  let keys = 0;
  for (const word of ['tent', 'rain 12', 'a', 'bottle 4'])
    for (const key of [...word, ...Array.from(word, () => 'Backspace')]) {
      await page.keyboard.press(key);
      await painted();
      keys += 1;
    }
  await report('filter', keys);
  await page.getByRole('gridcell', { name: /g$/ }).first().click();
  await taken();
  for (let i = 0; i < EDITS; i += 1) {
    for (const key of ['7', '7', 'Enter']) {
      await page.keyboard.press(key);
      await painted();
    }
  }
  await report('edit', 3 * EDITS);
  await browser.close();
  await pool.end();
}).catch(exitOn);
