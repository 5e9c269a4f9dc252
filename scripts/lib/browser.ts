import { chromium as playwright, type Browser } from '@playwright/test';
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
