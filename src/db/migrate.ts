import path from 'node:path';
import { runner } from 'node-pg-migrate';
import pg from 'pg';

/** Any number that nothing else locks. */
const LOCK = 4_672_031;

/**
 * Brings a database up to the newest of the SQL files beside this one. Forward only, each in a transaction. Of several servers
 * that start against one database, one does it and the others wait: the library's own lock gives up instead.
 */
export async function migrate(databaseUrl: string, root = process.cwd()): Promise<string[]> {
  const dbClient = new pg.Client({ connectionString: databaseUrl });
  await dbClient.connect();
  try {
    await dbClient.query('select pg_advisory_lock($1)', [LOCK]);
    const done = await runner({
      dbClient,
      dir: path.join(root, 'src/db/migrations'),
      direction: 'up',
      migrationsTable: 'schema_migration',
      noLock: true,
      log: () => undefined,
    });
    return done.map((migration) => migration.name);
  } finally {
    await dbClient.end();
  }
}
