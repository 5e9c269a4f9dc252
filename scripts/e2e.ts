// npm run e2e -- [files or options of Playwright]: the browser journeys alone, on a database of their own.
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { withApp } from './lib/app';
import { exitOn } from './lib/say';
import { chromium } from './lib/system';

chromium();
withApp(async ({ url, databaseUrl }) => {
  const { status } = spawnSync(
    path.join('node_modules', '.bin', 'playwright'),
    ['test', ...process.argv.slice(2)],
    {
      stdio: 'inherit',
      env: { ...process.env, BASE_URL: url, TEST_DATABASE_URL: databaseUrl },
    },
  );
  process.exitCode = status ?? 1;
}).catch(exitOn);
