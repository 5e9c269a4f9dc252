// npm run reset-demo: the demo account as it was at first.
import { migrate } from '@/db/migrate';
import { resetDemo } from '@/db/demo';
import { createPool } from '@/db/pool';
import { onDatabase } from './lib/open';
import { exitOn, say } from './lib/say';

const main = (): Promise<void> => onDatabase(reset);

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
