import path from 'node:path';
import { runner } from 'node-pg-migrate';

/** Brings a database up to the newest of the SQL files beside this one. Forward only, each in a transaction. */
export async function migrate(databaseUrl: string, root = process.cwd()): Promise<string[]> {
  const done = await runner({
    databaseUrl,
    dir: path.join(root, 'src/db/migrations'),
    direction: 'up',
    migrationsTable: 'schema_migration',
    // Two starts against one server wait for each other instead of both migrating.
    advisoryLockMaxWaitMs: 30_000,
    log: () => undefined,
  } as Parameters<typeof runner>[0]);
  return done.map((migration) => migration.name);
}
