import { createPool } from '@/db/pool';
import { migrate } from '@/db/migrate';
import { seedDemo } from '@/db/demo';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { Plain, step } from './say';

/** The database to work on: the server named by DATABASE_URL, or this clone's own. */
export async function openDatabase(): Promise<{ url: string; cluster: Cluster | null }> {
  const given = process.env.DATABASE_URL;
  if (given) return { url: given, cluster: null };
  const cluster = await step('Starting PostgreSQL', () => startCluster('app'));
  return { url: await ensureDatabase(cluster, 'gorvin'), cluster };
}

/** Brings the database up to date and makes sure the demo is in it. */
export async function prepareDatabase(url: string): Promise<void> {
  await step('Bringing the database up to date', async () => {
    try {
      await migrate(url);
    } catch (error) {
      const address = new URL(url);
      throw new Plain(
        `The database at ${address.host}${address.pathname} cannot be used: ${(error as Error).message || String(error)}`,
      );
    }
    const pool = createPool(url);
    try {
      await seedDemo(pool);
    } finally {
      await pool.end();
    }
  });
}
