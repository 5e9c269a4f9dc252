import { createPool } from '@/db/pool';
import { migrate } from '@/db/migrate';
import { seedDemo } from '@/db/demo';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { currentRun } from './running';
import { Plain, step } from './say';
import { givenDatabase } from './settings';

/** The database to work on: the server named by DATABASE_URL, or this clone's own. */
export async function openDatabase(): Promise<{ url: string; cluster: Cluster | null }> {
  const given = givenDatabase();
  if (given) return { url: given, cluster: null };
  const cluster = await step('Starting PostgreSQL', () => startCluster('app'));
  return { url: await ensureDatabase(cluster, 'gorvin'), cluster };
}

/**
 * Does something on the database that `npm start` would use. While Gorvin runs from this folder, its cluster is up; starting
 * another one on the same data would stop it. A server that is named comes first all the same.
 */
export async function onDatabase(work: (url: string) => Promise<void> | void): Promise<void> {
  const running = givenDatabase() ? null : currentRun();
  if (running?.databaseUrl) return work(running.databaseUrl);
  const { url, cluster } = await openDatabase();
  try {
    await work(url);
  } finally {
    cluster?.stop();
  }
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
