import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { migrate } from '@/db/migrate';
import { resetDemo } from '@/db/demo';
import { createPool } from '@/db/pool';
import { ensureBuild } from './build';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { serve } from './server';
import { step } from './say';

/** A throwaway database with the demo in it, on this clone's cluster for tests. */
export async function withDatabase<Value>(
  work: (url: string, cluster: Cluster) => Promise<Value>,
  purpose: 'test' | 'probe' = 'test',
): Promise<Value> {
  const cluster = await step('Starting PostgreSQL', () => startCluster(purpose));
  // A run that is interrupted must not leave its server behind.
  const interrupted = () => {
    cluster.stop();
    process.exit(130);
  };
  process.once('SIGINT', interrupted);
  process.once('SIGTERM', interrupted);
  const name = `gorvin_${randomBytes(6).toString('hex')}`;
  try {
    const url = await ensureDatabase(cluster, name);
    await migrate(url);
    const pool = createPool(url);
    await resetDemo(pool);
    await pool.end();
    const value = await work(url, cluster);
    const client = new pg.Client({ connectionString: cluster.url('postgres') });
    await client.connect();
    await client.query(`drop database ${pg.escapeIdentifier(name)} with (force)`);
    await client.end();
    return value;
  } finally {
    process.off('SIGINT', interrupted);
    process.off('SIGTERM', interrupted);
    cluster.stop();
  }
}

/** The production build, serving such a database. */
export const withApp = <Value>(
  work: (app: { url: string; databaseUrl: string; pid: number }) => Promise<Value>,
): Promise<Value> =>
  withDatabase(async (databaseUrl) => {
    await ensureBuild();
    const server = await serve(databaseUrl, 4100, true);
    try {
      return await work({ url: server.url, databaseUrl, pid: server.process.pid! });
    } finally {
      await server.stop();
    }
  });
