import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS } from './scripts/lib/browser';
import { CHROMIUM } from './scripts/lib/system';

/** Journeys through the real interface. scripts/test.ts starts the server and hands over its address. */
export default defineConfig({
  testDir: 'tests/e2e',
  // Each journey has an account of its own, so they can run beside each other; two cores, two workers.
  fullyParallel: true,
  workers: 2,
  // Only a hang is a failure: the same journey takes twice as long on a busy machine.
  timeout: 180_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json']],
  outputDir: 'test-results',
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    // Each journey has a browser of its own, which would keep all of Gorvin for offline use; only the offline journeys want that.
    serviceWorkers: 'block',
    // What cannot be pressed is told soon; a search has waits of its own.
    actionTimeout: 45_000,
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_FLAGS },
    // A trace takes a third of a journey's time: `npm run e2e -- --trace on` where one is to be looked at.
    trace: 'off',
  },
});
