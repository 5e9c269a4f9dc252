import pg from 'pg';

/** What runs a query: the pool, or one client inside a transaction. */
export type Client = Pick<pg.ClientBase, 'query'>;
export type Pool = pg.Pool;

/** No request waits longer than this for a lock, or for the whole of a statement; nor holds a transaction open doing nothing. */
const TIMEOUTS = '-c lock_timeout=5s -c statement_timeout=15s -c idle_in_transaction_session_timeout=30s';

/** @param role to work as, instead of the one that the address names; it must be a member of it */
export function createPool(connectionString: string, role?: string): pg.Pool {
  const pool = new pg.Pool({
    connectionString,
    options: role ? `${TIMEOUTS} -c role=${role}` : TIMEOUTS,
    max: 20,
    idleTimeoutMillis: 30_000,
    connectionTimeoutMillis: 10_000,
  });
  // An idle client that loses its server must not bring the process down; the next query gets a fresh one.
  pool.on('error', () => undefined);
  return pool;
}

/** Runs `work` in one transaction: all of it is kept, or, when it throws, none. */
export async function transaction<Value>(
  pool: pg.Pool,
  work: (client: Client) => Promise<Value>,
  begin = 'begin',
): Promise<Value> {
  const client = await pool.connect();
  try {
    await client.query(begin);
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
