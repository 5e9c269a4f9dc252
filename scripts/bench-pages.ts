// npm run bench:pages: compressed script and largest paint of each main view, first load, production build, loopback.
import type { Page } from '@playwright/test';
import { DEMO_TRIP_ID } from '@/db/demo';
import { withApp } from './lib/app';
import { launchBrowser, visit as visitPage } from './lib/browser';
import { exitOn } from './lib/say';

interface Measured {
  scriptKb: number;
  largestPaintMs: number;
}

async function measure(page: Page, url: string): Promise<Measured> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  const scripts = new Set<string>();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await visitPage(page, url);
  const largestPaintMs = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        let last = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) last = entry.startTime;
        }).observe({ type: 'largest-contentful-paint', buffered: true });
        requestAnimationFrame(() => setTimeout(() => resolve(last), 100));
      }),
  );
  return { scriptKb: Math.round(bytes / 102.4) / 10, largestPaintMs: Math.round(largestPaintMs) };
}

withApp(async ({ url }) => {
  const browser = await launchBrowser();
  const first = await browser.newPage();
  await first.goto(`${url}/welcome`);
  await first.getByRole('button', { name: 'Open the demo trip' }).click();
  await first.waitForURL(`${url}/`);
  const state = await first.context().storageState();
  for (const path of [
    '/',
    ...['trip', 'bike', 'kit', 'provisions', 'load', 'pack', 'ride', 'review'].map(
      (stage) => `/trips/${DEMO_TRIP_ID}/${stage}`,
    ),
  ]) {
    // Three first loads, each in a browser profile of its own; the middle one counts.
    const runs: Measured[] = [];
    for (let run = 0; run < 3; run += 1) {
      const context = await browser.newContext({
        viewport: { width: 1280, height: 800 },
        storageState: state,
      });
      runs.push(await measure(await context.newPage(), url + path));
      await context.close();
    }
    runs.sort((a, b) => a.largestPaintMs - b.largestPaintMs);
    console.log(JSON.stringify({ bench: 'pages', view: path.split('/').at(-1) || 'trips', ...runs[1] }));
  }
  await browser.close();
}).catch(exitOn);
