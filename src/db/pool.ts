import pg from 'pg';

/** What runs a query: the pool, or one client inside a transaction. */
export type Client = Pick<pg.ClientBase, 'query'>;
export type Pool = pg.Pool;

export function createPool(connectionString: string): pg.Pool {
  const pool = new pg.Pool({
    connectionString,
    max: 8,
    idleTimeoutMillis: 30_000,
    connectionTimeoutMillis: 5_000,
  });
  // An idle client that loses its server must not bring the process down; the next query gets a fresh one.
  pool.on('error', () => undefined);
  return pool;
}

/** Runs `work` in one transaction: all of it is kept, or, when it throws, none. */
export async function transaction<Value>(
  pool: pg.Pool,
  work: (client: Client) => Promise<Value>,
): Promise<Value> {
  const client = await pool.connect();
  try {
    await client.query('begin');
    const value = await work(client);
    await client.query('commit');
    return value;
  } catch (error) {
    await client.query('rollback').catch(() => undefined);
    throw error;
  } finally {
    client.release();
  }
}
