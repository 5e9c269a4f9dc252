// npm run reset-demo: the demo account as it was at first.
import { migrate } from '@/db/migrate';
import { resetDemo } from '@/db/demo';
import { createPool } from '@/db/pool';
import { existsSync, readFileSync } from 'node:fs';
import { openDatabase } from './lib/open';
import { exitOn, say } from './lib/say';
import { isAlive } from './lib/system';

async function main(): Promise<void> {
  // While Gorvin runs from this folder, its cluster is up; starting another one on the same data would stop it. A server that is
  // named comes first all the same.
  const run =
    !process.env.DATABASE_URL && existsSync('.data/run.json')
      ? (JSON.parse(readFileSync('.data/run.json', 'utf8')) as RunFile)
      : null;
  if (run?.databaseUrl && isAlive(run.pid)) return reset(run.databaseUrl);
  const { url, cluster } = await openDatabase();
  try {
    await reset(url);
  } finally {
    cluster?.stop();
  }
}

interface RunFile {
  pid: number;
  databaseUrl?: string;
}

async function reset(url: string): Promise<void> {
  await migrate(url);
  const pool = createPool(url);
  try {
    await resetDemo(pool);
  } finally {
    await pool.end();
  }
  say('The demo is back as it was.');
}

main().catch(exitOn);
