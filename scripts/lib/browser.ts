import { chromium as playwright, type Browser, type Page } from '@playwright/test';
import { chromium } from './system';

/** Flags for Debian's Chromium as root, off the network: without them it looks for its maker's hosts at each start. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const launchBrowser = (): Promise<Browser> =>
  playwright.launch({ executablePath: chromium(), args: CHROMIUM_FLAGS });

/** Opens an address, and waits until the page answers to what is pressed. A stage never falls silent: it listens for changes. */
export async function visit(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
}
