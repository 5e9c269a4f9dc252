// npm run unit -- [patterns]: unit and database tests, with a database of their own.
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { withDatabase } from './lib/app';
import { exitOn } from './lib/say';
import { gpsbabel, poppler } from './lib/system';

poppler();
gpsbabel();
withDatabase((databaseUrl) => {
  const { status } = spawnSync(path.join('node_modules', '.bin', 'jest'), process.argv.slice(2), {
    stdio: 'inherit',
    env: { ...process.env, TEST_DATABASE_URL: databaseUrl },
  });
  process.exitCode = status ?? 1;
  return Promise.resolve();
}).catch(exitOn);
